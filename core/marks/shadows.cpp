// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/marks/shadows.hpp"

#include "core/base/parallel.hpp"
#include "core/overhang/lean.hpp"
#include "core/slice/plane_cuts.hpp"

#include <algorithm>

namespace trellis {

namespace {

constexpr double sliver = 0.0002;  // mm; closes the hairlines that rounding leaves between neighbours

struct Shadow {
  std::size_t plane;
  Polygon outline;
};

void dropLeaf(const Corners& leaf, const std::vector<double>& planes, std::vector<Shadow>& out) {
  cutAtPlanes({leaf.begin(), leaf.end()}, planes, [&](std::size_t plane, Polygon outline) {
    out.push_back({plane, std::move(outline)});
  });
}

// The lines in which planes cut a leaf of wall, the part on their left.
void cutWall(const Corners& leaf, const Vec3& normal, const std::vector<double>& planes, std::vector<Lines>& walls) {
  const auto [low, high] = std::minmax({leaf[0].z(), leaf[1].z(), leaf[2].z()});
  const auto first = std::upper_bound(planes.begin(), planes.end(), low) - planes.begin();
  for (auto i = static_cast<std::size_t>(first); i < planes.size() && planes[i] <= high; ++i) {
    std::vector<Vec3> ends;
    for (std::size_t k = 0; k < 3; ++k) {
      const Vec3 &a = leaf[k], &b = leaf[(k + 1) % 3];
      if ((a.z() < planes[i]) != (b.z() < planes[i]))
        ends.push_back(a + (b - a) * ((planes[i] - a.z()) / (b.z() - a.z())));
    }
    if (ends.size() != 2) continue;
    const Vec3 along = ends[1] - ends[0];
    if (along.x() * normal.y() - along.y() * normal.x() > 0) std::swap(ends[0], ends[1]);
    walls[i].push_back({toPoint(ends[0].x(), ends[0].y()), toPoint(ends[1].x(), ends[1].y())});
  }
}

void unitePlanes(std::vector<Shadow>& shadows, std::vector<Polygons>& planes, const Progress& progress) {
  for (Shadow& shadow : shadows) planes[shadow.plane].push_back(std::move(shadow.outline));
  parallelLayers(planes.size(), progress, [&](std::size_t i) {
    if (!planes[i].empty()) planes[i] = grow(unite(planes[i]), sliver);
  });
}

}  // namespace

MarkShadows castShadows(const TriangleMesh& mesh, const Affine& toPlate, const Marks& marks,
                        const std::vector<double>& planes, const Progress& progress) {
  MarkShadows result;
  result.enforced.resize(planes.size());
  result.blocked.resize(planes.size());
  result.noLanding.resize(planes.size());
  std::map<int, std::vector<Shadow>> enforced;  // by tint
  std::vector<Shadow> blocked, noLanding;
  const bool mirrored = toPlate.linear().determinant() < 0;
  marks.forEachTree([&](std::uint32_t facet, std::string_view tree) {
    progress.check();
    const auto [a, b, c] = mesh.corners(facet);
    const Vec3 normal = (toPlate.linear() * (b - a)).cross(toPlate.linear() * (c - a)).normalized();
    const Vec3 outward = mirrored ? Vec3(-normal) : normal;
    const double lean = leanOf(outward);
    forEachLeaf(mesh.corners(facet), tree, [&](const Corners& leaf, Mark mark) {
      const Corners placed{toPlate * leaf[0], toPlate * leaf[1], toPlate * leaf[2]};
      if (mark == Mark::block) return dropLeaf(placed, planes, lean > 0 ? blocked : noLanding);
      MarkShadows::Tinted& tint = result.tints[tintOf(mark)];
      tint.walls.resize(planes.size());
      if (lean >= wallLean) return dropLeaf(placed, planes, enforced[tintOf(mark)]);
      const double leafArea = (placed[1] - placed[0]).cross(placed[2] - placed[0]).norm() / 2;
      const bool wall = lean > -wallLean;
      (wall ? result.enforcedWall : result.enforcedUpward) += leafArea;
      if (wall)
        cutWall(placed, outward, planes, tint.walls);
      else
        result.upwardAt = placed[0];
    });
  });
  for (auto& [tint, tinted] : result.tints) {
    tinted.surface.resize(planes.size());
    unitePlanes(enforced[tint], tinted.surface, progress);
    for (std::size_t i = 0; i < planes.size(); ++i)
      result.enforced[i].insert(result.enforced[i].end(), tinted.surface[i].begin(), tinted.surface[i].end());
  }
  if (result.tints.size() > 1)
    parallelLayers(planes.size(), progress, [&](std::size_t i) { result.enforced[i] = unite(result.enforced[i]); });
  unitePlanes(blocked, result.blocked, progress);
  unitePlanes(noLanding, result.noLanding, progress);
  return result;
}

}  // namespace trellis
