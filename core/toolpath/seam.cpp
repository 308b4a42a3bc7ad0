// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/toolpath/seam.hpp"

#include <algorithm>
#include <cmath>
#include <tuple>

namespace trellis {

namespace {

// Turning at corner i in radians; negative turns away from the part, as concave corners do.
double turningAt(const Polygon& loop, std::size_t i) {
  const std::size_t n = loop.size();
  const Vec2 in = toMm(loop[i]) - toMm(loop[(i + n - 1) % n]), out = toMm(loop[(i + 1) % n]) - toMm(loop[i]);
  return std::atan2(in.x() * out.y() - in.y() * out.x(), in.dot(out));
}

}  // namespace

Polygon beginningAtSeam(Polygon wall, const Polygons& overSupport) {
  constexpr double corner = 0.35;  // radians, 20°; less does not hide a seam
  constexpr double alike = 0.05;
  double sharpest = -corner;
  for (std::size_t i = 0; i < wall.size(); ++i) sharpest = std::min(sharpest, turningAt(wall, i));
  // Later is better: off supports, in a corner, far back; and of what lies equally far back, to the right.
  const auto rankOf = [&](std::size_t i) {
    const bool hidden = sharpest < -corner && turningAt(wall, i) < sharpest + alike;
    return std::tuple(overSupport.empty() || !contains(overSupport, wall[i]), hidden, wall[i].Y, wall[i].X);
  };
  std::size_t best = 0;
  for (std::size_t i = 1; i < wall.size(); ++i)
    if (rankOf(i) > rankOf(best)) best = i;
  std::rotate(wall.begin(), wall.begin() + static_cast<std::ptrdiff_t>(best), wall.end());
  return wall;
}

}  // namespace trellis
