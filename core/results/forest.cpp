// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/results/forest.hpp"

#include "core/base/key.hpp"
#include "core/base/parallel.hpp"
#include "core/support/column.hpp"

#include <algorithm>
#include <map>

namespace trellis {

namespace {

constexpr double margin = 12;  // mm a branch may reach past everything else

Box2 groundOf(const Obstacles& obstacles, const Box2& plate) {
  Box2 box;
  for (const Polygons& section : obstacles.sections) box.extend(boundsOf(section));
  return Box2(box.min().array() - margin, box.max().array() + margin).intersection(plate);
}

std::vector<double> heightsOf(const std::vector<const ForestSite*>& grove, const Obstacles& obstacles) {
  std::size_t lowest = obstacles.plan.count(), highest = 0;
  for (const ForestSite* site : grove) {
    lowest = std::min(lowest, site->demand->lowest);
    highest = std::max(highest, site->demand->highest());
  }
  return planHeights(obstacles.plan, lowest, highest, *grove.front()->rules);
}

}  // namespace

std::vector<std::shared_ptr<const Tree>> Forest::grow(const std::vector<ForestSite>& sites, const Obstacles& obstacles,
                                                      const std::vector<Polygons>& noLanding,
                                                      std::uint64_t obstaclesKey, const Box2& plate,
                                                      const Progress& progress) {
  std::vector<std::shared_ptr<const std::vector<Tip>>> tips(sites.size());
  std::vector<std::uint64_t> keys(sites.size());
  parallelFor(sites.size(), progress, [&](std::size_t i) {
    keys[i] = KeyBuilder().add(obstaclesKey).add(sites[i].rulesKey).add(sites[i].key).key();
    const auto known = tips_.find(keys[i]);
    tips[i] = known != tips_.end() ? known->second
                                   : std::make_shared<const std::vector<Tip>>(
                                         placeTips(*sites[i].demand, obstacles, *sites[i].rules, progress));
  });
  tips_.clear();
  std::map<std::uint64_t, std::vector<std::size_t>> groves;  // by rules
  for (std::size_t i = 0; i < sites.size(); ++i) {
    tips_[keys[i]] = tips[i];
    groves[sites[i].rulesKey].push_back(i);
  }
  std::vector<std::shared_ptr<const Tree>> trees(sites.size());
  std::unordered_map<std::uint64_t, std::shared_ptr<const Reachability>> used;
  for (const auto& [rulesKey, members] : groves) {
    const SupportRules& rules = *sites[members.front()].rules;
    const std::uint64_t key =
        KeyBuilder().add(obstaclesKey).add(rulesKey).add(plate.max().x()).add(plate.max().y()).key();
    std::shared_ptr<const Reachability>& ways = used[key];
    const auto known = ways_.find(key);
    ways = known != ways_.end() ? known->second
                                : std::make_shared<const Reachability>(obstacles, noLanding, rules, neckRadius(rules),
                                                                       groundOf(obstacles, plate), progress);
    std::vector<Tip> all;
    std::vector<std::size_t> first;
    std::vector<const ForestSite*> grove;
    for (const std::size_t i : members) {
      first.push_back(all.size());
      all.insert(all.end(), tips[i]->begin(), tips[i]->end());
      grove.push_back(&sites[i]);
    }
    const BranchGraph grown = growBranchGraph(all, *ways, rules, progress);
    const std::vector<double> heights = heightsOf(grove, obstacles);
    for (std::size_t k = 0; k < members.size(); ++k)
      trees[members[k]] =
          std::make_shared<const Tree>(shareOf(grown, all, first[k], tips[members[k]]->size(), heights));
  }
  ways_ = std::move(used);
  return trees;
}

std::uint64_t keyOf(const Tree& tree) {
  KeyBuilder key;
  for (const BranchNode& node : tree.nodes)
    key.add(node.at.x())
        .add(node.at.y())
        .add(node.at.z())
        .add(node.radius)
        .add(node.room)
        .add(node.top)
        .add(node.tip)
        .add(node.falls)
        .add(node.below);
  for (const Tip& tip : tree.tips) key.add(tip.at.x()).add(tip.at.y()).add(tip.top).add(tip.low);
  for (const double height : tree.heights) key.add(height);
  return key.key();
}

}  // namespace trellis
