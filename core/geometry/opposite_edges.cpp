// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/geometry/opposite_edges.hpp"

#include <algorithm>
#include <cmath>
#include <unordered_map>

namespace trellis {

namespace {

struct Edge {
  Vec2 a, along;  // along has length 1
  double length;
  Vec2 inward() const { return {-along.y(), along.x()}; }
};

std::vector<Edge> edgesOf(const Polygons& region) {
  std::vector<Edge> edges;
  for (const Polygon& outline : region)
    for (std::size_t i = 0; i < outline.size(); ++i) {
      const Vec2 a = toMm(outline[i]), way = toMm(outline[(i + 1) % outline.size()]) - a;
      const double length = way.norm();
      if (length > 0) edges.push_back({a, way / length, length});
    }
  return edges;
}

// Edges by the cells they pass, as seen from places no farther than half a cell apart.
class EdgeGrid {
 public:
  EdgeGrid(const std::vector<Edge>& edges, double cell) : cell_(cell) {
    for (std::uint32_t e = 0; e < edges.size(); ++e)
      forPlaces(edges[e], [&](const Vec2& place) {
        std::vector<std::uint32_t>& here = cells_[key(column(place.x()), column(place.y()))];
        if (here.empty() || here.back() != e) here.push_back(e);
      });
  }

  template <typename Visit>
  void forPlaces(const Edge& edge, const Visit& visit) const {
    const int steps = std::max(1, static_cast<int>(std::ceil(2 * edge.length / cell_)));
    for (int k = 0; k <= steps; ++k) visit(Vec2(edge.a + edge.along * (edge.length * k / steps)));
  }

  // Whether some edge within a cell's size of a place is one.
  template <typename Is>
  bool anyNear(const Vec2& place, const Is& is) const {
    const int x = column(place.x()), y = column(place.y());
    for (int dx = -reach; dx <= reach; ++dx)
      for (int dy = -reach; dy <= reach; ++dy)
        if (const auto found = cells_.find(key(x + dx, y + dy)); found != cells_.end())
          for (const std::uint32_t e : found->second)
            if (is(e)) return true;
    return false;
  }

 private:
  static constexpr int reach = 2;  // cells: places lie half a cell apart
  int column(double mm) const { return static_cast<int>(std::floor(mm / cell_)); }
  static std::int64_t key(int x, int y) { return static_cast<std::int64_t>(x) * 4294967291 + y; }

  double cell_;
  std::unordered_map<std::int64_t, std::vector<std::uint32_t>> cells_;
};

}  // namespace

bool hasOppositeEdges(const Polygons& region, double distance) {
  constexpr double facing = -0.05;  // cosine: sides of a corner of less than 87° face each other too
  const std::vector<Edge> edges = edgesOf(region);
  const EdgeGrid grid(edges, distance);
  for (const Edge& edge : edges) {
    bool found = false;
    grid.forPlaces(edge, [&](const Vec2& place) {
      found = found || grid.anyNear(place, [&](std::uint32_t e) {
        const Edge& other = edges[e];
        if (edge.along.dot(other.along) > facing) return false;
        const double t = std::clamp((place - other.a).dot(other.along), 0.0, other.length);
        const Vec2 way = other.a + other.along * t - place;
        return way.squaredNorm() < distance * distance && way.dot(edge.inward()) > 0;
      });
    });
    if (found) return true;
  }
  return false;
}

}  // namespace trellis
