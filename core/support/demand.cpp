// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/support/demand.hpp"

#include "core/base/disjoint_sets.hpp"
#include "core/base/parallel.hpp"
#include "core/support/hold.hpp"

#include <algorithm>
#include <map>

namespace trellis {

namespace {

constexpr double smallest = 1e-3;  // mm²; less demand than this is rounding

void append(Polygons& to, const Polygons& more) { to.insert(to.end(), more.begin(), more.end()); }

// How far from a site refused surface is of concern to it, mm: tips are placed as if it were there, column by column a
// tile is cut by it, and close outlines keep half a line from it.
constexpr double farthestRefusal = 15;
double refusalReach(const SupportRules& rules) {
  if (rules.structure == Structure::tree) return farthestRefusal;
  return rules.outline == Outline::squared ? tilePitch(rules) : 4 * rules.lineWidth;
}

// Of a layer's stretches, those of the sites that a question picks.
template <typename Which>
Polygons regionsOf(const Asked& asked, std::size_t layer, const Which& which) {
  Polygons all;
  if (layer < asked.sites.layers.size())
    for (const Sites::Stretch& stretch : asked.sites.layers[layer])
      if (which(stretch.site)) append(all, stretch.region);
  return all;
}

Polygons proposal(const Asked& asked, std::size_t layer) {
  if (asked.source == Source::decisions) return {};
  const Polygons& all =
      asked.source == Source::floating ? asked.overhangs.floating[layer] : asked.overhangs.demand[layer];
  if (all.empty() || layer >= asked.sites.layers.size()) return all;
  Polygons let;
  for (const Sites::Stretch& stretch : asked.sites.layers[layer]) {
    const Site& site = asked.sites.list[stretch.site];
    if (site.siteClass != SiteClass::proper)
      append(let, stretch.region);
    else if (asked.source != Source::floating && (site.bridge || site.partlyBridges))
      append(let, site.unbridged.empty() ? stretch.region : subtract(stretch.region, site.unbridged));
  }
  return let.empty() ? all : subtract(all, let);
}

Polygons takenAway(Polygons wanted, const Polygons& region) {
  return region.empty() || wanted.empty() ? wanted : subtract(wanted, region);
}
Polygons added(Polygons wanted, const Polygons& region) {
  if (region.empty()) return wanted;
  return wanted.empty() ? unite(region) : unite(wanted, region);
}

Polygons zoned(const Asked& asked, std::size_t layer, Polygons wanted) {
  for (const ZoneAs as : {ZoneAs::enforce, ZoneAs::block, ZoneAs::keepClear})  // the later wins
    for (const ResolvedZone& zone : asked.resolved.zones)
      if (zone.as == as)
        wanted = as == ZoneAs::enforce ? added(std::move(wanted), zone.demand[layer])
                                       : takenAway(std::move(wanted), zone.within[layer]);
  return wanted;
}

// What all decisions together want of a layer, clean faces aside; or would, without blocking marks.
Polygons wantedOf(const Asked& asked, std::size_t i, bool cut = true) {
  Polygons wanted = zoned(asked, i, proposal(asked, i));
  const auto chosen = [&](Choice choice) {
    return regionsOf(asked, i, [&](std::size_t s) {
      return s < asked.resolved.sites.size() && asked.resolved.sites[s].choice == choice;
    });
  };
  wanted = takenAway(std::move(wanted), chosen(Choice::block));
  wanted = added(std::move(wanted), chosen(Choice::enforce));
  for (const ResolvedProp& prop : asked.resolved.props) wanted = added(std::move(wanted), prop.demand[i]);
  if (cut) wanted = takenAway(std::move(wanted), asked.marks.blocked[i]);
  if (!asked.marks.enforced[i].empty())
    wanted = unite(wanted, intersect(asked.overhangs.layerDifference[i], asked.marks.enforced[i]));
  return wanted;
}

void noteBeyondLean(DemandSite& site, const Overhangs& overhangs) {
  std::vector<Polygons> beyond(site.layers.size());
  bool any = false;
  for (std::size_t k = 0; k < beyond.size(); ++k) {
    beyond[k] = withoutSpecks(subtract(site.layers[k], overhangs.demand[site.lowest + k]), smallest);
    any = any || !beyond[k].empty();
  }
  if (any) site.beyondLean = std::move(beyond);
}

class Divider {
 public:
  Divider(const Asked& asked, const RulesByIndex& rules, const Progress& progress)
      : asked_(asked), rules_(rules), progress_(progress) {}

