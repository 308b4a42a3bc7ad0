// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/support/column.hpp"

#include "core/support/column_descent.hpp"
#include "core/support/hold.hpp"

#include <algorithm>
#include <cmath>

namespace trellis {

namespace {

constexpr double eps = 1e-7;        // mm
constexpr double rough = 0.06;      // mm by which the border of what is carried may lie off that of what is refused
constexpr double widestNotch = 20;  // mm across, of a hole or a bay that a decision cuts into a support

class ColumnBuilder {
 public:
  ColumnBuilder(const DemandSite& site, const Terrain& terrain, const SupportRules& rules)
      : site_(site),
        terrain_(terrain),
        obstacles_(terrain.obstacles),
        rules_(rules),
        clearance_(site, obstacles_, rules) {
    if (rules.outline == Outline::squared) return;  // columns stand apart already
    for (const Polygons& layer : site.uncut.cut) cut_.insert(cut_.end(), layer.begin(), layer.end());
    if (!cut_.empty()) cut_ = grow(unite(cut_), rules.lineWidth / 2 + rough);
  }

  Column build(const Tree* tree, const Progress& progress) {
    isTree_ = tree != nullptr || site_.isPost;
    const Ground ground{obstacles_, terrain_.noLanding, rules_, clearance_};
    Descent descent =
        tree ? descendBranches(site_, *tree, ground, progress) : descendColumn(site_, ground, heights(), progress);
    if (!isTree_ && !cut_.empty() && !site_.isHold()) keepWithinUncut(descent, progress);
    steps_ = std::move(descent.steps);
    column_ = {{},
               {},
               descent.wanted,
               descent.noRoom,
               descent.withoutFooting,
               descent.tooSteep,
               descent.slenderHeight,
               descent.slenderWidth};
    layInterface();
    if (site_.isHold()) {
      tie();
      return std::move(column_);
    }
    for (std::size_t i = site_.lowest; i <= site_.highest(); ++i)
      if (!site_.layers[i - site_.lowest].empty()) column_.contactTops.push_back(span(i).bottom - rules_.gapAbove);
    return std::move(column_);
  }

 private:
  std::vector<double> heights() const {
    return site_.isHold() ? planHoldHeights(obstacles_.plan, site_.highest(), rules_)
                          : planHeights(obstacles_.plan, site_.lowest, site_.highest(), rules_);
  }

  // What decisions leave of a column is never more than stood before: slivers beside a cut are not made wide enough to
  // stand by themselves, and those that then are thinner than a line go with it.
  void keepWithinUncut(Descent& descent, const Progress& progress) const {
    DemandSite all = site_;
    all.lowest = site_.uncut.lowest;
    all.layers = site_.uncut.layers;
    all.beyondLean.clear();
    all.refused.clear();
    all.uncut = {};
    Clearance clearance(all, obstacles_, rules_);
    const std::vector<double> planned = planHeights(obstacles_.plan, all.lowest, all.highest(), rules_);
    const Descent before = descendColumn(all, {obstacles_, terrain_.noLanding, rules_, clearance}, planned, progress);
    const auto within = [&](Polygons& reach, const Polygons& stood) {
      if (!reach.empty()) reach = opened(intersect(reach, stood), rules_.lineWidth * 0.49);
    };
    for (DescentStep& step : descent.steps) {
      const double middle = (step.bottom + step.top) / 2;
      const auto stood = std::find_if(before.steps.begin(), before.steps.end(),
                                      [&](const DescentStep& one) { return one.bottom < middle && middle < one.top; });
      if (stood == before.steps.end()) continue;
      const Polygons whole = stood->whole();
      within(step.reach, whole);
      within(step.rim, whole);
      for (DescentStep::Landing& landing : step.landings) within(landing.reach, whole);
    }
  }

  const LayerSpan& span(std::size_t layer) const { return obstacles_.plan.spans[layer]; }

  // What each slab is used for: the interface is what has less than its layers of support over it, the graded
  // layers follow below, the lower interface lies over what the column stands on.
  void layInterface() {
    const auto count = static_cast<std::size_t>(site_.isHold() ? 0 : rules_.interfaceLayers);
    const auto graded = static_cast<std::size_t>(site_.isHold() || isTree_ ? 0 : rules_.gradedLayers);
    for (std::size_t q = 0; q < steps_.size(); ++q) {
      const DescentStep& step = steps_[q];
      const auto standsUnder = [&](std::size_t layers) {
        if (step.rim == step.reach && step.landings.empty()) return step.reach;
        const Polygons above = layers == 0 ? step.whole() : q >= layers ? steps_[q - layers].reach : Polygons{};
        return step.rim.empty() ? above : unite(above, step.rim);
      };
      uses_ = {standsUnder(count), graded > 0 ? standsUnder(count + graded) : Polygons{}, lowerAt(q), count > 0,
               graded > 0};
      emit(step.bottom, step.top, step.reach, footShare(q));
      uses_.lower = rules_.lowerLayers > 0 ? step.whole() : Polygons{};
      for (const DescentStep::Landing& landing : step.landings) emit(landing.bottom, step.top, landing.reach, 0);
    }
  }

