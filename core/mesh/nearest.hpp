// SPDX-License-Identifier: GPL-3.0-or-later
// The point of a mesh nearest to another.
#pragma once

#include "core/mesh/ray.hpp"

namespace trellis {

struct NearPoint {
  std::uint32_t facet = 0;
  Vec3 point = Vec3::Zero();
  double distance = 0;  // mm
};

// Nothing when the mesh is farther than within mm. Between equals the lowest facet. Mesh coordinates.
std::optional<NearPoint> nearestOn(const MeshTree& tree, const Vec3& point, double within);

// The point of a triangle nearest to another, by the regions of its plane (C. Ericson, "Real-Time Collision
// Detection", 2005, section 5.1.5).
Vec3 nearestOnTriangle(const std::array<Vec3, 3>& corners, const Vec3& point);

}  // namespace trellis
