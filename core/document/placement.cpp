// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/document/placement.hpp"

#include <algorithm>
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

Eigen::Matrix3d turnOf(const Vec3& degrees) {
  return turnAbout(2, degrees.z()) * turnAbout(1, degrees.y()) * turnAbout(0, degrees.x());
}

Vec3 degreesOf(const Eigen::Matrix3d& turn) {
  const double y = std::asin(std::clamp(-turn(2, 0), -1.0, 1.0));
  const bool upright = std::abs(turn(2, 0)) > 1 - 1e-12;  // x and z turn about one axis then, and z takes none
  const double x = upright ? std::atan2(-turn(1, 2), turn(1, 1)) : std::atan2(turn(2, 1), turn(2, 2));
  const double z = upright ? 0.0 : std::atan2(turn(1, 0), turn(0, 0));
  const auto tidy = [](double radians) { return std::round(toDegrees(radians) * 1e9) / 1e9; };
  return {tidy(x), tidy(y), tidy(z)};
}

Placement mirrored(const Placement& placement, int axis) {
  Eigen::Matrix3d across = Eigen::Matrix3d::Identity();
  across(axis, axis) = -1;
  Placement result = placement;
  // across · turn · scale = (across · turn · across) · (across · scale), and the first factor is a turn again.
  result.turn = degreesOf(across * turnOf(placement.turn) * across);
  result.scale(axis) = -placement.scale(axis);
  return result;
}

Affine transformOf(const Placement& placement, const TriangleMesh& mesh) {
  const Eigen::Matrix3d turn = turnOf(placement.turn);
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
