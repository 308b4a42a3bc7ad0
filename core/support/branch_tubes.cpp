// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/support/branch_tubes.hpp"

#include <algorithm>
#include <cmath>
#include <set>

namespace trellis {

namespace {

constexpr int sides = 12;           // of all, or there would be cracks between them
constexpr double slopeSlack = 0.5;  // mm a tip's outline may rise over its highest known demand

// Which piece, printed by which settings, a branch belongs to at a place.
struct Belongs {
  std::uint32_t piece = 0, rules = 0;
  bool found = false;
};

Belongs belongsTo(const SupportLayers& layers, const Vec3& at) {
  const auto first = std::partition_point(layers.layers.begin(), layers.layers.end(),
                                          [&](const SupportLayer& layer) { return layer.top < at.z(); });
  for (auto layer = first; layer != layers.layers.end() && layer < first + 3; ++layer)
    for (const PieceRegion& region : layer->regions)
      if (boundsOf(region.area).contains(at.head<2>()) && contains(region.area, toPoint(at.x(), at.y())))
        return {static_cast<std::uint32_t>(region.piece), static_cast<std::uint32_t>(region.rules), true};
  return {};
}

struct Ring {
  Vec3 centre;
  double radius;
  Vec3f at(double angle) const { return (centre + radius * Vec3(std::cos(angle), std::sin(angle), 0)).cast<float>(); }
};

void addTube(std::vector<SolidVertex>& out, const Ring& upper, const Ring& lower, const Belongs& owner) {
  const auto vertex = [&](const Ring& ring, int side) {
    const double angle = 2 * pi * side / sides;
    return SolidVertex{ring.at(angle),
                       Vec3f(static_cast<float>(std::cos(angle)), static_cast<float>(std::sin(angle)), 0),
                       RegionKind::branch, owner.rules, owner.piece};
  };
  for (int side = 0; side < sides; ++side)
    for (const auto& [ring, corner] : {std::pair(&lower, side),
                                       {&lower, side + 1},
                                       {&upper, side + 1},
                                       {&lower, side},
                                       {&upper, side + 1},
                                       {&upper, side}})
      out.push_back(vertex(*ring, corner));
}

}  // namespace

std::vector<bool> shownByOutlines(const SupportLayers& layers, const Trees& trees) {
  std::vector<bool> byOutlines;
  if (trees.empty()) return byOutlines;
  for (const Piece& piece : layers.pieces)
    byOutlines.push_back(
        std::any_of(piece.sites.begin(), piece.sites.end(), [&](std::size_t site) { return trees[site] == nullptr; }));
  return byOutlines;
}

void addTubes(std::vector<SolidVertex>& out, const SupportLayers& layers, const Trees& trees,
              const std::vector<bool>& byOutlines) {
  std::set<std::array<double, 6>> drawn;
  for (const auto& tree : trees) {
    if (!tree) continue;
    for (const BranchNode& node : tree->nodes) {
      if (node.below == BranchNode::none || node.falls) continue;
      const BranchNode& below = tree->nodes[node.below];
      if (!drawn.insert({node.at.x(), node.at.y(), node.at.z(), below.at.x(), below.at.y(), below.at.z()}).second)
        continue;
      Ring upper{node.at, node.radius};
      if (node.tip != BranchNode::none) {
        const double top = std::min(node.at.z(), tree->tips[node.tip].low),
                     share = (node.at.z() - top) / (node.at.z() - below.at.z());
        if (top <= below.at.z()) continue;
        upper = {{node.at.x(), node.at.y(), top}, node.radius + share * (below.radius - node.radius)};
      }
      const Belongs owner = belongsTo(layers, (upper.centre + below.at) / 2);
      if (owner.found && !byOutlines[owner.piece]) addTube(out, upper, {below.at, below.radius}, owner);
    }
  }
}

TipZones::TipZones(const Trees& trees) {
  for (const auto& tree : trees)
    if (tree) tips_.insert(tips_.end(), tree->tips.begin(), tree->tips.end());
  std::sort(tips_.begin(), tips_.end(), [](const Tip& a, const Tip& b) { return a.low < b.low; });
}

bool TipZones::holds(const PieceRegion& region, double top) const {
  const Box2 box = boundsOf(region.area);
  return std::any_of(
      tips_.begin(),
      std::partition_point(tips_.begin(), tips_.end(), [&](const Tip& tip) { return tip.low < top - 1e-6; }),
      [&](const Tip& tip) { return top < tip.top + slopeSlack && box.exteriorDistance(tip.at) < tip.radius; });
}

}  // namespace trellis
