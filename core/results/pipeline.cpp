// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/results/pipeline.hpp"

#include "core/assess/findings.hpp"
#include "core/assess/hold_advice.hpp"
#include "core/base/parallel.hpp"
#include "core/geometry/polygon_key.hpp"
#include "core/results/keys.hpp"
#include "core/support/column_descent.hpp"

#include <tbb/task_group.h>

#include <chrono>
#include <map>
#include <set>
#include <tuple>

namespace trellis {

namespace {

constexpr double outlineTolerance = 0.004;  // mm; sections keep this near to the mesh from here on

}  // namespace

struct Pipeline::PartCache {
  Memo<TriangleMesh> placed;
  Memo<Slices> slices;
  Memo<std::vector<Polygons>> sections;
  Memo<std::vector<Polygons>> buried;
  Memo<Overhangs> overhangs;
  Memo<Sites> sites;
  Memo<ResolvedDecisions> resolved;
  Memo<MarkShadows> shadows, clean;
  Memo<std::vector<Polygons>> keptFree;
  Memo<std::vector<DemandSite>> demand;
  Memo<Stability> stability;
  Memo<HoldAdvice> holdAdvice;
};

// One run: the steps in order, with the clock for each.
struct Pipeline::Run {
  Pipeline& pipeline;
  const Project& project;
  const Progress& progress;
  const std::function<void(const SitesOfParts&)>& sitesKnown;
  std::map<std::pair<std::size_t, std::uint64_t>, std::size_t> ownRules =
      {};  // of a part and its overrides, into Build::rules
  std::shared_ptr<Build> build = std::make_shared<Build>();
  std::uint64_t sectionsKey = 0, columnsKey = 0;
  std::shared_ptr<const Obstacles> obstacles = {};
  tbb::task_group examining = {};
  std::chrono::steady_clock::time_point last = std::chrono::steady_clock::now();

  const char* running = "cutting into layers";

  // Ends the running stage and begins the next.
  void stage(const char* next, double fraction) {
    const auto now = std::chrono::steady_clock::now();
    build->milliseconds.emplace_back(running, std::chrono::duration<double, std::milli>(now - last).count());
    last = now;
    running = next;
    progress.report(fraction, next);
  }

  // Every set of settings that some support may be built by has its number before anything is computed.
  void collectRules() {
    const auto number = [&](std::size_t p, const Overrides& own) {
      if (!ownRules.try_emplace({p, keyOfOverrides(own)}, build->rules.size()).second) return;
      const Settings settings = settingsOf(project, p).with(own);
      build->rules.push_back({p, settings, supportRules(settings)});
    };
    for (std::size_t p = 0; p < project.parts.size(); ++p) number(p, {});
    for (std::size_t p = 0; p < project.parts.size(); ++p) {
      for (const Zone& zone : project.parts[p]->zones) number(p, zone.settings);
      for (const Prop& prop : project.parts[p]->props) number(p, prop.settings);
      for (const SiteDecision& site : project.parts[p]->sites) number(p, site.settings);
    }
  }

  Looked& lookedAt(const MeshPtr& mesh) {
    Looked& looked = pipeline.looked_[mesh->key];
    if (!looked.tree) {
      looked.neighbours = neighboursOf(mesh);
      looked.tree = treeOf(mesh);
    }
    return looked;
  }

  // Looking a mesh over takes long, runs on one thread and is asked for last, so it goes on beside everything else.
  void beginExamining() {
    std::set<std::uint64_t> begun;
    for (const PartPtr& part : project.parts) {
      Looked& looked = pipeline.looked_[part->mesh->key];
      if (looked.health || !begun.insert(part->mesh->key).second) continue;
      examining.run([this, &looked, mesh = part->mesh] {
        looked.figures = std::make_shared<const MeshFigures>(inspect(*mesh));
        looked.health = std::make_shared<const MeshHealth>(examine(*mesh, progress));
      });
    }
  }

