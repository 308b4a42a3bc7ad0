// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/mesh/measure.hpp"

#include <cmath>

namespace trellis {

Measured measured(const SurfacePlace& from, const SurfacePlace& to) {
  const Vec3 way = to.at - from.at;
  Measured result{way.norm(), way.cwiseAbs(), {}};
  constexpr double parallel = 1;  // degrees
  if (std::abs(from.normal.dot(to.normal)) >= std::cos(toRadians(parallel)))
    result.betweenFaces = std::abs(way.dot(from.normal));
  return result;
}

}  // namespace trellis
