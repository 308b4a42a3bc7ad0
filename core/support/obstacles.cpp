// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/support/obstacles.hpp"

#include "core/base/parallel.hpp"

#include <cmath>

namespace trellis {

namespace {

constexpr double smallest = 1e-4;  // mm²

using Layers = std::vector<Polygons>;

Layers together(const LayerPlan& plan, const std::vector<PartObstacles>& parts, const Layers& (*which)(const PartObstacles&),
                const Progress& progress) {
  Layers all(plan.count());
  parallelFor(plan.count(), progress, [&](std::size_t i) {
    for (const PartObstacles& part : parts)
      if (i < which(part).size()) all[i] = unite(all[i], which(part)[i]);
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

Obstacles findObstacles(const LayerPlan& plan, const std::vector<PartObstacles>& parts, const SupportRules& rules,
                        const Progress& progress) {
  Obstacles result;
  result.plan = plan;
  result.sections = together(plan, parts, [](const PartObstacles& part) -> const Layers& { return part.sections; }, progress);
  const Layers hanging = together(plan, parts, [](const PartObstacles& part) -> const Layers& { return part.hanging; }, progress);
  result.ledges.resize(plan.count());
  result.walls.resize(plan.count());
  result.besides.resize(plan.count());
  const double slope = std::tan(toRadians(90 - standingSlope));
  parallelFor(plan.count(), progress, [&](std::size_t i) {
    const Polygons& section = result.sections[i];
    result.ledges[i] = i + 1 < plan.count() ? withoutSpecks(subtract(section, result.sections[i + 1]), smallest) : section;
    Polygons exempt = hanging[i];
    if (i > 0) {
      const double step = plan.spans[i].middle() - plan.spans[i - 1].middle();
      const Polygons room = standingRoom(result.sections[i - 1], section, step * slope);
      exempt.insert(exempt.end(), room.begin(), room.end());
    }
    const bool all = exempt.empty();
    result.walls[i] = all ? asLines(section) : linesOutside(asLines(section), grow(unite(exempt), 0.01));
    result.besides[i] = all ? grow(section, rules.gapBeside) : unite(section, around(result.walls[i], rules.gapBeside));
  });
  return result;
}

}  // namespace trellis
