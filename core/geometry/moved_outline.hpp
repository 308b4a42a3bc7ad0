// SPDX-License-Identifier: GPL-3.0-or-later
// One outline moved sideways edge by edge: the raw material of an offset.
#pragma once

#include "core/geometry/polygons.hpp"

#include <optional>

namespace trellis {

class OutlineMover {
 public:
  explicit OutlineMover(double distance);  // mm, outward when positive; not 0

  // With small loops wherever an edge is shorter than its corners need; what the outline winds around at least once is
  // the offset (X. Chen, S. McMains, "Polygon offsetting by computing winding numbers", 2005).
  Polygon withLoops(const Polygon& outline) const;

  // Edges that would turn over are left out and their neighbours meet instead, as a shrinking wavefront does. Nothing
  // where that is not sure to be right: where the neighbours are parallel or turn back, or little of the outline
  // remains.
  std::optional<Polygon> withoutTurnedEdges(const Polygon& outline) const;

 private:
  struct Edge;
  std::vector<Edge> edgesOf(const Polygon& points) const;
  bool meetAtCorner(Edge& before, Edge& after) const;
  bool meetOver(Edge& before, const Edge& gone, Edge& after) const;
  void addCorner(const Point& p, const Vec2& before, const Vec2& after, Polygon& out) const;

  double delta_;    // units
  double arcStep_;  // radians
};

// Whether no two edges of the outlines meet but at the corner they share, and everything is wound around once: inside
// outer outlines and outside holes. around: how often others, which are not among these, wind around all of them.
bool isSimple(const Polygons& outlines, int around = 0);

}  // namespace trellis
