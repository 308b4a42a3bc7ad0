// SPDX-License-Identifier: GPL-3.0-or-later
// Facets that cross one another.
#pragma once

#include "core/base/progress.hpp"
#include "core/mesh/triangle_mesh.hpp"

namespace trellis {

// Facets that cut through another one, ascending; neighbours that only share an edge or a corner do not
// count. Exact, by CGAL's predicates. About a second for 300 k facets.
std::vector<std::uint32_t> findCrossings(const TriangleMesh& mesh, const Progress& progress);

}  // namespace trellis
