// SPDX-License-Identifier: GPL-3.0-or-later
// Where a part is held from the side, and where it had better be.
#pragma once

#include "core/assess/build.hpp"
#include "core/assess/stability.hpp"

namespace trellis {

// What stands beside a part's walls no farther than the hold gap, by layers of its plan: where it cannot give way.
std::vector<Polygons> holdsOf(const Build& build, std::size_t part);

struct HoldAdvice {
  std::vector<LayMark> marks;  // Bands that enforce, on one side; none where nothing helps
  double deflection = 0;       // mm, the most with them
};

// Low, and then about every third of the height or closer, until the body gives way by no more than is allowed or a
// quarter of what it did: common practice. On the side whose walls are large enough, the back of the plate before
// others, where fewer eyes fall on the scars.
HoldAdvice adviseHolds(const Project& project, const Build& build, std::size_t part);

}  // namespace trellis
