// SPDX-License-Identifier: GPL-3.0-or-later
// What hangs but is too small to matter.
#pragma once

#include "core/overhang/sites.hpp"

namespace trellis {

// How many layers over what it stands on a rounded foot may begin.
inline constexpr std::size_t roundedFootLayers = 3;

// Tells proper sites from specks and rounded feet and puts the proper ones first, in the order they were in.
// A site is a speck when its area is under w², w the line width, or no step of it reaches farther than w / 2 over the
// layer below; but not when it begins in mid-air and grows to w² before it meets anything else. It is a rounded foot
// when it begins at most roundedFootLayers over the plate, or over surface, and no step reaches farther than 1.5 w; or
// when it is something that begins on nothing in the second layer, with under 1.5 layers of room.
void classifySites(Sites& sites, const LayerPlan& plan, const std::vector<Polygons>& sections, double lineWidth,
                   const Progress& progress);

// What begins in mid-air at proper sites.
std::vector<const FloatingStart*> startsThatMatter(const Sites& sites, const Overhangs& overhangs);

}  // namespace trellis
