// SPDX-License-Identifier: GPL-3.0-or-later
// How far a surface tips outward over nothing.
#pragma once

#include "core/mesh/triangle_mesh.hpp"

namespace trellis {

// Lean in degrees of a surface with unit outward normal n: asin(−n_z). 0 is a vertical wall, 90 a flat
// ceiling; negative for surfaces that face up.
double leanOf(const Vec3& normal);

// Area in mm² of the facets that lean more than freeLean degrees and do not lie on the plate. The mesh is
// placed.
double hangingArea(const TriangleMesh& placed, double freeLean);

}  // namespace trellis
