// SPDX-License-Identifier: GPL-3.0-or-later
// The edges of lines, found by where they are.
#pragma once

#include "core/geometry/polygons.hpp"

#include <algorithm>
#include <cmath>
#include <optional>
#include <unordered_map>

namespace trellis {

// A straight stretch of a line, from its point number first to the next. along has length 1.
struct Edge {
  Vec2 a, along;  // mm
  double length;
  std::uint32_t line, first;
  Vec2 at(double t) const { return a + along * t; }
  Vec2 inward() const { return {-along.y(), along.x()}; }  // to its left
  // How far along it, mm, lies what is nearest to a place.
  double nearestTo(const Vec2& place) const { return std::min(std::max((place - a).dot(along), 0.0), length); }
};

// How far from a towards b, 0–1, the stretch from a to b crosses an edge; nothing when it does not, or runs along it.
std::optional<double> crossingOf(const Vec2& a, const Vec2& b, const Edge& edge);

class EdgeGrid {
 public:
  // Of lines; closed outlines come as asLines(). cell: mm.
  EdgeGrid(const Lines& lines, double cell);

  const std::vector<Edge>& edges() const { return edges_; }

  // visit(const Edge&) for every edge that comes within a cell's size of a place, for some twice; until one is true.
  template <typename Visit>
  bool anyNear(const Vec2& place, const Visit& visit) const {
    const int x = column(place.x()), y = column(place.y());
    for (int dx = -reach; dx <= reach; ++dx)
      for (int dy = -reach; dy <= reach; ++dy)
        if (const auto found = cells_.find(key(x + dx, y + dy)); found != cells_.end())
          for (const std::uint32_t e : found->second)
            if (visit(edges_[e])) return true;
    return false;
  }

  // visit(place, const Edge&) for places half a cell apart from a to b, ends included, and every edge near them; until
  // one is true. So it comes by every edge that the way crosses.
  template <typename Visit>
  bool anyAlong(const Vec2& a, const Vec2& b, const Visit& visit) const {
    const int steps = stepsFor((b - a).norm());
    for (int k = 0; k <= steps; ++k) {
      const Vec2 place = a + (b - a) * (static_cast<double>(k) / steps);
      if (anyNear(place, [&](const Edge& edge) { return visit(place, edge); })) return true;
    }
    return false;
  }

 private:
  static constexpr int reach = 2;  // cells: edges are kept by places half a cell apart
  int stepsFor(double mm) const { return std::max(1, static_cast<int>(std::ceil(2 * mm / cell_))); }
  int column(double mm) const { return static_cast<int>(std::floor(mm / cell_)); }
  static std::int64_t key(int x, int y) { return static_cast<std::int64_t>(x) * 4294967291 + y; }

  double cell_;
  std::vector<Edge> edges_;
  std::unordered_map<std::int64_t, std::vector<std::uint32_t>> cells_;
};

}  // namespace trellis
