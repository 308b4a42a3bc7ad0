// SPDX-License-Identifier: GPL-3.0-or-later
// The lines of one layer of one part: walls, covers, bridges, infill.
#pragma once

#include "core/base/progress.hpp"
#include "core/settings/rules.hpp"
#include "core/toolpath/path.hpp"

#include <vector>

namespace trellis {

struct PartPaths {
  std::vector<PathGroup> groups;  // one per island
  Polygons tooThin;               // of the section, what no line can print
};

// Of each of a part's layers, what has part over it and under it in as many layers as covers are thick. The rest is
// cover.
std::vector<Polygons> buriedIn(const std::vector<Polygons>& sections, const PartRules& rules, const Progress& progress);

// sections are the part's own, one per layer, and buried those without their covers; carried is what support lies right
// under in this layer; what lies between tips of support is taken as carried, so that lines run on over it. Outer
// walls begin at their seams, and lines of covers go on into one another. Covers alternate between 45° and 135°; over
// support they start at 45°, across the interface's lines. A wall is steep when a tenth of it or more has its middle
// over nothing.
PartPaths partPaths(const std::vector<Polygons>& sections, const std::vector<Polygons>& buried, std::size_t layer,
                    const Polygons& carried, const PartRules& rules);

// Half the angle a cover or infill line is turned by from layer to layer.
inline constexpr double evenAngle = 45, oddAngle = 135;

}  // namespace trellis
