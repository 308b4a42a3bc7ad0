// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/support/column_grid.hpp"

#include <algorithm>
#include <cmath>

namespace trellis {

namespace {

Eigen::Rotation2Dd turnOf(const ColumnGrid& grid) { return Eigen::Rotation2Dd(toRadians(grid.turn)); }

// Square number x, y of the pitch, shrunk by a margin.
Polygons square(const ColumnGrid& grid, double pitch, const Tile& tile, double margin) {
  const Eigen::Rotation2Dd turn = turnOf(grid);
  const Vec2 low = Vec2(static_cast<double>(tile.x), static_cast<double>(tile.y)) * pitch + Vec2::Constant(margin);
  const double size = pitch - 2 * margin;
  Polygon outline;
  for (const Vec2& corner : {Vec2(0, 0), Vec2(size, 0), Vec2(size, size), Vec2(0, size)})
    outline.push_back(toPoint(Vec2(grid.at + turn * (low + corner))));
  return {outline};
}

}  // namespace

Tile tileAt(const ColumnGrid& grid, const SupportRules& rules, const Vec2& at) {
  const Vec2 along = turnOf(grid).inverse() * (at - grid.at) / tilePitch(rules);
  return {std::lround(std::floor(along.x())), std::lround(std::floor(along.y()))};
}

Polygons tileOf(const ColumnGrid& grid, const SupportRules& rules, const Tile& tile) {
  return square(grid, tilePitch(rules), tile, 0);
}

Polygons columnOf(const ColumnGrid& grid, const SupportRules& rules, const Tile& tile) {
  return square(grid, tilePitch(rules), tile, rules.lineWidth / 2);
}

std::vector<Tile> tilesMeeting(const ColumnGrid& grid, const SupportRules& rules, const Polygons& region) {
  std::vector<Tile> tiles;
  Tile low{1L << 40, 1L << 40}, high{-(1L << 40), -(1L << 40)};
  for (const Polygon& outline : region)
    for (const Point& p : outline) {
      const Tile tile = tileAt(grid, rules, toMm(p));
      low = {std::min(low.x, tile.x), std::min(low.y, tile.y)};
      high = {std::max(high.x, tile.x), std::max(high.y, tile.y)};
    }
  for (long x = low.x; x <= high.x; ++x)
    for (long y = low.y; y <= high.y; ++y)
      if (!withoutSpecks(intersect(tileOf(grid, rules, {x, y}), region), 1e-3).empty()) tiles.push_back({x, y});
  return tiles;
}

std::vector<Tile> tilesToBuild(const ColumnGrid& grid, const SupportRules& rules, const Polygons& region) {
  const double w = rules.lineWidth, enough = std::min(rules.columnSize * rules.columnSize / 10, w * w);
  std::vector<Tile> tiles = tilesMeeting(grid, rules, region);
  std::erase_if(tiles, [&](const Tile& tile) {
    return area(opened(intersect(tileOf(grid, rules, tile), region), w / 4)) < enough;
  });
  return tiles;
}

}  // namespace trellis
