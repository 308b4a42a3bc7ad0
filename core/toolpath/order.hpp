// SPDX-License-Identifier: GPL-3.0-or-later
// The order in which a layer's paths are printed, and where each begins.
#pragma once

#include "core/toolpath/path.hpp"

#include <vector>

namespace trellis {

// A path as the nozzle runs along it: closed paths end on their first point again.
struct Run {
  Feature feature = Feature::skirt;
  double width = 0;  // mm
  Owner owner;
  Polygon points;
  int tool = 0;       // which filament
  double height = 0;  // mm, when it is not the layer's
};

// Nearest first, from the plate's origin, so that a layer's order depends on nothing but itself. The
// paths of a group stay together, stage by stage. Closed outer walls begin at their sharpest concave
// corner, where the seam shows least; other closed paths begin at their point nearest to the nozzle.
std::vector<Run> orderPaths(const std::vector<PathGroup>& groups);

}  // namespace trellis
