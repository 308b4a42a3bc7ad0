// SPDX-License-Identifier: GPL-3.0-or-later
// Single lines for what is too thin for two.
#pragma once

#include "core/geometry/polygons.hpp"

namespace trellis {

struct CentreLine {
  double width = 0;  // mm, of the region along this line
  Polygon points;    // open
};

struct CentreRules {
  double narrowest = 0.225, widest = 0.675;  // mm
  double taper = 0;  // mm of width per mm along, up to which a line runs on until it is narrowest; else it stops before
};

// Lines along the middle of a region (its medial axis, over Boost's Voronoi diagram of segments) where
// the region is at least narrowest and at most widest, mm. Cut into stretches of nearly constant width.
// Weak at ends: a line stops half a width before the region does, and twigs shorter than narrowest are dropped.
std::vector<CentreLine> centreLines(const Polygons& region, const CentreRules& rules);

}  // namespace trellis
