// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/support/support_solid.hpp"

#include "core/base/parallel.hpp"
#include "core/support/branch_tubes.hpp"

#include <map>

namespace trellis {

namespace {

constexpr double coarseness = 0.08;  // mm
constexpr double lidPitch = 0.6;     // mm between the strips a lid is made of
constexpr double eps = 1e-6;

// A region as long as it stays the same upward.
struct Stretch {
  double bottom, top;
  const PieceRegion* region;
};

std::vector<Stretch> findStretches(const SupportLayers& layers, const TipZones& tips) {
  std::vector<Stretch> stretches;
  std::map<std::uint64_t, std::size_t> open;  // by region key: the stretch that may go on
  for (const SupportLayer& layer : layers.layers)
    for (const PieceRegion& region : layer.regions) {
      if (region.kind == RegionKind::branch && !tips.holds(region, layer.top)) continue;
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

void addQuad(std::vector<SolidVertex>& out, const Vec3& a, const Vec3& b, const Vec3& c, const Vec3& d,
             const Vec3& normal, const PieceRegion& region) {
  const auto vertex = [&](const Vec3& p) {
    return SolidVertex{p.cast<float>(), normal.cast<float>(), region.kind, static_cast<std::uint32_t>(region.rules),
                       static_cast<std::uint32_t>(region.piece)};
  };
  for (const Vec3& p : {a, b, c, a, c, d}) out.push_back(vertex(p));
}

void addWalls(std::vector<SolidVertex>& out, const Stretch& stretch, const Polygons& outlines) {
  for (const Polygon& outline : outlines)
    for (std::size_t i = 0; i < outline.size(); ++i) {
      const Vec2 a = toMm(outline[i]), b = toMm(outline[(i + 1) % outline.size()]);
      const Vec2 along = (b - a).normalized();
      addQuad(out, {a.x(), a.y(), stretch.bottom}, {b.x(), b.y(), stretch.bottom}, {b.x(), b.y(), stretch.top},
              {a.x(), a.y(), stretch.top}, {along.y(), -along.x(), 0}, *stretch.region);
    }
}

// Strips along x through the region; uneven rims are hidden by the walls.
void addLid(std::vector<SolidVertex>& out, const Polygons& lid, double z, const PieceRegion& region) {
  if (lid.empty()) return;
  const Box2 box = boundsOf(lid);
  for (double y = box.min().y(); y < box.max().y(); y += lidPitch) {
    const double top = std::min(y + lidPitch, box.max().y());
    for (const Polygons& part :
         components(intersect(lid, rectangle({Vec2(box.min().x(), y), Vec2(box.max().x(), top)})))) {
      const Box2 strip = boundsOf(part);
      addQuad(out, {strip.min().x(), strip.min().y(), z}, {strip.max().x(), strip.min().y(), z},
              {strip.max().x(), strip.max().y(), z}, {strip.min().x(), strip.max().y(), z}, {0, 0, 1}, region);
    }
  }
}

}  // namespace

SupportSolid solidOf(const SupportLayers& layers, const Trees& trees, const SupportLayer& raft,
                     const Progress& progress) {
  std::vector<Stretch> stretches = findStretches(layers, TipZones(trees));
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
    addLid(parts[i], simplified(opened(lid, coarseness), coarseness), stretch.top, *stretch.region);
  });
  SupportSolid solid;
  addTubes(solid.vertices, layers, trees);
  for (const auto& part : parts) solid.vertices.insert(solid.vertices.end(), part.begin(), part.end());
  return solid;
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
