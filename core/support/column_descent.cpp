// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/support/column_descent.hpp"

#include "core/support/footing.hpp"
#include "core/support/slender.hpp"

#include <algorithm>
#include <cmath>

namespace trellis {

namespace {

constexpr double eps = 1e-7;         // mm
constexpr double roughness = 0.05;   // mm a free outline may move: the rim of a slope is ragged, and nobody prints that
constexpr double smoothing = 0.004;  // mm an outline may move; without it corners pile up from layer to layer

class Letting {
 public:
  // slender, if given, widens what is too thin.
  Letting(const DemandSite& site, const Ground& ground, const SlenderColumns* slender)
      : site_(site),
        obstacles_(ground.obstacles),
        rules_(ground.rules),
        clearance_(ground.clearance),
        ground_(ground),
        slender_(slender),
        denied_(deniedTo(site, rules_.lineWidth)) {
    if (isSquared()) findTiles();
  }

  Descent run(const std::vector<double>& heights, const Progress& progress) {
    descent_ = begin(site_, ground_);
    Polygons reach;
    for (std::size_t q = 0; q + 1 < heights.size(); ++q) {
      progress.check();
      DescentStep step{heights[q + 1], heights[q]};
      if (const Polygons* fresh = demandOver(site_, step.top, ground_)) {
        if (!site_.isHold()) descent_.noRoom += withoutRoom(*fresh, step.top);
        carried_ = site_.lowest + static_cast<std::size_t>(fresh - site_.layers.data());
        reach = joined(reach, wide(*fresh));
      }
      if (reach.empty()) continue;
      if (slender_) widen(reach, step);
      descent_.tooSteep += land(step, reach, ground_);
      const double before = area(reach);
      Polygons cleared = clearOfPart(reach, step);
      const double loss = before - area(cleared);
      if (site_.isHold() && loss > speck() / 10) cleared = besideFlare(reach, loss, step);
      // Else a straight column stays as it is.
      if (loss > 1e-4 * std::min(1.0, before)) reach = withJoinedSpecks(std::move(cleared), step);
      step.lost = step.lost || loss > speck() / 10;
      step.reach = reach;
      steps().push_back(std::move(step));
    }
    // Beside what was cut away a line may stand half on the line below, unless only the plate will do.
    const double beside = rules_.footing == Footing::plate ? 0.001 : rules_.lineWidth / 2;
    descent_.withoutFooting = standOnSomething(steps(), site_, ground_, [&](const DescentStep&) { return beside; });
    return std::move(descent_);
  }

 private:
  void widen(Polygons& reach, DescentStep& step) {
    Polygons wide = slender_->widened(reach, step.bottom, step.top);
    rim_ = unite(rim_, subtract(wide, reach));
    step.rim = rim_;
    reach = std::move(wide);
  }

  const LayerSpan& span(std::size_t layer) const { return obstacles_.plan.spans[layer]; }
  std::vector<DescentStep>& steps() { return descent_.steps; }

  // What is cut into bits smaller than two lines square is joined to what stands within a millimetre of it.
  Polygons withJoinedSpecks(Polygons reach, const DescentStep& step) {
    if (reach.size() < 2 || isSquared() || site_.isHold() || !site_.minimumFootprint.empty()) return reach;
    const double least = 4 * rules_.lineWidth * rules_.lineWidth, across = 1;  // mm², mm
    Polygons specks;
    for (const Polygons& piece : components(reach))
      if (area(piece) < least) specks.insert(specks.end(), piece.begin(), piece.end());
    if (specks.empty()) return reach;
    const Polygons bridges = intersect(closed(reach, across / 2), grow(specks, across));
    return unite(reach, clearance_.clearOfPart(bridges, step.bottom, step.top));
  }

  // Grown to at least two lines where it is thinner, closed over slits of less than one line.
  Polygons printable(const Polygons& reach) const {
    return denied_.empty() ? madePrintable(reach) : subtract(madePrintable(reach), denied_);
  }

  Polygons madePrintable(const Polygons& reach) const {
    const double w = rules_.lineWidth;
    const Polygons result = closed(reach, w / 2);
    const Polygons thin = thinnerThan(2 * w, result);
    if (thin.empty()) return result;
    const Polygons wider = unite(grow(thin, w / 2), grow(thinnerThan(w, result), w));
    return unite(result, site_.isHold() ? wider : intersect(wider, underPart(wider)));
  }

  // Near a region, what lies under the part, and half a line around it, or a whole one where the part is thinner than
  // that: support for what hangs inside a part does not come out beside it.
  Polygons underPart(const Polygons& region) const {
    const double w = rules_.lineWidth;
    const Box2 box = boundsOf(region);
    const Polygons near =
        intersect(obstacles_.sections[carried_], rectangle({box.min().array() - w, box.max().array() + w}));
    Polygons under = grow(near, w / 2);
    for (const Polygons& piece : components(near))
      if (grow(piece, -w / 2).empty()) under = unite(under, grow(piece, w));
    return under;
  }

  // What opening takes is thin, or a corner: corners lie near to what it leaves.
  Polygons thinnerThan(double width, const Polygons& reach) const {
    return withoutSpecks(subtract(reach, grow(opened(reach, width * 0.49), width / 4)),
                         rules_.lineWidth * rules_.lineWidth / 20);
  }

