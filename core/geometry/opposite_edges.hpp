// SPDX-License-Identifier: GPL-3.0-or-later
// A quick look for places where a region may be thin.
#pragma once

#include "core/geometry/polygons.hpp"

namespace trellis {

// False only where no two edges of the region face each other across it within a distance, mm: then it is thinner than
// that nowhere but in corners of a right angle or wider.
bool hasOppositeEdges(const Polygons& region, double distance);

}  // namespace trellis
