// SPDX-License-Identifier: GPL-3.0-or-later
// A mesh cut into the cross-sections of its layers.
#pragma once

#include "core/base/progress.hpp"
#include "core/geometry/polygons.hpp"
#include "core/mesh/triangle_mesh.hpp"

#include <vector>

namespace trellis {

// An outline that the mesh leaves open by more than 0.05 mm. It was closed straight across.
struct SliceGap {
  Vec3 at = Vec3::Zero();  // one end of the gap
  double length = 0;       // mm
};

// Sections keep this near to the mesh, mm, from there on.
inline constexpr double outlineTolerance = 0.004;

struct Slices {
  std::vector<Polygons> sections;  // one per height asked for, nested, as dense as the mesh
  std::vector<SliceGap> gaps;      // lowest first
};

// Cuts at the given heights, which must ascend. A vertex exactly on a plane counts as above it, so a
// section is that of the mesh just below its plane, and no facet lies in a plane. Facets turned the
// wrong way, doubled, or missing by up to 0.05 mm do no harm; overlapping shells are united.
Slices slice(const TriangleMesh& mesh, const std::vector<double>& heights, const Progress& progress);

// The same before nesting: closed outlines as they come from the mesh, united with nothing. For
// measuring the bare cutting.
Slices sliceBare(const TriangleMesh& mesh, const std::vector<double>& heights, const Progress& progress);

}  // namespace trellis
