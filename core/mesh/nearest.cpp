// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/mesh/nearest.hpp"

namespace trellis {

Vec3 nearestOnTriangle(const std::array<Vec3, 3>& corners, const Vec3& point) {
  const auto& [a, b, c] = corners;
  const Vec3 ab = b - a, ac = c - a, ap = point - a, bp = point - b, cp = point - c;
  const double d1 = ab.dot(ap), d2 = ac.dot(ap), d3 = ab.dot(bp), d4 = ac.dot(bp), d5 = ab.dot(cp), d6 = ac.dot(cp);
  if (d1 <= 0 && d2 <= 0) return a;
  if (d3 >= 0 && d4 <= d3) return b;
  const double vc = d1 * d4 - d3 * d2;
  if (vc <= 0 && d1 >= 0 && d3 <= 0) return a + ab * (d1 / (d1 - d3));
  if (d6 >= 0 && d5 <= d6) return c;
  const double vb = d5 * d2 - d1 * d6;
  if (vb <= 0 && d2 >= 0 && d6 <= 0) return a + ac * (d2 / (d2 - d6));
  const double va = d3 * d6 - d5 * d4;
  if (va <= 0 && d4 - d3 >= 0 && d5 - d6 >= 0) return b + (c - b) * ((d4 - d3) / ((d4 - d3) + (d5 - d6)));
  return a + ab * (vb / (va + vb + vc)) + ac * (vc / (va + vb + vc));
}

std::optional<NearPoint> nearestOn(const MeshTree& tree, const Vec3& point, double within) {
  std::optional<NearPoint> best;
  for (const std::uint32_t f : tree.facetsNear(point, within)) {
    const Vec3 on = nearestOnTriangle(tree.mesh().corners(f), point);
    const double distance = (on - point).norm();
    if (distance <= within && (!best || distance < best->distance)) best = NearPoint{f, on, distance};
  }
  return best;
}

}  // namespace trellis
