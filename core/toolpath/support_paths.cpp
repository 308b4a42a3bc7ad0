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

}  // namespace

Stages regionPaths(const Polygons& area, bool interface, const SupportPathRules& rules) {
  const double w = rules.lineWidth;
  const Pattern pattern = interface ? Pattern{Feature::interfaceUpper, 1, interfaceAngle, w + rules.interfaceSpacing, w}
                                    : Pattern{Feature::supportBody, rules.bodyWalls, bodyAngle, w + rules.bodySpacing, w};
  Walls walls = wallsOf(area, pattern.walls, pattern.width, pattern.feature, pattern.feature);
  Stages stages = std::move(walls.loops);
  stages.push_back(std::move(walls.thin));
  // Without walls the lines' round ends touch the outline; with them they bond into the innermost wall.
  const Polygons room = grow(walls.inside, -pattern.width * (pattern.walls > 0 ? 0.35 : 0.5));
  Polygons lines = fillLines(room, pattern.angle, pattern.pitch);
  if (pattern.walls == 0)
    for (Polygon& line : linesThroughMissed(room, lines, pattern.angle)) lines.push_back(std::move(line));
  std::vector<Path>& paths = stages.emplace_back();
  for (Polygon& line : lines) paths.push_back({pattern.feature, pattern.width, false, std::move(line)});
  return stages;
}

std::vector<PathGroup> supportGroups(const SupportLayer& layer, const std::vector<const Stages*>& paths) {
  std::vector<PathGroup> groups;
  for (std::size_t r = 0; r < layer.regions.size(); ++r) {
    const Owner owner{Owner::piece, layer.regions[r].piece};
    if (groups.empty() || groups.back().owner != owner) groups.push_back({owner, {}});
    groups.back().stages.insert(groups.back().stages.end(), paths[r]->begin(), paths[r]->end());
  }
  return groups;
}

}  // namespace trellis
