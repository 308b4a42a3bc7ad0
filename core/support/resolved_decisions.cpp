// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/support/resolved_decisions.hpp"

#include "core/base/parallel.hpp"
#include "core/mesh/nearest.hpp"

#include <algorithm>
#include <cmath>

namespace trellis {

namespace {

constexpr double smallest = 1e-3;  // mm²
constexpr double pointing = 1;     // mm a place may lie off its site

std::vector<double> undersides(const LayerPlan& plan) {
  std::vector<double> heights;
  for (const LayerSpan& span : plan.spans) heights.push_back(span.bottom);
  return heights;
}

// As Overhangs::demand, for another lean and within a region only.
Polygons hangingIn(const Polygons& within, std::size_t i, double lean, const LayeredPart& part) {
  if (i == 0 || within.empty() || part.overhangs.layerDifference[i].empty()) return {};
  const double reach = (part.plan.spans[i].middle() - part.plan.spans[i - 1].middle()) * std::tan(toRadians(lean));
  const Polygons hangs = withoutSpecks(subtract(part.sections[i], grow(part.sections[i - 1], reach)), smallest);
  if (hangs.empty()) return {};
  return withoutSpecks(intersect(intersect(part.overhangs.layerDifference[i], grow(hangs, reach)), within), smallest);
}

ResolvedZone claimOf(const Zone& zone, const LayeredPart& part, const Progress& progress) {
  const std::size_t layers = part.plan.count();
  ResolvedZone one{zone.as, zoneSections(zone, part.surface.toMesh.inverse(), undersides(part.plan), progress),
                   std::vector<Polygons>(layers), 0};
  if (zone.as == ZoneAs::enforce)
    parallelLayers(layers, progress,
                   [&](std::size_t i) { one.demand[i] = hangingIn(one.within[i], i, zone.lean, part); });
  return one;
}

Polygon discAt(const Vec3& at, double radius) {
  Polygon disc;
  constexpr int corners = 48;
  for (int k = 0; k < corners; ++k)
    disc.push_back(
        toPoint(at.x() + radius * std::cos(2 * pi * k / corners), at.y() + radius * std::sin(2 * pi * k / corners)));
  return disc;
}

Vec2 outwardOf(const Polygon& line) {  // of two points; the part lies on the left
  const Vec2 along = toMm(line[1]) - toMm(line[0]);
  return Vec2(along.y(), -along.x()).normalized();
}

// Of outlines as lines, what faces the same way as what is nearest to a place: not the far side of a thin wall.
Lines facingAsAt(const Lines& outlines, const Vec2& at) {
  Lines lines;
  for (const Polygon& line : outlines)
    for (std::size_t k = 1; k < line.size(); ++k)
      if (line[k] != line[k - 1]) lines.push_back({line[k - 1], line[k]});
  if (lines.empty()) return lines;
  const auto away = [&](const Polygon& line) {
    const Vec2 a = toMm(line[0]), along = toMm(line[1]) - a;
    return (a + std::clamp((at - a).dot(along) / along.squaredNorm(), 0.0, 1.0) * along - at).norm();
  };
  const Vec2 facing = outwardOf(*std::min_element(
      lines.begin(), lines.end(), [&](const Polygon& a, const Polygon& b) { return away(a) < away(b); }));
  lines.dropWhere([&](const Polygon& line) { return outwardOf(line).dot(facing) <= 0; });
  return lines;
}

ResolvedProp claimOf(const Prop& prop, const LayeredPart& part) {
  const LayerPlan& plan = part.plan;
  const Vec3 at = part.surface.toMesh.inverse() * prop.at;
  ResolvedProp one{std::vector<Polygons>(plan.count()), {}, {discAt(at, prop.width / 2)}, 0};
  double found = 0;
  for (std::size_t i = 1; i < plan.count(); ++i)
    if (std::abs(plan.spans[i].bottom - at.z()) <= prop.width / 2 + plan.spans[i].height()) {
      one.demand[i] = withoutSpecks(intersect(part.overhangs.layerDifference[i], one.disc), smallest);
      found += area(one.demand[i]);
    }
  if (found > 0.05 * area(one.disc)) return one;  // else it is put against a wall
  one.demand.assign(plan.count(), {});
  one.walls.resize(plan.count());
  for (std::size_t i = 0; i < plan.count(); ++i)
    if (std::abs(plan.spans[i].middle() - at.z()) <= prop.width / 2)
      one.walls[i] = facingAsAt(linesInside(asLines(part.sections[i]), one.disc), at.head<2>());
  return one;
}

}  // namespace

std::uint32_t siteNear(const Sites& sites, const LayeredPart& part, const Vec3& at) {
  const Surface& surface = part.surface;
  const Vec3 onPlate = surface.toMesh.inverse() * at;
  const double stretch = surface.toMesh.linear().norm();
  for (const std::uint32_t facet : surface.tree->facetsNear(at, 0.05 * stretch))  // at a rim, the side that hangs
    if (sites.ofFacet[facet] != Sites::none &&
        (nearestOnTriangle(surface.tree->mesh().corners(facet), at) - at).norm() < 0.05 * stretch)
      return sites.ofFacet[facet];
  for (std::uint32_t s = 0; s < sites.list.size(); ++s)
    for (const std::size_t k : sites.list[s].starts)
      if ((part.overhangs.starts[k].at - onPlate).norm() < pointing + std::sqrt(part.overhangs.starts[k].area))
        return s;
  return Sites::none;
}

ResolvedDecisions resolveDecisions(const Part& part, const LayeredPart& layered, const Sites& sites,
                                   const std::function<std::size_t(const Overrides&)>& ownRules,
                                   const Progress& progress) {
  ResolvedDecisions resolved;
  resolved.tints.fill(ownRules({}));
  for (const auto& [tint, settings] : part.tints) resolved.tints[static_cast<std::size_t>(tint)] = ownRules(settings);
  for (const Zone& zone : part.zones) {
    resolved.zones.push_back(claimOf(zone, layered, progress));
    resolved.zones.back().rules = ownRules(zone.settings);
  }
  for (const Prop& prop : part.props) {
    resolved.props.push_back(claimOf(prop, layered));
    resolved.props.back().rules = ownRules(prop.settings);
  }
  resolved.sites.resize(sites.list.size());
  for (ResolvedSite& one : resolved.sites) one.rules = ownRules({});
  for (std::size_t k = 0; k < part.sites.size(); ++k) {
    const std::uint32_t site = siteNear(sites, layered, part.sites[k].at);
    if (site == Sites::none)
      resolved.placeless.push_back(k);
    else
      resolved.sites[site] = {part.sites[k].choice, k, ownRules(part.sites[k].settings)};
  }
  return resolved;
}

}  // namespace trellis
