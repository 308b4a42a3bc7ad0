// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/results/supports_builder.hpp"

#include "core/base/parallel.hpp"
#include "core/results/support_recipes.hpp"

#include <algorithm>
#include <map>

namespace trellis {

namespace {

template <typename Whole, typename Part>
std::shared_ptr<const Part> memberOf(const Kept<Whole>& whole, Part Whole::*member) {
  return {whole.value, &(whole.value.get()->*member)};
}

// Whether letting it down takes so long that a request which gives up had better leave it going.
bool isLarge(const DemandSite& site) {
  constexpr std::size_t most = 4000;  // corners
  std::size_t corners = 0;
  for (const Polygons& layer : site.layers)
    for (const Polygon& outline : layer) corners += outline.size();
  return corners > most;
}

ColumnGrid gridOf(const Placement& placement) { return {placement.position.head<2>(), placement.turn.z()}; }

// The steps of one neighbourhood, in order.
class Neighbourhood {
 public:
  Neighbourhood(Store& store, const Project& project, const std::vector<const PartResults*>& parts,
                const Progress& progress)
      : store_(store), project_(project), parts_(parts), progress_(progress) {}

  Supports build() {
    collectRules();
    for (std::size_t p = 0; p < parts_.size(); ++p) findDemandOf(p);
    if (!demand_.empty()) {
      findObstacles();
      growTrees();
      buildColumns();
    }
    for (std::size_t p = 0; p < parts_.size(); ++p)
      if (part(p).elsewhere) addElsewhere(p);
    std::vector<std::size_t> rules;
    for (const Kept<DemandSite>& site : demand_) rules.push_back(site->rules);
    out_.support = store_.getAside(supportLayers, {columns_, std::move(rules)}, progress_).value;
    return std::move(out_);
  }

 private:
  const Part& part(std::size_t p) const { return *project_.parts[parts_[p]->part]; }

  // Every set of settings that some support may be built by has its number before anything is computed.
  void collectRules() {
    ownRules_.resize(parts_.size());
    const auto number = [&](std::size_t p, const Overrides& own) {
      for (const auto& [known, index] : ownRules_[p])
        if (known == own) return;
      ownRules_[p].emplace_back(own, out_.rules.size());
      const Settings settings = settingsOf(project_, parts_[p]->part).with(own);
      out_.rules.push_back({p, settings, supportRules(settings)});
    };
    for (std::size_t p = 0; p < parts_.size(); ++p) number(p, {});
    for (std::size_t p = 0; p < parts_.size(); ++p) {
      for (const Zone& zone : part(p).zones) number(p, zone.settings);
      for (const Prop& prop : part(p).props) number(p, prop.settings);
      for (const SiteDecision& site : part(p).sites) number(p, site.settings);
      for (const auto& [tint, settings] : part(p).tints) number(p, settings);
    }
  }

  RulesByIndex rulesOf(std::size_t p) const {
    RulesByIndex rules;
    for (const auto& [own, index] : ownRules_[p]) rules.emplace_back(index, out_.rules[index].support);
    return rules;
  }

  void findDemandOf(std::size_t p) {
    const PartResults& known = *parts_[p];
    PartBuild& out = out_.parts.emplace_back();
    out.placed = known.placed.value;
    out.plan = known.sections->plan;
    out.sections = memberOf(known.sections, &Sections::layers);
    out.gaps = memberOf(known.sections, &Sections::gaps);
    out.overhangs = known.overhangs.value;
    out.sites = known.sites.value;
    if (out.plan.count() > out_.plan.count()) out_.plan = out.plan;
    const auto resolved = store_.getAside(
        partDecisions, {known.mesh, decisionsOf(part(p)), known.sections, known.overhangs, known.sites, ownRules_[p]},
        progress_);
    const auto shadowsOf = [&](const MarksPtr& marks) {
      return store_.getAside(partShadows, {part(p).mesh, part(p).placement, marks, known.sections}, progress_);
    };
    shadows_.push_back({shadowsOf(part(p).marks), shadowsOf(part(p).clean), shadowsOf(part(p).seen)});
    const auto& [marks, clean, seen] = shadows_.back();
    const auto demand = store_.getAside(partDemand,
                                        {p, known.sections, known.overhangs, known.sites, marks, clean, seen, resolved,
                                         rulesOf(p), gridOf(part(p).placement)},
                                        progress_);
    out.resolved = resolved.value;
    out.shadows = marks.value;
    out.clean = clean.value;
    out.seen = seen.value;
    out.keptFree = memberOf(demand, &PartDemand::keptFree);
    for (const Kept<DemandSite>& site : demand->sites) {
      demand_.push_back(site);
      out_.demand.push_back(site.value);
    }
  }

