// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/support/obstacles.hpp"

#include "core/base/parallel.hpp"

#include <cmath>

namespace trellis {

namespace {

constexpr double smallest = 1e-4;  // mm²

using Layers = std::vector<Polygons>;

Layers together(const LayerPlan& plan, const std::vector<PartObstacles>& parts,
                const Layers& (*which)(const PartObstacles&), const Progress& progress) {
  Layers all(plan.count());
  parallelLayers(plan.count(), progress, [&](std::size_t i) {
    for (const PartObstacles& part : parts)
      if (i < which(part).size()) all[i] = unite(all[i], which(part)[i]);
  });
  return all;
}

// Where the layer below ends in a step wide enough to stand on, of its steps.
Polygons standingRoom(const Polygons& steps, const Polygons& below, const Polygons& section, double reach) {
  if (steps.empty()) return {};
  const Polygons wide = withoutSpecks(subtract(below, grow(section, reach)), smallest);
  return wide.empty() ? Polygons{} : intersect(steps, grow(wide, reach));
}

}  // namespace

Obstacles findObstacles(const LayerPlan& plan, const std::vector<PartObstacles>& parts, const Progress& progress) {
  Obstacles result;
  result.plan = plan;
  result.sections = together(
      plan, parts, [](const PartObstacles& part) -> const Layers& { return part.sections; }, progress);
  const Layers hanging = together(
      plan, parts, [](const PartObstacles& part) -> const Layers& { return part.hanging; }, progress);
  result.exposedTop.resize(plan.count());
  result.landable.resize(plan.count());
  result.walls.resize(plan.count());
  for (const PartObstacles& part : parts) result.gapsBeside.push_back(part.gapBeside);
  result.keepOut.resize(plan.count());
  const double slope = std::tan(toRadians(90 - standingSlope));
  parallelLayers(plan.count(), progress, [&](std::size_t i) {
    const Polygons& section = result.sections[i];
    result.exposedTop[i] =
        i + 1 < plan.count() ? withoutSpecks(subtract(section, result.sections[i + 1]), smallest) : section;
  });
  parallelLayers(plan.count(), progress, [&](std::size_t i) {
    const bool isTop = i + 1 == plan.count();
    const double step = isTop ? 0 : plan.spans[i + 1].middle() - plan.spans[i].middle();
    result.landable[i] =
        isTop ? result.exposedTop[i]
              : standingRoom(result.exposedTop[i], result.sections[i], result.sections[i + 1], step * slope);
  });
  parallelLayers(plan.count(), progress, [&](std::size_t i) {
    Polygons exempt = hanging[i];
    if (i > 0) exempt.insert(exempt.end(), result.landable[i - 1].begin(), result.landable[i - 1].end());
    const Polygons freed = exempt.empty() ? Polygons{} : grow(unite(exempt), 0.01);
    Polygons beside;
    for (const PartObstacles& part : parts) {
      if (i >= part.sections.size() || part.sections[i].empty()) continue;
      const Polygons walls = freed.empty() ? asLines(part.sections[i]) : linesOutside(asLines(part.sections[i]), freed);
      const Polygons kept = freed.empty() ? grow(part.sections[i], part.gapBeside + outlineSlack)
                                          : unite(part.sections[i], around(walls, part.gapBeside + outlineSlack));
      result.walls[i].insert(result.walls[i].end(), walls.begin(), walls.end());
      beside.insert(beside.end(), kept.begin(), kept.end());
    }
    result.keepOut[i] = parts.size() > 1 ? unite(beside) : std::move(beside);
  });
  return result;
}

}  // namespace trellis
