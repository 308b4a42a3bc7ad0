// SPDX-License-Identifier: GPL-3.0-or-later
// The places of a square lattice that lie in a set of outlines.
#pragma once

#include "core/geometry/polygons.hpp"

#include <algorithm>
#include <cmath>

namespace trellis {

// visit(x, y) for every place (x · pitch, y · pitch), in mm, inside closed and correctly nested outlines, row by row
// and from left to right. Places exactly on an outline may or may not count.
template <typename Visit>
void forEachInside(const Polygons& outlines, double pitch, const Visit& visit) {
  if (outlines.empty()) return;
  const Box2 box = boundsOf(outlines);
  const long first = static_cast<long>(std::ceil(box.min().y() / pitch)),
             last = static_cast<long>(std::floor(box.max().y() / pitch));
  if (last < first) return;
  std::vector<std::vector<double>> crossings(static_cast<std::size_t>(last - first + 1));
  for (const Polygon& outline : outlines)
    for (std::size_t i = 0; i < outline.size(); ++i) {
      const Vec2 a = toMm(outline[i]), b = toMm(outline[i + 1 < outline.size() ? i + 1 : 0]);
      const double low = std::min(a.y(), b.y()), high = std::max(a.y(), b.y());
      for (long y = std::max(first, static_cast<long>(std::ceil(low / pitch)));
           y <= last && static_cast<double>(y) * pitch < high; ++y)
        crossings[static_cast<std::size_t>(y - first)].push_back(
            a.x() + (b.x() - a.x()) * (static_cast<double>(y) * pitch - a.y()) / (b.y() - a.y()));
    }
  for (long y = first; y <= last; ++y) {
    std::vector<double>& row = crossings[static_cast<std::size_t>(y - first)];
    std::sort(row.begin(), row.end());
    for (std::size_t k = 0; k + 1 < row.size(); k += 2)
      for (long x = static_cast<long>(std::ceil(row[k] / pitch)); static_cast<double>(x) * pitch <= row[k + 1]; ++x)
        visit(x, y);
  }
}

}  // namespace trellis
