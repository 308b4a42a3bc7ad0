// SPDX-License-Identifier: GPL-3.0-or-later
// The grid of squared columns. It belongs to the part: it moves and turns with it.
#pragma once

#include "core/geometry/polygons.hpp"
#include "core/settings/rules.hpp"

#include <vector>

namespace trellis {

// In plan. A tile is a column's square and half the daylight around it; tiles fill the plane.
struct ColumnGrid {
  Vec2 at = Vec2::Zero();  // mm on the plate: a corner of tile 0, 0
  double turn = 0;         // degrees, counter-clockwise
};

struct Tile {
  long x = 0, y = 0;
  auto operator<=>(const Tile&) const = default;
};

// mm from one column to the next: columns keep a daylight of one line width.
inline double tilePitch(const SupportRules& rules) { return rules.columnSize + rules.lineWidth; }

Tile tileAt(const ColumnGrid& grid, const SupportRules& rules, const Vec2& at);
Polygons tileOf(const ColumnGrid& grid, const SupportRules& rules, const Tile& tile);
// The column itself, in the middle of its tile.
Polygons columnOf(const ColumnGrid& grid, const SupportRules& rules, const Tile& tile);

// The tiles that a region reaches into.
std::vector<Tile> tilesMeeting(const ColumnGrid& grid, const SupportRules& rules, const Polygons& region);

// Those tiles in which a region covers at least a tenth of the column's square, or w², w the line width. Slivers along
// a border, thinner than half a line, do not count.
std::vector<Tile> tilesToBuild(const ColumnGrid& grid, const SupportRules& rules, const Polygons& region);

}  // namespace trellis
