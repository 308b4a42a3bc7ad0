// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plate/placement.hpp"

#include <cmath>

namespace trellis {

namespace {

// Exact for quarter turns, so that a face laid flat is flat to the last bit.
Eigen::Matrix3d turnAbout(int axis, double degrees) {
  const double quarters = degrees / 90;
  double c = std::cos(toRadians(degrees)), s = std::sin(toRadians(degrees));
  if (quarters == std::round(quarters)) {
    c = std::round(c);
    s = std::round(s);
  }
  Eigen::Matrix3d m = Eigen::Matrix3d::Identity();
  const int i = (axis + 1) % 3, j = (axis + 2) % 3;
  m(i, i) = c;
  m(i, j) = -s;
  m(j, i) = s;
  m(j, j) = c;
  return m;
}

}  // namespace

Affine transformOf(const Placement& placement, const TriangleMesh& mesh) {
  const Eigen::Matrix3d turn = turnAbout(2, placement.turn.z()) * turnAbout(1, placement.turn.y()) *
                               turnAbout(0, placement.turn.x());
  Affine result = Affine::Identity();
  result.linear() = turn * placement.scale.asDiagonal();
  const Vec3 middle = mesh.facets.empty() ? Vec3(Vec3::Zero()) : Vec3(mesh.bounds.center());
  result.translation() = placement.position - result.linear() * middle;
  return result;
}

Box3 placedBounds(const Placement& placement, const TriangleMesh& mesh) {
  const Affine transform = transformOf(placement, mesh);
  Box3 box;
  for (const Vec3f& v : mesh.vertices) box.extend(transform * v.cast<double>());
  return box;
}

Placement droppedTo(const Placement& placement, const TriangleMesh& mesh, double z) {
  Placement dropped = placement;
  dropped.position.z() += z - placedBounds(placement, mesh).min().z();
  return dropped;
}

}  // namespace trellis
