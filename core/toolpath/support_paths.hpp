// SPDX-License-Identifier: GPL-3.0-or-later
// The lines of one support layer.
#pragma once

#include "core/settings/rules.hpp"
#include "core/support/support_layers.hpp"
#include "core/toolpath/path.hpp"

#include <memory>

namespace trellis {

using Stages = std::vector<std::vector<Path>>;  // as in PathGroup

// The lines of one region of a layer, island by island. Body lines run at 45° in every layer, so that they stand on
// one another; graded and interface lines at 135°, across the body below and across the part's first cover above. An
// interface has one line around it, which keeps its border covered whatever the spacing; the body has its walls where
// the piece ends. What is too thin for a loop gets a single line.
// crossing is that of the layer, which crossed lines run by.
std::vector<Stages> regionPaths(const PieceRegion& region, int crossing, const SupportPathRules& rules);

// Which way crossed lines run in a layer: 0 or 1, one after the other.
int crossingOf(double top, const SupportPathRules& rules);

// How one region of a layer is printed.
struct RegionPrint {
  std::shared_ptr<const std::vector<Stages>> islands;
  std::size_t piece = 0;
  Filament filament = Filament::first;
};
// How what reaches from a hold to the wall is printed.
struct TiePrint {
  Lines lines;
  std::size_t piece = 0;
  double width = 0;  // mm
  Filament filament = Filament::first;
};

// One group per island of a piece, the piece's ties with the last of them.
std::vector<PathGroup> supportGroups(const std::vector<RegionPrint>& regions, const std::vector<TiePrint>& ties);

inline constexpr double bodyAngle = 45, interfaceAngle = 135;

}  // namespace trellis