  // Square columns, of all but props and holds: those are as wide as they say.
  bool isSquared() const {
    return rules_.outline == Outline::squared && site_.minimumFootprint.empty() && !site_.isHold();
  }

  void findTiles() {
    Polygons all;
    for (const Polygons& layer : site_.layers) all.insert(all.end(), layer.begin(), layer.end());
    tiles_ = tilesToBuild(site_.grid, rules_, unite(all));
  }

  // What is built for demand: more where a prop has its width, or columns are square.
  Polygons wide(const Polygons& fresh) const {
    if (!isSquared()) return site_.minimumFootprint.empty() ? fresh : unite(fresh, site_.minimumFootprint);
    Polygons columns;
    for (const Tile& tile : tilesMeeting(site_.grid, rules_, fresh))
      if (std::binary_search(tiles_.begin(), tiles_.end(), tile))
        for (const Polygon& column : subtract(columnOf(site_.grid, rules_, tile), denied_)) columns.push_back(column);
    return columns;
  }

  // Fresh demand joins what is let down already and is made printable: by itself where it begins, and together with
  // what is near where it widens a slope by a step.
  Polygons joined(const Polygons& reach, const Polygons& fresh) {
    if (site_.isPost) return reach.empty() ? fresh : reach;
    if (isSquared() || !site_.minimumFootprint.empty()) return unite(reach, fresh);
    Polygons all = reach, steps;
    for (const Polygons& piece : components(fresh)) {
      const bool begins = reach.empty() || !meet(reach, piece, 0.01);
      const Polygons wide = begins ? printable(piece) : piece;
      all.insert(all.end(), wide.begin(), wide.end());
      if (!begins) steps.insert(steps.end(), piece.begin(), piece.end());
    }
    all = unite(all);
    if (++freshLayers_ == site_.layers.size()) return simplified(printable(all), roughness);
    if (!steps.empty()) all = unite(all, printable(intersect(all, grow(steps, 2 * rules_.lineWidth))));
    return simplified(all, roughness);
  }

  // A hold keeps its thickness beside a wall that flares downward: it moves out as far as it would be eaten away,
  // and the layer above stands on it by all but that.
  Polygons besideFlare(const Polygons& reach, double loss, const DescentStep& step) {
    const double out = std::min({2 * loss / rimOf(reach), step.top - step.bottom, rules_.lineWidth / 2});
    return clearOfPart(grow(reach, out), step);
  }

  // A post is round: smoothing would take some of it in every layer.
  Polygons clearOfPart(const Polygons& reach, const DescentStep& step) {
    const Polygons clear = clearance_.clearOfPart(reach, step.bottom, step.top);
    return withoutCrumbs(site_.isPost ? clear : simplified(clear, smoothing), speck());
  }

  // Area of fresh demand over part that is closer than both gaps and the thinnest layer allow.
  double withoutRoom(const Polygons& fresh, double top) const {
    const auto [from, to] = layersWithin(obstacles_.plan, top - rules_.thinnest - rules_.gapBelow + 2 * eps, top);
    double sum = 0;
    for (std::size_t l = from; l < to; ++l) sum = std::max(sum, area(intersect(fresh, obstacles_.sections[l])));
    return sum;
  }

  double speck() const { return speckOf(rules_); }

  const DemandSite& site_;
  const Obstacles& obstacles_;
  const SupportRules& rules_;
  Clearance& clearance_;
  const Ground ground_;
  const SlenderColumns* slender_;
  Descent descent_;
  Polygons rim_;
  Polygons denied_;          // in plan
  std::vector<Tile> tiles_;  // of squared columns, ascending
  std::size_t freshLayers_ = 0;
  std::size_t carried_ = 0;  // the part's layer over the lowest demand so far
};

}  // namespace

Polygons DescentStep::whole() const {
  Polygons all = reach;
  for (const Landing& landing : landings) all = unite(all, landing.reach);
  return all;
}

Descent descendColumn(const DemandSite& site, const Ground& ground, const std::vector<double>& heights,
                      const Progress& progress) {
  const SupportRules& rules = ground.rules;
  Descent descent = Letting(site, ground, nullptr).run(heights, progress);
  if (site.isHold() || !mayBeSlender(descent.steps)) return descent;
  const SlenderColumns slender(descent.steps, rules, progress);
  if (!slender.any()) return descent;
  // Square columns would widen into one another, and a prop is as wide as it says.
  if (rules.outline == Outline::squared || !site.minimumFootprint.empty()) {
    descent.slenderHeight = slender.worstHeight();
    descent.slenderWidth = slender.worstWidth();
    return descent;
  }
  descent = Letting(site, ground, &slender).run(heights, progress);
  if (mayBeSlender(descent.steps)) {
    const SlenderColumns left(descent.steps, rules, progress);
    descent.slenderHeight = left.worstHeight();
    descent.slenderWidth = left.worstWidth();
  }
  return descent;
}

double spreadOf(const SupportRules& rules, double highest) {
  if (rules.structure == Structure::tree) return highest;  // a branch may reach anywhere below
  return 2 * rules.lineWidth + roughness + rules.footSpread + std::max(leastColumn, highest * leastSteadiness) / 2 +
         (rules.outline == Outline::squared ? tilePitch(rules) : 0);
}

}  // namespace trellis
