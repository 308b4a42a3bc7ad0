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
  double length = 0;    // mm, as in Site::span
  double anchored = 0;  // 0–1: how much of the line length in that direction hangs from part to part within the limit
  Polygons left = {};   // in plan, what such lines leave
  bool bridges() const { return anchored >= enough; }
  static constexpr double enough = 0.95;
};

struct SpanRules {
  double freeLean = 45;     // degrees
  double limit = 10;        // mm a line bridges at most
  double lineWidth = 0.45;  // mm
};

// Lines are looked at in the rim's own directions and every five degrees, as near to each other as printed ones, but at
// most two hundred. A line hangs from part where the section below the rim has material just beyond it, as far as the
// free lean lets a layer reach.
Span spanOf(const std::vector<RimEdge>& rim, const LayerPlan& plan, const std::vector<Polygons>& sections,
            const SpanRules& rules);

}  // namespace trellis
