// SPDX-License-Identifier: GPL-3.0-or-later
// The tower into which the nozzle is purged after each tool change.
#pragma once

#include "core/settings/rules.hpp"
#include "core/toolpath/path.hpp"

#include <optional>

namespace trellis {

// What the tower has to know of a layer of the print, lowest first.
struct TowerLayer {
  double bottom = 0, top = 0;  // mm
  bool changes = false;        // the tool changes within it or before it
};

// From the column's last top up to the layer's.
struct TowerSlab {
  std::size_t column = 0;
  double bottom = 0;    // mm
  bool purged = false;  // into this one, not just to keep the column growing
};

// Layers of supports and parts may alternate by hundredths of a millimetre, too little to purge into: so the tower has
// columns side by side, each with slabs of its own that are no thinner than the thinnest and, as far as layers
// allow, no thicker than the thickest.
struct PrimeTower {
  double side = 0;                                 // mm, of a column's square
  std::size_t columns = 0;                         // 0: no tower
  std::vector<std::vector<TowerSlab>> slabs = {};  // by layer
  Vec2 size() const { return {side * static_cast<double>(columns), side}; }
};

// Up to the last change. Weak where more than four kinds of support height alternate: changes that find no room are
// left unpurged.
PrimeTower planTower(const std::vector<TowerLayer>& layers, const TowerRules& rules);

// The loops of one slab from the outside in, as many as the purge takes, at least two. corner is the tower's lowest in
// x and y.
std::vector<Path> towerLoops(const PrimeTower& tower, const TowerSlab& slab, double top, const Vec2& corner,
                             const TowerRules& rules);

// The corner of a free place on the plate for something so large, nearest to what stands there; none if there is no
// room with a margin, mm, around it.
std::optional<Vec2> freePlace(const Vec2& size, const std::vector<Box2>& taken, const Vec2& plate, double margin);

}  // namespace trellis
