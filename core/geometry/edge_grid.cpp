// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/geometry/edge_grid.hpp"

#include <algorithm>

namespace trellis {

std::optional<double> crossingOf(const Vec2& a, const Vec2& b, const Edge& edge) {
  const Vec2 way = b - a, from = edge.a - a;
  const double turn = way.x() * edge.along.y() - way.y() * edge.along.x();
  if (std::abs(turn) < 1e-12) return std::nullopt;
  const double t = (from.x() * edge.along.y() - from.y() * edge.along.x()) / turn,
               u = (from.x() * way.y() - from.y() * way.x()) / turn;
  if (t < 0 || t > 1 || u < 0 || u > edge.length) return std::nullopt;
  return t;
}

EdgeGrid::EdgeGrid(const Lines& lines, double cell) : cell_(cell) {
  for (std::uint32_t l = 0; l < lines.size(); ++l)
    for (std::uint32_t i = 0; i + 1 < lines[l].size(); ++i) {
      const Vec2 a = toMm(lines[l][i]), way = toMm(lines[l][i + 1]) - a;
      const double length = way.norm();
      if (length > 0) edges_.push_back({a, way / length, length, l, i});
    }
  for (std::uint32_t e = 0; e < edges_.size(); ++e) {
    const Edge& edge = edges_[e];
    const int steps = stepsFor(edge.length);
    for (int k = 0; k <= steps; ++k) {
      const Vec2 place = edge.at(edge.length * k / steps);
      std::vector<std::uint32_t>& here = cells_[key(column(place.x()), column(place.y()))];
      if (here.empty() || here.back() != e) here.push_back(e);
    }
  }
}

}  // namespace trellis
