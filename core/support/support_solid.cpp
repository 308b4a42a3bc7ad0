// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/support/support_solid.hpp"

#include "core/base/parallel.hpp"
#include "core/geometry/triangulated.hpp"
#include "core/support/branch_tubes.hpp"

#include <algorithm>
#include <map>

namespace trellis {

namespace {

constexpr double coarseness = 0.08;  // mm
constexpr double sliver = 0.02;      // mm; a lid narrower than twice that is no step to be seen
constexpr double eps = 1e-6;

// A region as long as it stays the same upward.
struct Stretch {
  double bottom, top;
  const PieceRegion* region;
};

std::vector<Stretch> findStretches(const SupportLayers& layers, const Trees& trees,
                                   const std::vector<bool>& byOutlines) {
  const TipZones tips(trees);
  std::vector<Stretch> stretches;
  std::map<std::uint64_t, std::size_t> open;  // by region key: the stretch that may go on
  for (const SupportLayer& layer : layers.layers)
    for (const PieceRegion& region : layer.regions) {
      const bool isOfTree = region.kind == RegionKind::branch && !trees.empty() && !byOutlines[region.piece];
      if (isOfTree && !tips.holds(region, layer.top)) continue;
      const auto found = open.find(region.key);
      if (found != open.end() && std::abs(stretches[found->second].top - layer.bottom) < eps) {
        stretches[found->second].top = layer.top;
      } else {
        open[region.key] = stretches.size();
        stretches.push_back({layer.bottom, layer.top, &region});
      }
    }
  return stretches;
}

SolidVertex vertexOf(const Vec3& at, const Vec3& normal, const PieceRegion& region) {
  return {at.cast<float>(), normal.cast<float>(), region.kind, static_cast<std::uint32_t>(region.rules),
          static_cast<std::uint32_t>(region.piece)};
}

void addQuad(std::vector<SolidVertex>& out, const std::array<Vec3, 4>& corners, const Vec3& normal,
             const PieceRegion& region) {
  for (const std::size_t k : {0, 1, 2, 0, 2, 3}) out.push_back(vertexOf(corners[k], normal, region));
}

void addWalls(std::vector<SolidVertex>& out, const Stretch& stretch, const Polygons& outlines) {
  for (const Polygon& outline : outlines)
    for (std::size_t i = 0; i < outline.size(); ++i) {
      const Vec2 a = toMm(outline[i]), b = toMm(outline[(i + 1) % outline.size()]);
      const Vec2 along = (b - a).normalized();
      addQuad(out,
              {Vec3(a.x(), a.y(), stretch.bottom), Vec3(b.x(), b.y(), stretch.bottom), Vec3(b.x(), b.y(), stretch.top),
               Vec3(a.x(), a.y(), stretch.top)},
              {along.y(), -along.x(), 0}, *stretch.region);
    }
}

void addLid(std::vector<SolidVertex>& out, const Polygons& lid, double z, const PieceRegion& region) {
  for (const std::array<Vec2, 3>& corners : triangulated(lid))
    for (const Vec2& p : corners) out.push_back(vertexOf({p.x(), p.y(), z}, {0, 0, 1}, region));
}

// By their lowest corners, so that what lies under a height comes first.
std::vector<SolidVertex> fromBelow(const std::vector<SolidVertex>& triangles) {
  std::vector<std::pair<float, std::size_t>> order;
  for (std::size_t v = 0; v + 2 < triangles.size(); v += 3)
    order.emplace_back(std::min({triangles[v].at.z(), triangles[v + 1].at.z(), triangles[v + 2].at.z()}), v);
  std::sort(order.begin(), order.end());
  std::vector<SolidVertex> sorted;
  sorted.reserve(triangles.size());
  for (const auto& [low, v] : order) sorted.insert(sorted.end(), &triangles[v], &triangles[v] + 3);
  return sorted;
}

}  // namespace

SupportSolid solidOf(const SupportLayers& layers, const Trees& trees, const SupportLayer& raft,
                     const Progress& progress) {
  const std::vector<bool> byOutlines = shownByOutlines(layers, trees);
  std::vector<Stretch> stretches = findStretches(layers, trees, byOutlines);
  for (const PieceRegion& region : raft.regions) stretches.push_back({raft.bottom, raft.top, &region});
  std::map<long long, Polygons> standing;  // by height: what begins there
  for (const Stretch& stretch : stretches) {
    Polygons& here = standing[std::llround(stretch.bottom * 1e6)];
    here.insert(here.end(), stretch.region->area.begin(), stretch.region->area.end());
  }
  std::vector<std::vector<SolidVertex>> parts(stretches.size());
  parallelFor(stretches.size(), progress, [&](std::size_t i) {
    const Stretch& stretch = stretches[i];
    addWalls(parts[i], stretch, simplified(stretch.region->area, coarseness));
    const auto above = standing.find(std::llround(stretch.top * 1e6));
    const Polygons& area = stretch.region->area;
    const Polygons lid = above == standing.end() ? area : subtract(area, above->second);
    addLid(parts[i], simplified(opened(lid, sliver), sliver), stretch.top, *stretch.region);
  });
  std::vector<SolidVertex> triangles;
  addTubes(triangles, layers, trees, byOutlines);
  for (const auto& part : parts) triangles.insert(triangles.end(), part.begin(), part.end());
  return {fromBelow(triangles)};
}

MeshPtr surfaceOf(const SupportSolid& solid) {
  std::vector<Vec3f> vertices;
  std::vector<Facet> facets;
  vertices.reserve(solid.vertices.size());
  for (const SolidVertex& vertex : solid.vertices) vertices.push_back(vertex.at);
  for (std::uint32_t v = 0; v + 2 < vertices.size(); v += 3) facets.push_back({v, v + 1, v + 2});
  return makeMesh(std::move(vertices), std::move(facets));
}

}  // namespace trellis
