// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/assess/scar_map.hpp"

#include "core/toolpath/fill.hpp"

namespace trellis {

namespace {

Scar scarOfSite(const Build& build, std::size_t site) {
  if (build.demand[site]->isHold()) return Scar::nicked;
  return scarOf(scarBedOf(build.rules[build.demand[site]->rules].settings, build.trees[site] != nullptr));
}

// Of what a site's support carries, what it touches: everything, and of a tree what lies over its tips.
std::vector<Polygons> touchedOf(const Build& build, std::size_t site, const std::vector<Polygons>& carried) {
  if (!build.trees[site] || carried.empty()) return carried;  // most have no seen faces: no tips are united for those
  Polygons tips;
  for (const Tip& tip : build.trees[site]->tips)
    if (!tip.ghost) tips.push_back(disc(tip.at, tip.radius));
  tips = unite(tips);
  std::vector<Polygons> touched;
  for (const Polygons& layer : carried) touched.push_back(intersect(layer, tips));
  return touched;
}

double areaOf(const std::vector<Polygons>& layers) {
  double sum = 0;
  for (const Polygons& layer : layers) sum += area(layer);
  return sum;
}

template <typename Counts>
Scars sumWhere(const Build& build, const Counts& counts) {
  Scars scars;
  for (std::size_t site = 0; site < build.demand.size(); ++site) {
    double all = 0, counted = 0;
    for (const Contact& contact : build.demand[site]->contacts) {
      all += contact.area;
      if (counts(contact.cause)) counted += contact.area;
    }
    if (counted <= 0) continue;
    const DemandSite& demand = *build.demand[site];
    const auto scar = static_cast<std::size_t>(scarOfSite(build, site));
    const double touched =
        build.trees[site] ? areaOf(touchedOf(build, site, demand.layers)) / areaOf(demand.layers) : 1;
    scars.areas[scar] += counted * touched;
    scars.seen[scar] += areaOf(touchedOf(build, site, demand.seen)) * counted / all;
  }
  return scars;
}

}  // namespace

std::vector<ScarPatch> scarMap(const Build& build) {
  std::vector<ScarPatch> patches;
  for (std::size_t site = 0; site < build.demand.size(); ++site) {
    const DemandSite& demand = *build.demand[site];
    const Scar scar = scarOfSite(build, site);
    std::vector<Polygons> touched = touchedOf(build, site, demand.layers);
    for (std::size_t k = 0; k < touched.size(); ++k)
      if (!touched[k].empty())
        patches.push_back({site, build.plan.spans[demand.lowest + k].bottom, scar, std::move(touched[k])});
  }
  return patches;
}

Lines hatchOf(const ScarPatch& patch) {
  constexpr double far = 2, near = 0.8, one = 45, other = 135;  // mm, degrees
  Lines lines;
  const auto add = [&](double angle, double pitch) {
    for (Polygon& line : fillLines(patch.area, angle, pitch)) lines.push_back(std::move(line));
  };
  switch (patch.scar) {
    case Scar::smooth:
      add(one, far);
      break;
    case Scar::striped:
      add(one, near);
      break;
    case Scar::rough:
      add(one, far);
      add(other, far);
      break;
    case Scar::fused:
      add(one, near);
      add(other, near);
      break;
    case Scar::nicked:
      return asLines(patch.area);
  }
  return lines;
}

Scars scarsOf(const Build& build, const Cause& cause) {
  return sumWhere(build, [&](const Cause& other) { return other == cause; });
}

Scars scarsOn(const Build& build, std::size_t part) {
  return sumWhere(build, [&](const Cause& cause) { return cause.part == part; });
}

Scars scarsOf(const Build& build) {
  return sumWhere(build, [](const Cause&) { return true; });
}

}  // namespace trellis
