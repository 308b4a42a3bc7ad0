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
constexpr double longestFold = 3;  // pitches along the border from one line of a zigzag to the next

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
    Lines inside = linesInside(path.closed ? asLines({path.points}) : Lines{path.points}, region);
    if (inside.size() == 1 && inside.front().size() == path.points.size() + path.closed)
      result.push_back(path);
    else
      for (Polygon& stretch : inside) result.push_back({path.feature, path.width, false, std::move(stretch)});
  }
  return result;
}

// One island of a region.
struct Island {
  Polygons own;            // what is filled
  Polygons whole;          // with what lies beside it of the same piece
  const Polygons& beside;  // all of the region's
};

// Walls run along the outline of a piece, not between its own uses: there they would stand on nothing, and hold
// nothing.
Walls wallsAround(const Island& island, const Fill& fill, double width) {
  const WallRules rules{fill.walls, width, 0, fill.feature, fill.feature};
  if (island.beside.empty() || fill.walls == 0) return loopsOf(island.own, rules);
  Walls walls = loopsOf(island.whole, rules);
  for (std::vector<Path>& loops : walls.loops) loops = within(island.own, loops);
  walls.thin = within(island.own, walls.thin);
  // Lines end in the border to what lies beside as they end in a wall.
  walls.inside = intersect(walls.inside, grow(island.own, -width * 0.15));
  return walls;
}

// Where the outermost lines of a region leave more room to its wall than lines leave between each other, one more runs
// through the middle of it.
Lines linesBeside(const Lines& lines, const Polygons& area, double angle, double width, double pitch) {
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

Stages filledIsland(const Island& island, const Fill& fill, double angle, double w) {
  const double pitch = w + fill.spacing;
  Walls walls = wallsAround(island, fill, w);
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
  const bool folds = fill.pattern == Pattern::zigzag;
  // In a narrow body the wall stands by itself: stubs across it would be a stop each.
  const double shortest = folds ? w : fill.walls > 0 && fill.feature == Feature::supportBody ? 2 * w : 0;
  Lines lines = fillLines(room, angle, pitch, shortest);
  if (fill.walls == 0)
    for (Polygon& line : linesThroughMissed(room, lines, angle)) lines.push_back(std::move(line));
  if (isInterface(fill.feature))
    for (Polygon& line : linesBeside(lines, island.own, angle, w, pitch))
      paths.push_back({fill.feature, std::min(w, pitch / 2), false, std::move(line)});
  const Polygons open = island.beside.empty() ? Polygons{} : grow(island.beside, w);
  for (Polygon& line : zigzag(lines, room, (folds ? longestFold : longestJoin) * pitch, open))
    paths.push_back({fill.feature, w, false, std::move(line)});
  return stages;
}

}  // namespace

int crossingOf(double top, const SupportPathRules& rules) {
  return static_cast<int>(std::llround(top / rules.layerHeight) % 2);
}

std::vector<Stages> regionPaths(const PieceRegion& region, int crossing, const SupportPathRules& rules) {
  const Fill fill = fillOf(region.kind, rules);
  const double angle = fill.angle + (fill.pattern == Pattern::crossed ? 90 * crossing : 0);
  // What a decision cut, or is of another kind, counts as if it stood there: a cut is not to cost a wall.
  Polygons whole = region.area;
  if (!region.beside.empty()) whole = unite(whole, grow(region.beside, seam));
  std::vector<Stages> islands;
  for (Polygons& piece : components(whole)) {
    Island island{region.beside.empty() ? piece : intersect(piece, region.area), std::move(piece), region.beside};
    if (island.own.empty()) continue;
    Fill own = fill;
    if (fill.walls == 0 && !standsWithoutWalls(island.whole, fill, rules.lineWidth)) {
      own.walls = 1;
      if (own.pattern == Pattern::zigzag) own.pattern = Pattern::lines;  // the wall joins them
    }
    islands.push_back(filledIsland(island, own, angle, rules.lineWidth));
  }
  return islands;
}

std::vector<PathGroup> supportGroups(const std::vector<RegionPrint>& regions, const std::vector<TiePrint>& ties) {
  std::vector<PathGroup> groups;
  std::map<std::pair<std::size_t, Filament>, std::size_t> ofPiece;  // by piece and filament, its last group
  const auto add = [&](std::size_t piece, Filament filament) -> PathGroup& {
    ofPiece[{piece, filament}] = groups.size();
    return groups.emplace_back(PathGroup{{Owner::piece, piece}, {}, filament, {}});
  };
  for (const RegionPrint& region : regions)
    for (const Stages& island : *region.islands) add(region.piece, region.filament).stages = island;
  for (const TiePrint& tie : ties) {
    const auto found = ofPiece.find({tie.piece, tie.filament});
    PathGroup& group = found != ofPiece.end() ? groups[found->second] : add(tie.piece, tie.filament);
    std::vector<Path>& stage = group.stages.emplace_back();
    for (const Polygon& line : tie.lines) stage.push_back({Feature::hold, tie.width, false, line});
  }
  return groups;
}

}  // namespace trellis
