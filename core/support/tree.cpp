// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/support/tree.hpp"

#include "core/support/footing.hpp"

#include <algorithm>
#include <cmath>
#include <map>

namespace trellis {

namespace {

constexpr double eps = 1e-7;  // mm
constexpr double radiusStep = 0.05,
                 placeStep = 0.02;  // mm: a trunk that goes straight down has the same outline for a while
constexpr double leanSlack = 1;     // degrees a layer may lean more than its branch: outlines are rounded

double rounded(double v, double step) { return std::round(v / step) * step; }

class Branches {
 public:
  Branches(const DemandSite& site, const Tree& tree, const Ground& ground)
      : site_(site), tree_(tree), ground_(ground), rules_(ground.rules) {}

  Descent run(const Progress& progress) {
    Descent descent = begin(site_, ground_);
    for (std::size_t q = 0; q + 1 < tree_.heights.size(); ++q) {
      progress.check();
      DescentStep step{tree_.heights[q + 1], tree_.heights[q]};
      widening_ = (step.top - step.bottom) * std::tan(toRadians(wideningLean));
      Outlines outlines = outlinesAt(step.top);
      Polygons reach = outlines.asked.empty() ? Polygons{} : unite(outlines.asked);
      if (outlines.sure.empty() && reach.empty()) continue;
      if (!reach.empty()) {
        descent.tooSteep += land(step, reach, ground_);
        const double before = area(reach);
        reach = withoutCrumbs(ground_.clearance.clearOfPart(reach, step.bottom, step.top), speckOf(rules_));
        step.lost = step.lost || before - area(reach) > speckOf(rules_) / 10;
      }
      for (auto& [node, fallen] : outlines.falls) falling_[node] = intersect(fallen, reach);
      step.reach = outlines.sure.size() + reach.size() > 1 ? unite(outlines.sure, reach)
                   : outlines.sure.empty()                 ? std::move(reach)
                                                           : outlines.sure;
      step.rim = beyondTips(step);
      descent.steps.push_back(std::move(step));
    }
    const double slope = std::tan(toRadians(rules_.branchLean + leanSlack));
    descent.withoutFooting = standOnSomething(
        descent.steps, site_, ground_, [&](const DescentStep& step) { return (step.top - step.bottom) * slope; });
    restHalf(descent.steps);
    findSlender(descent);
    return descent;
  }

 private:
  // At a height: those that are known to be clear of everything, those to be asked about, and which of them fall.
  struct Outlines {
    Polygons sure, asked;
    std::vector<std::pair<std::size_t, Polygons>> falls;
  };

  Outlines outlinesAt(double z) {
    Outlines found;
    for (std::size_t k = 0; k < tree_.nodes.size(); ++k) {
      const BranchNode& node = tree_.nodes[k];
      if (node.at.z() < z - eps) break;  // they come highest first
      if (node.below == BranchNode::none) continue;
      const BranchNode& below = tree_.nodes[node.below];
      if (below.at.z() >= z - eps) continue;
      const double share = (node.at.z() - z) / (node.at.z() - below.at.z());
      const Vec2 at = node.at.head<2>() + share * (below.at - node.at).head<2>();
      double radius = node.radius + share * (below.radius - node.radius);
      if (node.tip == BranchNode::none)
        radius = std::max(neckRadius(rules_), std::floor(radius / radiusStep + 1e-6) * radiusStep);
      Polygons outline{disc({rounded(at.x(), placeStep), rounded(at.y(), placeStep)}, radius)};
      if (node.tip != BranchNode::none) {
        const Tip& tip = tree_.tips[node.tip];
        outline = intersect(outline, {disc(tip.at, tip.radius), disc(at, neckRadius(rules_))});
      }
      if (node.falls) {  // what has landed stays there, though there may be room under it
        if (const auto before = falling_.find(k); before != falling_.end())
          outline = intersect(outline, grow(before->second, widening_));
        found.falls.emplace_back(k, outline);
      }
      Polygons& into =
          node.tip == BranchNode::none && std::min(node.room, below.room) >= radius ? found.sure : found.asked;
      into.insert(into.end(), outline.begin(), outline.end());
    }
    if (found.sure.size() > 1) found.sure = unite(found.sure);
    return found;
  }

  // Of a step, what has no tip in it: an interface lies on tips only.
  Polygons beyondTips(const DescentStep& step) const {
    const double depth = rules_.thickest * std::max(1, rules_.interfaceLayers);
    Polygons tips;
    for (const Tip& tip : tree_.tips)
      if (step.top < tip.top + 2 * tip.radius && step.top > tip.low - depth)
        tips.push_back(disc(tip.at, tip.radius + 0.05));
    return tips.empty() ? step.reach : subtract(step.reach, unite(tips));
  }

  // From the bottom up: what the gaps have cut off and lies by less than half on what is below is given up.
  void restHalf(std::vector<DescentStep>& steps) const {
    for (std::size_t q = steps.size(); q-- > 1;) {
      DescentStep& step = steps[q - 1];
      if (!(step.lost || steps[q].lost) || std::abs(steps[q].top - step.bottom) > eps) continue;
      Polygons below = steps[q].whole(), resting;
      for (const DescentStep::Landing& landing : step.landings)
        below.insert(below.end(), landing.reach.begin(), landing.reach.end());
      for (const Polygons& piece : components(step.reach))
        if (area(intersect(piece, below)) > area(piece) / 2) resting.insert(resting.end(), piece.begin(), piece.end());
      step.reach = std::move(resting);
    }
  }

  // The worst place at which a branch is thinner than steadiness asks for.
  void findSlender(Descent& descent) const {
    for (const BranchNode& node : tree_.nodes) {
      const double height = node.top - (node.at.z() - rules_.floor);
      if (2 * node.radius >= height * leastSteadiness || height <= descent.slenderHeight) continue;
      descent.slenderHeight = height;
      descent.slenderWidth = 2 * node.radius;
    }
  }

  const DemandSite& site_;
  const Tree& tree_;
  const Ground& ground_;
  const SupportRules& rules_;
  std::map<std::size_t, Polygons> falling_;  // by node: what of it stood in the step above
  double widening_ = 0;                      // mm it may have grown by since
};

}  // namespace

Tree shareOf(const BranchGraph& grove, const std::vector<Tip>& tips, std::size_t first, std::size_t count,
             const std::vector<double>& heights) {
  Tree tree{{}, {}, heights};
  std::vector<std::uint32_t> place(grove.nodes.size(), BranchNode::none), tipPlace(tips.size(), BranchNode::none);
  for (std::size_t k = first; k < first + count; ++k) {
    if (tips[k].ghost) continue;
    tipPlace[k] = static_cast<std::uint32_t>(tree.tips.size());
    tree.tips.push_back(tips[k]);
    for (std::uint32_t node = grove.tops[k]; node != BranchNode::none && place[node] == BranchNode::none;
         node = grove.nodes[node].below)
      place[node] = 0;
  }
  for (std::size_t k = 0; k < place.size(); ++k) {
    if (place[k] == BranchNode::none) continue;
    place[k] = static_cast<std::uint32_t>(tree.nodes.size());
    tree.nodes.push_back(grove.nodes[k]);
  }
  for (BranchNode& node : tree.nodes) {
    if (node.below != BranchNode::none) node.below = place[node.below];
    if (node.tip != BranchNode::none) node.tip = tipPlace[node.tip];
  }
  return tree;
}

Descent descendBranches(const DemandSite& site, const Tree& tree, const Ground& ground, const Progress& progress) {
  return Branches(site, tree, ground).run(progress);
}

}  // namespace trellis
