// SPDX-License-Identifier: GPL-3.0-or-later
// What support has to keep away from, layer by layer, all parts together.
#pragma once

#include "core/base/progress.hpp"
#include "core/slice/layer_plan.hpp"
#include "core/slice/polygons.hpp"
#include "core/support/rules.hpp"

namespace trellis {

struct Obstacles {
  LayerPlan plan;
  std::vector<Polygons> sections;  // of all parts
  std::vector<Polygons> walls;     // their outlines as open lines, without what is stood on
  std::vector<Polygons> besides;   // sections, and everything within the gap beside of walls
  std::vector<Polygons> barred;    // up-facing surface where nothing may stand, by the layer above it
};

// Up-facing surface that leans back at least this far from vertical, degrees, is stood on and not passed
// beside: common practice. It does not count for the gap beside, or a column over a slope would be eaten
// away from below; the gap below holds there instead.
inline constexpr double standingSlope = 45;

// sections[part][layer] and barred[part][layer]; shorter lists mean nothing there.
Obstacles findObstacles(const LayerPlan& plan, const std::vector<const std::vector<Polygons>*>& sections,
                        const std::vector<const std::vector<Polygons>*>& barred, const SupportRules& rules,
                        const Progress& progress);

}  // namespace trellis
