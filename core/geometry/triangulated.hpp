// SPDX-License-Identifier: GPL-3.0-or-later
// Plane regions as triangles.
#pragma once

#include "core/geometry/polygons.hpp"

#include <array>
#include <vector>

namespace trellis {

// A constrained Delaunay triangulation of what lies within an odd number of outlines, mm, counter-clockwise.
std::vector<std::array<Vec2, 3>> triangulated(const Polygons& outlines);

}  // namespace trellis
