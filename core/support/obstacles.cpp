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

Lines without(const Lines& lines, const Polygons& region) {
  return region.empty() ? lines : linesOutside(lines, region);
}

}  // namespace

Polygons keptClear(const Polygons& section, const Lines& walls, const Lines& slopes, const GapsAround& gaps) {
  const Polygons beside = around(walls, gaps.beside + outlineSlack);
  if (gaps.slope <= 0 || slopes.empty()) return unite(section, beside);
  Polygons all = around(slopes, gaps.slope + outlineSlack);
  all.insert(all.end(), beside.begin(), beside.end());
  return unite(section, all);
}

Obstacles findObstacles(const LayerPlan& plan, const std::vector<PartObstacles>& parts, const Progress& progress) {
  Obstacles result;
  result.plan = plan;
  result.sections = together(
      plan, parts, [](const PartObstacles& part) -> const Layers& { return part.printed; }, progress);
  const Layers hanging = together(
      plan, parts, [](const PartObstacles& part) -> const Layers& { return part.hanging; }, progress);
  result.exposedTop.resize(plan.count());
  result.landable.resize(plan.count());
  result.walls.resize(plan.count());
  result.slopes.resize(plan.count());
  for (const PartObstacles& part : parts) result.gaps.push_back(part.gaps);
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
    const Polygons stood = i > 0 && !result.landable[i - 1].empty() ? grow(result.landable[i - 1], 0.01) : Polygons{},
                   leaning = hanging[i].empty() ? Polygons{} : grow(hanging[i], 0.01);
    Polygons beside;
    for (const PartObstacles& part : parts) {
      if (i >= part.sections.size() || part.sections[i].empty()) continue;
      const Lines slopes = without(asLines(part.sections[i]), stood), walls = without(slopes, leaning);
      const Polygons kept = stood.empty() && leaning.empty() ? grow(part.sections[i], part.gaps.beside + outlineSlack)
                                                             : keptClear(part.sections[i], walls, slopes, part.gaps);
      result.walls[i].add(walls);
      result.slopes[i].add(slopes);
      beside.insert(beside.end(), kept.begin(), kept.end());
    }
    result.keepOut[i] = parts.size() > 1 ? unite(beside) : std::move(beside);
  });
  return result;
}

}  // namespace trellis
