// SPDX-License-Identifier: GPL-3.0-or-later
// Holds: columns that steady a wall instead of carrying an overhang.
#pragma once

#include "core/support/demand.hpp"

namespace trellis {

// Where columns stand beside marked walls, lines as in MarkShadows: on the outside, from the wall itself to two
// lines past the gap beside. Walls of neighbouring layers that touch make one hold.
std::vector<DemandSite> holdsBeside(const std::vector<Lines>& walls, const Asked& asked, const SupportRules& rules,
                                    const Progress& progress);

// Branches that hold as much as a hold: posts, one to every ten millimetres of wall, each as thick as a branch of its
// height is. Weak: each goes straight down.
std::vector<DemandSite> postsOf(const DemandSite& hold, const LayerPlan& plan, const SupportRules& rules);

// Ties of a hold in one layer: from the wall across the hold gap and a line deep into the column.
// One for every ten millimetres of wall, at least one.
Lines tiesAt(const Lines& walls, const SupportRules& rules);

}  // namespace trellis
