// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/pipeline/pipeline.hpp"

#include "core/assess/findings.hpp"
#include "core/base/parallel.hpp"
#include "core/slice/polygon_key.hpp"

#include <chrono>

namespace trellis {

namespace {

constexpr double outlineTolerance = 0.004;  // mm; sections keep this near to the mesh from here on

std::uint64_t keyOfPlacement(const Placement& placement) {
  KeyBuilder key;
  for (const Vec3& v : {placement.position, placement.turn, placement.scale}) key.add(v.x()).add(v.y()).add(v.z());
  return key.key();
}

std::uint64_t keyOfSite(const DemandSite& site) {
  KeyBuilder key;
  key.add(site.lowest);
  for (const Polygons& layer : site.layers) key.add(keyOf(layer));
  return key.key();
}

// What of the barred surface a site's column may meet.
std::uint64_t keyOfBarred(const std::vector<Polygons>& barred, const DemandSite& site, double spread) {
  Box2 reach;
  for (const Polygons& layer : site.layers) reach.extend(boundsOf(layer));
  reach = Box2(reach.min().array() - spread, reach.max().array() + spread);
  KeyBuilder key;
  for (std::size_t l = 0; l < barred.size() && l <= site.highest(); ++l)
    if (!barred[l].empty() && boundsOf(barred[l]).intersects(reach)) key.add(l).add(keyOf(barred[l]));
  return key.key();
}

// All that columns depend on besides their site and the obstacles.
std::uint64_t keyOfRules(const SupportRules& rules) {
  return KeyBuilder()
      .add(rules.on).add(rules.source).add(rules.footing).add(rules.freeLean)
      .add(rules.gapAbove).add(rules.gapBelow).add(rules.gapBeside)
      .add(rules.interfaceLayers).add(rules.lineWidth).add(rules.thinnest).add(rules.thickest)
      .key();
}

}  // namespace

struct Pipeline::PartCache {
  Memo<TriangleMesh> placed;
  Memo<Slices> slices;
  Memo<std::vector<Polygons>> sections;
  Memo<Overhangs> overhangs;
  Memo<MarkShadows> shadows;
  Memo<std::vector<DemandSite>> sites;
};

// One run: the steps in order, with the clock for each.
struct Pipeline::Run {
  Pipeline& pipeline;
  const Project& project;
  const Progress& progress;
  std::vector<SupportRules> support = {};  // one a part
  std::shared_ptr<Build> build = std::make_shared<Build>();
  std::uint64_t sectionsKey = 0, columnsKey = 0;
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

  void cutPart(std::size_t p) {
    const Part& part = *project.parts[p];
    PartCache& cache = *pipeline.parts_[p];
    PartBuild& out = build->parts[p];
    const std::uint64_t placedKey = KeyBuilder().add(part.mesh->key).add(keyOfPlacement(part.placement)).key();
    out.placed = cache.placed.get(placedKey, [&] { return *transformed(*part.mesh, transformOf(part.placement, *part.mesh)); });
    Looked& looked = pipeline.looked_[part.mesh->key];
    if (!looked.health) {
      looked.figures = std::make_shared<const MeshFigures>(inspect(*part.mesh));
      looked.health = std::make_shared<const MeshHealth>(examine(*part.mesh, progress));
    }
    out.figures = looked.figures;
    out.health = looked.health;
    const LayerRules layers = layerRules(project.settings);
    out.plan = planLayers(out.placed->bounds.max().z(), layers);
    const std::uint64_t key = KeyBuilder().add(placedKey).add(layers.height).add(layers.first).key();
    const auto slices = cache.slices.get(key, [&] { return slice(*out.placed, out.plan.middles(), progress); });
    out.sections = cache.sections.get(key, [&] {
      std::vector<Polygons> sections(slices->sections.size());
      parallelFor(sections.size(), progress, [&](std::size_t i) { sections[i] = simplified(slices->sections[i], outlineTolerance); });
      return sections;
    });
    out.gaps = std::shared_ptr<const std::vector<SliceGap>>(slices, &slices->gaps);
    sectionsKey = KeyBuilder().add(sectionsKey).add(key).key();
  }

  void findDemandOf(std::size_t p) {
    const Part& part = *project.parts[p];
    PartCache& cache = *pipeline.parts_[p];
    PartBuild& out = build->parts[p];
    const SupportRules& rules = support[p];
    const std::uint64_t cut = cache.sections.key();
    out.overhangs = cache.overhangs.get(KeyBuilder().add(cut).add(rules.freeLean).key(),
                                        [&] { return findOverhangs(out.plan, *out.sections, rules.freeLean, progress); });
    out.shadows = cache.shadows.get(KeyBuilder().add(cut).add(part.marks->key()).key(), [&] {
      return castShadows(*part.mesh, transformOf(part.placement, *part.mesh), *part.marks, out.plan.middles(), progress);
    });
    const std::uint64_t key =
        KeyBuilder().add(cache.overhangs.key()).add(cache.shadows.key()).add(rules.source).add(rules.on).key();
    out.sites = cache.sites.get(key, [&] {
      if (!rules.on) return std::vector<DemandSite>();
      return findSites(p, findDemand(*out.overhangs, *out.shadows, rules.source, progress), *out.overhangs, progress);
    });
  }