  void endExamining() {
    examining.wait();
    for (std::size_t p = 0; p < project.parts.size(); ++p) {
      const Looked& looked = pipeline.looked_[project.parts[p]->mesh->key];
      build->parts[p].figures = looked.figures;
      build->parts[p].health = looked.health;
    }
  }

  ~Run() {
    examining.cancel();
    try {
      examining.wait();
    } catch (...) {  // it was cancelled, and so was what waited for it
    }
  }

  void cutPart(std::size_t p) {
    const Part& part = *project.parts[p];
    PartCache& cache = *pipeline.parts_[p];
    PartBuild& out = build->parts[p];
    const std::uint64_t placedKey = KeyBuilder().add(part.mesh->key).add(keyOfPlacement(part.placement)).key();
    out.placed =
        cache.placed.get(placedKey, [&] { return *transformed(*part.mesh, transformOf(part.placement, *part.mesh)); });
    const LayerRules layers = layerRules(project.settings);
    out.plan = planLayers(out.placed->bounds.max().z(), layers);
    const std::uint64_t key = KeyBuilder().add(placedKey).add(layers.height).add(layers.first).key();
    const auto slices = cache.slices.get(key, [&] { return slice(*out.placed, out.plan.middles(), progress); });
    out.sections = cache.sections.get(key, [&] {
      std::vector<Polygons> sections(slices->sections.size());
      parallelFor(sections.size(), progress,
                  [&](std::size_t i) { sections[i] = simplified(slices->sections[i], outlineTolerance); });
      return sections;
    });
    out.gaps = std::shared_ptr<const std::vector<SliceGap>>(slices, &slices->gaps);
    sectionsKey = KeyBuilder().add(sectionsKey).add(key).key();
  }

  void findSitesOf(std::size_t p) {
    const Part& part = *project.parts[p];
    PartCache& cache = *pipeline.parts_[p];
    PartBuild& out = build->parts[p];
    const SupportRules& rules = build->rules[p].support;
    const Affine toPlate = transformOf(part.placement, *part.mesh);
    const Looked& looked = lookedAt(part.mesh);
    const Surface surface{looked.neighbours, looked.tree, toPlate.inverse()};
    const std::uint64_t cut = cache.sections.key();
    out.overhangs = cache.overhangs.get(KeyBuilder().add(cut).add(rules.freeLean).key(), [&] {
      return findOverhangs(out.plan, *out.sections, rules.freeLean, progress);
    });
    out.sites = cache.sites.get(KeyBuilder().add(cache.overhangs.key()).add(rules.bridgeLimit).key(), [&] {
      return findSites(*out.placed, surface, out.plan, *out.sections, *out.overhangs,
                       {rules.freeLean, rules.bridgeLimit}, progress);
    });
    out.resolved = cache.resolved.get(
        KeyBuilder().add(cache.sites.key()).add(keyOfDecisions(part)).add(keyOfNumbers(p)).key(), [&] {
          const auto numberOf = [&](const Overrides& own) { return ownRules.at({p, keyOfOverrides(own)}); };
          return resolveDecisions(part, surface, out.plan, *out.sections, *out.overhangs, *out.sites, numberOf,
                                  progress);
        });
    for (const auto& [marks, memo, into] :
         {std::tuple(&part.marks, &cache.shadows, &out.shadows), {&part.clean, &cache.clean, &out.clean}})
      *into = memo->get(KeyBuilder().add(cut).add((*marks)->key()).key(), [&, which = marks] {
        return castShadows(*part.mesh, toPlate, **which, out.plan.middles(), progress);
      });
  }

  // Which numbers the part's own sets of settings have.
  std::uint64_t keyOfNumbers(std::size_t p) const {
    KeyBuilder key;
    for (const auto& [whose, number] : ownRules)
      if (whose.first == p) key.add(whose.second).add(number);
    return key.key();
  }