  std::vector<DemandSite> all() {
    wanted_ = rest_ = findDemand(asked_, progress_);
    for (const auto& [tint, tinted] : asked_.marks.tints)
      if (const std::size_t rules = rulesOf(tint); rules != asked_.part)
        takeOut({CauseKind::mark, asked_.part, static_cast<std::size_t>(tint)}, tinted.surface, rules, {});
    for (std::size_t k = 0; k < asked_.resolved.props.size(); ++k)
      buildApart({CauseKind::prop, asked_.part, k}, asked_.resolved.props[k]);
    std::map<std::size_t, std::vector<std::size_t>> ownSites;  // by their settings
    for (std::size_t s = 0; s < asked_.resolved.sites.size(); ++s)
      if (asked_.resolved.sites[s].rules != asked_.part) ownSites[asked_.resolved.sites[s].rules].push_back(s);
    for (const auto& [rules, sites] : ownSites)
      for (const std::size_t s : sites) {
        std::vector<Polygons> region(rest_.size());
        for (std::size_t i = 0; i < region.size(); ++i)
          region[i] = regionsOf(asked_, i, [&](std::size_t other) { return other == s; });
        takeOut({CauseKind::site, asked_.part, s}, region, rules, {});
      }
    for (std::size_t z = 0; z < asked_.resolved.zones.size(); ++z)
      if (const ResolvedZone& zone = asked_.resolved.zones[z]; zone.rules != asked_.part && zone.as == ZoneAs::enforce)
        takeOut({CauseKind::zone, asked_.part, z}, zone.demand, zone.rules, {});
    divideRest();
    noteRefused();
    addHolds();
    return std::move(result_);
  }

 private:
  std::size_t rulesOf(int tint) const { return asked_.resolved.tints[static_cast<std::size_t>(tint)]; }
  const SupportRules& rules(std::size_t index) const {
    return std::find_if(rules_.begin(), rules_.end(), [&](const auto& known) { return known.first == index; })->second;
  }

  void buildApart(const Cause& cause, const ResolvedProp& prop) {
    if (prop.walls.empty())
      takeOut(cause, prop.demand, prop.rules, prop.disc);
    else
      addHold(prop.walls, prop.rules, cause);
  }

  // Demand in a region becomes sites of one cause with settings of their own.
  void takeOut(const Cause& cause, const std::vector<Polygons>& region, std::size_t rules,
               const Polygons& minimumFootprint) {
    std::vector<Polygons> taken(rest_.size());
    parallelLayers(rest_.size(), progress_, [&](std::size_t i) {
      if (region[i].empty() || rest_[i].empty()) return;
      taken[i] = withoutSpecks(intersect(rest_[i], region[i]), smallest);
      if (!taken[i].empty()) rest_[i] = withoutSpecks(subtract(rest_[i], region[i]), smallest);
    });
    for (DemandSite& site : connectDemand(asked_.part, taken, asked_.overhangs, progress_)) {
      double sum = 0;
      for (const Polygons& layer : site.layers) sum += area(layer);
      site.rules = rules;
      site.minimumFootprint = minimumFootprint;
      site.contacts = {{cause, sum}};
      result_.push_back(std::move(site));
    }
  }

  void divideRest() {
    std::vector<DemandSite> sites = connectDemand(asked_.part, rest_, asked_.overhangs, progress_);
    parallelFor(sites.size(), progress_, [&](std::size_t k) {
      sites[k].rules = asked_.part;
      findContacts(sites[k]);
    });
    std::move(sites.begin(), sites.end(), std::back_inserter(result_));
  }

