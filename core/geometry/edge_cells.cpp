// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/geometry/edge_cells.hpp"

namespace trellis {

namespace {

constexpr double mostAcross = 4096;  // cells

Box2 boxOf(const std::vector<OutlineEdge>& edges) {
  Box2 box;
  for (const OutlineEdge& edge : edges) box.extend(edge.a).extend(edge.b);
  return box;
}

}  // namespace

std::vector<OutlineEdge> edgesOf(const Polygons& outlines, bool closed, std::size_t first) {
  std::vector<OutlineEdge> edges;
  for (std::size_t o = 0; o < outlines.size(); ++o)
    for (std::size_t i = 0; i + (closed ? 0 : 1) < outlines[o].size(); ++i)
      edges.push_back({unitsOf(outlines[o][i]), unitsOf(outlines[o][(i + 1) % outlines[o].size()]),
                       static_cast<std::uint32_t>(first + o)});
  return edges;
}

EdgeCells::EdgeCells(const std::vector<OutlineEdge>& edges, double reach) : edges_(edges), reach_(reach) {
  if (edges.empty()) return;
  const Box2 box = boxOf(edges);
  const Vec2 size = box.sizes().array() + 1;
  low_ = box.min();
  cell_ = std::max({std::sqrt(size.prod() / static_cast<double>(edges.size())), size.maxCoeff() / mostAcross, reach});
  columns_ = static_cast<std::size_t>(size.x() / cell_) + 1;
  rows_ = static_cast<std::size_t>(size.y() / cell_) + 1;
}

// From where to where an edge runs in a row of cells, from the left border.
std::pair<double, double> EdgeCells::within(const OutlineEdge& edge, std::size_t row) const {
  const double below = low_.y() + static_cast<double>(row) * cell_;
  const Vec2 way = edge.b - edge.a;
  const auto at = [&](double y) {
    return std::abs(way.y()) < 1 ? edge.b.x() : edge.a.x() + std::clamp((y - edge.a.y()) / way.y(), 0.0, 1.0) * way.x();
  };
  const auto [left, right] = std::abs(way.y()) < 1 ? std::minmax({edge.a.x(), edge.b.x()})
                                                   : std::minmax({at(below - reach_), at(below + cell_ + reach_)});
  return {left - reach_ - low_.x(), right + reach_ - low_.x()};
}

Windings::Windings(const std::vector<OutlineEdge>& edges) : edges_(edges), rows_(1, [](const auto&) {}) {
  if (edges.empty()) return;
  const Box2 box = boxOf(edges);
  count_ = static_cast<std::size_t>(std::sqrt(static_cast<double>(edges.size()))) + 1;
  low_ = box.min().y();
  height_ = (box.sizes().y() + 1) / static_cast<double>(count_);
  rows_ = NumberLists(count_, [&](const auto& visit) {
    for (std::uint32_t e = 0; e < edges_.size(); ++e) {
      const auto [low, high] = std::minmax({edges_[e].a.y(), edges_[e].b.y()});
      for (std::size_t row = rowOf(low); row <= rowOf(high); ++row) visit(row, e);
    }
  });
}

}  // namespace trellis