  // What landed within so many layers below a step.
  Polygons lowerAt(std::size_t q) const {
    Polygons all;
    const auto layers = static_cast<std::size_t>(rules_.lowerLayers);
    for (std::size_t p = q + 1; p < steps_.size() && p < q + layers; ++p)
      for (const DescentStep::Landing& landing : steps_[p].landings)
        all.insert(all.end(), landing.reach.begin(), landing.reach.end());
    return all.empty() ? all : unite(all);
  }

  // 0–1: how much of the foot's spread a step has; 0 above the foot.
  double footShare(std::size_t q) const {
    if (isTree_ || steps_.back().bottom > rules_.floor + eps || rules_.footLayers == 0) return 0;
    const std::size_t above = steps_.size() - 1 - q;
    return std::max(0.0, 1 - static_cast<double>(above) / rules_.footLayers);
  }

  // One layer in every so much height, from the top of the mark, is tied to the wall.
  void tie() {
    if (rules_.gapHold < eps) return;
    double next = span(site_.highest()).top - rules_.tieSpacing / 2;
    for (ColumnSlab& slab : column_.slabs) {
      if (slab.bottom > next) continue;
      const auto [from, to] = layersWithin(obstacles_.plan, slab.bottom, slab.top);
      if (from < site_.lowest) break;
      if (to > from) slab.ties = tiesAt(site_.walls[from - site_.lowest], rules_);
      next = std::min(next - rules_.tieSpacing, slab.bottom);
    }
  }

  struct Uses {
    Polygons deep;    // what stands with a whole interface over it
    Polygons deeper;  // and with all graded layers
    Polygons lower;   // what is near over the part
    bool hasInterface = false, hasGraded = false;
    bool operator==(const Uses&) const = default;
  };

  // A slab's areas by their use. A straight column asks the same question in every slab.
  void divide(const Polygons& reach) {
    if (reach == dividedReach_ && uses_ == dividedUses_) return;
    dividedReach_ = reach;
    dividedUses_ = uses_;
    divided_ = {};
    const auto taken = [](Polygons& from, const Polygons& keep) {
      Polygons part = from == keep ? Polygons{} : withoutSpecks(opened(subtract(from, keep), 0.05), 0.01);
      if (!part.empty()) from = withoutSpecks(subtract(from, part), 0.01);
      return part;
    };
    divided_.body = reach;
    if (!cut_.empty() && !isTree_) divided_.notches = notchesIn(reach);
    if (uses_.hasInterface) {
      divided_.interface = withRim(taken(divided_.body, uses_.deep), reach);
      divided_.body = withoutSpecks(subtract(reach, divided_.interface), 0.01);
    }
    if (!uses_.lower.empty()) {
      divided_.lower = withoutSpecks(intersect(divided_.body, uses_.lower), 0.01);
      divided_.body = withoutSpecks(subtract(divided_.body, divided_.lower), 0.01);
    }
    if (uses_.hasGraded) divided_.graded = taken(divided_.body, uses_.deeper);
    if (isTree_ || site_.isHold() || rules_.outline == Outline::squared || !site_.minimumFootprint.empty()) return;
    if (divided_.body.empty() && divided_.graded.empty()) return;
    // As ragged as it was before decisions cut into it: or what a cut leaves would be more than was there.
    const Polygons smooth =
        smoothed(divided_.notches.empty() ? reach : unite(reach, grow(divided_.notches, 2 * rough)));
    divided_.body = intersect(divided_.body, smooth);
    if (!divided_.graded.empty()) divided_.graded = intersect(divided_.graded, smooth);
  }

  // Within an outline, one without its raggedness; but where it has none, or is hardly wide enough to stand.
  static Polygons smoothed(const Polygons& reach) {
    Polygons smooth;
    for (const Polygons& piece : components(reach)) {
      constexpr double evenly = 1;  // mm from corner to corner, on the average
      std::size_t corners = 0;
      for (const Polygon& outline : piece) corners += outline.size();
      const bool kept =
          rimOf(piece) > evenly * static_cast<double>(corners) || grow(piece, -(leastColumn / 2 + smoothness)).empty();
      const Polygons even = kept ? piece : simplified(grow(piece, -smoothness), smoothness);
      smooth.insert(smooth.end(), even.begin(), even.end());
    }
    return smooth;
  }

