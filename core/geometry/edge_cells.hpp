// SPDX-License-Identifier: GPL-3.0-or-later
// The edges of many outlines by where they lie, for questions that would else be put to every pair of them.
#pragma once

#include "core/geometry/polygons.hpp"

#include <algorithm>
#include <cmath>
#include <utility>

namespace trellis {

// An edge of outlines that are counted through; coordinates in units.
struct OutlineEdge {
  Vec2 a, b;
  std::uint32_t outline;
};

inline Vec2 unitsOf(const Point& p) { return {static_cast<double>(p.X), static_cast<double>(p.Y)}; }

// Those of open lines leave out the one that would close them. Numbers outlines from first on.
std::vector<OutlineEdge> edgesOf(const Polygons& outlines, bool closed, std::size_t first = 0);

// Twice the area of the triangle it makes with a place; positive to its left.
inline double sideOf(const Vec2& place, const OutlineEdge& edge) {
  return (edge.b - edge.a).x() * (place - edge.a).y() - (edge.b - edge.a).y() * (place - edge.a).x();
}

// Units from a place to what of it is nearest.
inline double fromEdge(const Vec2& place, const OutlineEdge& edge) {
  const Vec2 way = edge.b - edge.a;
  const double length = way.squaredNorm();
  const double t = length > 0 ? std::clamp((place - edge.a).dot(way) / length, 0.0, 1.0) : 0;
  return (edge.a + t * way - place).norm();
}

// Lists by number, one after the other.
class NumberLists {
 public:
  // forEach calls what it is given with a list and an entry, twice the same.
  template <typename ForEach>
  NumberLists(std::size_t count, const ForEach& forEach) : first_(count + 1, 0) {
    forEach([&](std::size_t list, std::uint32_t) { ++first_[list + 1]; });
    for (std::size_t i = 0; i < count; ++i) first_[i + 1] += first_[i];
    entries_.resize(first_.back());
    std::vector<std::size_t> next(first_.begin(), first_.end() - 1);
    forEach([&](std::size_t list, std::uint32_t entry) { entries_[next[list]++] = entry; });
  }
  std::size_t count() const { return first_.size() - 1; }
  std::pair<const std::uint32_t*, const std::uint32_t*> of(std::size_t list) const {
    return {entries_.data() + first_[list], entries_.data() + first_[list + 1]};
  }

 private:
  std::vector<std::size_t> first_;
  std::vector<std::uint32_t> entries_;
};

// In square cells, about one for every edge.
class EdgeCells {
 public:
  // reach: units that an edge counts beyond where it lies.
  EdgeCells(const std::vector<OutlineEdge>& edges, double reach);

  // Whether check(number, number) is true for some pair of edges that share a cell; for some it is asked more than
  // once.
  template <typename Check>
  bool anyPair(const Check& check) const {
    const NumberLists cells(columns_ * rows_, [&](const auto& visit) { forEach(visit); });
    for (std::size_t c = 0; c < cells.count(); ++c) {
      const auto [from, to] = cells.of(c);
      for (const std::uint32_t* one = from; one != to; ++one)
        for (const std::uint32_t* other = from; other != one; ++other)
          if (check(*other, *one)) return true;
    }
    return false;
  }

 private:
  template <typename Visit>
  void forEach(const Visit& visit) const {
    for (std::uint32_t e = 0; e < edges_.size(); ++e) {
      const auto [low, high] = std::minmax({edges_[e].a.y(), edges_[e].b.y()});
      for (std::size_t row = place(low - reach_ - low_.y(), rows_); row <= place(high + reach_ - low_.y(), rows_);
           ++row) {
        const auto [left, right] = within(edges_[e], row);
        for (std::size_t column = place(left, columns_); column <= place(right, columns_); ++column)
          visit(row * columns_ + column, e);
      }
    }
  }
  std::size_t place(double from, std::size_t count) const {
    return static_cast<std::size_t>(std::clamp(from / cell_, 0.0, static_cast<double>(count - 1)));
  }
  std::pair<double, double> within(const OutlineEdge& edge, std::size_t row) const;

  const std::vector<OutlineEdge>& edges_;
  double reach_, cell_ = 1;
  Vec2 low_ = Vec2::Zero();
  std::size_t columns_ = 1, rows_ = 1;
};

// How often outlines wind around places that lie on none of the edges asked.
class Windings {
 public:
  explicit Windings(const std::vector<OutlineEdge>& edges);

  // visit(edge, -1 or 1) for every edge to the left of a place, by a ray over the edges of its row.
  template <typename Visit>
  void at(const Vec2& place, const Visit& visit) const {
    if (edges_.empty()) return;
    const auto [from, to] = rows_.of(rowOf(place.y()));
    for (const std::uint32_t* e = from; e != to; ++e) {
      const OutlineEdge& edge = edges_[*e];
      const bool down = edge.a.y() > edge.b.y();
      if ((edge.a.y() <= place.y()) != (edge.b.y() <= place.y()) && (sideOf(place, edge) > 0) == down)
        visit(edge, down ? 1 : -1);
    }
  }

 private:
  std::size_t rowOf(double y) const {
    return static_cast<std::size_t>(std::clamp((y - low_) / height_, 0.0, static_cast<double>(count_ - 1)));
  }

  const std::vector<OutlineEdge>& edges_;
  double low_ = 0, height_ = 1;
  std::size_t count_ = 1;
  NumberLists rows_;
};

}  // namespace trellis
