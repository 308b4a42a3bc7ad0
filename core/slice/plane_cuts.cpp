// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/slice/plane_cuts.hpp"

#include <algorithm>

namespace trellis {

namespace {

// The part of a convex polygon on one side of a horizontal plane.
std::vector<Vec3> clipped(const std::vector<Vec3>& polygon, double z, bool keepAbove) {
  std::vector<Vec3> result;
  for (std::size_t i = 0; i < polygon.size(); ++i) {
    const Vec3 &a = polygon[i], &b = polygon[(i + 1) % polygon.size()];
    const bool inA = keepAbove ? a.z() >= z : a.z() <= z, inB = keepAbove ? b.z() >= z : b.z() <= z;
    if (inA) result.push_back(a);
    if (inA != inB) result.push_back(a + (b - a) * ((z - a.z()) / (b.z() - a.z())));
  }
  return result;
}

}  // namespace

void cutAtPlanes(const std::vector<Vec3>& polygon, const std::vector<double>& planes,
                 const std::function<void(std::size_t, Polygon)>& visit) {
  const auto [lowest, highest] =
      std::minmax_element(polygon.begin(), polygon.end(), [](const Vec3& a, const Vec3& b) { return a.z() < b.z(); });
  const double low = lowest->z(), high = highest->z();
  const auto first = std::upper_bound(planes.begin(), planes.end(), low) - planes.begin();
  for (auto i = static_cast<std::size_t>(first); i < planes.size(); ++i) {
    if (i > 0 && planes[i - 1] > high) break;
    std::vector<Vec3> piece = clipped(polygon, planes[i], false);
    if (i > 0) piece = clipped(piece, planes[i - 1], true);
    if (piece.size() < 3) continue;
    Polygon outline;
    for (const Vec3& p : piece) outline.push_back(toPoint(p.x(), p.y()));
    if (!ClipperLib::Orientation(outline)) ClipperLib::ReversePath(outline);
    visit(i, std::move(outline));
  }
}

}  // namespace trellis