  void findDemandOf(std::size_t p) {
    PartCache& cache = *pipeline.parts_[p];
    PartBuild& out = build->parts[p];
    const SupportRules& rules = build->rules[p].support;
    const std::uint64_t key = KeyBuilder()
                                  .add(cache.resolved.key())
                                  .add(cache.shadows.key())
                                  .add(cache.clean.key())
                                  .add(keyOfRules(rules))
                                  .add(p)
                                  .key();
    const Asked asked{p, out.plan, *out.overhangs, *out.sites, *out.shadows, *out.clean, *out.resolved, rules.source};
    out.demand =
        cache.demand.get(key, [&] { return rules.on ? demandOf(asked, rules, progress) : std::vector<DemandSite>(); });
    out.keptFree = cache.keptFree.get(key, [&] { return keptFree(asked, progress); });
    for (const DemandSite& site : *out.demand) build->demand.push_back(&site);
  }

  // Where zones let nothing pass. What a stronger decision wants carried in there is let through.
  std::vector<Polygons> forbidden() const {
    std::vector<Polygons> all;
    for (const PartBuild& part : build->parts)
      for (const ResolvedZone& zone : part.resolved->zones) {
        if (zone.as != ZoneAs::keepClear) continue;
        all.resize(build->plan.count());
        Polygons wanted;
        for (const DemandSite* site : build->demand)
          for (std::size_t k = 0; k < site->layers.size(); ++k)
            if (const std::size_t l = site->lowest + k; l < zone.within.size() && !zone.within[l].empty()) {
              const Polygons inside = intersect(site->layers[k], zone.within[l]);
              wanted.insert(wanted.end(), inside.begin(), inside.end());
            }
        const Polygons way = wanted.empty() ? wanted : grow(unite(wanted), 2 * build->rules.front().support.lineWidth);
        for (std::size_t l = 0; l < zone.within.size(); ++l) {
          Polygons layer = l + 1 < zone.within.size() ? unite(zone.within[l], zone.within[l + 1]) : zone.within[l];
          if (!way.empty()) layer = subtract(layer, way);
          all[l].insert(all[l].end(), layer.begin(), layer.end());
        }
      }
    return all;
  }

  void growTrees(const std::vector<Polygons>& noLanding, std::uint64_t obstaclesKey) {
    build->trees.resize(build->demand.size());
    std::vector<ForestSite> sites;
    std::vector<std::size_t> numbers;
    for (std::size_t i = 0; i < build->demand.size(); ++i) {
      const DemandSite& site = *build->demand[i];
      const SupportRules& rules = build->rules[site.rules].support;
      if (rules.structure != Structure::tree || site.isHold()) continue;
      sites.push_back({&site, keyOfSite(site), &rules, keyOfRules(rules)});
      numbers.push_back(i);
    }
    KeyBuilder key;
    key.add(obstaclesKey);
    for (const Polygons& layer : noLanding) key.add(keyOf(layer));
    const Box2 plate(Vec2::Zero(),
                     Vec2(project.settings.number("machine.width"), project.settings.number("machine.depth")));
    std::vector<std::shared_ptr<const Tree>> trees =
        pipeline.forest_.grow(sites, *obstacles, noLanding, key.key(), plate, progress);
    for (std::size_t k = 0; k < trees.size(); ++k) build->trees[numbers[k]] = std::move(trees[k]);
  }

