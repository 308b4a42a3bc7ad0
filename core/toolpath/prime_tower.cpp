// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/toolpath/prime_tower.hpp"

#include <algorithm>
#include <cmath>
#include <limits>

namespace trellis {

namespace {

constexpr double eps = 1e-6;         // mm
constexpr double least = 8;          // mm, a tower thinner than this falls over: common practice
constexpr double filled = 0.6;       // of a column's square by one purge in a usual layer
constexpr double deepEnough = 0.75;  // of a usual layer: so high a slab has to be to take a purge
constexpr std::size_t mostLanes = 4;
constexpr int leastLoops = 2;

// Slabs with so many columns; changes that find no room are counted in unpurged.
std::vector<std::vector<TowerSlab>> slabsWith(std::size_t columns, const std::vector<TowerLayer>& layers,
                                              const TowerRules& rules, std::size_t& unpurged) {
  std::vector<std::vector<TowerSlab>> slabs(layers.size());
  std::vector<double> tops(columns, layers.front().bottom);
  unpurged = 0;
  std::size_t last = layers.size();
  while (last > 0 && !layers[last - 1].changes) --last;
  for (std::size_t i = 0; i < last; ++i) {
    const double top = layers[i].top, next = i + 1 < last ? layers[i + 1].top : top;
    const auto lowest = std::min_element(tops.begin(), tops.end());
    const bool room = top - *lowest > std::max(rules.thinnest, deepEnough * rules.layerHeight) - eps;
    unpurged += layers[i].changes && !room;
    for (std::size_t column = 0; column < columns; ++column) {
      const bool purged = layers[i].changes && room && column == static_cast<std::size_t>(lowest - tops.begin());
      const bool due = next - tops[column] > std::max(rules.thickest, rules.layerHeight) + eps &&
                       top - tops[column] > rules.thinnest - eps;
      if (purged || due) slabs[i].push_back({column, tops[column], purged});
    }
    for (const TowerSlab& slab : slabs[i]) tops[slab.column] = top;
  }
  return slabs;
}

}  // namespace

PrimeTower planTower(const std::vector<TowerLayer>& layers, const TowerRules& rules) {
  const bool wanted = rules.purge > 0 &&
                      std::any_of(layers.begin(), layers.end(), [](const TowerLayer& layer) { return layer.changes; });
  if (!wanted) return {};
  PrimeTower tower{std::max(least, std::sqrt(rules.purge / (rules.layerHeight * filled))), 0, {}};
  std::size_t unpurged = 0;
  do tower.slabs = slabsWith(++tower.columns, layers, rules, unpurged);
  while (unpurged > 0 && tower.columns < mostLanes);
  return tower;
}

std::vector<Path> towerLoops(const PrimeTower& tower, const TowerSlab& slab, double top, const Vec2& corner,
                             const TowerRules& rules) {
  const double w = rules.lineWidth, height = top - slab.bottom;
  const Vec2 low = corner + Vec2(tower.side * static_cast<double>(slab.column), 0);
  std::vector<Path> loops;
  double left = slab.purged ? rules.purge : 0;
  for (int k = 0; k < leastLoops || left > 0; ++k) {
    const double inset = (k + 0.5) * w, side = tower.side - 2 * inset;
    if (side < w) break;
    Polygon square = rectangle({low + Vec2(inset, inset), low + Vec2(inset + side, inset + side)}).front();
    left -= 4 * side * beadArea(w, height);
    loops.push_back({Feature::prime, w, true, std::move(square), height});
  }
  return loops;
}

std::optional<Vec2> freePlace(const Vec2& size, const std::vector<Box2>& taken, const Vec2& plate, double margin) {
  constexpr double pace = 4;  // mm
  Box2 all;
  for (const Box2& box : taken) all.extend(box);
  const Vec2 middle = all.isEmpty() ? Vec2(plate / 2) : Vec2(all.center());
  std::optional<Vec2> best;
  double nearest = std::numeric_limits<double>::max();
  for (double x = margin; x + size.x() + margin <= plate.x(); x += pace)
    for (double y = margin; y + size.y() + margin <= plate.y(); y += pace) {
      const Box2 place(Vec2(x, y), Vec2(x, y) + size);
      const double distance = (place.center() - middle).norm();
      const bool isFree = std::all_of(taken.begin(), taken.end(), [&](const Box2& box) {
        return box.isEmpty() || box.exteriorDistance(place) >= margin;
      });
      if (!isFree || distance >= nearest) continue;
      nearest = distance;
      best = place.min();
    }
  return best;
}

}  // namespace trellis