  void findContacts(DemandSite& site) const {
    std::map<Cause, double> sums;
    double unnamed = 0;  // in no site: slivers, and what hangs by its layers though none of its facets does
    for (std::size_t k = 0; k < site.layers.size(); ++k) {
      const std::size_t i = site.lowest + k;
      const Polygons& layer = site.layers[k];
      const double whole = area(layer);
      double left = whole;
      const auto add = [&](const Cause& cause, const Polygons& region) {
        const double shared = region == layer ? whole : area(intersect(layer, region));
        if (shared > 0) sums[cause] += shared;
        left -= shared;
      };
      for (const Sites::Stretch& stretch : asked_.sites.layers[i])
        if (left > 1e-6 && boundsOf(stretch.region).intersects(boundsOf(layer)))
          add({CauseKind::site, asked_.part, stretch.site}, stretch.region);
      if (left < smallest + 1e-3 * whole) continue;
      Polygons beyond = subtract(layer, regionsOf(asked_, i, [](std::size_t) { return true; }));
      for (std::size_t z = 0; z < asked_.resolved.zones.size(); ++z) {
        const Polygons& zone = asked_.resolved.zones[z].demand[i];
        if (zone.empty() || beyond.empty()) continue;
        sums[{CauseKind::zone, asked_.part, z}] += area(intersect(beyond, zone));
        beyond = subtract(beyond, zone);
      }
      const double marked = area(intersect(beyond, asked_.marks.enforced[i]));
      if (marked > smallest) sums[{CauseKind::mark, asked_.part, 0}] += marked;
      unnamed += area(beyond) - marked;
    }
    const auto most = std::max_element(sums.begin(), sums.end(),
                                       [](const auto& one, const auto& other) { return one.second < other.second; });
    if (unnamed > 0) sums[most != sums.end() ? most->first : nearestCause(site)] += unnamed;
    for (const auto& [cause, sum] : sums) site.contacts.push_back({cause, sum});
  }

  // The proper site nearest to where demand begins; where there is none, only marks are left to ask for it.
  Cause nearestCause(const DemandSite& site) const {
    const Vec2 start = toMm(site.layers.front().front().front());
    const Vec3 from(start.x(), start.y(), asked_.plan.spans[site.lowest].bottom);
    const auto end = asked_.sites.list.begin() + static_cast<std::ptrdiff_t>(asked_.sites.count(SiteClass::proper));
    const auto nearest = std::min_element(asked_.sites.list.begin(), end, [&](const Site& one, const Site& other) {
      return (one.at - from).squaredNorm() < (other.at - from).squaredNorm();
    });
    if (nearest == end) return {CauseKind::mark, asked_.part, 0};
    return {CauseKind::site, asked_.part, static_cast<std::size_t>(nearest - asked_.sites.list.begin())};
  }

  // What decisions keep from being carried, of each layer: blocked surface, and surface that is to be chosen and was
  // not.
  Polygons refusedIn(std::size_t i) const {
    Polygons against = regionsOf(asked_, i, [&](std::size_t s) {
      return s < asked_.resolved.sites.size() && asked_.resolved.sites[s].choice == Choice::block;
    });
    append(against, asked_.marks.blocked[i]);
    append(against, asked_.clean.blocked[i]);
    for (const ResolvedZone& zone : asked_.resolved.zones)
      if (zone.as != ZoneAs::enforce) append(against, zone.within[i]);
    Polygons refused = against.empty() ? against : intersect(asked_.overhangs.layerDifference[i], unite(against));
    if (asked_.source != Source::overhangs) append(refused, asked_.overhangs.demand[i]);
    return refused.empty() ? refused : withoutSpecks(subtract(unite(refused), wanted_[i]), smallest);
  }

