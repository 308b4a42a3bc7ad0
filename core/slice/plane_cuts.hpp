// SPDX-License-Identifier: GPL-3.0-or-later
// Surface cut at the section planes.
#pragma once

#include "core/geometry/polygons.hpp"

#include <functional>
#include <vector>

namespace trellis {

// What of a convex polygon lies between plane i−1 and plane i, for each plane it reaches, seen from above: a
// convex outline, counter-clockwise. Planes ascend. The lower plane is included, as slicing counts a vertex on
// a plane to be above it.
void cutAtPlanes(const std::vector<Vec3>& polygon, const std::vector<double>& planes,
                 const std::function<void(std::size_t, Polygon)>& visit);

}  // namespace trellis
