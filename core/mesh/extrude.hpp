// SPDX-License-Identifier: GPL-3.0-or-later
// Plane regions made into solids.
#pragma once

#include "core/geometry/polygons.hpp"
#include "core/mesh/triangle_mesh.hpp"

namespace trellis {

// The region between two heights, mm: closed, with holes. Faces are a constrained Delaunay triangulation. Null where
// the region is empty. Outlines that cross are resolved first.
MeshPtr extruded(const Polygons& region, double low, double high);

}  // namespace trellis
