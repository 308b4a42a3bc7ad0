// SPDX-License-Identifier: GPL-3.0-or-later
// Laying marks: the Ball brush.
#pragma once

#include "core/marks/marks.hpp"
#include "core/mesh/ray.hpp"

namespace trellis {

// Everything within radius of a path through space, in plate coordinates. A path of one point is a dab.
struct BallStroke {
  std::vector<Vec3> path;
  double radius = 3;  // mm, 0.1–200
};

// Keeps marks to facets that lean more than freeLean degrees; −91 lets everything pass.
struct MarkFilter {
  double freeLean = -91;
};

// The marks after laying a mark (Mark::none clears) with a stroke on a placed part. Touches only facets
// near the stroke. A mark's border lies within half a leaf edge of the exact shape; a leaf's edges are
// at most max(0.1 mm, radius / 12) on the plate.
MarksPtr paint(const MeshTree& tree, const Affine& toPlate, const Marks& marks, const BallStroke& stroke, Mark mark,
               const MarkFilter& filter);

// The longest leaf edge a brush of this radius leaves at a border, mm.
double leafEdge(double radius);

}  // namespace trellis
