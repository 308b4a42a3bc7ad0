// SPDX-License-Identifier: GPL-3.0-or-later
// A plane through a point: where a part is cut open for the eye, or mirrored.
#pragma once

#include "core/base/types.hpp"

namespace trellis {

struct Plane {
  Vec3 at = Vec3::Zero();
  Vec3 normal = Vec3::UnitX();  // of length 1

  double heightOf(const Vec3& p) const { return (p - at).dot(normal); }  // mm, along the normal
  Vec3 mirrored(const Vec3& p) const { return p - 2 * heightOf(p) * normal; }
  Vec3 mirroredDirection(const Vec3& d) const { return d - 2 * d.dot(normal) * normal; }
  // The plane moved with what it belongs to.
  Plane movedBy(const Affine& t) const;
};

// What normals are multiplied with where t moves their surface: the transposed inverse. Their length changes.
Eigen::Matrix3d normalMap(const Affine& t);

}  // namespace trellis
