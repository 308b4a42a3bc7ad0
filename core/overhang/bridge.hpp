// SPDX-License-Identifier: GPL-3.0-or-later
// How far a hanging region spans, and whether it bridges.
#pragma once

#include "core/geometry/polygons.hpp"
#include "core/slice/layer_plan.hpp"

#include <vector>

namespace trellis {

// A stretch of a region's rim, seen from above, the region on its left.
struct RimEdge {
  Vec3 from, to;
};

struct Span {
  double length = 0;      // mm, as in Site::span
  bool anchored = false;  // every chord in that direction ends on part at both ends
};

// Chords are looked at in the rim's own directions and every five degrees, just inside every corner and
// between corners. A chord ends on part where the section below the rim has material just beyond it, as far
// as the free lean lets a layer reach.
Span spanOf(const std::vector<RimEdge>& rim, const LayerPlan& plan, const std::vector<Polygons>& sections,
            double freeLean);

}  // namespace trellis
