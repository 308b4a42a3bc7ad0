// SPDX-License-Identifier: GPL-3.0-or-later
// How branches grow from tips down to trunks.
#pragma once

#include "core/support/reachability.hpp"
#include "core/support/tips.hpp"

namespace trellis {

// A round cross-section of a branch. Between a node and the one below it place and width change evenly.
struct BranchNode {
  static constexpr std::uint32_t none = static_cast<std::uint32_t>(-1);
  Vec3 at = Vec3::Zero();
  double radius = 0;           // mm
  std::uint32_t tip = none;    // the one it and what lies between it and the node below belong to, if any
  bool falls = false;          // from here straight down onto whatever is below
  double top = 0;              // mm, of the highest tip it carries over the floor
  double room = 0;             // mm, no less is free around it; 0 where nobody looked
  std::uint32_t below = none;  // none where it ends: on the floor, or going straight down onto the part
};

// The branches of all sites that share rules.
struct BranchGraph {
  std::vector<BranchNode> nodes;    // each after those that lie on it
  std::vector<std::uint32_t> tops;  // of each tip, its node; none of a ghost
};

// Tips go straight down until they are clear of what they carry. From there on branches descend level by level
// together. High up each turns to its nearest neighbour it can meet, and the two go on as one; low down those around a
// common middle gather for one foot; where there is nobody it takes the cheapest way down. Between forks no kink
// exceeds fifteen degrees from one millimetre to the next. Merging in pairs after J. Vanek, J. Galicia, B. Benes,
// "Clever Support: Efficient Support Structure Generation for Digital Fabrication" (2014), here with ways known
// beforehand to lead around the part and with branches that have momentum. Radii: the load's as in R. Schmidt, N.
// Umetani, "Branching Support Structures for 3D Printing" (2014) only in that they thicken downward; exponent and taper
// are our own. Where no way leads down, a branch goes straight to whatever is below. Ghosts grow with the others and
// are pruned at the end, so that taking one branch away moves no other.
BranchGraph growBranchGraph(const std::vector<Tip>& tips, const Reachability& ways, const SupportRules& rules,
                            const Progress& progress);

// mm a branch is to have at a height, for the highest of the tips it carries, both over the floor, and their number.
double branchRadius(double top, double height, double load, const SupportRules& rules);

}  // namespace trellis