  void buildColumns() {
    std::vector<PartObstacles> inTheWay;
    std::vector<Polygons> barred(build->plan.count());
    std::vector<const DemandSite*> sites;
    std::uint64_t obstaclesKey = sectionsKey;
    for (std::size_t p = 0; p < build->parts.size(); ++p) {
      const PartBuild& part = build->parts[p];
      inTheWay.push_back({*part.sections, part.overhangs->demand, support[p].gapBeside});
      obstaclesKey = KeyBuilder().add(obstaclesKey).add(support[p].gapBeside).add(support[p].freeLean).key();
      for (std::size_t l = 0; l < part.shadows->barred.size(); ++l)
        barred[l].insert(barred[l].end(), part.shadows->barred[l].begin(), part.shadows->barred[l].end());
      for (const DemandSite& site : *part.sites) sites.push_back(&site);
    }
    if (sites.empty()) return void(columnsKey = 0);
    const auto obstacles = pipeline.obstacles_.get(
        obstaclesKey, [&] { return findObstacles(build->plan, inTheWay, progress); });
    stage("letting supports down", 0.35);
    std::vector<std::uint64_t> keys(sites.size());
    build->columns.resize(sites.size());
    parallelFor(sites.size(), progress, [&](std::size_t i) {
      const SupportRules& rules = support[sites[i]->part];
      keys[i] = KeyBuilder().add(obstaclesKey).add(keyOfRules(rules)).add(sites[i]->part).add(keyOfSite(*sites[i]))
                    .add(keyOfBarred(barred, *sites[i], columnSpread(rules))).key();
      const auto found = pipeline.columns_.find(keys[i]);
      build->columns[i] = found != pipeline.columns_.end()
                              ? found->second
                              : std::make_shared<const Column>(buildColumn(*sites[i], *obstacles, barred, rules, progress));
    });
    pipeline.columns_.clear();
    for (std::size_t i = 0; i < sites.size(); ++i) {
      pipeline.columns_[keys[i]] = build->columns[i];
      columnsKey = KeyBuilder().add(columnsKey).add(keys[i]).key();
    }
  }

  void layPaths() {
    LayerBuilder builder(project, *build, sectionsKey, pipeline.book_, progress);
    std::vector<std::uint64_t> keys(builder.count());
    std::vector<std::shared_ptr<const PrintLayer>> layers(builder.count());
    parallelFor(builder.count(), progress, [&](std::size_t i) {
      keys[i] = builder.keyOf(i);
      const auto found = pipeline.layers_.find(keys[i]);
      layers[i] = found != pipeline.layers_.end() ? found->second : std::make_shared<const PrintLayer>(builder.build(i));
    });
    pipeline.layers_.clear();
    for (std::size_t i = 0; i < layers.size(); ++i) pipeline.layers_[keys[i]] = layers[i];
    std::erase_if(layers, [](const auto& layer) { return layer->runs.empty(); });
    build->print.layers = std::move(layers);
  }

  BuildPtr all() {
    while (pipeline.parts_.size() < project.parts.size()) pipeline.parts_.push_back(std::make_unique<PartCache>());
    pipeline.parts_.resize(project.parts.size());
    build->parts.resize(project.parts.size());
    for (std::size_t p = 0; p < project.parts.size(); ++p) support.push_back(supportRules(settingsOf(project, p)));
    progress.report(0, running);
    for (std::size_t p = 0; p < project.parts.size(); ++p) {
      cutPart(p);
      if (build->parts[p].plan.count() > build->plan.count()) build->plan = build->parts[p].plan;
    }
    stage("finding overhangs", 0.15);
    for (std::size_t p = 0; p < project.parts.size(); ++p) findDemandOf(p);
    stage("keeping clear", 0.25);
    buildColumns();
    stage("joining supports", 0.5);
    build->support = pipeline.support_.get(columnsKey, [&] { return assembleSupport(build->columns, progress); });
    stage("laying lines", 0.6);
    layPaths();
    stage("counting", 0.98);
    build->tally = tallyOf(build->print, build->support->pieces.size(), motionRules(project.settings));
    build->findings = findProblems(project, *build, support);
    stage("done", 1);
    return build;
  }
};

Pipeline::Pipeline() = default;
Pipeline::~Pipeline() = default;

BuildPtr Pipeline::run(const Project& project, const Progress& progress) { return Run{*this, project, progress}.all(); }

}  // namespace trellis
