// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/mesh/extrude.hpp"

#include "core/geometry/triangulated.hpp"

namespace trellis {

MeshPtr extruded(const Polygons& region, double low, double high) {
  const Polygons outlines = unite(region);
  if (outlines.empty()) return nullptr;
  std::vector<Vec3f> corners;
  const auto at = [](const Vec2& p, double z) -> Vec3f { return Vec3(p.x(), p.y(), z).cast<float>(); };
  for (const Polygon& outline : outlines)
    for (std::size_t i = 0; i < outline.size(); ++i) {
      const Vec2 a = toMm(outline[i]), b = toMm(outline[(i + 1) % outline.size()]);
      // Outlines run with their inside on the left, holes the other way.
      corners.insert(corners.end(), {at(a, low), at(b, low), at(b, high), at(a, low), at(b, high), at(a, high)});
    }
  for (const auto& [a, b, c] : triangulated(outlines)) {
    corners.insert(corners.end(), {at(a, high), at(b, high), at(c, high)});
    corners.insert(corners.end(), {at(a, low), at(c, low), at(b, low)});
  }
  return meshFromCorners(corners);
}

}  // namespace trellis
