// SPDX-License-Identifier: GPL-3.0-or-later
// What the nozzle does in a layer: the lines it draws, one after another, and how it gets from one to the next.
#pragma once

#include "core/toolpath/path.hpp"

namespace trellis {

// How the nozzle gets to where a line begins.
struct Approach {
  Polygon way;            // corners on it, between the end of the line before and the beginning of this
  bool retracts = false;  // filament is pulled back on the way
  bool lifts = false;     // and the nozzle raised
};

// A path as the nozzle runs along it: closed paths end on their first point again.
struct Run {
  Feature feature = Feature::skirt;
  double width = 0;  // mm
  Owner owner;
  Polygon points;
  Filament filament = Filament::first;
  double height = 0;      // mm, when it is not the layer's
  std::size_t group = 0;  // runs of one group belong together, such as those of an island
  double speed = 0;       // mm/s
  Approach approach = {};

  bool isClosed() const { return points.size() > 2 && points.front() == points.back(); }
};

}  // namespace trellis
