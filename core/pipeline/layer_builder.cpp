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
  for (const PartPtr& part : project.parts) {
    const PartRules paths = partRules(project.settings.with(part->settings));
    parts_.push_back({paths, {}, KeyBuilder().add(paths.lineWidth).add(paths.walls).add(paths.skinTop).add(paths.skinBottom).add(paths.infillDensity).key()});
    rulesKey_ = KeyBuilder().add(rulesKey_).add(parts_.back().key).key();
  }
  for (const RuleSet& rules : build.rules) {
    const SupportPathRules paths = supportPathRules(rules.settings);
    supports_.push_back({paths, KeyBuilder().add(paths.lineWidth).add(paths.bodySpacing).add(paths.bodyWalls).add(paths.interfaceSpacing).add(paths.lowerSpacing)
                                     .add(paths.gradedSpacing).add(paths.body).add(paths.upper).add(paths.lower).add(paths.layerHeight).key()});
    rulesKey_ = KeyBuilder().add(rulesKey_).add(supports_.back().key).key();
    std::vector<double>& gaps = parts_[rules.part].gapsAbove;
    if (std::find(gaps.begin(), gaps.end(), rules.support.gapAbove) == gaps.end()) gaps.push_back(rules.support.gapAbove);
  }
  findEntries();
  layRegions(book, progress);
  layParts(book, progress);
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
  for (auto& [height, entry] : byHeight) entries_.push_back(std::move(entry));
}

void LayerBuilder::layRegions(PathBook& book, const Progress& progress) {
  std::vector<const PieceRegion*> regions;
  std::vector<double> tops;
  std::vector<std::uint64_t> keys;
  for (const SupportLayer& layer : build_.support->layers)
    for (const PieceRegion& region : layer.regions) {
      const SupportPathRules& rules = supports_[region.rules].paths;
      regions.push_back(&region);
      tops.push_back(layer.top);
      keys.push_back(KeyBuilder().add(supports_[region.rules].key).add(region.key).add(crossingOf(layer.top, rules)).key());
    }
  keepOrMake(book.regions, keys, progress, [&](std::size_t i) {
    return regionPaths(*regions[i], tops[i], supports_[regions[i]->rules].paths);
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
    for (std::size_t p = 0; p < parts_.size(); ++p) key.add(parts_[p].key).add(trellis::keyOf(carriedUnder(entry, p)));
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
      if (layer.bottom < 1e-6) key.add(layer.key);
  return key.key();
}

namespace {

// Lines around outlines, or inside their holes, the innermost first, each so far from the part as its middle is.
Polygons brimLines(const Polygons& parts, const Settings& settings) {
  const double w = settings.number("line.width"), gap = settings.number("brim.gap");
  const std::string& side = settings.text("brim.side");
  Polygons outer, holes, lines;
  for (Polygon outline : parts) {
    const bool isOuter = ClipperLib::Orientation(outline);
    if (!isOuter) ClipperLib::ReversePath(outline);
    (isOuter ? outer : holes).push_back(std::move(outline));
  }
  for (double out = gap + w / 2; out < gap + settings.number("brim.width"); out += w) {
    if (side != "inside")
      for (Polygon& loop : simplified(grow(unite(outer), out), 0.01)) lines.push_back(std::move(loop));
    if (side != "outside")
      for (Polygon& loop : simplified(grow(holes, -out), 0.01)) lines.push_back(std::move(loop));
  }
  return lines;
}

}  // namespace

// Brim and skirt: what is laid on the plate around parts and supports. Supports keep their place; the brim ends
// beside them.
std::vector<PathGroup> LayerBuilder::aroundEverything() const {
  const Settings& settings = project_.settings;
  const double w = settings.number("line.width");
  Polygons parts, supports;
  for (const PartBuild& part : build_.parts)
    if (!part.sections->empty()) parts = unite(parts, part.sections->front());
  for (const SupportLayer& layer : build_.support->layers)
    if (layer.bottom < 1e-6) supports = unite(supports, regionsOf(layer));
  PathGroup skirt, brim;
  Polygons covered = unite(parts, supports);
  const Polygons loops = brimLines(parts, settings);
  if (!loops.empty()) {
    std::vector<Path>& paths = brim.stages.emplace_back();
    const Polygons kept = grow(unite(supports, grow(parts, settings.number("brim.gap"))), w / 2 - 1e-3);
    for (const Polygon& loop : loops) {
      const Polygons outside = linesOutside(asLines({loop}), kept);
      const bool isWhole = outside.size() == 1 && outside.front().front() == outside.front().back();
      if (isWhole)
        paths.push_back({Feature::brim, w, true, loop});
      else
        for (const Polygon& line : outside) paths.push_back({Feature::brim, w, false, line});
    }
    covered = unite(covered, grow(parts, settings.number("brim.gap") + settings.number("brim.width")));
  }
  for (int loop = settings.whole("skirt.loops"); loop-- > 0;) {
    std::vector<Path>& paths = skirt.stages.emplace_back();
    for (const Polygon& outline : simplified(grow(covered, settings.number("skirt.distance") + w * (loop + 0.5)), 0.01))
      if (ClipperLib::Orientation(outline)) paths.push_back({Feature::skirt, w, true, outline});
  }
  return {skirt, brim};
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
    std::vector<double> tieWidths;
    for (const TieGroup& ties : support.ties) tieWidths.push_back(supports_[ties.rules].paths.lineWidth);
    groups = supportGroups(support, paths, tieWidths);
  }
  if (entry.partPaths)
    for (const PartPaths& paths : *entry.partPaths) {
      groups.insert(groups.end(), paths.groups.begin(), paths.groups.end());
      layer.tooThin.insert(layer.tooThin.end(), paths.tooThin.begin(), paths.tooThin.end());
    }
  layer.runs = orderPaths(groups);
  if (i == 0) {
    std::vector<Run> first;
    for (const PathGroup& group : aroundEverything()) {
      const std::vector<Run> runs = orderPaths({group});
      first.insert(first.end(), runs.begin(), runs.end());
    }
    layer.runs.insert(layer.runs.begin(), first.begin(), first.end());
  }
  layer.use = useOf(layer.runs, layer.top - layer.bottom, isFirst(entry), motion_);
  return layer;
}

}  // namespace trellis