  // What blocking marks take away of a layer.
  Polygons cutIn(std::size_t i) const {
    if (asked_.marks.blocked[i].empty()) return {};
    const Polygons uncut = takenAway(wantedOf(asked_, i, false), asked_.clean.blocked[i]);
    return withoutSpecks(subtract(uncut, wanted_[i]), smallest);
  }

  // Each site has what is refused near it, so that a decision elsewhere changes nothing of it.
  void noteRefused() {
    std::vector<std::vector<Polygons>> refused(wanted_.size());
    parallelLayers(refused.size(), progress_, [&](std::size_t i) {
      if (!asked_.overhangs.layerDifference[i].empty()) refused[i] = components(refusedIn(i));
    });
    parallelFor(result_.size(), progress_, [&](std::size_t k) {
      DemandSite& site = result_[k];
      Box2 box;
      for (const Polygons& layer : site.layers) box.extend(boundsOf(layer));
      const double reach = refusalReach(rules(site.rules));
      box = Box2(box.min().array() - reach, box.max().array() + reach);
      for (std::size_t l = 0; l < site.layers.size(); ++l)
        for (const Polygons& piece : refused[site.lowest + l])
          if (boundsOf(piece).intersects(box)) {
            site.refused.resize(site.layers.size());
            append(site.refused[l], intersect(piece, rectangle(box)));
          }
      site.grid = asked_.grid;
    });
    noteUncut();
  }

  void noteUncut() {
    std::vector<Polygons> cut(wanted_.size()), whole(wanted_.size());
    parallelLayers(cut.size(), progress_, [&](std::size_t i) {
      cut[i] = cutIn(i);
      whole[i] = cut[i].empty() ? wanted_[i] : unite(wanted_[i], cut[i]);
    });
    if (std::all_of(cut.begin(), cut.end(), [](const Polygons& layer) { return layer.empty(); })) return;
    for (const DemandSite& all : connectDemand(asked_.part, whole, asked_.overhangs, progress_)) {
      Uncut uncut{all.lowest, all.layers, std::vector<Polygons>(all.layers.size()), true};
      bool any = false;
      for (std::size_t k = 0; k < all.layers.size(); ++k) {
        uncut.cut[k] = intersect(cut[all.lowest + k], all.layers[k]);
        any = any || !uncut.cut[k].empty();
      }
      if (!any) continue;
      for (DemandSite& site : result_) {
        if (site.isHold() || site.lowest < all.lowest || site.lowest > all.highest()) continue;
        if (!contains(all.layers[site.lowest - all.lowest], site.layers.front().front().front())) continue;
        site.uncut = uncut;
        uncut.first = false;
      }
    }
  }

  void addHolds() {
    for (const auto& [tint, tinted] : asked_.marks.tints) {
      const bool any =
          std::any_of(tinted.walls.begin(), tinted.walls.end(), [](const Lines& lines) { return !lines.empty(); });
      if (any) addHold(tinted.walls, rulesOf(tint), {CauseKind::hold, asked_.part, 0});
    }
  }

  // Where trees are asked for, a wall is held by branches; a prop is as wide as it says.
  void addHold(const std::vector<Lines>& walls, std::size_t index, Cause cause) {
    const bool byBranches = cause.kind == CauseKind::hold && rules(index).structure == Structure::tree;
    for (DemandSite& hold : holdsBeside(walls, asked_, rules(index), progress_)) {
      std::vector<DemandSite> posts;
      if (byBranches) posts = postsOf(hold, asked_.plan, rules(index));
      if (posts.empty()) posts.push_back(std::move(hold));
      if (cause.kind == CauseKind::hold) cause.index = holds_++;
      for (DemandSite& post : posts) {
        double sum = 0;
        for (std::size_t k = 0; k < post.walls.size(); ++k)
          for (const Polygon& line : post.walls[k])
            sum += (toMm(line.back()) - toMm(line.front())).norm() * asked_.plan.spans[post.lowest + k].height();
        post.rules = index;
        post.contacts = {{cause, sum}};
        result_.push_back(std::move(post));
      }
    }
  }