  // Holes and bays that decisions cut into what stands. Walls along them would take more filament than the cut saves,
  // and what stands around keeps its outer walls.
  Polygons notchesIn(const Polygons& reach) const {
    const Polygons filled = simplified(closed(reach, widestNotch / 2), rough / 2);
    return withoutSpecks(intersect(subtract(filled, grow(reach, -rough)), cut_), 0.01);
  }

  // The interface takes half a line of what is beside it: where it is thin, or ragged from layer to layer, no line
  // would lie there else.
  Polygons withRim(const Polygons& interface, const Polygons& reach) const {
    if (interface.empty() || interface == reach) return interface;
    return intersect(reach, grow(interface, rules_.lineWidth / 2));
  }

  // A slab thicker than a nozzle can print becomes several of equal height.
  void emit(double bottom, double top, const Polygons& reach, double footShare) {
    if (reach.empty()) return;
    divide(reach);
    ColumnSlab slab = divided_;
    if (isTree_) (bottom < rules_.floor + rules_.thickest - eps ? slab.foot : slab.branch) = std::move(slab.body);
    if (footShare > 0) {
      const Polygons standing = unite(slab.body, slab.graded);
      slab.foot =
          subtract(clearance_.clearOfPart(grow(standing, rules_.footSpread * footShare), bottom, top), slab.interface);
      slab.body.clear();
      slab.graded.clear();
    }
    const int count = static_cast<int>(std::ceil((top - bottom) / rules_.thickest - 1e-6));
    for (int i = 0; i < count; ++i) {
      slab.top = top - (top - bottom) * i / count;
      slab.bottom = i + 1 == count ? bottom : top - (top - bottom) * (i + 1) / count;
      column_.slabs.push_back(slab);
    }
  }

  const DemandSite& site_;
  const Terrain& terrain_;
  const Obstacles& obstacles_;
  const SupportRules& rules_;
  Clearance clearance_;
  std::vector<DescentStep> steps_;
  Column column_;
  bool isTree_ = false;
  Uses uses_, dividedUses_;
  Polygons dividedReach_;
  Polygons cut_;  // in plan, what is refused, and a little around it
  ColumnSlab divided_;
};

}  // namespace

std::vector<double> withoutThinSlabs(const std::vector<std::pair<double, bool>>& wanted, double thinnest) {
  std::vector<std::pair<double, bool>> kept;
  for (const auto& [z, fixed] : wanted) {
    while (!kept.empty() && fixed && !kept.back().second && kept.back().first - z < thinnest - eps) kept.pop_back();
    if (!kept.empty() && kept.back().first - z < thinnest - eps) continue;
    kept.emplace_back(z, fixed);
  }
  std::vector<double> heights;
  for (const auto& entry : kept) heights.push_back(entry.first);
  return heights;
}

std::vector<double> planHeights(const LayerPlan& plan, std::size_t lowest, std::size_t highest,
                                const SupportRules& rules) {
  const auto depth = static_cast<std::size_t>(std::max(1, rules.interfaceLayers));
  const std::size_t deepest = lowest > depth ? lowest - depth : 0;
  std::vector<std::pair<double, bool>> wanted;
  for (std::size_t i = highest + 1; i-- > deepest;)
    if (const double z = plan.spans[i].bottom - rules.gapAbove; z - rules.floor > rules.thinnest - eps)
      wanted.emplace_back(z, i >= lowest);
  if (wanted.empty()) return {};
  const double reached = wanted.back().first;
  for (std::size_t i = lowest; i-- > 0;)
    if (plan.spans[i].top < reached - eps) wanted.emplace_back(plan.spans[i].top, false);
  wanted.emplace_back(rules.floor, true);
  return withoutThinSlabs(wanted, rules.thinnest);
}

std::vector<double> planHoldHeights(const LayerPlan& plan, std::size_t highest, const SupportRules& rules) {
  std::vector<std::pair<double, bool>> wanted;
  for (std::size_t i = highest + 1; i-- > 0;) wanted.emplace_back(plan.spans[i].top, true);
  wanted.emplace_back(rules.floor, true);
  return withoutThinSlabs(wanted, rules.thinnest);
}

Column buildColumn(const DemandSite& site, const Terrain& terrain, const SupportRules& rules, const Tree* tree,
                   const Progress& progress) {
  return ColumnBuilder(site, terrain, rules).build(tree, progress);
}

}  // namespace trellis
