// SPDX-License-Identifier: GPL-3.0-or-later
// What support has to keep away from, layer by layer, all parts together.
#pragma once

#include "core/base/progress.hpp"
#include "core/geometry/polygons.hpp"
#include "core/settings/rules.hpp"
#include "core/slice/layer_plan.hpp"

namespace trellis {

// mm of daylight sideways: from walls that support passes, and from those that lean out over it.
struct GapsAround {
  double beside = 0.5, slope = 0.2;
  auto operator<=>(const GapsAround&) const = default;
};

struct Obstacles {
  LayerPlan plan;
  std::vector<Polygons> sections;    // of all parts, as they are printed: the gaps above and below are kept from them
  std::vector<Polygons> exposedTop;  // of each section, what the next one leaves uncovered: up-facing surface
  std::vector<Polygons> landable;    // of each ledge, what lies near surface flat enough to be stood on
  std::vector<Lines> walls;          // outlines that count for the gap beside
  std::vector<Lines> slopes;         // those that count for the slope gap: walls, and what leans out over support
  std::vector<Polygons> keepOut;     // sections, and everything within these gaps of walls and slopes
  std::vector<GapsAround> gaps;      // kept in keepOut from each part
  std::vector<Polygons> forbidden;   // zones to be kept clear; empty when there are none
};

// What support goes around, and where it may not stand: up-facing surface of all parts together, by the layer above it.
struct Terrain {
  const Obstacles& obstacles;
  const std::vector<Polygons>& noLanding;
};

// What one part puts into the way, one entry per layer of its own plan.
struct PartObstacles {
  const std::vector<Polygons>& sections;
  const std::vector<Polygons>& printed;  // of them, what is more than a tip without any line
  const std::vector<Polygons>& hanging;  // demand by lean: surface that support reaches from below
  GapsAround gaps;                       // kept from this part
};

// Up-facing surface that leans back at least this far from vertical, degrees, is stood on and not passed
// beside: common practice. It does not count for the gap beside, or a column over a slope would be eaten
// away from below; the gap below holds there instead. Hanging surface does not count for the gap beside either:
// support comes up to it with the gap above, and keeps the slope gap from what of it is in the same layer.
inline constexpr double standingSlope = 45;

// Outlines move by a few micrometres each time they are offset and smoothed on their way to the bead; the gap beside is
// kept from the bead, so it is taken wider by this, mm.
inline constexpr double outlineSlack = 0.022;

// A section with what is within the gaps of its walls and slopes.
Polygons keptClear(const Polygons& section, const Lines& walls, const Lines& slopes, const GapsAround& gaps);

Obstacles findObstacles(const LayerPlan& plan, const std::vector<PartObstacles>& parts, const Progress& progress);

}  // namespace trellis
