// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/support/footing.hpp"

#include <cmath>

namespace trellis {

namespace {

constexpr double eps = 1e-7;  // mm

}  // namespace

Descent begin(const DemandSite& site, const Ground& ground) {
  Descent descent;
  for (std::size_t k = 0; k < site.layers.size(); ++k) {
    const double whole = area(site.layers[k]);
    const double top = ground.obstacles.plan.spans[site.lowest + k].bottom - ground.rules.gapAbove;
    descent.wanted += whole;
    if (!site.isHold() && top - ground.rules.floor < ground.rules.thinnest - eps) descent.noRoom += whole;
  }
  return descent;
}

double land(DescentStep& step, Polygons& reach, const Ground& ground) {
  const SupportRules& rules = ground.rules;
  const double least = rules.thinnest - eps;
  double tooSteep = 0;
  const auto [from, to] =
      layersWithin(ground.obstacles.plan, step.bottom - rules.gapBelow - rules.thinnest, step.top - rules.gapBelow);
  for (std::size_t l = to; l-- > from && !reach.empty();) {
    const double bottom = ground.obstacles.plan.spans[l].top + rules.gapBelow;
    const bool here =
        bottom <= step.top - least && bottom > step.bottom - least && std::abs(bottom - step.bottom) > eps;
    const bool exactlyBelow = std::abs(bottom - step.bottom) <= eps;
    if (!here && !exactlyBelow) continue;
    Polygons landing = intersect(reach, ground.obstacles.exposedTop[l]);
    if (landing.empty()) continue;
    reach = subtract(reach, landing);
    const double wanted = area(landing);
    if (rules.footing == Footing::plate) landing.clear();
    if (l + 1 < ground.noLanding.size()) landing = subtract(landing, ground.noLanding[l + 1]);
    Polygons firm = opened(landing, rules.lineWidth / 4);
    if (rules.lowerLayers == 0) tooSteep += std::max(0.0, area(landing) - area(firm));
    landing = ground.clearance.clearOfPart(firm, bottom, step.top);
    step.lost = step.lost || wanted - area(landing) > speckOf(rules) / 10;
    if (!landing.empty()) step.landings.push_back({bottom, std::move(landing)});
  }
  return tooSteep;
}

const Polygons* demandOver(const DemandSite& site, double top, const Ground& ground) {
  const auto& spans = ground.obstacles.plan.spans;
  for (std::size_t i = site.lowest; i <= site.highest(); ++i)
    if (std::abs((site.isHold() ? spans[i].top : spans[i].bottom - ground.rules.gapAbove) - top) < eps)
      return &site.layers[i - site.lowest];
  return nullptr;
}

double standOnSomething(std::vector<DescentStep>& steps, const DemandSite& site, const Ground& ground,
                        const std::function<double(const DescentStep&)>& beside) {
  const SupportRules& rules = ground.rules;
  double withoutFooting = 0;
  bool lostBelow = false;
  for (std::size_t q = steps.size(); q-- > 0;) {
    DescentStep& step = steps[q];
    const DescentStep* under = q + 1 < steps.size() && steps[q + 1].top > step.bottom - eps ? &steps[q + 1] : nullptr;
    if (step.bottom < rules.floor + eps || (under && !under->lost && !lostBelow)) {
      lostBelow = step.bottom < rules.floor + eps ? false : lostBelow;
      continue;
    }
    Polygons below = under ? under->whole() : Polygons{};
    for (const DescentStep::Landing& landing : step.landings) below = unite(below, landing.reach);
    Polygons standing = withoutCrumbs(intersect(step.reach, grow(below, beside(step))), speckOf(rules));
    const Polygons given = subtract(step.reach, standing);
    lostBelow = area(given) > speckOf(rules) / 10;
    if (const Polygons* fresh = demandOver(site, step.top, ground)) withoutFooting += area(intersect(given, *fresh));
    step.reach = std::move(standing);
  }
  return withoutFooting;
}

}  // namespace trellis
