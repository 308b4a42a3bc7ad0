// SPDX-License-Identifier: GPL-3.0-or-later
// Where an outer wall begins and ends.
#pragma once

#include "core/geometry/polygons.hpp"

namespace trellis {

// A closed wall that begins where its seam shows least: in its sharpest concave corner, where there is one of 20° or
// more, and else at its back, farthest along y, so that the seams of layer over layer are one line. Of several such
// corners it takes the one farthest back. What lies over support is avoided where anything else is to be had.
Polygon beginningAtSeam(Polygon wall, const Polygons& overSupport);

}  // namespace trellis
