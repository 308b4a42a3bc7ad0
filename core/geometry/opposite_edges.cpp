// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/geometry/opposite_edges.hpp"

#include "core/geometry/edge_grid.hpp"

#include <algorithm>

namespace trellis {

bool hasOppositeEdges(const Polygons& region, double distance) {
  constexpr double facing = -0.05;  // cosine: sides of a corner of less than 87° face each other too
  const EdgeGrid grid(asLines(region), distance);
  return std::any_of(grid.edges().begin(), grid.edges().end(), [&](const Edge& edge) {
    return grid.anyAlong(edge.a, edge.at(edge.length), [&](const Vec2& place, const Edge& other) {
      if (edge.along.dot(other.along) > facing) return false;
      const Vec2 way = other.at(other.nearestTo(place)) - place;
      return way.squaredNorm() < distance * distance && way.dot(edge.inward()) > 0;
    });
  });
}

}  // namespace trellis
