// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/toolpath/support_paths.hpp"

#include "core/toolpath/fill.hpp"
#include "core/toolpath/walls.hpp"
#include "core/toolpath/zigzag.hpp"

#include <algorithm>
#include <cmath>
#include <map>

namespace trellis {

namespace {

constexpr double seam = 0.02;      // mm over which neighbours count as one
constexpr double longestJoin = 3;  // pitches along the border from one line of a zigzag to the next

// How one use of a region is filled.
struct Fill {
  Feature feature;
  int walls;
  double angle, spacing;
  Pattern pattern;
};

Fill fillOf(RegionKind kind, const SupportPathRules& rules) {
  switch (kind) {
    case RegionKind::graded:
      return {Feature::graded, rules.bodyWalls, interfaceAngle, rules.gradedSpacing, Pattern::lines};
    case RegionKind::branch:
      return {Feature::branch, rules.branchWalls, bodyAngle, rules.innerSpacing,
              rules.innerSpacing > 0 ? Pattern::lines : Pattern::none};
    case RegionKind::foot:
      return {Feature::foot, std::max(1, rules.bodyWalls), bodyAngle, rules.bodySpacing / 2, Pattern::lines};
    case RegionKind::interfaceLower:
      return {Feature::interfaceLower, 1, interfaceAngle, rules.lowerSpacing, rules.lower};
    case RegionKind::interfaceUpper:
      return {Feature::interfaceUpper, 1, interfaceAngle, rules.interfaceSpacing, rules.upper};
    case RegionKind::body:
      break;
  }
  return {Feature::supportBody, rules.bodyWalls, bodyAngle, rules.bodySpacing, rules.body};
}

// The stretches of paths that lie in a region.
std::vector<Path> within(const Polygons& region, const std::vector<Path>& paths) {
  std::vector<Path> result;
  for (const Path& path : paths) {
    Polygons inside = linesInside(path.closed ? asLines({path.points}) : Polygons{path.points}, region);
    if (inside.size() == 1 && inside.front().size() == path.points.size() + path.closed)
      result.push_back(path);
    else
      for (Polygon& stretch : inside) result.push_back({path.feature, path.width, false, std::move(stretch)});
  }
  return result;
}

// Walls run along the outline of a piece, not between its own uses: there they would stand on nothing, and hold
// nothing.
Walls wallsAround(const PieceRegion& region, const Fill& fill, double width) {
  if (region.beside.empty() || fill.walls == 0)
    return loopsOf(region.area, {fill.walls, width, 0, fill.feature, fill.feature});
  Walls walls =
      loopsOf(unite(region.area, grow(region.beside, seam)), {fill.walls, width, 0, fill.feature, fill.feature});
  for (std::vector<Path>& loops : walls.loops) loops = within(region.area, loops);
  walls.thin = within(region.area, walls.thin);
  // Lines end in the border to what lies beside as they end in a wall.
  walls.inside = intersect(walls.inside, grow(region.area, -width * 0.15));
  return walls;
}

// Where the outermost lines of a region leave more room to its wall than lines leave between each other, one more runs
// through the middle of it.
Polygons linesBeside(const Polygons& lines, const Polygons& area, double angle, double width, double pitch) {
  const Polygons inside = grow(area, -(width + pitch) / 2);  // what the wall does not cover
  if (inside.empty()) return {};
  Polygons covered;
  for (const Polygon& line : lines) {
    const Vec2 a = toMm(line.front()), b = toMm(line.back()), along = (b - a).normalized();
    const Vec2 out = along * width / 2, side = Vec2(-along.y(), along.x()) * pitch / 2;
    covered.push_back(
        {toPoint(a - out - side), toPoint(b + out - side), toPoint(b + out + side), toPoint(a - out + side)});
  }
  const Polygons bare = withoutSpecks(opened(subtract(inside, covered), width / 20), width * width / 20);
  return linesThroughMissed(bare, {}, angle);
}

// Without walls a body stands as a folded ribbon: where its folds are deep enough, and three at least.
bool standsWithoutWalls(const Polygons& piece, const Fill& fill, double width) {
  constexpr std::size_t folds = 3;
  const double pitch = width + fill.spacing, deep = 1.2 * pitch;
  return !grow(piece, -deep / 2).empty() && fillLines(grow(piece, -width / 2), fill.angle, pitch, deep).size() >= folds;
}

std::vector<Path> concentric(Polygons room, const Fill& fill, double width, double pitch) {
  std::vector<Path> paths;
  for (; !room.empty(); room = grow(room, -pitch))
    for (const Polygon& loop : room) paths.push_back({fill.feature, width, true, loop});
  return paths;
}

Stages filledRegion(const PieceRegion& region, const Fill& fill, int crossing, double w) {
  const double pitch = w + fill.spacing;
  Walls walls = wallsAround(region, fill, w);
  Stages stages = std::move(walls.loops);
  stages.push_back(std::move(walls.thin));
  if (fill.pattern == Pattern::none) return stages;
  // Without walls the lines' round ends touch the outline; with them they bond into the innermost wall.
  const Polygons room = grow(walls.inside, -w * (fill.walls > 0 ? 0.35 : 0.5));
  std::vector<Path>& paths = stages.emplace_back();
  if (fill.pattern == Pattern::concentric) {
    paths = concentric(fill.walls > 0 ? grow(walls.inside, -fill.spacing - w / 2) : room, fill, w, pitch);
    return stages;
  }
  const double angle = fill.angle + (fill.pattern == Pattern::crossed ? 90 * crossing : 0);
  Polygons lines = fillLines(room, angle, pitch, fill.pattern == Pattern::zigzag ? w : 0);
  if (fill.walls == 0)
    for (Polygon& line : linesThroughMissed(room, lines, angle)) lines.push_back(std::move(line));
  if (region.kind == RegionKind::interfaceUpper || region.kind == RegionKind::interfaceLower)
    for (Polygon& line : linesBeside(lines, region.area, angle, w, pitch))
      paths.push_back({fill.feature, std::min(w, pitch / 2), false, std::move(line)});
  if (fill.pattern == Pattern::zigzag)
    lines = zigzag(lines, room, longestJoin * pitch, region.beside.empty() ? Polygons{} : grow(region.beside, w));
  for (Polygon& line : lines) paths.push_back({fill.feature, w, false, std::move(line)});
  return stages;
}

}  // namespace

int crossingOf(double top, const SupportPathRules& rules) {
  return static_cast<int>(std::llround(top / rules.layerHeight) % 2);
}

Stages regionPaths(const PieceRegion& region, int crossing, const SupportPathRules& rules) {
  Fill fill = fillOf(region.kind, rules);
  if (fill.walls > 0) return filledRegion(region, fill, crossing, rules.lineWidth);
  PieceRegion broad{region.piece, region.kind, region.rules, {}, region.key, region.beside}, narrow = broad;
  // What a decision cut, or is of another kind, counts as if it stood there: a cut is not to cost a wall.
  Polygons whole = region.area;
  if (!region.beside.empty()) whole = unite(whole, grow(region.beside, seam));
  for (const Polygons& piece : components(whole)) {
    Polygons& into = (standsWithoutWalls(piece, fill, rules.lineWidth) ? broad : narrow).area;
    const Polygons own = region.beside.empty() ? piece : intersect(piece, region.area);
    into.insert(into.end(), own.begin(), own.end());
  }
  Stages stages = broad.area.empty() ? Stages{} : filledRegion(broad, fill, crossing, rules.lineWidth);
  if (narrow.area.empty()) return stages;
  fill.walls = 1;
  if (fill.pattern == Pattern::zigzag) fill.pattern = Pattern::lines;  // the wall joins them
  Stages walled = filledRegion(narrow, fill, crossing, rules.lineWidth);
  stages.insert(stages.end(), walled.begin(), walled.end());
  return stages;
}

std::vector<PathGroup> supportGroups(const std::vector<RegionPrint>& regions, const std::vector<TiePrint>& ties) {
  std::map<std::pair<std::size_t, int>, PathGroup> groups;  // by piece and filament
  const auto groupOf = [&](std::size_t piece, int tool) -> PathGroup& {
    return groups.try_emplace({piece, tool}, PathGroup{{Owner::piece, piece}, {}, tool}).first->second;
  };
  for (const RegionPrint& region : regions) {
    PathGroup& group = groupOf(region.piece, region.tool);
    group.stages.insert(group.stages.end(), region.paths->begin(), region.paths->end());
  }
  for (const TiePrint& tie : ties) {
    std::vector<Path>& stage = groupOf(tie.piece, tie.tool).stages.emplace_back();
    for (const Polygon& line : tie.lines) stage.push_back({Feature::hold, tie.width, false, line});
  }
  std::vector<PathGroup> result;
  for (auto& [key, group] : groups) result.push_back(std::move(group));
  return result;
}

}  // namespace trellis