  void buildColumns() {
    std::vector<PartObstacles> inTheWay;
    std::vector<Polygons> noLanding(build->plan.count());
    const std::vector<const DemandSite*>& sites = build->demand;
    std::uint64_t obstaclesKey = sectionsKey;
    for (std::size_t p = 0; p < build->parts.size(); ++p) {
      const PartBuild& part = build->parts[p];
      const SupportRules& rules = build->rules[p].support;
      inTheWay.push_back({*part.sections, part.overhangs->demand, rules.gapBeside});
      obstaclesKey = KeyBuilder().add(obstaclesKey).add(rules.gapBeside).add(rules.freeLean).key();
      for (const auto* shadows : {part.shadows.get(), part.clean.get()})
        for (std::size_t l = 0; l < shadows->noLanding.size(); ++l)
          noLanding[l].insert(noLanding[l].end(), shadows->noLanding[l].begin(), shadows->noLanding[l].end());
    }
    if (sites.empty()) return void(columnsKey = 0);
    const std::vector<Polygons> kept = forbidden();
    for (const Polygons& layer : kept) obstaclesKey = KeyBuilder().add(obstaclesKey).add(keyOf(layer)).key();
    obstacles = pipeline.obstacles_.get(obstaclesKey, [&] {
      Obstacles found = findObstacles(build->plan, inTheWay, progress);
      found.forbidden = kept;
      return found;
    });
    stage("growing branches", 0.32);
    growTrees(noLanding, obstaclesKey);
    stage("letting supports down", 0.35);
    std::vector<std::uint64_t> keys(sites.size());
    build->columns.resize(sites.size());
    parallelFor(sites.size(), progress, [&](std::size_t i) {
      const SupportRules& rules = build->rules[sites[i]->rules].support;
      keys[i] = KeyBuilder()
                    .add(obstaclesKey)
                    .add(keyOfRules(rules))
                    .add(keyOfSite(*sites[i]))
                    .add(keyOfBarred(noLanding, *sites[i], spreadOf(rules, build->plan.spans[sites[i]->highest()].top)))
                    .add(build->trees[i] ? trellis::keyOf(*build->trees[i]) : 0)
                    .key();
      const auto found = pipeline.columns_.find(keys[i]);
      build->columns[i] = found != pipeline.columns_.end()
                              ? found->second
                              : std::make_shared<const Column>(buildColumn(*sites[i], *obstacles, noLanding, rules,
                                                                           build->trees[i].get(), progress));
    });
    pipeline.columns_.clear();
    for (std::size_t i = 0; i < sites.size(); ++i) {
      pipeline.columns_[keys[i]] = build->columns[i];
      columnsKey = KeyBuilder().add(columnsKey).add(keys[i]).key();
    }
  }

  void judge() {
    std::vector<Solid> solids;
    for (const PartPtr& part : project.parts)
      solids.push_back({lookedAt(part->mesh).tree, transformOf(part->placement, *part->mesh).inverse()});
    const auto drainClearances = [&]() -> const DrainClearance& {
      return *pipeline.openings_.get(sectionsKey,
                                     [&] { return DrainClearance(build->plan, obstacles->sections, progress); });
    };
    build->pieces = judgePieces(*build, solids, drainClearances, pipeline.waysOut_, progress);
  }

  void weighStanding() {
    const StabilityRules rules = stabilityRules(project.settings);
    for (std::size_t p = 0; p < project.parts.size(); ++p) {
      PartBuild& part = build->parts[p];
      PartCache& cache = *pipeline.parts_[p];
      const std::vector<Polygons> holds = holdsOf(*build, p);
      KeyBuilder key;
      key.add(cache.sections.key()).add(rules.stiffness).add(rules.adhesion).add(rules.spread);
      for (const Polygons& layer : holds) key.add(keyOf(layer));
      part.stability = cache.stability.get(
          key.key(), [&] { return stabilityOf(part.plan, *part.sections, holds, rules, progress); });
      if (!standsWell(*part.stability, rules))
        part.holdAdvice = cache.holdAdvice.get(key.key(), [&] { return adviseHolds(project, *build, p); });
    }
  }

  using LayersByKey = std::unordered_map<std::uint64_t, std::shared_ptr<const PrintLayer>>;

  // With these filaments for the pieces' bodies. Layers that were printed so before are taken from known.
  Print printWith(const std::vector<int>& bodyTools, const LayersByKey& known, LayersByKey& used) {
    LayerBuilder builder(project, *build, bodyTools, sectionsKey, pipeline.book_, progress);
    std::vector<std::uint64_t> keys(builder.count());
    Print print{std::vector<std::shared_ptr<const PrintLayer>>(builder.count())};
    parallelFor(builder.count(), progress, [&](std::size_t i) {
      keys[i] = builder.keyOf(i);
      const auto found = known.find(keys[i]);
      print.layers[i] = found != known.end() ? found->second : std::make_shared<const PrintLayer>(builder.build(i));
    });
    for (std::size_t i = 0; i < print.layers.size(); ++i) used[keys[i]] = print.layers[i];
    std::erase_if(print.layers, [](const auto& layer) { return layer->runs.empty(); });
    build->towerHasRoom = builder.towerHasRoom();
    build->bed = {plateHeight(project.settings), -project.settings.number("support.bed.gap"), {}};
    if (!builder.bed().empty())
      build->bed.regions.push_back({build->pieces.size(), RegionKind::foot, 0, builder.bed(), keyOf(builder.bed())});
    return print;
  }

