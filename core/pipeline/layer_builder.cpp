// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/pipeline/layer_builder.hpp"

#include "core/base/hash.hpp"
#include "core/base/parallel.hpp"
#include "core/slice/polygon_key.hpp"

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
void keepOrMake(std::unordered_map<std::uint64_t, std::shared_ptr<const Value>>& known, const std::vector<std::uint64_t>& keys,
                const Progress& progress, const Make& make) {
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

LayerBuilder::LayerBuilder(const Project& project, const Build& build, std::uint64_t sectionsKey, PathBook& book,
                           const Progress& progress)
    : project_(project), build_(build), motion_(motionRules(project.settings)), sectionsKey_(sectionsKey),
      rulesKey_(keyOfRules(project.settings, project.parts)) {
  for (std::size_t p = 0; p < project.parts.size(); ++p) {
    const Settings settings = settingsOf(project, p);
    const PartRules paths = partRules(settings);
    const SupportPathRules supports = supportPathRules(settings);
    parts_.push_back({paths, supports, supportRules(settings).gapAbove,
                      KeyBuilder().add(paths.lineWidth).add(paths.walls).add(paths.skinTop).add(paths.skinBottom).add(paths.infillDensity).key(),
                      KeyBuilder().add(supports.lineWidth).add(supports.bodySpacing).add(supports.bodyWalls).add(supports.interfaceSpacing).key()});
    rulesKey_ = KeyBuilder().add(rulesKey_).add(parts_[p].pathsKey).add(parts_[p].supportPathsKey).key();
  }
  findEntries();
  layRegions(book, progress);
  layParts(book, progress);
}

void LayerBuilder::findEntries() {
  std::map<std::pair<long long, long long>, Entry> byHeight;  // by top, then by bottom
  std::map<long long, std::ptrdiff_t> supportTops;
  const auto& layers = build_.support->layers;
  for (std::size_t s = 0; s < layers.size(); ++s) {
    Entry& entry = byHeight[{nanometres(layers[s].top), nanometres(layers[s].bottom)}];
    entry.bottom = layers[s].bottom;
    entry.top = layers[s].top;
    entry.supportLayer = static_cast<std::ptrdiff_t>(s);
    supportTops[nanometres(layers[s].top)] = entry.supportLayer;
  }
  for (std::size_t l = 0; l < build_.plan.count(); ++l) {
    const LayerSpan& span = build_.plan.spans[l];
    Entry& entry = byHeight[{nanometres(span.top), nanometres(span.bottom)}];
    entry.bottom = span.bottom;
    entry.top = span.top;
    entry.partLayer = static_cast<std::ptrdiff_t>(l);
    for (const PartSettings& part : parts_) {
      const auto found = supportTops.find(nanometres(span.bottom - part.gapAbove));
      entry.carrying.push_back(found == supportTops.end() ? -1 : found->second);
    }
  }
  for (auto& [height, entry] : byHeight) entries_.push_back(std::move(entry));
}

void LayerBuilder::layRegions(PathBook& book, const Progress& progress) {
  std::vector<const PieceRegion*> regions;
  std::vector<std::uint64_t> keys;
  for (const SupportLayer& layer : build_.support->layers)
    for (const PieceRegion& region : layer.regions) {
      regions.push_back(&region);
      keys.push_back(KeyBuilder().add(parts_[region.part].supportPathsKey).add(region.key).key());
    }
  keepOrMake(book.regions, keys, progress, [&](std::size_t i) {
    return regionPaths(regions[i]->area, regions[i]->interface, parts_[regions[i]->part].supportPaths);
  });
  for (std::size_t i = 0; i < regions.size(); ++i) regionPaths_[regions[i]] = book.regions.at(keys[i]).get();
}

void LayerBuilder::layParts(PathBook& book, const Progress& progress) {
  std::vector<Entry*> layers;
  std::vector<std::uint64_t> keys;
  for (Entry& entry : entries_) {
    if (entry.partLayer < 0) continue;
    KeyBuilder key;
    key.add(sectionsKey_).add(entry.partLayer);
    for (std::size_t p = 0; p < parts_.size(); ++p) key.add(parts_[p].pathsKey).add(trellis::keyOf(carriedUnder(entry, p)));
    layers.push_back(&entry);
    keys.push_back(key.key());
  }
  keepOrMake(book.partLayers, keys, progress, [&](std::size_t i) {
    const auto l = static_cast<std::size_t>(layers[i]->partLayer);
    std::vector<PartPaths> paths;
    for (std::size_t p = 0; p < build_.parts.size(); ++p) {
      const std::vector<Polygons>& sections = *build_.parts[p].sections;
      if (l < sections.size()) paths.push_back(partPaths(p, sections, l, carriedUnder(*layers[i], p), parts_[p].paths));
    }
    return paths;
  });
  for (std::size_t i = 0; i < layers.size(); ++i) layers[i]->partPaths = book.partLayers.at(keys[i]);
}

Polygons LayerBuilder::carriedUnder(const Entry& entry, std::size_t part) const {
  return entry.carrying[part] < 0 ? Polygons{} : regionsOf(build_.support->layers[static_cast<std::size_t>(entry.carrying[part])]);
}

std::uint64_t LayerBuilder::keyOf(std::size_t i) const {
  const Entry& entry = entries_[i];
  const auto& layers = build_.support->layers;
  KeyBuilder key;
  key.add(sectionsKey_).add(rulesKey_).add(entry.partLayer).add(entry.bottom).add(entry.top);
  const auto addLayer = [&](std::ptrdiff_t s) { key.add(s < 0 ? std::uint64_t{0} : layers[static_cast<std::size_t>(s)].key); };
  addLayer(entry.supportLayer);
  for (const std::ptrdiff_t s : entry.carrying) addLayer(s);
  if (i == 0)  // the skirt goes round everything on the plate
    for (const SupportLayer& layer : layers)
      if (layer.bottom < 1e-6) key.add(layer.key);
  return key.key();
}

PathGroup LayerBuilder::skirt() const {
  const Settings& settings = project_.settings;
  Polygons covered;
  for (const PartBuild& part : build_.parts)
    if (!part.sections->empty()) covered = unite(covered, part.sections->front());
  for (const SupportLayer& layer : build_.support->layers)
    if (layer.bottom < 1e-6) covered = unite(covered, regionsOf(layer));
  PathGroup group;
  const double w = settings.number("line.width");
  for (int loop = settings.whole("skirt.loops"); loop-- > 0;) {
    std::vector<Path>& paths = group.stages.emplace_back();
    for (const Polygon& outline : simplified(grow(covered, settings.number("skirt.distance") + w * (loop + 0.5)), 0.01))
      if (ClipperLib::Orientation(outline)) paths.push_back({Feature::skirt, w, true, outline});
  }
  return group;
}

PrintLayer LayerBuilder::build(std::size_t i) const {
  const Entry& entry = entries_[i];
  const auto& supportLayers = build_.support->layers;
  PrintLayer layer{entry.bottom, entry.top, entry.partLayer < 0, {}, {}, {}};
  std::vector<PathGroup> groups;
  if (entry.supportLayer >= 0) {
    const SupportLayer& support = supportLayers[static_cast<std::size_t>(entry.supportLayer)];
    std::vector<const Stages*> paths;
    for (const PieceRegion& region : support.regions) paths.push_back(regionPaths_.at(&region));
    groups = supportGroups(support, paths);
  }
  if (entry.partPaths)
    for (const PartPaths& paths : *entry.partPaths) {
      groups.insert(groups.end(), paths.groups.begin(), paths.groups.end());
      layer.tooThin.insert(layer.tooThin.end(), paths.tooThin.begin(), paths.tooThin.end());
    }
  layer.runs = orderPaths(groups);
  if (i == 0) {
    const std::vector<Run> first = orderPaths({skirt()});
    layer.runs.insert(layer.runs.begin(), first.begin(), first.end());
  }
  layer.use = useOf(layer.runs, layer.top - layer.bottom, isFirst(entry), motion_);
  return layer;
}

}  // namespace trellis
