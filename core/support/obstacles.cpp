// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/support/obstacles.hpp"

#include "core/base/parallel.hpp"

#include <cmath>

namespace trellis {

namespace {

constexpr double smallest = 1e-4;  // mm²

std::vector<Polygons> together(const LayerPlan& plan, const std::vector<const std::vector<Polygons>*>& parts,
                               const Progress& progress) {
  std::vector<Polygons> all(plan.count());
  parallelFor(plan.count(), progress, [&](std::size_t i) {
    for (const auto* part : parts)
      if (i < part->size()) all[i] = unite(all[i], (*part)[i]);
  });
  return all;
}

// Where the layer below ends in a step wide enough to stand on.
Polygons standingRoom(const Polygons& below, const Polygons& section, double reach) {
  const Polygons steps = withoutSpecks(subtract(below, section), smallest);
  if (steps.empty()) return {};
  const Polygons wide = withoutSpecks(subtract(below, grow(section, reach)), smallest);
  return wide.empty() ? Polygons{} : intersect(steps, grow(wide, reach));
}

}  // namespace

Obstacles findObstacles(const LayerPlan& plan, const std::vector<const std::vector<Polygons>*>& sections,
                        const std::vector<const std::vector<Polygons>*>& barred, const SupportRules& rules,
                        const Progress& progress) {
  Obstacles result{plan, together(plan, sections, progress), {}, {}, together(plan, barred, progress)};
  result.walls.resize(plan.count());
  result.besides.resize(plan.count());
  const double slope = std::tan(toRadians(90 - standingSlope));
  parallelFor(plan.count(), progress, [&](std::size_t i) {
    const Polygons& section = result.sections[i];
    result.walls[i] = asLines(section);
    if (i > 0) {
      const double step = plan.spans[i].middle() - plan.spans[i - 1].middle();
      const Polygons room = standingRoom(result.sections[i - 1], section, step * slope);
      if (!room.empty()) result.walls[i] = linesOutside(result.walls[i], grow(room, 0.01));
    }
    result.besides[i] = unite(section, around(result.walls[i], rules.gapBeside));
  });
  return result;
}

}  // namespace trellis
