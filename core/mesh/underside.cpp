// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/mesh/underside.hpp"
#include "core/mesh/plane.hpp"

namespace trellis {

namespace {

constexpr double aside = 0.01;      // mm off the place, so that its own surface is not met
constexpr double overPlate = 0.05;  // mm; what is lower stands on the plate

std::optional<Vec3> straight(const MeshTree& tree, const Affine& toPlate, const Vec3& from, double up) {
  const Affine toMesh = toPlate.inverse();
  const auto hit = tree.firstHit(toMesh * (from + Vec3(0, 0, up * aside)), toMesh.linear() * Vec3(0, 0, up));
  if (!hit) return std::nullopt;
  Vec3 normal = normalMap(toPlate) * tree.mesh().normal(hit->facet);
  if (normal.z() >= 0) return std::nullopt;
  return toPlate * hit->point;
}

}  // namespace

std::optional<Vec3> undersideOver(const MeshTree& tree, const Affine& toPlate, const Vec3& place) {
  if (const auto over = straight(tree, toPlate, place, 1)) return over;
  const auto below = straight(tree, toPlate, place, -1);
  return below && below->z() > overPlate ? below : std::nullopt;
}

}  // namespace trellis
