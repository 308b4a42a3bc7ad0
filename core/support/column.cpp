// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/support/column.hpp"

#include "core/support/hold.hpp"

#include <algorithm>
#include <cmath>
#include <map>

namespace trellis {

namespace {

constexpr double eps = 1e-7;  // mm
constexpr double roughness = 0.05;  // mm a free outline may move: the rim of a slope is ragged, and nobody prints that
constexpr double smoothing = 0.004;  // mm an outline may move; without it corners pile up from layer to layer

// A site's support at one height while it is let down: the slab between two planned heights.
struct Step {
  double bottom, top;
  Polygons reach;        // what stands in this slab from bottom to top
  struct Landing {
    double bottom;  // ends on the part, higher than the slab's own bottom or a little lower
    Polygons reach;
  };
  std::vector<Landing> landings;
  bool lost = false;  // less stands here than in the slab above would need
};

class ColumnBuilder {
 public:
  ColumnBuilder(const DemandSite& site, const Obstacles& obstacles, const std::vector<Polygons>& barred, const SupportRules& rules)
      : site_(site), obstacles_(obstacles), barred_(barred), rules_(rules) {}

  Column build(const Progress& progress) {
    column_.rules = site_.rules;
    letDown(site_.isHold() ? planHoldHeights(obstacles_.plan, site_.highest(), rules_)
                           : planHeights(obstacles_.plan, site_.lowest, site_.highest(), rules_), progress);
    standOnSomething();
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
  const LayerSpan& span(std::size_t layer) const { return obstacles_.plan.spans[layer]; }

  // Layers of the part whose material lies between two heights.
  std::pair<std::size_t, std::size_t> layersWithin(double bottom, double top) const {
    const auto& spans = obstacles_.plan.spans;
    const auto first = std::partition_point(spans.begin(), spans.end(),
                                            [&](const LayerSpan& s) { return s.top <= bottom + eps; });
    const auto last =
        std::partition_point(first, spans.end(), [&](const LayerSpan& s) { return s.bottom < top - eps; });
    return {first - spans.begin(), last - spans.begin()};
  }

  // What is kept free beside layer l. Surface of the site that only a mark makes part of it does not count
  // either.
  const Polygons& besideOf(std::size_t l) {
    if (l < site_.lowest || l > site_.highest() || (site_.beyondLean.empty() && !site_.isHold())) return obstacles_.besides[l];
    if (site_.isHold()) return besideHold(l);
    const Polygons& own = site_.beyondLean[l - site_.lowest];
    if (own.empty()) return obstacles_.besides[l];
    Polygons& cached = besides_[l];
    if (cached.empty())
      cached = unite(obstacles_.sections[l],
                     around(linesOutside(obstacles_.walls[l], grow(own, 0.01)), rules_.gapBeside));
    return cached;
  }

  // The marked wall is kept off by the hold gap, every other by the gap beside.
  const Polygons& besideHold(std::size_t l) {
    Polygons& cached = besides_[l];
    if (cached.empty())
      cached = unite(grow(obstacles_.sections[l], rules_.gapHold),
                     around(linesOutside(obstacles_.walls[l], grow(site_.layers[l - site_.lowest], 0.01)), rules_.gapBeside));
    return cached;
  }

  Polygons clearOfPart(const Polygons& reach, double bottom, double top) {
    Polygons inTheWay;
    const auto add = [&](const Polygons& more) { inTheWay.insert(inTheWay.end(), more.begin(), more.end()); };
    const auto [from, to] = layersWithin(bottom - rules_.gapBelow, top + rules_.gapAbove);
    const auto [low, high] = layersWithin(bottom, top);
    for (std::size_t l = from; l < to; ++l) add(l >= low && l < high ? besideOf(l) : obstacles_.sections[l]);
    if (!obstacles_.forbidden.empty())
      for (std::size_t l = low; l < high; ++l) add(obstacles_.forbidden[l]);
    return subtract(reach, inTheWay);
  }

  // Grown to at least two lines where it is thinner, closed over slits of less than one line.
  Polygons printable(const Polygons& reach) const {
    const double w = rules_.lineWidth;
    Polygons result = closed(reach, w / 2);
    // What opening takes is thin, or a corner: the corners lie within half a line of what it leaves.
    const Polygons thin = withoutSpecks(subtract(result, grow(opened(result, w * 0.98), w / 2)), w * w / 20);
    if (thin.empty()) return result;
    const Polygons veryThin = subtract(thin, opened(thin, w / 2));
    return unite(unite(result, grow(thin, w / 2)), grow(veryThin, w));
  }

  // What is built for demand: more where a prop has its width, or columns are square.
  Polygons wide(const Polygons& fresh) const {
    Polygons all = site_.stout.empty() ? fresh : unite(fresh, site_.stout);
    return rules_.outline == Outline::squared && !site_.isHold() ? cellsTouched(all, rules_.columnSize) : all;
  }

  // The squares of a grid over the plate that a region touches.
  static Polygons cellsTouched(const Polygons& region, double size) {
    Polygons cells;
    const Box2 box = boundsOf(region);
    for (double x = std::floor(box.min().x() / size) * size; x < box.max().x(); x += size)
      for (double y = std::floor(box.min().y() / size) * size; y < box.max().y(); y += size) {
        const Polygons cell = rectangle({Vec2(x, y), Vec2(x + size, y + size)});
        if (!withoutSpecks(intersect(cell, region), 1e-3).empty()) cells.push_back(cell.front());
      }
    return unite(cells);
  }

  // Fresh demand joins what is let down already. What begins here is made printable at once; what only
  // widens a slope by a step is looked at every few layers, and when the site is complete.
  Polygons joined(const Polygons& reach, const Polygons& fresh) {
    Polygons all = reach;
    for (const Polygons& piece : components(fresh)) {
      const bool begins = reach.empty() || !meet(reach, piece, 0.01);
      const Polygons wide = begins ? printable(piece) : piece;
      all.insert(all.end(), wide.begin(), wide.end());
    }
    all = unite(all);
    const bool complete = ++freshLayers_ == site_.layers.size();
    return simplified(complete || freshLayers_ % 4 == 0 ? printable(all) : all, roughness);
  }

  const Polygons* demandUnder(double top) const {
    for (std::size_t i = site_.lowest; i <= site_.highest(); ++i)
      if (std::abs((site_.isHold() ? span(i).top : span(i).bottom - rules_.gapAbove) - top) < eps) return &site_.layers[i - site_.lowest];
    return nullptr;
  }

  void letDown(const std::vector<double>& heights, const Progress& progress) {
    for (const Polygons& layer : site_.layers) column_.wanted += area(layer);
    for (std::size_t i = site_.lowest; i <= site_.highest(); ++i)
      if (!site_.isHold() && span(i).bottom - rules_.gapAbove < rules_.thinnest - eps) column_.noRoom += area(site_.layers[i - site_.lowest]);
    Polygons reach;
    for (std::size_t q = 0; q + 1 < heights.size(); ++q) {
      progress.check();
      Step step{heights[q + 1], heights[q], {}, {}, false};
      if (const Polygons* fresh = demandUnder(step.top)) {
        if (!site_.isHold()) column_.noRoom += withoutRoom(*fresh, step.top);
        reach = joined(reach, wide(*fresh));
      }
      if (reach.empty()) continue;
      land(step, reach);
      const double before = area(reach);
      Polygons cleared = withoutSpecks(simplified(clearOfPart(reach, step.bottom, step.top), smoothing), speck());
      const double loss = before - area(cleared);
      if (site_.isHold() && loss > speck() / 10) cleared = besideFlare(reach, loss, step);
      if (loss > 1e-4 * std::min(1.0, before)) reach = std::move(cleared);  // else a straight column stays as it is
      step.lost = step.lost || loss > speck() / 10;
      step.reach = reach;
      steps_.push_back(std::move(step));
    }
  }

  // A hold keeps its thickness beside a wall that flares downward: it moves out as far as it would be eaten away,
  // and the layer above stands on it by all but that.
  Polygons besideFlare(const Polygons& reach, double loss, const Step& step) {
    double rim = 0;
    for (const Polygon& outline : reach)
      for (std::size_t i = 0; i < outline.size(); ++i) rim += (toMm(outline[(i + 1) % outline.size()]) - toMm(outline[i])).norm();
    const double out = std::min({2 * loss / rim, step.top - step.bottom, rules_.lineWidth / 2});
    return withoutSpecks(simplified(clearOfPart(grow(reach, out), step.bottom, step.top), smoothing), speck());
  }

  // Area of fresh demand over part that is closer than both gaps and the thinnest layer allow.
  double withoutRoom(const Polygons& fresh, double top) const {
    const auto [from, to] = layersWithin(top - rules_.thinnest - rules_.gapBelow + 2 * eps, top);
    double sum = 0;
    for (std::size_t l = from; l < to; ++l) sum = std::max(sum, area(intersect(fresh, obstacles_.sections[l])));
    return sum;
  }

  double speck() const { return rules_.lineWidth * rules_.lineWidth / 2; }

  // Takes out of reach what ends on the part within this slab, and gives it an underside exactly at the
  // part's top plus the gap below.
  void land(Step& step, Polygons& reach) {
    const double least = rules_.thinnest - eps;
    const auto [from, to] = layersWithin(step.bottom - rules_.gapBelow - rules_.thinnest, step.top - rules_.gapBelow);
    for (std::size_t l = to; l-- > from && !reach.empty();) {
      const double bottom = span(l).top + rules_.gapBelow;
      const bool here = bottom <= step.top - least && bottom > step.bottom - least && std::abs(bottom - step.bottom) > eps;
      const bool exactlyBelow = std::abs(bottom - step.bottom) <= eps;
      if (!here && !exactlyBelow) continue;
      Polygons landing = intersect(reach, obstacles_.ledges[l]);
      if (landing.empty()) continue;
      reach = subtract(reach, landing);
      const double wanted = area(landing);
      if (rules_.footing == Footing::plate) landing.clear();
      if (l + 1 < barred_.size()) landing = subtract(landing, barred_[l + 1]);
      landing = clearOfPart(opened(landing, rules_.lineWidth / 4), bottom, step.top);
      step.lost = step.lost || wanted - area(landing) > speck() / 10;
      if (!landing.empty()) step.landings.push_back({bottom, std::move(landing)});
    }
  }

  // From the bottom up: what has nothing under it is given up. Beside what was cut away a line may stand
  // half on the line below, unless only the plate will do.
  void standOnSomething() {
    const double beside = rules_.footing == Footing::plate ? 0.001 : rules_.lineWidth / 2;
    bool lostBelow = false;
    for (std::size_t q = steps_.size(); q-- > 0;) {
      Step& step = steps_[q];
      const Step* under = q + 1 < steps_.size() && steps_[q + 1].top > step.bottom - eps ? &steps_[q + 1] : nullptr;
      if (step.bottom < eps || (under && !under->lost && !lostBelow)) {
        lostBelow = step.bottom < eps ? false : lostBelow;
        continue;
      }
      Polygons below = under ? whole(*under) : Polygons{};
      for (const Step::Landing& landing : step.landings) below = unite(below, landing.reach);
      Polygons standing = withoutSpecks(intersect(step.reach, grow(below, beside)), speck());
      const Polygons given = subtract(step.reach, standing);
      lostBelow = area(given) > speck() / 10;
      if (const Polygons* fresh = demandUnder(step.top)) column_.withoutFooting += area(intersect(given, *fresh));
      step.reach = std::move(standing);
    }
  }

  // What each slab is used for: the interface is what has less than its layers of support over it, the graded
  // layers follow below, the lower interface lies over what the column stands on.
  void layInterface() {
    const auto count = static_cast<std::size_t>(site_.isHold() ? 0 : rules_.interfaceLayers);
    const auto graded = static_cast<std::size_t>(site_.isHold() ? 0 : rules_.gradedLayers);
    for (std::size_t q = 0; q < steps_.size(); ++q) {
      const Step& step = steps_[q];
      const auto standsUnder = [&](std::size_t layers) { return layers == 0 ? whole(step) : q >= layers ? steps_[q - layers].reach : Polygons{}; };
      uses_ = {standsUnder(count), graded > 0 ? standsUnder(count + graded) : Polygons{}, lowerAt(q), count > 0, graded > 0};
      emit(step.bottom, step.top, step.reach, footShare(q));
      uses_.lower = rules_.lowerLayers > 0 ? whole(step) : Polygons{};
      for (const Step::Landing& landing : step.landings) emit(landing.bottom, step.top, landing.reach, 0);
    }
  }

  // What landed within so many layers below a step.
  Polygons lowerAt(std::size_t q) const {
    Polygons all;
    const auto layers = static_cast<std::size_t>(rules_.lowerLayers);
    for (std::size_t p = q + 1; p < steps_.size() && p < q + layers; ++p)
      for (const Step::Landing& landing : steps_[p].landings) all.insert(all.end(), landing.reach.begin(), landing.reach.end());
    return all.empty() ? all : unite(all);
  }

  // 0–1: how much of the foot's spread a step has; 0 above the foot.
  double footShare(std::size_t q) const {
    if (steps_.back().bottom > eps || rules_.footLayers == 0) return 0;
    const std::size_t above = steps_.size() - 1 - q;
    return std::max(0.0, 1 - static_cast<double>(above) / rules_.footLayers);
  }

  // One layer in every so much height, from the top of the mark, is tied to the wall.
  void tie() {
    if (rules_.gapHold < eps) return;
    double next = span(site_.highest()).top - rules_.tieSpacing / 2;
    for (ColumnSlab& slab : column_.slabs) {
      if (slab.bottom > next) continue;
      const auto [from, to] = layersWithin(slab.bottom, slab.top);
      if (from < site_.lowest) break;
      if (to > from) slab.ties = tiesAt(site_.walls[from - site_.lowest], rules_);
      next = std::min(next - rules_.tieSpacing, slab.bottom);
    }
  }

  static Polygons whole(const Step& step) {
    Polygons all = step.reach;
    for (const Step::Landing& landing : step.landings) all = unite(all, landing.reach);
    return all;
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
    if (uses_.hasInterface) divided_.interface = taken(divided_.body, uses_.deep);
    if (!uses_.lower.empty()) {
      divided_.lower = withoutSpecks(intersect(divided_.body, uses_.lower), 0.01);
      divided_.body = withoutSpecks(subtract(divided_.body, divided_.lower), 0.01);
    }
    if (uses_.hasGraded) divided_.graded = taken(divided_.body, uses_.deeper);
  }

  // A slab thicker than a nozzle can print becomes several of equal height.
  void emit(double bottom, double top, const Polygons& reach, double footShare) {
    if (reach.empty()) return;
    divide(reach);
    ColumnSlab slab = divided_;
    if (footShare > 0) {
      const Polygons standing = unite(slab.body, slab.graded);
      slab.foot = subtract(clearOfPart(grow(standing, rules_.footSpread * footShare), bottom, top), slab.interface);
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
  const Obstacles& obstacles_;
  const std::vector<Polygons>& barred_;
  const SupportRules& rules_;
  std::vector<Step> steps_;
  Column column_;
  std::size_t freshLayers_ = 0;
  std::map<std::size_t, Polygons> besides_;
  Uses uses_, dividedUses_;
  Polygons dividedReach_;
  ColumnSlab divided_;
};

// Leaves out boundaries that would make a slab thinner than the thinnest; fixed ones stay.
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

}  // namespace

std::vector<double> planHeights(const LayerPlan& plan, std::size_t lowest, std::size_t highest,
                                const SupportRules& rules) {
  const auto depth = static_cast<std::size_t>(std::max(1, rules.interfaceLayers));
  const std::size_t deepest = lowest > depth ? lowest - depth : 0;
  std::vector<std::pair<double, bool>> wanted;
  for (std::size_t i = highest + 1; i-- > deepest;)
    if (const double z = plan.spans[i].bottom - rules.gapAbove; z > rules.thinnest - eps)
      wanted.emplace_back(z, i >= lowest);
  if (wanted.empty()) return {};
  const double reached = wanted.back().first;
  for (std::size_t i = lowest; i-- > 0;)
    if (plan.spans[i].top < reached - eps) wanted.emplace_back(plan.spans[i].top, false);
  wanted.emplace_back(0.0, true);
  return withoutThinSlabs(wanted, rules.thinnest);
}

std::vector<double> planHoldHeights(const LayerPlan& plan, std::size_t highest, const SupportRules& rules) {
  std::vector<std::pair<double, bool>> wanted;
  for (std::size_t i = highest + 1; i-- > 0;) wanted.emplace_back(plan.spans[i].top, true);
  wanted.emplace_back(0.0, true);
  return withoutThinSlabs(wanted, rules.thinnest);
}

Column buildColumn(const DemandSite& site, const Obstacles& obstacles, const std::vector<Polygons>& barred,
                   const SupportRules& rules, const Progress& progress) {
  return ColumnBuilder(site, obstacles, barred, rules).build(progress);
}

double columnSpread(const SupportRules& rules) {
  return 2 * rules.lineWidth + roughness + rules.footSpread + (rules.outline == Outline::squared ? rules.columnSize : 0);
}

}  // namespace trellis
