// SPDX-License-Identifier: GPL-3.0-or-later
// The vectors and boxes every room of the core shares.
// Lengths are millimetres, angles degrees, unless a name says otherwise.
#pragma once

#include <Eigen/Core>
#include <Eigen/Geometry>

#include <cstddef>
#include <cstdint>
#include <numbers>

namespace trellis {

using Vec2 = Eigen::Vector2d;
using Vec3 = Eigen::Vector3d;
using Vec3f = Eigen::Vector3f;
using Box2 = Eigen::AlignedBox2d;
using Box3 = Eigen::AlignedBox3d;
using Affine = Eigen::Affine3d;

inline constexpr double pi = std::numbers::pi;

inline double toRadians(double degrees) { return degrees * pi / 180.0; }
inline double toDegrees(double radians) { return radians * 180.0 / pi; }

}  // namespace trellis
