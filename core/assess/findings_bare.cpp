// SPDX-License-Identifier: GPL-3.0-or-later
// Findings about what hangs and is left bare.
#include "core/assess/finder.hpp"
#include "core/overhang/too_small.hpp"

#include <algorithm>
#include <cmath>

namespace trellis {

namespace {

constexpr double bareWorth = 4;  // mm² of a site that print over nothing

// Whether support lies right under a place in a part's layer.
bool isCarried(const Finder& f, const LayerSpan& span, const Polygons& place, std::size_t p) {
  for (const SupportLayer& layer : f.build.support->layers)
    for (const PieceRegion& region : layer.regions)
      if (const RuleSet& by = f.build.rules[region.rules];
          by.part == p && std::abs(layer.top - (span.bottom - by.support.gapAbove)) < 1e-6 &&
          !intersect(region.area, place).empty())
        return true;
  return false;
}

// Which floating starts nothing carries, the largest first. Those too small to matter, and those that rest on the plate
// as they are, are no concern.
std::vector<const FloatingStart*> bareStartsOf(const Finder& f, std::size_t p) {
  const PartBuild& part = f.build.parts[p];
  std::vector<const FloatingStart*> bare = startsThatMatter(*part.sites, *part.overhangs);
  std::erase_if(bare, [&](const FloatingStart* start) {
    const Vec2 reach(std::sqrt(start->area), std::sqrt(start->area));
    const Box2 around(start->at.head<2>() - reach, start->at.head<2>() + reach);
    return isCarried(f, part.plan.spans[start->layer],
                     intersect(part.overhangs->floating[start->layer], rectangle(around)), p);
  });
  std::stable_sort(bare.begin(), bare.end(),
                   [](const FloatingStart* a, const FloatingStart* b) { return a->area > b->area; });
  return bare;
}

void bareStarts(Finder& f, std::size_t p) {
  const std::vector<const FloatingStart*> bare = bareStartsOf(f, p);
  if (bare.empty()) return;
  std::vector<Vec3> places;
  Remedy enforce(bare.size() == 1 ? say("enforce it") : say("enforce them"), {});
  double lowest = 1e300;
  for (const FloatingStart* start : bare) {
    places.push_back(start->at);
    lowest = std::min(lowest, start->at.z());
    enforce.steps.push_back(LayMark{p, Mark::enforce, BallStroke{{start->at}, std::sqrt(start->area / pi) + 1}});
  }
  std::vector<Remedy> remedies;
  if (!f.rules(p).on)
    remedies.push_back(f.setting(p, "support.on", true));
  else
    remedies.push_back(enforce);
  if (f.rules(p).on && f.rules(p).source == Source::decisions)
    remedies.push_back(
        {say("support every floating start"), f.setting(p, "support.source", std::string("floating")).steps});
  if (lowest < sinkable)
    for (Remedy& remedy : footings(f, p)) remedies.push_back(std::move(remedy));
  f.addAll({"floating-start", Severity::problem,
            bare.size() == 1 ? say("{} begins in mid-air at {:.2f} mm height.", f.name(p), lowest)
                             : say("{} begins in mid-air at {} places, the lowest at {:.2f} mm height.", f.name(p),
                                   bare.size(), lowest),
            say("Nothing is under it, so it would be printed into the air. Support it, or turn the part.")},
           places, p, remedies);
}

// mm² of a site's demand that nothing is asked to carry.
std::vector<double> bareOf(const Build& build, std::size_t p) {
  const PartBuild& part = build.parts[p];
  std::vector<double> bare(part.sites->list.size(), 0);
  std::vector<Polygons> carried(part.plan.count());
  for (const DemandSitePtr& site : build.demand)
    for (std::size_t k = 0; k < site->layers.size(); ++k)
      if (site->part == p && !site->isHold())
        carried[site->lowest + k].insert(carried[site->lowest + k].end(), site->layers[k].begin(),
                                         site->layers[k].end());
  for (std::size_t l = 0; l < part.sites->layers.size(); ++l)
    for (const Sites::Stretch& stretch : part.sites->layers[l])
      if (part.sites->list[stretch.site].isProposed())
        bare[stretch.site] +=
            area(carried[l].empty() ? stretch.region : withoutSpecks(subtract(stretch.region, carried[l]), 0.1));
  return bare;
}

void bareOverhangs(Finder& f, std::size_t p) {
  const PartBuild& part = f.build.parts[p];
  // Where everything is proposed, what is bare was decided to be.
  if (f.rules(p).on && f.rules(p).source == Source::overhangs) return;
  const std::vector<double> bare = bareOf(f.build, p);
  std::vector<std::pair<double, Vec3>> found;
  std::size_t worst = 0;
  double total = 0;
  for (std::size_t s = 0; s < bare.size(); ++s) {
    if (bare[s] < bareWorth) continue;
    found.emplace_back(bare[s], part.sites->list[s].at);
    total += bare[s];
    if (bare[s] > bare[worst]) worst = s;
  }
  if (found.empty()) return;
  const Site& site = part.sites->list[worst];
  const Vec3 at = site.at;
  std::vector<Remedy> remedies;
  if (!f.rules(p).on)
    remedies.push_back(f.setting(p, "support.on", true));
  else
    remedies.push_back({say("support every overhang"), f.setting(p, "support.source", std::string("overhangs")).steps});
  if (f.rules(p).on)
    remedies.push_back({say("enforce site {}", worst + 1),
                        {LayMark{p, Mark::none, SiteStroke{at}}, DecideSite{p, at, Choice::enforce}}});
  f.addAll(
      {"bare-overhang", Severity::warning,
       found.size() == 1 ? say("{}: {:.0f} mm² hang without support.", f.name(p), total)
                         : say("{}: {:.0f} mm² hang without support, at {} places.", f.name(p), total, found.size()),
       say("The most is at site {}, from {:.1f} mm height: {:.1f} mm lie free there, and a line bridges at "
           "most {:g} mm. Let it be supported, or turn the part.",
           worst + 1, site.low, site.span, f.rules(p).bridgeLimit)},
      byWeight(found), p, remedies);
}

// What hangs so low that it sags onto the plate as it is.
void roundedFeet(Finder& f, std::size_t p) {
  const PartBuild& part = f.build.parts[p];
  std::vector<std::pair<double, Vec3>> found;
  double total = 0;
  Remedy enforce(say("enforce them"), {});
  for (std::size_t s = 0; s < part.sites->list.size(); ++s) {
    const Site& site = part.sites->list[s];
    if (site.siteClass != SiteClass::roundedFoot || part.resolved->sites[s].choice != Choice::proposed) continue;
    found.emplace_back(site.area, site.at);
    total += site.area;
    if (site.low > f.rules(p).gapAbove + f.rules(p).layerHeight)
      enforce.steps.push_back(DecideSite{p, site.at, Choice::enforce, {}});
  }
  if (total < bareWorth) return;
  std::vector<Remedy> remedies = sinking(f, p);
  if (!enforce.steps.empty()) remedies.push_back(enforce);
  f.addAll({"rounded-foot", Severity::note,
            say("{}: {:.0f} mm² at its rounded foot print without support.", f.name(p), total),
            say("It hangs less than a layer over what it stands on and widens by little, so its lines sag onto that. "
                "Sinking the part gives it a flat foot and a better hold.")},
           byWeight(found), p, remedies);
}

}  // namespace

void findWhatIsBare(Finder& f) {
  for (std::size_t p = 0; p < f.build.parts.size(); ++p) {
    bareStarts(f, p);
    bareOverhangs(f, p);
    roundedFeet(f, p);
  }
}

}  // namespace trellis
