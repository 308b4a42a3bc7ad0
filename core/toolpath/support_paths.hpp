// SPDX-License-Identifier: GPL-3.0-or-later
// The lines of one support layer.
#pragma once

#include "core/settings/rules.hpp"
#include "core/support/support_layers.hpp"
#include "core/toolpath/path.hpp"

namespace trellis {

using Stages = std::vector<std::vector<Path>>;  // as in PathGroup

// The lines of one region in a layer with this top. Body lines run at 45° in every layer, so that they stand on one
// another; graded and interface lines at 135°, across the body below and across the part's first skin above. An
// interface has one line around it, which keeps its border covered whatever the spacing; the body has its walls where
// the piece ends. What is too thin for a loop gets a single line.
Stages regionPaths(const PieceRegion& region, double top, const SupportPathRules& rules);

// Which way crossed lines run in a layer: 0 or 1, one after the other.
int crossingOf(double top, const SupportPathRules& rules);

// How one region, or the ties, of a layer are printed.
struct RegionPrint {
  const Stages* paths = nullptr;  // of regions
  double width = 0;               // mm, of ties
  int tool = 0;
};

// One group per piece and filament of a layer, its ties last. regions and ties are as in the layer.
std::vector<PathGroup> supportGroups(const SupportLayer& layer, const std::vector<RegionPrint>& regions,
                                     const std::vector<RegionPrint>& ties);

inline constexpr double bodyAngle = 45, interfaceAngle = 135;

}  // namespace trellis
