// SPDX-License-Identifier: GPL-3.0-or-later
// How far two places on surfaces are apart.
#pragma once

#include "core/base/types.hpp"

#include <optional>

namespace trellis {

// A place on a surface, with the unit normal there.
struct SurfacePlace {
  Vec3 at = Vec3::Zero(), normal = Vec3::UnitZ();
};

struct Measured {
  double distance = 0;                      // mm, straight from one to the other
  Vec3 along = Vec3::Zero();                // mm, along each axis
  std::optional<double> betweenFaces = {};  // mm square to both, where the faces are parallel within a degree
};

Measured measured(const SurfacePlace& from, const SurfacePlace& to);

}  // namespace trellis
