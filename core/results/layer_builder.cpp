// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/results/layer_builder.hpp"

#include "core/base/key.hpp"
#include "core/base/parallel.hpp"
#include "core/geometry/polygon_key.hpp"

#include <algorithm>
#include <cmath>
#include <map>

namespace trellis {

namespace {

long long nanometres(double mm) { return std::llround(mm * 1e6); }

std::uint64_t keyOfRules(const Settings& settings, const std::vector<PartPtr>& parts) {
  // Everything but the supports' own settings and the texts shapes lines or time; cheaper to say than to list.
  KeyBuilder key;
  for (const SettingRow& row : settingsTable())
    if (const auto* number = std::get_if<double>(&settings.value(row.key))) key.add(*number);
  return key.add(parts.size()).key();
}

Polygons regionsOf(const SupportLayer& layer) {
  Polygons all;
  for (const PieceRegion& region : layer.regions) all.insert(all.end(), region.area.begin(), region.area.end());
  return all;
}

// Of a map's values keeps those whose keys are asked for, and makes the others, each key once.
template <typename Value, typename Make>
void keepOrMake(std::unordered_map<std::uint64_t, std::shared_ptr<const Value>>& known,
                const std::vector<std::uint64_t>& keys, const Progress& progress, const Make& make) {
  std::unordered_map<std::uint64_t, std::shared_ptr<const Value>> used;
  std::vector<std::size_t> fresh;
  for (std::size_t i = 0; i < keys.size(); ++i) {
    const auto found = known.find(keys[i]);
    const auto [entry, isNew] = used.try_emplace(keys[i], found == known.end() ? nullptr : found->second);
    if (isNew && !entry->second) fresh.push_back(i);
  }
  std::vector<std::shared_ptr<const Value>> made(fresh.size());
  parallelFor(fresh.size(), progress, [&](std::size_t k) { made[k] = std::make_shared<const Value>(make(fresh[k])); });
  for (std::size_t k = 0; k < fresh.size(); ++k) used[keys[fresh[k]]] = std::move(made[k]);
  known = std::move(used);
}

}  // namespace

LayerBuilder::LayerBuilder(const Project& project, const Build& build, const std::vector<int>& bodyTools,
                           std::uint64_t sectionsKey, PathCache& book, const Progress& progress)
    : project_(project),
      build_(build),
      bodyTools_(bodyTools),
      motion_(motionRules(project.settings)),
      adhesion_(adhesionRules(project.settings)),
      towerRules_(towerRules(project.settings)),
      floor_(supportRules(project.settings).floor),
      sectionsKey_(sectionsKey),
      rulesKey_(KeyBuilder().add(keyOfRules(project.settings, project.parts)).add(adhesion_.brimSide).key()) {
  for (const PartPtr& part : project.parts) {
    const PartRules paths = partRules(project.settings.with(part->settings));
    parts_.push_back({paths,
                      {},
                      KeyBuilder()
                          .add(paths.lineWidth)
                          .add(paths.walls)
                          .add(paths.skinTop)
                          .add(paths.skinBottom)
                          .add(paths.infillDensity)
                          .key()});
    rulesKey_ = KeyBuilder().add(rulesKey_).add(parts_.back().key).key();
  }
  for (const RuleSet& rules : build.rules) {
    const SupportPathRules paths = supportPathRules(rules.settings);
    supports_.push_back({paths, interfaceTool(rules.settings),
                         KeyBuilder()
                             .add(paths.lineWidth)
                             .add(paths.bodySpacing)
                             .add(paths.bodyWalls)
                             .add(paths.interfaceSpacing)
                             .add(paths.lowerSpacing)
                             .add(paths.gradedSpacing)
                             .add(paths.body)
                             .add(paths.upper)
                             .add(paths.lower)
                             .add(paths.layerHeight)
                             .add(paths.branchWalls)
                             .add(paths.innerSpacing)
                             .key()});
    rulesKey_ = KeyBuilder().add(rulesKey_).add(supports_.back().key).key();
    std::vector<double>& gaps = parts_[rules.part].gapsAbove;
    if (std::find(gaps.begin(), gaps.end(), rules.support.gapAbove) == gaps.end())
      gaps.push_back(rules.support.gapAbove);
  }
  findEntries();
  layRegions(book, progress);
  layParts(book, progress);
  planTools();
}

void LayerBuilder::findEntries() {
  std::map<std::pair<long long, long long>, Entry> byHeight;  // by top, then by bottom
  std::multimap<long long, std::size_t> supportTops;
  const auto& layers = build_.support->layers;
  for (std::size_t s = 0; s < layers.size(); ++s) {
    Entry& entry = byHeight[{nanometres(layers[s].top), nanometres(layers[s].bottom)}];
    entry.bottom = layers[s].bottom;
    entry.top = layers[s].top;
    entry.supportLayer = static_cast<std::ptrdiff_t>(s);
    supportTops.emplace(nanometres(layers[s].top), s);
  }
  for (std::size_t l = 0; l < build_.plan.count(); ++l) {
    const LayerSpan& span = build_.plan.spans[l];
    Entry& entry = byHeight[{nanometres(span.top), nanometres(span.bottom)}];
    entry.bottom = span.bottom;
    entry.top = span.top;
    entry.partLayer = static_cast<std::ptrdiff_t>(l);
    for (const PartSettings& part : parts_) {
      std::vector<std::size_t>& carrying = entry.carrying.emplace_back();
      for (const double gap : part.gapsAbove) {
        const auto [first, last] = supportTops.equal_range(nanometres(span.bottom - gap));
        for (auto under = first; under != last; ++under) carrying.push_back(under->second);
      }
    }
  }
  const std::vector<LayerSpan> bed = bedSpans(adhesion_, layerRules(project_.settings));
  for (std::size_t k = 0; k < bed.size(); ++k) {
    Entry& entry = byHeight[{nanometres(bed[k].top), nanometres(bed[k].bottom)}];
    entry.bottom = bed[k].bottom;
    entry.top = bed[k].top;
    entry.bedLayer = static_cast<std::ptrdiff_t>(k);
  }
  if (!bed.empty()) {
    const auto [parts, supports] = standing();
    bed_ = bedOutline(unite(parts, supports), adhesion_);
  }
  for (auto& [height, entry] : byHeight) entries_.push_back(std::move(entry));
  if (!entries_.empty()) lowest_ = std::min(0.0, entries_.front().bottom);
}

void LayerBuilder::layRegions(PathCache& book, const Progress& progress) {
  std::vector<const PieceRegion*> regions;
  std::vector<double> tops;
  std::vector<std::uint64_t> keys;
  for (const SupportLayer& layer : build_.support->layers)
    for (const PieceRegion& region : layer.regions) {
      const SupportPathRules& rules = supports_[region.rules].paths;
      regions.push_back(&region);
      tops.push_back(layer.top);
      keys.push_back(
          KeyBuilder().add(supports_[region.rules].key).add(region.key).add(crossingOf(layer.top, rules)).key());
    }
  keepOrMake(book.regions, keys, progress,
             [&](std::size_t i) { return regionPaths(*regions[i], tops[i], supports_[regions[i]->rules].paths); });
  for (std::size_t i = 0; i < regions.size(); ++i) regionPaths_[regions[i]] = book.regions.at(keys[i]).get();
}

void LayerBuilder::layParts(PathCache& book, const Progress& progress) {
  std::vector<Entry*> layers;
  std::vector<std::uint64_t> keys;
  for (Entry& entry : entries_) {
    if (entry.partLayer < 0) continue;
    KeyBuilder key;
    key.add(sectionsKey_).add(entry.partLayer);
    for (std::size_t p = 0; p < parts_.size(); ++p) key.add(parts_[p].key).add(trellis::keyOf(carriedUnder(entry, p)));
    layers.push_back(&entry);
    keys.push_back(key.key());
  }
  keepOrMake(book.partLayers, keys, progress, [&](std::size_t i) {
    const auto l = static_cast<std::size_t>(layers[i]->partLayer);
    std::vector<PartPaths> paths;
    for (std::size_t p = 0; p < build_.parts.size(); ++p) {
      const std::vector<Polygons>& sections = *build_.parts[p].sections;
      if (l < sections.size())
        paths.push_back(
            partPaths(p, sections, *build_.parts[p].buried, l, carriedUnder(*layers[i], p), parts_[p].paths));
    }
    return paths;
  });
  for (std::size_t i = 0; i < layers.size(); ++i) layers[i]->partPaths = book.partLayers.at(keys[i]);
}

Polygons LayerBuilder::carriedUnder(const Entry& entry, std::size_t part) const {
  Polygons all;
  for (const std::size_t under : entry.carrying[part]) {
    const Polygons regions = regionsOf(build_.support->layers[under]);
    all.insert(all.end(), regions.begin(), regions.end());
  }
  return all;
}

std::uint64_t LayerBuilder::keyOf(std::size_t i) const {
  const Entry& entry = entries_[i];
  const auto& layers = build_.support->layers;
  KeyBuilder key;
  key.add(sectionsKey_).add(rulesKey_).add(entry.partLayer).add(entry.bottom).add(entry.top);
  key.add(entry.supportLayer < 0 ? std::uint64_t{0} : layers[static_cast<std::size_t>(entry.supportLayer)].key);
  for (const std::vector<std::size_t>& carrying : entry.carrying) {
    key.add(carrying.size());
    for (const std::size_t under : carrying) key.add(layers[under].key);
  }
  if (i == 0)  // the skirt goes round everything on the plate
    for (const SupportLayer& layer : layers)
      if (layer.bottom < floor_ + 1e-6) key.add(layer.key);
  if (i == 0 || entry.bedLayer >= 0) key.add(entry.bedLayer).add(trellis::keyOf(bed_));
  if (entry.lastTool == 0 && entry.firstTool == 0 && entry.slabs.empty()) return key.key();
  key.add(entry.firstTool).add(entry.lastTool).add(tower_.columns).add(towerCorner_.x()).add(towerCorner_.y());
  for (const TowerSlab& slab : entry.slabs) key.add(slab.column).add(slab.bottom).add(slab.purged);
  if (entry.supportLayer >= 0)
    for (const PieceRegion& region : layers[static_cast<std::size_t>(entry.supportLayer)].regions)
      key.add(toolOf(region));
  return key.key();
}

// Footprints on the plate or the bed, parts and supports apart.
std::pair<Polygons, Polygons> LayerBuilder::standing() const {
  Polygons parts, supports;
  for (const PartBuild& part : build_.parts)
    if (!part.sections->empty()) parts = unite(parts, part.sections->front());
  for (const SupportLayer& layer : build_.support->layers)
    if (layer.bottom < floor_ + 1e-6) supports = unite(supports, regionsOf(layer));
  return {parts, supports};
}

// Skirt, and brim where there is no bed: what is laid on the plate first.
std::vector<PathGroup> LayerBuilder::aroundEverything() const {
  const auto [parts, supports] = standing();
  Polygons covered = bed_.empty() ? unite(unite(parts, supports), brimReach(parts, adhesion_)) : bed_;
  if (tower_.columns > 0) covered = unite(covered, rectangle({towerCorner_, towerCorner_ + tower_.size()}));
  std::vector<PathGroup> groups{skirtLines(covered, adhesion_)};
  if (bed_.empty()) groups.push_back(brimLines(parts, supports, adhesion_));
  return groups;
}

int LayerBuilder::toolOf(const PieceRegion& region) const {
  const bool isInterface = region.kind == RegionKind::interfaceUpper || region.kind == RegionKind::interfaceLower;
  return isInterface ? supports_[region.rules].interfaceTool : bodyTools_[region.piece];
}

// Which filament each layer begins and ends with, so that none is changed without need, and the tower for the changes.
void LayerBuilder::planTools() {
  int tool = 0;
  std::vector<TowerLayer> tower;
  for (Entry& entry : entries_) {
    std::array<bool, 2> used{entry.bedLayer >= 0 || (entry.bottom < lowest_ + 1e-6), false};
    if (entry.partPaths)
      used[0] = used[0] || std::any_of(entry.partPaths->begin(), entry.partPaths->end(),
                                       [](const PartPaths& paths) { return !paths.groups.empty(); });
    if (entry.supportLayer >= 0) {
      const SupportLayer& layer = build_.support->layers[static_cast<std::size_t>(entry.supportLayer)];
      for (const PieceRegion& region : layer.regions) used[static_cast<std::size_t>(toolOf(region))] = true;
      for (const TieGroup& ties : layer.ties)
        used[static_cast<std::size_t>(supports_[ties.rules].interfaceTool)] = true;
    }
    const int before = tool;
    entry.firstTool =
        used[static_cast<std::size_t>(tool)] || !used[static_cast<std::size_t>(1 - tool)] ? tool : 1 - tool;
    entry.lastTool = tool = used[static_cast<std::size_t>(1 - entry.firstTool)] ? 1 - entry.firstTool : entry.firstTool;
    tower.push_back({entry.bottom, entry.top, entry.lastTool != before});
  }
  tower_ = planTower(tower, towerRules_);
  if (tower_.columns == 0) return;
  for (std::size_t i = 0; i < tower_.slabs.size(); ++i) entries_[i].slabs = tower_.slabs[i];
  std::vector<Box2> taken;
  for (const PartBuild& part : build_.parts)
    taken.emplace_back(part.placed->bounds.min().head<2>(), part.placed->bounds.max().head<2>());
  for (const SupportLayer& layer : build_.support->layers)
    for (const PieceRegion& region : layer.regions) taken.push_back(boundsOf(region.area));
  if (!bed_.empty()) taken.push_back(boundsOf(bed_));
  const Settings& settings = project_.settings;
  const double margin =
      3 + adhesion_.brimWidth + (adhesion_.skirtLoops > 0 ? adhesion_.lineWidth * adhesion_.skirtLoops : 0);
  const auto place =
      freePlace(tower_.size(), taken, {settings.number("machine.width"), settings.number("machine.depth")}, margin);
  towerHasRoom_ = place.has_value();
  towerCorner_ = place.value_or(Vec2::Zero());
}

std::vector<PathGroup> LayerBuilder::groupsOf(const Entry& entry, PrintLayer& layer) const {
  std::vector<PathGroup> groups;
  if (entry.bedLayer >= 0) groups.push_back(bedLines(bed_, static_cast<std::size_t>(entry.bedLayer), adhesion_));
  if (entry.supportLayer >= 0) {
    const SupportLayer& support = build_.support->layers[static_cast<std::size_t>(entry.supportLayer)];
    std::vector<RegionPrint> regions, ties;
    for (const PieceRegion& region : support.regions) regions.push_back({regionPaths_.at(&region), 0, toolOf(region)});
    for (const TieGroup& tie : support.ties)
      ties.push_back({nullptr, supports_[tie.rules].paths.lineWidth, supports_[tie.rules].interfaceTool});
    groups = supportGroups(support, regions, ties);
  }
  if (entry.partPaths)
    for (const PartPaths& paths : *entry.partPaths) {
      groups.insert(groups.end(), paths.groups.begin(), paths.groups.end());
      layer.tooThin.insert(layer.tooThin.end(), paths.tooThin.begin(), paths.tooThin.end());
    }
  return groups;
}

PrintLayer LayerBuilder::build(std::size_t i) const {
  const Entry& entry = entries_[i];
  PrintLayer layer{entry.bottom, entry.top, entry.partLayer < 0, {}, {}, {}};
  const auto append = [&](const std::vector<PathGroup>& groups) {
    std::vector<Run> runs = orderPaths(groups);
    std::move(runs.begin(), runs.end(), std::back_inserter(layer.runs));
  };
  if (i == 0)
    for (const PathGroup& group : aroundEverything()) append({group});
  std::vector<PathGroup> byTool[2];
  for (PathGroup& group : groupsOf(entry, layer)) byTool[group.tool].push_back(std::move(group));
  PathGroup tower{{}, {}, entry.lastTool};
  for (const TowerSlab& slab : entry.slabs)
    tower.stages.push_back(towerLoops(tower_, slab, entry.top, towerCorner_, towerRules_));
  if (entry.firstTool != entry.lastTool) append(byTool[entry.firstTool]);
  append({tower});
  append(byTool[entry.lastTool]);
  layer.use = useOf(layer.runs, layer.top - layer.bottom, entry.bottom < lowest_ + 1e-6, motion_);
  return layer;
}

}  // namespace trellis
