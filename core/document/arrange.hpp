// SPDX-License-Identifier: GPL-3.0-or-later
// A place on the plate for every part.
#pragma once

#include "core/document/part.hpp"

namespace trellis {

struct ArrangeRules {
  double width = 250, depth = 210;  // mm, of the plate
  double gap = 5;                   // mm between what is printed
  double around = 0;                // mm of brim, raft or feet around what stands on the plate
};

// The convex outline of what a placed part and its supports cover of the plate, counter-clockwise. Support
// stands in the part's own shadow and past it by at most two lines, which are counted here, and so is what lies around.
std::vector<Vec2> footprint(const Part& part, double around);

// Where each part goes, turned as it is: the largest first, each as near to the plate's middle as the others
// leave it, on a grid of 2 mm. Throws Error naming the parts that find no room.
std::vector<Placement> arranged(const std::vector<PartPtr>& parts, const ArrangeRules& rules);

// Where parts go that join others, which stay: each where it is, if it is clear of them and on the plate, else to the
// clear place nearest to the middle; what finds none is laid in a row behind the plate.
std::vector<Placement> besideOthers(const std::vector<PartPtr>& others, const std::vector<PartPtr>& parts,
                                    const ArrangeRules& rules);

}  // namespace trellis
