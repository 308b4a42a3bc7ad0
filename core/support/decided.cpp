// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/support/decided.hpp"

#include <algorithm>

namespace trellis {

Decided decidedBeside(const PartBuild& part) {
  Decided sum;
  const ResolvedDecisions& resolved = *part.resolved;
  const auto decides = [&](const ResolvedSite& site) { return site.choice != Choice::proposed; };
  if (resolved.zones.empty() && std::none_of(resolved.sites.begin(), resolved.sites.end(), decides)) return sum;
  for (std::size_t i = 0; i < part.plan.count(); ++i) {
    if (part.overhangs->layerDifference[i].empty()) continue;
    Polygons enforced, blocked;
    for (const ResolvedZone& zone : resolved.zones) {
      Polygons& to = zone.as == ZoneAs::enforce ? enforced : blocked;
      const Polygons& from = zone.as == ZoneAs::enforce ? zone.demand[i] : zone.within[i];
      to.insert(to.end(), from.begin(), from.end());
    }
    for (const Sites::Stretch& stretch : part.sites->layers[i]) {
      const Choice choice = resolved.sites[stretch.site].choice;
      if (choice == Choice::proposed) continue;
      Polygons& to = choice == Choice::enforce ? enforced : blocked;
      to.insert(to.end(), stretch.region.begin(), stretch.region.end());
    }
    if (enforced.empty() && blocked.empty()) continue;
    Polygons marked = part.shadows->enforced[i];
    marked.insert(marked.end(), part.shadows->blocked[i].begin(), part.shadows->blocked[i].end());
    const auto beside = [&](const Polygons& region) {
      return marked.empty() ? region : subtract(region, unite(marked));
    };
    sum.enforced += area(beside(unite(enforced)));
    sum.blocked += area(beside(intersect(part.overhangs->demand[i], unite(blocked))));
  }
  return sum;
}

}  // namespace trellis
