// SPDX-License-Identifier: GPL-3.0-or-later
// Closes the segments of one section into outlines, however broken the mesh.
#pragma once

#include "core/geometry/polygons.hpp"

#include <vector>

namespace trellis {

// A stretch of outline; the part is on its left. Open until its two ends are joined.
struct Chain {
  Polygon points;
};

struct OpenEnd {
  Point at;
  double length = 0;  // mm across the gap that was closed
};

// Joins the ends of chains to each other, nearest first, over gaps of up to 0.05 mm, turning chains
// round where only that makes ends meet. What then is still open is closed straight across, and
// listed in left. Weak where several gaps of nearly the same width lie within 0.05 mm of each other:
// the pairing is then by distance alone.
Polygons joinChains(std::vector<Chain> chains, std::vector<OpenEnd>& left);

}  // namespace trellis