  const Asked& asked_;
  const RulesByIndex& rules_;
  const Progress& progress_;
  std::vector<Polygons> wanted_, rest_;
  std::vector<DemandSite> result_;
  std::size_t holds_ = 0;
};

}  // namespace

std::vector<Polygons> findDemand(const Asked& asked, const Progress& progress) {
  std::vector<Polygons> demand(asked.overhangs.layerDifference.size());
  parallelLayers(demand.size(), progress, [&](std::size_t i) {
    demand[i] = withoutSpecks(takenAway(wantedOf(asked, i), asked.clean.blocked[i]), smallest);
  });
  return demand;
}

std::vector<Polygons> keptFree(const Asked& asked, const Progress& progress) {
  std::vector<Polygons> kept(asked.overhangs.layerDifference.size());
  parallelLayers(kept.size(), progress, [&](std::size_t i) {
    if (!asked.clean.blocked[i].empty())
      kept[i] = withoutSpecks(intersect(wantedOf(asked, i), asked.clean.blocked[i]), smallest);
  });
  return kept;
}

std::vector<DemandSite> connectDemand(std::size_t part, const std::vector<Polygons>& demand, const Overhangs& overhangs,
                                      const Progress& progress) {
  std::vector<std::vector<Polygons>> pieces(demand.size());
  parallelLayers(demand.size(), progress, [&](std::size_t i) { pieces[i] = components(demand[i]); });
  std::vector<std::size_t> first(demand.size() + 1, 0);
  for (std::size_t i = 0; i < demand.size(); ++i) first[i + 1] = first[i] + pieces[i].size();

  std::vector<std::vector<std::pair<std::size_t, std::size_t>>> touches(demand.size());
  parallelFor(demand.empty() ? 0 : demand.size() - 1, progress, [&](std::size_t i) {
    for (std::size_t a = 0; a < pieces[i].size(); ++a)
      for (std::size_t b = 0; b < pieces[i + 1].size(); ++b)
        if (meet(pieces[i][a], pieces[i + 1][b], touching)) touches[i].emplace_back(first[i] + a, first[i + 1] + b);
  });
  DisjointSets sets(first.back());
  for (const auto& layer : touches)
    for (const auto& [a, b] : layer) sets.join(a, b);

  std::map<std::size_t, DemandSite> sites;  // by lowest piece, so in order of height
  for (std::size_t i = 0; i < demand.size(); ++i)
    for (std::size_t a = 0; a < pieces[i].size(); ++a) {
      DemandSite& site = sites[sets.find(first[i] + a)];
      if (site.layers.empty()) {
        site.part = part;
        site.lowest = i;
      }
      site.layers.resize(i - site.lowest + 1);
      append(site.layers.back(), pieces[i][a]);
    }
  std::vector<DemandSite> result;
  for (auto& [lowest, site] : sites) result.push_back(std::move(site));
  parallelFor(result.size(), progress, [&](std::size_t s) { noteBeyondLean(result[s], overhangs); });
  return result;
}

std::vector<Polygons> seenOf(const DemandSite& site, const MarkShadows& seen) {
  std::vector<Polygons> layers(site.layers.size());
  bool any = false;
  for (std::size_t k = 0; k < layers.size(); ++k)
    if (const Polygons& shadow = seen.blocked[site.lowest + k]; !shadow.empty()) {
      layers[k] = withoutSpecks(intersect(site.layers[k], shadow), smallest);
      any = any || !layers[k].empty();
    }
  return any ? layers : std::vector<Polygons>{};
}

Polygons deniedTo(const DemandSite& site, double lineWidth) {
  Polygons refused, carried;
  for (const Polygons& layer : site.refused) append(refused, layer);
  if (refused.empty()) return {};
  for (const Polygons& layer : site.layers) append(carried, layer);
  return subtract(unite(refused), grow(unite(carried), lineWidth / 2));
}

std::vector<DemandSite> demandOf(const Asked& asked, const RulesByIndex& rules, const Progress& progress) {
  return Divider(asked, rules, progress).all();
}

}  // namespace trellis