  // Where zones let nothing pass. What a stronger decision wants carried in there is let through.
  std::vector<Polygons> forbidden() const {
    std::vector<Polygons> all;
    for (const PartBuild& part : out_.parts)
      for (const ResolvedZone& zone : part.resolved->zones) {
        if (zone.as != ZoneAs::keepClear) continue;
        all.resize(out_.plan.count());
        Polygons wanted;
        for (const DemandSitePtr& site : out_.demand)
          for (std::size_t k = 0; k < site->layers.size(); ++k)
            if (const std::size_t l = site->lowest + k; l < zone.within.size() && !zone.within[l].empty()) {
              const Polygons inside = intersect(site->layers[k], zone.within[l]);
              wanted.insert(wanted.end(), inside.begin(), inside.end());
            }
        const Polygons way = wanted.empty() ? wanted : grow(unite(wanted), 2 * out_.rules.front().support.lineWidth);
        for (std::size_t l = 0; l < zone.within.size(); ++l) {
          Polygons layer = l + 1 < zone.within.size() ? unite(zone.within[l], zone.within[l + 1]) : zone.within[l];
          if (!way.empty()) layer = subtract(layer, way);
          all[l].insert(all[l].end(), layer.begin(), layer.end());
        }
      }
    return all;
  }

  void findObstacles() {
    ObstacleInputs in{out_.plan, {}, forbidden()};
    NoLanding noLanding(out_.plan.count()), seen(out_.plan.count());
    const auto collect = [](const MarkShadows& shadows, NoLanding& into) {
      for (std::size_t l = 0; l < shadows.noLanding.size(); ++l)
        into[l].insert(into[l].end(), shadows.noLanding[l].begin(), shadows.noLanding[l].end());
    };
    for (std::size_t p = 0; p < parts_.size(); ++p) {
      const SupportRules& rules = out_.rules[p].support;
      in.parts.push_back({parts_[p]->sections, parts_[p]->overhangs, {rules.gapBeside, rules.gapSlope}});
      collect(*shadows_[p].marks, noLanding);
      collect(*shadows_[p].clean, noLanding);
      collect(*shadows_[p].seen, seen);
    }
    obstacles_ = store_.getAside(obstacleLayers, in, progress_);
    const auto keep = [](NoLanding&& surface) {
      const Key key = keyOf(surface);
      return Kept<NoLanding>{key, std::make_shared<const NoLanding>(std::move(surface))};
    };
    noLanding_ = keep(std::move(noLanding));
    seen_ = keep(std::move(seen));
  }

  // Sites with the same rules grow together.
  void growTrees() {
    trees_.resize(demand_.size());
    std::map<Key, std::vector<std::size_t>> groups;
    for (std::size_t i = 0; i < demand_.size(); ++i) {
      const SupportRules& rules = out_.rules[demand_[i]->rules].support;
      if (rules.structure == Structure::tree && !demand_[i]->isHold()) groups[keyOf(rules)].push_back(i);
    }
    if (!groups.empty()) progress_.report(0.32, "growing branches");
    const Box2 plate(Vec2::Zero(),
                     Vec2(project_.settings.number("machine.width"), project_.settings.number("machine.depth")));
    for (const auto& [key, members] : groups) growGroup(members, plate);
    for (const Kept<Tree>& tree : trees_) out_.trees.push_back(tree.value);
  }

  void growGroup(const std::vector<std::size_t>& members, const Box2& plate) {
    const SupportRules& rules = out_.rules[demand_[members.front()]->rules].support;
    BranchInputs in{std::vector<Kept<std::vector<Tip>>>(members.size()),
                    store_.getAside(waysToStand, {obstacles_, noLanding_, seen_, rules, plate}, progress_), rules};
    parallelFor(members.size(), progress_, [&](std::size_t k) {
      in.tips[k] = store_.get(siteTips, {demand_[members[k]], obstacles_, rules}, progress_);
    });
    const Kept<BranchGraph> graph = store_.getAside(branches, in, progress_);
    std::vector<Tip> all;
    std::size_t lowest = out_.plan.count(), highest = 0;
    for (std::size_t k = 0; k < members.size(); ++k) {
      all.insert(all.end(), in.tips[k]->begin(), in.tips[k]->end());
      lowest = std::min(lowest, demand_[members[k]]->lowest);
      highest = std::max(highest, demand_[members[k]]->highest());
    }
    const std::vector<double> heights = planHeights(out_.plan, lowest, highest, rules);
    std::size_t first = 0;
    for (std::size_t k = 0; k < members.size(); first += in.tips[k]->size(), ++k) {
      auto tree = std::make_shared<const Tree>(shareOf(*graph, all, first, in.tips[k]->size(), heights));
      const Key key = keyOf(*tree);
      trees_[members[k]] = {key, std::move(tree)};
    }
  }

