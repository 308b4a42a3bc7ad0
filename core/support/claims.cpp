// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/support/claims.hpp"

#include "core/base/parallel.hpp"
#include "core/mesh/nearest.hpp"

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
Polygons hangingIn(const Polygons& within, std::size_t i, double lean, const LayerPlan& plan,
                   const std::vector<Polygons>& sections, const Overhangs& overhangs) {
  if (i == 0 || within.empty() || overhangs.steps[i].empty()) return {};
  const double reach = (plan.spans[i].middle() - plan.spans[i - 1].middle()) * std::tan(toRadians(lean));
  const Polygons hangs = withoutSpecks(subtract(sections[i], grow(sections[i - 1], reach)), smallest);
  if (hangs.empty()) return {};
  return withoutSpecks(intersect(intersect(overhangs.steps[i], grow(hangs, reach)), within), smallest);
}

ZoneClaim claimOf(const Zone& zone, const Affine& toPlate, const LayerPlan& plan, const std::vector<Polygons>& sections,
                  const Overhangs& overhangs, const Progress& progress) {
  ZoneClaim claim{zone.as, zoneSections(zone, toPlate, undersides(plan), progress), std::vector<Polygons>(plan.count()),
                  0};
  if (zone.as == ZoneAs::enforce)
    parallelFor(plan.count(), progress, [&](std::size_t i) {
      claim.demand[i] = hangingIn(claim.within[i], i, zone.lean, plan, sections, overhangs);
    });
  return claim;
}

Polygon discAt(const Vec3& at, double radius) {
  Polygon disc;
  constexpr int corners = 48;
  for (int k = 0; k < corners; ++k)
    disc.push_back(
        toPoint(at.x() + radius * std::cos(2 * pi * k / corners), at.y() + radius * std::sin(2 * pi * k / corners)));
  return disc;
}

PropClaim claimOf(const Prop& prop, const Affine& toPlate, const LayerPlan& plan, const std::vector<Polygons>& sections,
                  const Overhangs& overhangs) {
  const Vec3 at = toPlate * prop.at;
  PropClaim claim{std::vector<Polygons>(plan.count()), {}, {discAt(at, prop.width / 2)}, 0};
  double found = 0;
  for (std::size_t i = 1; i < plan.count(); ++i)
    if (std::abs(plan.spans[i].bottom - at.z()) <= prop.width / 2 + plan.spans[i].height()) {
      claim.demand[i] = withoutSpecks(intersect(overhangs.steps[i], claim.disc), smallest);
      found += area(claim.demand[i]);
    }
  if (found > 0.05 * area(claim.disc)) return claim;  // else it is put against a wall
  claim.demand.assign(plan.count(), {});
  claim.walls.resize(plan.count());
  for (std::size_t i = 0; i < plan.count(); ++i)
    if (std::abs(plan.spans[i].middle() - at.z()) <= prop.width / 2)
      for (const Polygon& line : linesInside(asLines(sections[i]), claim.disc))
        for (std::size_t k = 1; k < line.size(); ++k) claim.walls[i].push_back({line[k - 1], line[k]});
  return claim;
}

}  // namespace

std::uint32_t siteNear(const Sites& sites, const Overhangs& overhangs, const Surface& surface, const Vec3& at) {
  const Vec3 onPlate = surface.toMesh.inverse() * at;
  const double stretch = surface.toMesh.linear().norm();
  for (const std::uint32_t facet : surface.tree->facetsNear(at, 0.05 * stretch))  // at a rim, the side that hangs
    if (sites.ofFacet[facet] != Sites::none &&
        (nearestOnTriangle(surface.tree->mesh().corners(facet), at) - at).norm() < 0.05 * stretch)
      return sites.ofFacet[facet];
  for (std::uint32_t s = 0; s < sites.list.size(); ++s)
    for (const std::size_t k : sites.list[s].starts)
      if ((overhangs.starts[k].at - onPlate).norm() < pointing + std::sqrt(overhangs.starts[k].area)) return s;
  return Sites::none;
}

Claims findClaims(const Part& part, const Surface& surface, const LayerPlan& plan,
                  const std::vector<Polygons>& sections, const Overhangs& overhangs, const Sites& sites,
                  const std::function<std::size_t(const Overrides&)>& ownRules, const Progress& progress) {
  const Affine toPlate = surface.toMesh.inverse();
  Claims claims;
  for (const Zone& zone : part.zones) {
    claims.zones.push_back(claimOf(zone, toPlate, plan, sections, overhangs, progress));
    claims.zones.back().rules = ownRules(zone.settings);
  }
  for (const Prop& prop : part.props) {
    claims.props.push_back(claimOf(prop, toPlate, plan, sections, overhangs));
    claims.props.back().rules = ownRules(prop.settings);
  }
  claims.sites.resize(sites.list.size());
  for (SiteClaim& claim : claims.sites) claim.rules = ownRules({});
  for (std::size_t k = 0; k < part.sites.size(); ++k) {
    const std::uint32_t site = siteNear(sites, overhangs, surface, part.sites[k].at);
    if (site == Sites::none)
      claims.placeless.push_back(k);
    else
      claims.sites[site] = {part.sites[k].choice, k, ownRules(part.sites[k].settings)};
  }
  return claims;
}

}  // namespace trellis
