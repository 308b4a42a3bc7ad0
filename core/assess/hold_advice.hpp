// SPDX-License-Identifier: GPL-3.0-or-later
// Where a part is held from the side, and where it had better be.
#pragma once

#include "core/assess/stability.hpp"
#include "core/document/operations.hpp"
#include "core/support/supports.hpp"

namespace trellis {

// What stands beside a part's walls no farther than the hold gap, by layers of its plan: where it cannot give way.
std::vector<Polygons> holdsOf(const Supports& build, std::size_t part);

// A part that stands, with what holds it already.
struct Standing {
  const TriangleMesh& placed;
  const LayerPlan& plan;
  const std::vector<Polygons>& sections;
  const std::vector<Polygons>& holds;  // as of holdsOf
};

struct HoldAdvice {
  std::vector<LayMark> marks;  // Bands that enforce, on one side; none where nothing helps
  double deflection = 0;       // mm, the most with them
};

// Low, and then about every third of the height or closer, until the body gives way by no more than is allowed or a
// quarter of what it did: common practice. On the side whose walls are large enough, the back of the plate before
// others, where fewer eyes fall on the scars.
// part is its number, which the marks bear.
HoldAdvice adviseHolds(std::size_t part, const Standing& standing, const StabilityRules& rules,
                       const Progress& progress);

}  // namespace trellis
