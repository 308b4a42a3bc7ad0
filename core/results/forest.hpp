// SPDX-License-Identifier: GPL-3.0-or-later
// The trees of all sites that are to have one, and what is kept of them from run to run.
#pragma once

#include "core/support/tree.hpp"

#include <memory>
#include <unordered_map>

namespace trellis {

struct ForestSite {
  const DemandSite* demand;
  std::uint64_t key;  // of the demand
  const SupportRules* rules;
  std::uint64_t rulesKey;  // sites with the same one grow together
};

// Like the pipeline it belongs to, it keeps the values of the last run and nothing older.
class Forest {
 public:
  // One tree a site. obstaclesKey is that of the obstacles and of what is noLanding; plate the area that feet may stand
  // in.
  std::vector<std::shared_ptr<const Tree>> grow(const std::vector<ForestSite>& sites, const Obstacles& obstacles,
                                                const std::vector<Polygons>& noLanding, std::uint64_t obstaclesKey,
                                                const Box2& plate, const Progress& progress);

 private:
  std::unordered_map<std::uint64_t, std::shared_ptr<const std::vector<Tip>>> tips_;
  std::unordered_map<std::uint64_t, std::shared_ptr<const Reachability>> ways_;
};

// Of everything a column takes from its tree.
std::uint64_t keyOf(const Tree& tree);

}  // namespace trellis
