// SPDX-License-Identifier: GPL-3.0-or-later
// The tree support of one site, from its tips down to where its branches stand.
#pragma once

#include "core/support/branch_graph.hpp"
#include "core/support/column_descent.hpp"

namespace trellis {

// A site's tips and all that carries them down to the floor, trunks shared with other sites included: each site's
// support stands by itself, and what several have in common is united with the layers.
struct Tree {
  std::vector<Tip> tips;
  std::vector<BranchNode> nodes;  // each after those that lie on it
  std::vector<double> heights;    // between which it is printed, highest first: those of its whole grove
};

// The share of a grove that carries the tips numbered from first on, without ghosts; tips are those of the whole grove.
Tree shareOf(const BranchGraph& grove, const std::vector<Tip>& tips, std::size_t first, std::size_t count,
             const std::vector<double>& heights);

// What stands at each height: outlines of branches, kept clear of the part, landed, and with nothing that rests on
// nothing.
Descent descendBranches(const DemandSite& site, const Tree& tree, const Ground& ground, const Progress& progress);

}  // namespace trellis
