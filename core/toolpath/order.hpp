// SPDX-License-Identifier: GPL-3.0-or-later
// The order in which a layer's paths are printed.
#pragma once

#include "core/toolpath/run.hpp"

#include <vector>

namespace trellis {

// Groups along a short way through all of them, from the plate's origin; or back again, so that a layer begins about
// where the one below it ended and yet depends on nothing but itself. The paths of a group stay together, stage by
// stage, in a stage always on to the nearest end. Walls of a part begin where their path does, other closed paths at
// their point nearest to the nozzle.
std::vector<Run> orderPaths(const std::vector<PathGroup>& groups, bool backwards = false);

}  // namespace trellis
