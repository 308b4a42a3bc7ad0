// SPDX-License-Identifier: GPL-3.0-or-later
// The plane a part is most nearly symmetrical about.
#pragma once

#include "core/base/progress.hpp"
#include "core/mesh/plane.hpp"
#include "core/mesh/triangle_mesh.hpp"

namespace trellis {

struct Symmetry {
  Plane plane;     // mesh coordinates, through the middle of the surface's area
  double fit = 0;  // 0–1: share of the surface whose mirror image lies within a hundredth of the mesh's size of it
};

// Tries principal and mesh axes and a spread of directions, then turns the best in ever smaller steps. The
// same mesh gives the same plane.
Symmetry findSymmetry(const MeshPtr& mesh, const Progress& progress);

}  // namespace trellis
