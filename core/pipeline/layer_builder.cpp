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

}  // namespace

LayerBuilder::LayerBuilder(const Project& project, const Build& build, const SupportRules& support, RegionBook& book,
                           const Progress& progress)
    : project_(project), build_(build), book_(book), part_(partRules(project.settings)),
      supportPaths_(supportPathRules(project.settings)), motion_(motionRules(project.settings)),
      rulesKey_(keyOfRules(project.settings, project.parts)) {
  std::map<std::pair<long long, long long>, Entry> byHeight;  // by top, then by bottom
  std::map<long long, std::ptrdiff_t> supportTops;
  const auto& layers = build.support->layers;
  for (std::size_t s = 0; s < layers.size(); ++s) {
    Entry& entry = byHeight[{nanometres(layers[s].top), nanometres(layers[s].bottom)}];
    entry.bottom = layers[s].bottom;
    entry.top = layers[s].top;
    entry.supportLayer = static_cast<std::ptrdiff_t>(s);
    supportTops[nanometres(layers[s].top)] = entry.supportLayer;
  }
  for (std::size_t l = 0; l < build.plan.count(); ++l) {
    const LayerSpan& span = build.plan.spans[l];
    Entry& entry = byHeight[{nanometres(span.top), nanometres(span.bottom)}];
    entry.bottom = span.bottom;
    entry.top = span.top;
    entry.partLayer = static_cast<std::ptrdiff_t>(l);
    const auto found = supportTops.find(nanometres(span.bottom - support.gapAbove));
    if (found != supportTops.end()) entry.carrying = found->second;
  }
  for (const auto& [height, entry] : byHeight) entries_.push_back(entry);
  fillBook(book, progress);
}

void LayerBuilder::fillBook(RegionBook& book, const Progress& progress) const {
  RegionBook used;
  std::vector<const PieceRegion*> fresh;
  for (const SupportLayer& layer : build_.support->layers)
    for (const PieceRegion& region : layer.regions) {
      const auto [entry, isNew] = used.try_emplace(region.key);
      if (!isNew) continue;
      const auto known = book.find(region.key);
      if (known != book.end())
        entry->second = known->second;
      else
        fresh.push_back(&region);
    }
  std::vector<std::shared_ptr<const Stages>> paths(fresh.size());
  parallelFor(fresh.size(), progress, [&](std::size_t i) {
    paths[i] = std::make_shared<const Stages>(regionPaths(fresh[i]->area, fresh[i]->interface, supportPaths_));
  });
  for (std::size_t i = 0; i < fresh.size(); ++i) used[fresh[i]->key] = paths[i];
  book = std::move(used);
}

std::uint64_t LayerBuilder::keyOf(std::size_t i) const {
  const Entry& entry = entries_[i];
  const auto& layers = build_.support->layers;
  KeyBuilder key;
  key.add(rulesKey_).add(entry.partLayer).add(entry.bottom).add(entry.top);
  for (const std::ptrdiff_t s : {entry.supportLayer, entry.carrying})
    key.add(s < 0 ? std::uint64_t{0} : layers[static_cast<std::size_t>(s)].key);
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
  const double w = part_.lineWidth;
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
    for (const PieceRegion& region : support.regions) paths.push_back(book_.at(region.key).get());
    groups = supportGroups(support, paths);
  }
  if (entry.partLayer >= 0) {
    const Polygons carried = entry.carrying >= 0 ? regionsOf(supportLayers[static_cast<std::size_t>(entry.carrying)]) : Polygons{};
    for (std::size_t p = 0; p < build_.parts.size(); ++p) {
      const auto l = static_cast<std::size_t>(entry.partLayer);
      if (l >= build_.parts[p].sections->size()) continue;
      PartPaths paths = partPaths(p, *build_.parts[p].sections, l, carried, part_);
      std::move(paths.groups.begin(), paths.groups.end(), std::back_inserter(groups));
      layer.tooThin.insert(layer.tooThin.end(), paths.tooThin.begin(), paths.tooThin.end());
    }
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
