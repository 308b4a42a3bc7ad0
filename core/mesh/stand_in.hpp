// SPDX-License-Identifier: GPL-3.0-or-later
// A coarser surface to be shown in a mesh's place while the view moves. For the eye only.
#pragma once

#include "core/mesh/triangle_mesh.hpp"

namespace trellis {

// As few facets as that, where it departs from the mesh by no more than it may.
inline constexpr std::size_t standInFacets = 2000;
inline constexpr double standInError = 0.1;  // mm

// The mesh itself where it has no more facets. Edges are collapsed by quadric errors (M. Garland and P. Heckbert,
// "Surface simplification using quadric error metrics", 1997), as meshoptimizer does. Kept while anybody holds it.
MeshPtr standInOf(const MeshPtr& mesh);

}  // namespace trellis
