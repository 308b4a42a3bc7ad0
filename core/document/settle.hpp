// SPDX-License-Identifier: GPL-3.0-or-later
// How a part would rest on the plate.
#pragma once

#include "core/document/placement.hpp"

#include <optional>

namespace trellis {

// A flat face of a mesh's convex hull.
struct RestingFace {
  Vec3 normal = Vec3::Zero();  // outward, unit, along the scaled mesh's axes
  double area = 0;             // mm², of the scaled mesh
};

// The faces of the hull of a mesh scaled along its axes, largest first; coplanar facets are one face. By
// CGAL's convex hull.
std::vector<RestingFace> restingFaces(const TriangleMesh& mesh, const Vec3& scale);

// The placement turned, by the shortest way, until a direction of the scaled mesh points down, then dropped
// to the plate. From then on it rests.
Placement turnedDown(const Placement& placement, const TriangleMesh& mesh, const Vec3& normal);

// The same for the face among these that is nearest in direction to a facet of the mesh. faces as by
// restingFaces for the placement's scale, at least one.
Placement turnedDownOn(const std::vector<RestingFace>& faces, const Placement& placement, const TriangleMesh& mesh,
                       std::uint32_t facet);

// The same with the face of the hull that is nearest in direction to the facet at a place on the placed
// part: a part cannot rest on a hollow. Nothing when no facet is within 1 mm of the place.
std::optional<Placement> placedOnFaceAt(const Placement& placement, const MeshPtr& mesh, const Vec3& at);

}  // namespace trellis
