// SPDX-License-Identifier: GPL-3.0-or-later
// What two solids make together. By CGAL's corefinement, with exact predicates.
#pragma once

#include "core/mesh/triangle_mesh.hpp"

namespace trellis {

// Both closed, their facets not crossing themselves. The result is closed and sound, or null where it is empty.
// Throws Error in a sentence when a mesh is not closed or the solids cannot be combined; what is named in it.
MeshPtr united(const TriangleMesh& a, const TriangleMesh& b, const std::string& what);
MeshPtr common(const TriangleMesh& a, const TriangleMesh& b, const std::string& what);

}  // namespace trellis
