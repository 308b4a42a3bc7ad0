// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/toolpath/support_paths.hpp"

#include "core/toolpath/fill.hpp"
#include "core/toolpath/part_paths.hpp"

namespace trellis {

namespace {

struct Pattern {
  Feature feature;
  int walls;
  double angle, pitch, width;
};

void addRegion(const Polygons& region, const Pattern& pattern, std::vector<std::vector<Path>>& stages) {
  Walls walls = wallsOf(region, pattern.walls, pattern.width, pattern.feature, pattern.feature);
  for (std::vector<Path>& loops : walls.loops) stages.push_back(std::move(loops));
  stages.push_back(std::move(walls.thin));
  // Without walls the lines' round ends touch the outline; with them they bond into the innermost wall.
  const Polygons room = grow(walls.inside, -pattern.width * (pattern.walls > 0 ? 0.35 : 0.5));
  Polygons lines = fillLines(room, pattern.angle, pattern.pitch);
  if (pattern.walls == 0)
    for (Polygon& line : linesThroughMissed(room, lines, pattern.angle)) lines.push_back(std::move(line));
  std::vector<Path>& paths = stages.emplace_back();
  for (Polygon& line : lines) paths.push_back({pattern.feature, pattern.width, false, std::move(line)});
}

}  // namespace

std::vector<PathGroup> supportPaths(const SupportLayer& layer, const SupportPathRules& rules) {
  const double w = rules.lineWidth;
  const Pattern body{Feature::supportBody, rules.bodyWalls, bodyAngle, w + rules.bodySpacing, w};
  const Pattern interface{Feature::interfaceUpper, 1, interfaceAngle, w + rules.interfaceSpacing, w};
  std::vector<PathGroup> groups;
  for (const PieceRegion& region : layer.regions) {
    const Owner owner{Owner::piece, region.piece};
    if (groups.empty() || groups.back().owner != owner) groups.push_back({owner, {}});
    addRegion(region.area, region.interface ? interface : body, groups.back().stages);
  }
  return groups;
}

}  // namespace trellis
