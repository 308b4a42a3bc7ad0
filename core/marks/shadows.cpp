// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/marks/shadows.hpp"

#include "core/base/parallel.hpp"
#include "core/overhang/lean.hpp"

#include <algorithm>

namespace trellis {

namespace {

constexpr double sliver = 0.0002;  // mm; closes the hairlines that rounding leaves between neighbours

// The part of a convex polygon on one side of a horizontal plane.
std::vector<Vec3> clipped(const std::vector<Vec3>& polygon, double z, bool keepAbove) {
  std::vector<Vec3> result;
  for (std::size_t i = 0; i < polygon.size(); ++i) {
    const Vec3 &a = polygon[i], &b = polygon[(i + 1) % polygon.size()];
    const bool inA = keepAbove ? a.z() >= z : a.z() <= z, inB = keepAbove ? b.z() >= z : b.z() <= z;
    if (inA) result.push_back(a);
    if (inA != inB) result.push_back(a + (b - a) * ((z - a.z()) / (b.z() - a.z())));
  }
  return result;
}

struct Shadow {
  std::size_t plane;
  Polygon outline;
};

// Cuts a leaf at the planes and drops the pieces on the paper, counter-clockwise.
void dropLeaf(const Corners& leaf, const std::vector<double>& planes, std::vector<Shadow>& out) {
  const auto [low, high] = std::minmax({leaf[0].z(), leaf[1].z(), leaf[2].z()});
  const auto first = std::upper_bound(planes.begin(), planes.end(), low) - planes.begin();
  for (auto i = static_cast<std::size_t>(first); i < planes.size(); ++i) {
    if (i > 0 && planes[i - 1] > high) break;
    std::vector<Vec3> piece = clipped({leaf.begin(), leaf.end()}, planes[i], false);
    if (i > 0) piece = clipped(piece, planes[i - 1], true);
    if (piece.size() < 3) continue;
    Polygon outline;
    for (const Vec3& p : piece) outline.push_back(toPoint(p.x(), p.y()));
    if (!ClipperLib::Orientation(outline)) ClipperLib::ReversePath(outline);
    out.push_back({i, std::move(outline)});
  }
}

void unitePlanes(std::vector<Shadow>& shadows, std::vector<Polygons>& planes, const Progress& progress) {
  for (Shadow& shadow : shadows) planes[shadow.plane].push_back(std::move(shadow.outline));
  parallelFor(planes.size(), progress, [&](std::size_t i) {
    if (!planes[i].empty()) planes[i] = grow(unite(planes[i]), sliver);
  });
}

}  // namespace

MarkShadows castShadows(const TriangleMesh& mesh, const Affine& toPlate, const Marks& marks,
                        const std::vector<double>& planes, const Progress& progress) {
  MarkShadows result;
  result.enforced.resize(planes.size());
  result.blocked.resize(planes.size());
  result.barred.resize(planes.size());
  std::vector<Shadow> enforced, blocked, barred;
  const bool mirrored = toPlate.linear().determinant() < 0;
  marks.forEachTree([&](std::uint32_t facet, std::string_view tree) {
    progress.check();
    const auto [a, b, c] = mesh.corners(facet);
    const Vec3 normal = (toPlate.linear() * (b - a)).cross(toPlate.linear() * (c - a)).normalized();
    const double lean = leanOf(mirrored ? Vec3(-normal) : normal);
    forEachLeaf(mesh.corners(facet), tree, [&](const Corners& leaf, Mark mark) {
      const Corners placed{toPlate * leaf[0], toPlate * leaf[1], toPlate * leaf[2]};
      if (mark == Mark::block) return dropLeaf(placed, planes, lean > 0 ? blocked : barred);
      if (lean >= wallLean) return dropLeaf(placed, planes, enforced);
      const double leafArea = (placed[1] - placed[0]).cross(placed[2] - placed[0]).norm() / 2;
      const bool wall = lean > -wallLean;
      (wall ? result.enforcedWall : result.enforcedUpward) += leafArea;
      (wall ? result.wallAt : result.upwardAt) = placed[0];
    });
  });
  unitePlanes(enforced, result.enforced, progress);
  unitePlanes(blocked, result.blocked, progress);
  unitePlanes(barred, result.barred, progress);
  return result;
}

}  // namespace trellis
