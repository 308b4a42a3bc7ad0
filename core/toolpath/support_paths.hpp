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

// Body lines run at 45° in every layer, so that they stand on one another; interface lines at 135°,
// across the body below and across the part's first skin above. An interface has one line around it,
// which keeps its border covered whatever the spacing. What is too thin for a loop gets a single line.
std::vector<PathGroup> supportPaths(const SupportLayer& layer, const SupportPathRules& rules);

inline constexpr double bodyAngle = 45, interfaceAngle = 135;

}  // namespace trellis
