// SPDX-License-Identifier: GPL-3.0-or-later
// Findings about supports: what they leave bare, where they cannot stand, and how they come off.
#include "core/assess/finder.hpp"
#include "core/release/drain_clearance.hpp"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <set>

namespace trellis {

namespace {

constexpr double bareWorth = 4;         // mm² of a site that print over nothing
constexpr std::size_t mostStarts = 12;  // that are named one by one

// A place of a piece: where its first site hangs lowest, and the choice that blocks that site.
Vec3 placeOf(const Finder& f, const DemandSite& site) {
  const Vec2 middle = boundsOf(site.layers.front()).center();
  return {middle.x(), middle.y(), f.build.plan.spans[site.lowest].bottom};
}

std::vector<Remedy> blocking(const Finder& f, const std::vector<std::size_t>& sites) {
  Remedy block(sites.size() == 1 ? "block the place" : "block the places", {});
  std::set<std::pair<std::size_t, std::size_t>> named;
  for (const std::size_t i : sites) {
    const DemandSite& site = *f.build.demand[i];
    for (const Contact& contact : site.contacts)
      if (contact.cause.kind == CauseKind::site && named.insert({site.part, contact.cause.index}).second)
        block.steps.push_back(
            DecideSite{site.part, f.build.parts[site.part].sites->list[contact.cause.index].at, Choice::block});
  }
  if (block.steps.empty()) return {};
  return {block};
}

// One finding a part and kind, however many sites it concerns.
struct Lost {
  double area = 0;
  std::size_t places = 0;
  Vec3 first = Vec3::Zero();
  void add(double more, const Vec3& at) {
    if (more <= worthSaying) return;
    if (places++ == 0) first = at;
    area += more;
  }
  std::string words() const {
    return fmt::format("{:.1f} mm² in {} place{}, first at {:.1f} mm height", area, places, places == 1 ? "" : "s",
                       first.z());
  }
};

void columns(Finder& f) {
  for (std::size_t p = 0; p < f.build.parts.size(); ++p) {
    Lost room, footing, steep;
    const Column* slender = nullptr;
    std::size_t slenderSite = 0;
    Vec3 slenderAt = Vec3::Zero();
    bool isTree = false;
    for (std::size_t i = 0; i < f.build.columns.size(); ++i) {
      const DemandSite& site = *f.build.demand[i];
      if (site.part != p) continue;
      const Vec3 at = placeOf(f, site);
      room.add(f.build.columns[i]->noRoom, at);
      footing.add(f.build.columns[i]->withoutFooting, at);
      steep.add(f.build.columns[i]->tooSteep, at);
      const bool stiff = f.build.trees[i] && f.build.rules[site.rules].settings.whole("support.tree.walls") > 1;
      if (!stiff && f.build.columns[i]->slenderHeight > (slender ? slender->slenderHeight : 0)) {
        slender = f.build.columns[i].get();
        slenderSite = i;
        isTree = f.build.trees[i] != nullptr;
        slenderAt = at;
      }
    }
    if (steep.places > 0)
      f.add("steep-footing", Severity::note,
            fmt::format("{} has supports that would stand on slopes too steep to grip, {}; they are left out there. A "
                        "lower interface holds on better.",
                        f.name(p), steep.words()),
            steep.first, p, {f.setting(p, "support.interface.lower.layers", 2.0)});
    if (slender) {
      std::vector<Remedy> stouter = blocking(f, {slenderSite});
      stouter.insert(stouter.begin(), isTree ? f.setting(p, "support.tree.walls", 2.0)
                                             : f.setting(p, "support.normal.outline", std::string("squared")));
      f.add("slender-support", Severity::warning,
            fmt::format("{} has a support {:.0f} mm tall and {:.1f} mm across that finds no room to widen, and may "
                        "fall over. {}, or carry the place from the side.",
                        f.name(p), slender->slenderHeight, slender->slenderWidth,
                        isTree ? "Give branches two walls" : "Make it a square column"),
            slenderAt, p, stouter);
    }
    if (room.places > 0)
      f.add("no-room", Severity::note,
            fmt::format(
                "{} hangs over {}, with no room for support under the gaps. Narrow the gaps, or leave it to bridge.",
                f.name(p), room.words()),
            room.first, p,
            f.rules(p).gapAbove > f.rules(p).layerHeight
                ? std::vector<Remedy>{f.setting(p, "support.gap.above", f.rules(p).layerHeight)}
                : std::vector<Remedy>());
    if (footing.places > 0) {
      const bool plateOnly = f.rules(p).footing == Footing::plate;
      f.add(
          "no-footing", Severity::warning,
          fmt::format("{} has {} whose support finds nothing to stand on. {}", f.name(p), footing.words(),
                      plateOnly ? "Let it stand on the part too (footing: plate and part), or turn the part."
                                : "Narrow the gap beside, let branches lean more, or turn the part."),
          footing.first, p,
          plateOnly ? std::vector<Remedy>{f.setting(p, "support.footing", std::string("any"))} : std::vector<Remedy>());
    }
  }
}

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

// With supports switched off, one finding for all; else each has its own remedy.
void bareStarts(Finder& f, std::size_t p) {
  const PartBuild& part = f.build.parts[p];
  std::vector<const FloatingStart*> bare;
  for (const FloatingStart& start : part.overhangs->starts) {
    const Vec2 reach(std::sqrt(start.area), std::sqrt(start.area));
    const Box2 around(start.at.head<2>() - reach, start.at.head<2>() + reach);
    if (!isCarried(f, part.plan.spans[start.layer], intersect(part.overhangs->floating[start.layer], rectangle(around)),
                   p))
      bare.push_back(&start);
  }
  if (bare.empty()) return;
  const auto add = [&](const FloatingStart& start, const std::string& words, std::vector<Remedy> remedies) {
    f.add("floating-start", Severity::problem,
          fmt::format("{} begins in mid-air {}, and nothing is under it. Enforce support there, or turn the part.",
                      f.name(p), words),
          start.at, p, std::move(remedies));
  };
  if (!f.rules(p).on || bare.size() > mostStarts) {
    std::vector<Remedy> remedies;
    if (!f.rules(p).on)
      remedies.push_back(f.setting(p, "support.on", true));
    else if (f.rules(p).source == Source::decisions)
      remedies.push_back(
          {"support every floating start", f.setting(p, "support.source", std::string("floating")).steps});
    return add(*bare.front(),
               fmt::format("in {} place{}, first at {:.2f} mm height", bare.size(), bare.size() == 1 ? "" : "s",
                           bare.front()->at.z()),
               remedies);
  }
  for (const FloatingStart* start : bare) {
    LayMark mark{p, Mark::enforce, BallStroke{{start->at}, std::sqrt(start->area / pi) + 1}};
    std::vector<Remedy> remedies{Remedy("enforce it", {mark})};
    if (f.rules(p).source == Source::decisions)
      remedies.push_back(
          {"support every floating start", f.setting(p, "support.source", std::string("floating")).steps});
    add(*start, fmt::format("at {:.2f} mm height, {:.1f} mm²", start->at.z(), start->area), remedies);
  }
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
      if (!part.sites->list[stretch.site].bridge)
        bare[stretch.site] +=
            area(carried[l].empty() ? stretch.region : withoutSpecks(subtract(stretch.region, carried[l]), 0.1));
  return bare;
}

void bareOverhangs(Finder& f, std::size_t p) {
  const PartBuild& part = f.build.parts[p];
  const Part& decided = *f.project.parts[p];
  const bool proposed = f.rules(p).on && f.rules(p).source == Source::overhangs;
  if (proposed && decided.marks->empty() && decided.zones.empty() && decided.sites.empty()) return;
  const std::vector<double> bare = bareOf(f.build, p);
  std::size_t places = 0, worst = 0;
  double total = 0;
  for (std::size_t s = 0; s < bare.size(); ++s) {
    if (bare[s] < bareWorth) continue;
    ++places;
    total += bare[s];
    if (bare[s] > bare[worst]) worst = s;
  }
  if (places == 0) return;
  const Vec3 at = part.sites->list[worst].at;
  std::vector<Remedy> remedies;
  if (!f.rules(p).on)
    remedies.push_back(f.setting(p, "support.on", true));
  else if (!proposed)
    remedies.push_back({"support every overhang", f.setting(p, "support.source", std::string("overhangs")).steps});
  if (f.rules(p).on)
    remedies.push_back({fmt::format("enforce site {}", worst + 1),
                        {LayMark{p, Mark::none, SiteStroke{at}}, DecideSite{p, at, Choice::enforce}}});
  f.add("bare-overhang", proposed ? Severity::note : Severity::warning,
        fmt::format("{} hangs bare over {:.0f} mm² in {} place{}, most at site {} from {:.1f} mm height, which is more "
                    "than bridges {:g} mm. {}",
                    f.name(p), total, places, places == 1 ? "" : "s", worst + 1, part.sites->list[worst].low,
                    f.rules(p).bridgeLimit,
                    proposed ? "You blocked it: enforce it, or accept it." : "Let it be supported, or turn the part."),
        at, p, remedies);
}

// The setting where it was given: for the part, or for a site, zone or prop of its own.
std::vector<Remedy> changed(const Finder& f, const RuleSet& rules, std::size_t number, const char* key, double value) {
  if (number < f.project.parts.size()) return {f.setting(rules.part, key, value)};
  const Part& part = *f.project.parts[rules.part];
  const Affine toPlate = transformOf(part.placement, *part.mesh);
  const auto isIt = [&](const Overrides& own) { return own.contains(key) && own.at(key) == rules.settings.value(key); };
  const auto with = [&](Overrides own) {
    own.insert_or_assign(key, SettingValue(value));
    return own;
  };
  Remedy all("change it there", {});
  for (const SiteDecision& site : part.sites)
    if (isIt(site.settings))
      all.steps.push_back(DecideSite{rules.part, toPlate * site.at, std::nullopt, with(site.settings)});
  for (std::size_t z = 0; z < part.zones.size(); ++z)
    if (isIt(part.zones[z].settings))
      all.steps.push_back(ChangeZone{rules.part, z, {}, {}, {}, with(part.zones[z].settings)});
  for (std::size_t k = 0; k < part.props.size(); ++k)
    if (isIt(part.props[k].settings))
      all.steps.push_back(ChangeProp{rules.part, k, {}, {}, with(part.props[k].settings)});
  if (all.steps.empty()) return {f.setting(rules.part, key, value)};
  return {all};
}

// Gaps and interfaces as people in the trade know them to stick or to sag: common practice.
void release(Finder& f) {
  std::set<std::size_t> seen;
  for (std::size_t i = 0; i < f.build.columns.size(); ++i) {
    const std::size_t number = f.build.demand[i]->rules;
    const DemandSite& site = *f.build.demand[i];
    if (f.build.columns[i]->slabs.empty() || site.isHold() || !seen.insert(number).second) continue;
    const RuleSet& rules = f.build.rules[number];
    const Vec3 at = placeOf(f, site);
    const double gap = rules.support.gapAbove, layer = rules.support.layerHeight;
    const bool same = rules.settings.text("support.filament.interface") == "first";
    if (same && gap < 0.5 * layer - 1e-9)
      f.add("gap-too-small", Severity::warning,
            fmt::format("The gap above of {:.2f} mm is under half a layer, so support of {}'s own filament welds to it "
                        "and will not come off. One layer, {:.2f} mm, is usual.",
                        gap, f.name(rules.part), layer),
            at, rules.part, changed(f, rules, number, "support.gap.above", layer));
    if (gap > 2 * layer + 1e-9)
      f.add("gap-too-large", Severity::warning,
            fmt::format("The gap above of {:.2f} mm is over two layers, so what {} lays over its supports sags before "
                        "it lands. One layer, {:.2f} mm, is usual.",
                        gap, f.name(rules.part), layer),
            at, rules.part, changed(f, rules, number, "support.gap.above", layer));
    if (same && rules.support.interfaceLayers > 0 && rules.settings.number("support.interface.upper.spacing") < 0.05)
      f.add("interface-solid", Severity::warning,
            fmt::format("The upper interface under {} is solid and of its own filament: it comes off hard, and what "
                        "stays looks like part. Let daylight between its lines, 0.45 mm.",
                        f.name(rules.part)),
            at, rules.part, changed(f, rules, number, "support.interface.upper.spacing", 0.45));
  }
}

void trappedPieces(Finder& f, std::size_t p) {
  std::vector<std::size_t> sites;
  std::size_t held = 0;
  double widest = 0;
  for (std::size_t i = 0; i < f.build.pieces.size(); ++i) {
    const std::vector<std::size_t>& ofPiece = f.build.support->pieces[i].sites;
    if (f.build.demand[ofPiece.front()]->part != p || f.build.pieces[i].grade != Grade::trapped) continue;
    ++held;
    sites.insert(sites.end(), ofPiece.begin(), ofPiece.end());
    widest = std::max(widest, f.build.pieces[i].drainClearance);
  }
  if (held == 0) return;
  constexpr double inTheOpen = 15;  // mm: no room in the part, but something wrapped around it
  const bool wet = widest < inTheOpen && widest >= waterPasses;
  std::vector<Remedy> remedies = blocking(f, sites);
  if (wet)
    remedies.insert(
        remedies.begin(),
        Remedy("dissolve it", {f.setting(p, "support.filament.interface", std::string("second")).steps.front()}));
  f.add("piece-trapped", Severity::warning,
        fmt::format(
            "{} holds {} piece{} of support that no straight pull gets out. {}", f.name(p), held, held == 1 ? "" : "s",
            widest >= inTheOpen
                ? fmt::format("{} round the part: break {} out in pieces, or block a place where {} can be parted.",
                              held == 1 ? "It reaches" : "They reach", held == 1 ? "it" : "them",
                              held == 1 ? "it" : "they")
            : wet ? fmt::format("Water reaches {} through {:.1f} mm: print the interface from a filament that "
                                "dissolves, or block the place.",
                                held == 1 ? "it" : "them", widest)
                  : "Water does not reach it either: block the place, or turn or open the part."),
        placeOf(f, *f.build.demand[sites.front()]), p, remedies);
}

void fragilePieces(Finder& f, std::size_t p) {
  const DemandSite* first = nullptr;
  std::size_t count = 0;
  for (std::size_t i = 0; i < f.build.pieces.size(); ++i) {
    const DemandSite* site = f.build.demand[f.build.support->pieces[i].sites.front()].get();
    if (site->part != p || f.build.pieces[i].grade != Grade::fragile) continue;
    if (count++ == 0) first = site;
  }
  if (!first) return;
  const double gap = std::max(f.rules(p).gapAbove, 1.5 * f.rules(p).layerHeight),
               spacing = std::max(0.9, f.build.rules[p].settings.number("support.interface.upper.spacing"));
  const Remedy looser(fmt::format("gap {:.2f} mm, spacing {:.2f} mm", gap, spacing),
                      {f.setting(p, "support.gap.above", gap).steps.front(),
                       f.setting(p, "support.interface.upper.spacing", spacing).steps.front()});
  f.add("piece-fragile", Severity::warning,
        fmt::format("{} may break where {} piece{} of support {} pulled off: it is thinner there than they hold. Widen "
                    "the gap above or the interface's spacing, or support the place beside.",
                    f.name(p), count, count == 1 ? "" : "s", count == 1 ? "is" : "are"),
        placeOf(f, *first), p, {looser});
}

}  // namespace

void findInSupports(Finder& f) {
  for (std::size_t p = 0; p < f.build.parts.size(); ++p) {
    bareStarts(f, p);
    bareOverhangs(f, p);
  }
  columns(f);
  release(f);
  for (std::size_t p = 0; p < f.build.parts.size(); ++p) {
    trappedPieces(f, p);
    fragilePieces(f, p);
  }
  if (!f.build.towerHasRoom)
    f.found.push_back({"no-tower-room",
                       Severity::problem,
                       "The prime tower finds no free place on the plate. Move the parts together, or print support "
                       "from one filament.",
                       Vec3::Zero(),
                       -1,
                       {ChangeSetting{"support.filament.interface", std::string("first")}}});
}

}  // namespace trellis
