// SPDX-License-Identifier: GPL-3.0-or-later
// The lines of one support layer.
#pragma once

#include "core/support/support_layers.hpp"
#include "core/toolpath/path.hpp"

namespace trellis {

struct SupportPathRules {
  double lineWidth = 0.45;         // mm
  double bodySpacing = 2.2;        // mm of daylight between body lines
  int bodyWalls = 1;               // lines around the body
  double interfaceSpacing = 0.45;  // mm of daylight between interface lines
};

using Stages = std::vector<std::vector<Path>>;  // as in PathGroup

// The lines of one region. Body lines run at 45° in every layer, so that they stand on one another;
// interface lines at 135°, across the body below and across the part's first skin above. An interface has
// one line around it, which keeps its border covered whatever the spacing. What is too thin for a loop
// gets a single line.
Stages regionPaths(const Polygons& area, bool interface, const SupportPathRules& rules);

// One group per piece of a layer; paths are those of the layer's regions, in their order.
std::vector<PathGroup> supportGroups(const SupportLayer& layer, const std::vector<const Stages*>& paths);

inline constexpr double bodyAngle = 45, interfaceAngle = 135;

}  // namespace trellis
