// SPDX-License-Identifier: GPL-3.0-or-later
// Where a part stands on the plate.
#pragma once

#include "core/mesh/triangle_mesh.hpp"

namespace trellis {

// A part is scaled and turned about the middle of its mesh's bounding box, and that middle is put at
// position. Kept as the figures a person typed, so that they never drift.
struct Placement {
  Vec3 position = Vec3::Zero();  // plate coordinates, mm
  Vec3 turn = Vec3::Zero();      // degrees about the plate's x, then y, then z
  Vec3 scale = Vec3::Ones();     // along the mesh's own axes; negative mirrors, never 0
  bool rests = true;             // drops back to the plate whenever it is turned or scaled; false once it was lifted

  bool operator==(const Placement&) const = default;
};

// From mesh coordinates to plate coordinates.
Affine transformOf(const Placement& placement, const TriangleMesh& mesh);

// Bounding box of the placed mesh, exact over its vertices.
Box3 placedBounds(const Placement& placement, const TriangleMesh& mesh);

// The turn of a placement as a matrix, and the figures that give one: degrees about x, then y, then z.
Eigen::Matrix3d turnOf(const Vec3& degrees);
Vec3 degreesOf(const Eigen::Matrix3d& turn);

// The mirror image across a plane through the part's middle, square to one of the plate's axes (0, 1, 2).
Placement mirrored(const Placement& placement, int axis);

// The placement moved straight down or up until the part's lowest point is at height z.
Placement droppedTo(const Placement& placement, const TriangleMesh& mesh, double z);

}  // namespace trellis