  // Where bodies were spared the dissolving filament, the print as it would be without that is laid too: what it would
  // take longer is what was saved.
  void layPaths() {
    const MotionRules motion = motionRules(project.settings);
    const auto secondsOf = [&](const Print& print) { return tallyOf(print, build->pieces.size(), motion).seconds; };
    std::vector<int> tools, dissolving;
    for (const PieceFigures& piece : build->pieces) {
      tools.push_back(piece.bodyTool);
      dissolving.push_back(piece.wouldDissolve ? 1 : piece.bodyTool);
    }
    for (std::size_t p = 0; p < project.parts.size(); ++p) {
      PartBuild& part = build->parts[p];
      PartCache& cache = *pipeline.parts_[p];
      const PartRules rules = partRules(settingsOf(project, p));
      part.buried =
          cache.buried.get(KeyBuilder().add(cache.sections.key()).add(rules.skinTop).add(rules.skinBottom).key(),
                           [&] { return buriedIn(*part.sections, rules, progress); });
    }
    LayersByKey used;
    const double longer = dissolving == tools ? 0 : secondsOf(printWith(dissolving, pipeline.layers_, used));
    build->print = printWith(tools, pipeline.layers_, used);
    pipeline.layers_ = std::move(used);
    build->tally = tallyOf(build->print, build->pieces.size(), motion);
    if (dissolving != tools) build->savedSeconds = longer - build->tally.seconds;
  }

  BuildPtr all() {
    while (pipeline.parts_.size() < project.parts.size()) pipeline.parts_.push_back(std::make_unique<PartCache>());
    pipeline.parts_.resize(project.parts.size());
    build->parts.resize(project.parts.size());
    collectRules();
    for (auto& [key, looked] : pipeline.looked_)  // of meshes that are gone only what is small is kept
      if (std::none_of(project.parts.begin(), project.parts.end(),
                       [&, k = key](const PartPtr& part) { return part->mesh->key == k; })) {
        looked.tree.reset();
        looked.neighbours.reset();
      }
    progress.report(0, running);
    beginExamining();
    for (std::size_t p = 0; p < project.parts.size(); ++p) {
      cutPart(p);
      if (build->parts[p].plan.count() > build->plan.count()) build->plan = build->parts[p].plan;
    }
    stage("finding overhangs", 0.15);
    for (std::size_t p = 0; p < project.parts.size(); ++p) findSitesOf(p);
    if (sitesKnown) {
      SitesOfParts sites;
      for (const PartBuild& part : build->parts) sites.push_back(part.sites);
      sitesKnown(sites);
    }
    for (std::size_t p = 0; p < project.parts.size(); ++p) findDemandOf(p);
    stage("keeping clear", 0.25);
    buildColumns();
    stage("joining supports", 0.5);
    build->support = pipeline.support_.get(columnsKey, [&] { return assembleSupport(build->columns, progress); });
    stage("judging pieces", 0.55);
    judge();
    weighStanding();
    stage("laying lines", 0.6);
    layPaths();
    stage("counting", 0.98);
    build->prices = pricesOf(*build);
    endExamining();
    build->findings = findProblems(project, *build);
    stage("done", 1);
    return build;
  }
};

Pipeline::Pipeline() = default;
Pipeline::~Pipeline() = default;

BuildPtr Pipeline::run(const Project& project, const Progress& progress,
                       const std::function<void(const SitesOfParts&)>& sitesKnown) {
  return Run{*this, project, progress, sitesKnown}.all();
}

}  // namespace trellis
