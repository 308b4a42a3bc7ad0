// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/results/print_layers.hpp"

#include "core/base/parallel.hpp"
#include "core/document/variants.hpp"
#include "core/gcode/pace.hpp"
#include "core/toolpath/order.hpp"

#include <algorithm>
#include <array>
#include <cmath>
#include <map>

namespace trellis {

namespace {

long long nanometres(double mm) { return std::llround(mm * 1e6); }

Polygons regionsOf(const SupportLayer& layer) {
  Polygons all;
  for (const PieceRegion& region : layer.regions) all.insert(all.end(), region.area.begin(), region.area.end());
  return all;
}

std::vector<Stages> layRegion(const RegionLineInputs& in, const Progress&) {
  return regionPaths(*in.region, in.crossing, in.rules);
}

PartPaths layPart(const PartLineInputs& in, const Progress&) {
  return partPaths(in.sections->layers, *in.buried, in.layer, in.carried, in.rules);
}

std::vector<PathGroup> groupsOf(const PrintLayerInputs& in) {
  std::vector<PathGroup> groups = in.raft;
  std::vector<RegionPrint> regions;
  for (const PrintLayerInputs::Region& region : in.regions)
    regions.push_back({region.lines.value, region.piece, region.filament});
  for (PathGroup& group : supportGroups(regions, in.ties)) groups.push_back(std::move(group));
  for (const PrintLayerInputs::PartLayer& part : in.parts)
    for (PathGroup group : part.paths->groups) {
      group.owner = {Owner::part, part.part};
      groups.push_back(std::move(group));
    }
  return groups;
}

PrintLayer layLayer(const PrintLayerInputs& in, const Progress&) {
  PrintLayer layer;
  layer.bottom = in.bottom;
  layer.top = in.top;
  layer.supportOnly = in.supportOnly;
  layer.beside = in.beside;
  std::vector<PathGroup> all;
  const auto append = [&](std::vector<PathGroup> groups) {
    for (Run& run : orderPaths(groups, in.backwards)) {
      run.group += all.size();
      layer.runs.push_back(std::move(run));
    }
    std::move(groups.begin(), groups.end(), std::back_inserter(all));
  };
  for (const PathGroup& group : in.around) append({group});
  PerFilament<std::vector<PathGroup>> byFilament;
  for (PathGroup& group : groupsOf(in)) byFilament[indexOf(group.filament)].push_back(std::move(group));
  if (in.firstFilament != in.lastFilament) append(std::move(byFilament[indexOf(in.firstFilament)]));
  append({in.tower});
  append(std::move(byFilament[indexOf(in.lastFilament)]));
  for (const PrintLayerInputs::PartLayer& part : in.parts)
    layer.tooThin.insert(layer.tooThin.end(), part.paths->tooThin.begin(), part.paths->tooThin.end());
  std::vector<const Polygons*> islands;
  for (const PathGroup& group : all) islands.push_back(group.island.empty() ? nullptr : &group.island);
  layTravel(layer.runs, islands, in.travel);
  pace(layer, in.isFirst, in.motion);
  return layer;
}

}  // namespace

const Recipe<std::vector<Stages>, RegionLineInputs> regionLines{"region lines", layRegion};
const Recipe<PartPaths, PartLineInputs> partLines{"part lines", layPart};
const Recipe<PrintLayer, PrintLayerInputs> printLayer{"print layer", layLayer};

PrintBuilder::PrintBuilder(Store& store, const Project& project, const Supports& supports,
                           const std::vector<Kept<Sections>>& sections, const Progress& progress)
    : store_(store),
      project_(project),
      supports_(supports),
      progress_(progress),
      motion_(motionRules(project.settings)),
      travel_{motion_.retractOver, project.settings.number("line.width")},
      adhesion_(adhesionRules(project.settings)),
      towerRules_(towerRules(project.settings)),
      floor_(supportRules(project.settings).floor) {
  for (std::size_t p = 0; p < project.parts.size(); ++p) {
    const Box3& bounds = supports.parts[p].placed->bounds;
    parts_.push_back({partRules(settingsOf(project, p)), {}, Box2(bounds.min().head<2>(), bounds.max().head<2>())});
  }
  for (const RuleSet& rules : supports.rules) {
    rules_.push_back({supportPathRules(rules.settings), interfaceFilament(rules.settings)});
    std::vector<double>& gaps = parts_[rules.part].gapsAbove;
    if (std::find(gaps.begin(), gaps.end(), rules.support.gapAbove) == gaps.end())
      gaps.push_back(rules.support.gapAbove);
  }
  findEntries();
  layRegions();
  layParts(sections);
  beside_ = placeBeside();
}

void PrintBuilder::findEntries() {
  std::map<std::pair<long long, long long>, Entry> byHeight;  // by top, then by bottom
  std::multimap<long long, std::size_t> supportTops;
  const auto& layers = supports_.support->layers;
  for (std::size_t s = 0; s < layers.size(); ++s) {
    Entry& entry = byHeight[{nanometres(layers[s].top), nanometres(layers[s].bottom)}];
    entry.bottom = layers[s].bottom;
    entry.top = layers[s].top;
    entry.supportLayer = static_cast<std::ptrdiff_t>(s);
    supportTops.emplace(nanometres(layers[s].top), s);
  }
  for (std::size_t l = 0; l < supports_.plan.count(); ++l) {
    const LayerSpan& span = supports_.plan.spans[l];
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
  const std::vector<LayerSpan> raft = raftSpans(adhesion_, layerRules(project_.settings));
  for (std::size_t k = 0; k < raft.size(); ++k) {
    Entry& entry = byHeight[{nanometres(raft[k].top), nanometres(raft[k].bottom)}];
    entry.bottom = raft[k].bottom;
    entry.top = raft[k].top;
    entry.raftLayer = static_cast<std::ptrdiff_t>(k);
  }
  if (!raft.empty()) {
    const auto [parts, supports] = standing();
    raft_ = raftOutline(unite(parts, supports), adhesion_);
  }
  for (auto& [height, entry] : byHeight) entries_.push_back(std::move(entry));
  if (!entries_.empty()) lowest_ = std::min(0.0, entries_.front().bottom);
}

void PrintBuilder::layRegions() {
  const auto& layers = supports_.support->layers;
  regionLines_.resize(layers.size());
  parallelFor(layers.size(), progress_, [&](std::size_t l) {
    for (const PieceRegion& region : layers[l].regions) {
      SupportPathRules rules = rules_[region.rules].paths;
      if (isFirst(layers[l].bottom)) rules.lineWidth = adhesion_.firstLineWidth;
      const std::shared_ptr<const PieceRegion> shared(supports_.support, &region);
      regionLines_[l].push_back(store_.get(regionLines, {shared, crossingOf(layers[l].top, rules), rules}, progress_));
    }
  });
}

void PrintBuilder::layParts(const std::vector<Kept<Sections>>& sections) {
  std::vector<Kept<std::vector<Polygons>>> buried;
  for (std::size_t p = 0; p < sections.size(); ++p)
    buried.push_back(store_.getAside(partBuried, {sections[p], parts_[p].paths}, progress_));
  parallelFor(entries_.size(), progress_, [&](std::size_t e) {
    Entry& entry = entries_[e];
    if (entry.partLayer < 0) return;
    const auto l = static_cast<std::size_t>(entry.partLayer);
    for (std::size_t p = 0; p < sections.size(); ++p) {
      if (l >= sections[p]->layers.size()) continue;
      PartLineInputs in{sections[p], buried[p], l, carriedUnder(entry, p), parts_[p].paths};
      in.rules.height = entry.top - entry.bottom;
      if (isFirst(entry.bottom)) in.rules.lineWidth = adhesion_.firstLineWidth;
      entry.partPaths.push_back({p, store_.get(partLines, in, progress_)});
    }
  });
}

// Only what may lie under the part, so that support elsewhere on the plate makes nothing of it anew.
Polygons PrintBuilder::carriedUnder(const Entry& entry, std::size_t part) const {
  Polygons all;
  for (const std::size_t under : entry.carrying[part])
    for (const PieceRegion& region : supports_.support->layers[under].regions)
      if (boundsOf(region.area).intersects(parts_[part].reach))
        all.insert(all.end(), region.area.begin(), region.area.end());
  return all;
}

// Footprints on the plate or the raft, parts and supports apart.
std::pair<Polygons, Polygons> PrintBuilder::standing() const {
  Polygons parts, supports;
  for (const PartBuild& part : supports_.parts)
    if (!part.sections->empty()) parts = unite(parts, part.sections->front());
  for (const SupportLayer& layer : supports_.support->layers)
    if (layer.bottom < floor_ + 1e-6) supports = unite(supports, regionsOf(layer));
  return {parts, supports};
}

// What the skirt goes around.
Polygons PrintBuilder::covered(const Polygons& parts, const Polygons& supports) const {
  const Polygons all = raft_.empty() ? unite(unite(parts, supports), brimReach(parts, adhesion_)) : raft_;
  return tower_.columns > 0 ? unite(all, rectangle({towerCorner_, towerCorner_ + tower_.size()})) : all;
}

// Places the plaque, and its letters in the layers that lie right on it; where a raft's gap is all there is, they are
// cut out of it.
void PrintBuilder::raiseCode() {
  if (!adhesion_.raisesCode || entries_.empty()) return;
  const Settings& settings = project_.settings;
  const auto [parts, supports] = standing();
  code_ = raisedCode(codeOf(std::make_shared<const Project>(project_)), covered(parts, supports),
                     {settings.number("machine.width"), settings.number("machine.depth")}, adhesion_);
  codeHasRoom_ = code_.has_value();
  double top = lowest_;
  int raised = 0;
  for (Entry& entry : entries_) {
    const bool isNext = raised <= raisedLayers && std::abs(entry.bottom - top) < 1e-6;
    entry.raised = isNext ? raised++ : -1;
    if (isNext) top = entry.top;
  }
  if (code_ && raised == 1) code_->plaque = subtract(code_->plaque, code_->letters);
}

// Skirt, brim where there is no raft, and the code: what is laid first.
std::vector<PathGroup> PrintBuilder::aroundIn(std::size_t i) const {
  std::vector<PathGroup> groups;
  if (i == 0) {
    const auto [parts, supports] = standing();
    groups.push_back(skirtLines(covered(parts, supports), adhesion_));
    if (raft_.empty()) groups.push_back(brimLines(parts, supports, adhesion_));
  }
  const Entry& entry = entries_[i];
  const double height = entry.top - entry.bottom;
  if (code_ && entry.raised == 0) groups.push_back(plaqueLines(*code_, adhesion_, height));
  if (code_ && entry.raised > 0) groups.push_back(letterLines(*code_, adhesion_, height));
  return groups;
}

// Where the nozzle may wait: over the plate, beside all that stands on it, to the centimetre; over a corner where there
// is no room.
Point PrintBuilder::placeBeside() const {
  constexpr double apart = 5, grid = 10;  // mm
  Box2 all;
  for (const PartBuild& part : supports_.parts) {
    all.extend(Vec2(part.placed->bounds.min().head<2>()));
    all.extend(Vec2(part.placed->bounds.max().head<2>()));
  }
  for (const SupportLayer& layer : supports_.support->layers)
    for (const PieceRegion& region : layer.regions) all.extend(boundsOf(region.area));
  if (all.isEmpty()) return {0, 0};
  const Vec2 plate(project_.settings.number("machine.width"), project_.settings.number("machine.depth"));
  const Vec2 low = (((all.min().array() - apart) / grid).floor() * grid).matrix(),
             high = (((all.max().array() + apart) / grid).ceil() * grid).matrix(),
             middle = ((all.center() / grid).array().round() * grid).matrix();
  for (const Vec2& place :
       {Vec2(low.x(), middle.y()), Vec2(middle.x(), low.y()), Vec2(high.x(), middle.y()), Vec2(middle.x(), high.y())})
    if (Box2(Vec2(0, 0), plate).contains(place)) return toPoint(place);
  return {0, 0};
}

Filament PrintBuilder::filamentOf(const PieceRegion& region, const std::vector<Filament>& bodyFilaments) const {
  return isInterface(region.kind) ? rules_[region.rules].interfaceFilament : bodyFilaments[region.piece];
}

// Which filament each layer begins and ends with, so that none is changed without need, and the tower for the changes.
void PrintBuilder::planFilaments(const std::vector<Filament>& bodyFilaments) {
  for (Entry& entry : entries_) entry.slabs.clear();
  towerHasRoom_ = true;
  Filament now = Filament::first;
  std::vector<TowerLayer> tower;
  for (Entry& entry : entries_) {
    PerFilament<bool> used{entry.raftLayer >= 0 || isFirst(entry.bottom), false};
    used[0] = used[0] || std::any_of(entry.partPaths.begin(), entry.partPaths.end(),
                                     [](const auto& part) { return !part.paths->groups.empty(); });
    if (entry.supportLayer >= 0) {
      const SupportLayer& layer = supports_.support->layers[static_cast<std::size_t>(entry.supportLayer)];
      for (const PieceRegion& region : layer.regions) used[indexOf(filamentOf(region, bodyFilaments))] = true;
      for (const TieGroup& ties : layer.ties) used[indexOf(rules_[ties.rules].interfaceFilament)] = true;
    }
    const Filament before = now, other = otherThan(now);
    entry.firstFilament = used[indexOf(now)] || !used[indexOf(other)] ? now : other;
    now = otherThan(entry.firstFilament);
    if (!used[indexOf(now)]) now = entry.firstFilament;
    entry.lastFilament = now;
    tower.push_back({entry.bottom, entry.top, entry.lastFilament != before});
  }
  tower_ = planTower(tower, towerRules_);
  if (tower_.columns == 0) return;
  for (std::size_t i = 0; i < tower_.slabs.size(); ++i) entries_[i].slabs = tower_.slabs[i];
  std::vector<Box2> taken;
  for (const PartBuild& part : supports_.parts)
    taken.emplace_back(part.placed->bounds.min().head<2>(), part.placed->bounds.max().head<2>());
  for (const SupportLayer& layer : supports_.support->layers)
    for (const PieceRegion& region : layer.regions) taken.push_back(boundsOf(region.area));
  if (!raft_.empty()) taken.push_back(boundsOf(raft_));
  const Settings& settings = project_.settings;
  const double margin =
      3 + adhesion_.brimWidth + (adhesion_.skirtLoops > 0 ? adhesion_.firstLineWidth * adhesion_.skirtLoops : 0);
  const auto place =
      freePlace(tower_.size(), taken, {settings.number("machine.width"), settings.number("machine.depth")}, margin);
  towerHasRoom_ = place.has_value();
  towerCorner_ = place.value_or(Vec2::Zero());
}

PrintLayerInputs PrintBuilder::inputsOf(std::size_t i, const std::vector<Filament>& bodyFilaments) const {
  const Entry& entry = entries_[i];
  PrintLayerInputs in;
  in.bottom = entry.bottom;
  in.top = entry.top;
  in.supportOnly = entry.partLayer < 0;
  in.isFirst = isFirst(entry.bottom);
  in.firstFilament = entry.firstFilament;
  in.lastFilament = entry.lastFilament;
  in.backwards = std::llround(entry.top / project_.settings.number("layer.height")) % 2 == 0;
  in.motion = motion_;
  in.travel = travel_;
  in.beside = beside_;
  in.around = aroundIn(i);
  if (entry.raftLayer >= 0) in.raft.push_back(raftLines(raft_, static_cast<std::size_t>(entry.raftLayer), adhesion_));
  if (entry.supportLayer >= 0) {
    const auto s = static_cast<std::size_t>(entry.supportLayer);
    const SupportLayer& support = supports_.support->layers[s];
    for (std::size_t r = 0; r < support.regions.size(); ++r)
      in.regions.push_back(
          {regionLines_[s][r], support.regions[r].piece, filamentOf(support.regions[r], bodyFilaments)});
    for (const TieGroup& tie : support.ties)
      in.ties.push_back({tie.lines, tie.piece, rules_[tie.rules].paths.lineWidth, rules_[tie.rules].interfaceFilament});
  }
  in.parts = entry.partPaths;
  in.tower = PathGroup{{}, {}, entry.lastFilament};
  for (const TowerSlab& slab : entry.slabs)
    in.tower.stages.push_back(towerLoops(tower_, slab, entry.top, towerCorner_, towerRules_));
  return in;
}

Print PrintBuilder::print(const std::vector<Filament>& bodyFilaments) {
  planFilaments(bodyFilaments);
  raiseCode();
  Print print{std::vector<std::shared_ptr<const PrintLayer>>(entries_.size())};
  parallelFor(entries_.size(), progress_, [&](std::size_t i) {
    print.layers[i] = store_.get(printLayer, inputsOf(i, bodyFilaments), progress_).value;
  });
  std::erase_if(print.layers, [](const auto& layer) { return layer->runs.empty(); });
  return print;
}

}  // namespace trellis
