// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/overhang/lean.hpp"

#include <algorithm>
#include <cmath>

namespace trellis {

double leanOf(const Vec3& normal) { return toDegrees(std::asin(std::clamp(-normal.z(), -1.0, 1.0))); }

constexpr double onPlate = 1e-3;  // mm

double hangingArea(const TriangleMesh& placed, double freeLean) {
  double sum = 0;
  for (std::size_t f = 0; f < placed.facets.size(); ++f) {
    if (leanOf(placed.normal(f)) <= freeLean) continue;
    const auto [a, b, c] = placed.corners(f);
    if (std::max({a.z(), b.z(), c.z()}) < onPlate) continue;
    sum += (b - a).cross(c - a).norm() / 2;
  }
  return sum;
}

}  // namespace trellis