  void buildColumns() {
    progress_.report(0.35, "letting supports down");
    columns_.resize(demand_.size());
    parallelFor(demand_.size(), progress_, [&](std::size_t i) {
      const SupportRules& rules = out_.rules[demand_[i]->rules].support;
      const ColumnInputs in{
          demand_[i], obstacles_, nearTo(*demand_[i], rules, noLanding_), nearTo(*demand_[i], rules, seen_),
          rules,      trees_[i]};
      columns_[i] =
          isLarge(*demand_[i]) ? store_.getAside(siteColumn, in, progress_) : store_.get(siteColumn, in, progress_);
    });
    for (const Kept<Column>& column : columns_) out_.columns.push_back(column.value);
  }

  // It stands beside what is built here, and is no obstacle to it: where both are, they become one.
  void addElsewhere(std::size_t p) {
    const auto made = store_.getAside(
        broughtSupport,
        {p, part(p).elsewhere, part(p).mesh, part(p).placement, parts_[p]->sections, out_.rules[p].support}, progress_);
    if (!made->support) return;
    const std::shared_ptr<const MadeElsewhere>& support = made->support;
    demand_.push_back({made.key, {support, &support->demand}});
    columns_.push_back({made.key, {support, &support->column}});
    out_.demand.push_back(demand_.back().value);
    out_.columns.push_back(columns_.back().value);
    out_.trees.resize(out_.demand.size());
  }

  // Keyed by what a site's column may meet of it, so that a mark elsewhere makes nothing anew here.
  Kept<NoLanding> nearTo(const DemandSite& site, const SupportRules& rules, const Kept<NoLanding>& surface) const {
    const double spread = spreadOf(rules, out_.plan.spans[site.highest()].top);
    Box2 reach;
    for (const Polygons& layer : site.layers) reach.extend(boundsOf(layer));
    reach = Box2(reach.min().array() - spread, reach.max().array() + spread);
    KeyBuilder key;
    const NoLanding& all = *surface;
    for (std::size_t l = 0; l < all.size() && l <= site.highest(); ++l)
      if (!all[l].empty() && boundsOf(all[l]).intersects(reach)) key.add(l).add(all[l]);
    return {key.key(), surface.value};
  }

  Store& store_;
  const Project& project_;
  const std::vector<const PartResults*>& parts_;
  const Progress& progress_;
  std::vector<std::vector<std::pair<Overrides, std::size_t>>> ownRules_;  // of each part
  struct Coats {
    Kept<MarkShadows> marks, clean, seen;
  };
  std::vector<Coats> shadows_;
  std::vector<Kept<DemandSite>> demand_;
  Kept<Obstacles> obstacles_;
  Kept<NoLanding> noLanding_, seen_;
  std::vector<Kept<Tree>> trees_;
  std::vector<Kept<Column>> columns_;
  Supports out_;
};

}  // namespace

PartResults sitesOfPart(Store& store, const Project& project, std::size_t p, const Progress& progress) {
  const Part& part = *project.parts[p];
  const SupportRules rules = supportRules(settingsOf(project, p));
  PartResults known{p, store.getAside(meshAnalysis, {part.mesh}, progress), {}, {}, {}, {}};
  known.placed = store.getAside(placedMesh, {part.mesh, part.placement}, progress);
  known.sections = store.getAside(partSections, {known.placed, layerRules(project.settings)}, progress);
  known.overhangs = store.getAside(partOverhangs, {known.sections, {rules.freeLean, rules.lineWidth}}, progress);
  known.sites = store.getAside(partSites,
                               {known.mesh,
                                part.placement,
                                known.placed,
                                known.sections,
                                known.overhangs,
                                {rules.freeLean, rules.bridgeLimit, rules.lineWidth}},
                               progress);
  return known;
}

Supports supportsOf(Store& store, const Project& project, const std::vector<const PartResults*>& parts,
                    const Progress& progress) {
  return Neighbourhood(store, project, parts, progress).build();
}

}  // namespace trellis
