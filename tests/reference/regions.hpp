// SPDX-License-Identifier: GPL-3.0-or-later
// Areas that can be asked about places, for those who check prints: plain Clipper, and none of the generator's own.
#pragma once

#include "core/mesh/triangle_mesh.hpp"

#include <polyclipping/clipper.hpp>

#include <algorithm>
#include <cmath>
#include <unordered_map>

namespace trellis::test {

using ClipperLib::Path;
using ClipperLib::Paths;

inline constexpr double perMm = 1e6;

inline double mm(ClipperLib::cInt units) { return static_cast<double>(units) / perMm; }
inline Vec2 mm(const ClipperLib::IntPoint& p) { return {mm(p.X), mm(p.Y)}; }

// Stretches by the square millimetres they pass through.
template <typename Item>
class Grid {
 public:
  void add(const Vec2& a, const Vec2& b, const Item& item) {
    const Vec2 low = a.cwiseMin(b), high = a.cwiseMax(b);
    for (int x = cell(low.x()); x <= cell(high.x()); ++x)
      for (int y = cell(low.y()); y <= cell(high.y()); ++y) cells_[key(x, y)].push_back(item);
  }
  // Some item within reach, mm, may be visited more than once.
  template <typename Visit>
  void near(const Vec2& p, double reach, const Visit& visit) const {
    for (int x = cell(p.x() - reach); x <= cell(p.x() + reach); ++x)
      for (int y = cell(p.y() - reach); y <= cell(p.y() + reach); ++y)
        if (const auto found = cells_.find(key(x, y)); found != cells_.end())
          for (const Item& item : found->second) visit(item);
  }

 private:
  static int cell(double mm) { return static_cast<int>(std::floor(mm)); }
  static long key(int x, int y) { return static_cast<long>(x) * 1000003 + y; }
  std::unordered_map<long, std::vector<Item>> cells_;
};

inline Vec2 nearestOn(const Vec2& a, const Vec2& b, const Vec2& p) {
  const Vec2 along = b - a;
  const double t = along.squaredNorm() > 0 ? std::clamp((p - a).dot(along) / along.squaredNorm(), 0.0, 1.0) : 0;
  return a + t * along;
}

// A set of outlines that can be asked about places.
class Area {
 public:
  struct Edge {
    Vec2 a, b;
  };
  explicit Area(const Paths& outlines) : outlines_(outlines) {
    for (const Path& outline : outlines)
      for (std::size_t i = 0; i < outline.size(); ++i) {
        const Edge edge{mm(outline[i]), mm(outline[(i + 1) % outline.size()])};
        grid_.add(edge.a, edge.b, edge);
        for (int row = rowOf(std::min(edge.a.y(), edge.b.y())); row <= rowOf(std::max(edge.a.y(), edge.b.y())); ++row)
          rows_[row].push_back(edge);
      }
  }
  const Paths& outlines() const { return outlines_; }
  bool contains(const Vec2& p) const {
    const auto row = rows_.find(rowOf(p.y()));
    if (row == rows_.end()) return false;
    bool inside = false;
    for (const Edge& e : row->second)
      if ((e.a.y() > p.y()) != (e.b.y() > p.y()) &&
          p.x() < e.a.x() + (e.b.x() - e.a.x()) * (p.y() - e.a.y()) / (e.b.y() - e.a.y()))
        inside = !inside;
    return inside;
  }
  // Distance to the border, at most reach.
  double border(const Vec2& p, double reach) const {
    double nearest = reach;
    grid_.near(p, reach, [&](const Edge& e) { nearest = std::min(nearest, (nearestOn(e.a, e.b, p) - p).norm()); });
    return nearest;
  }
  bool holds(const Vec2& p, double deep) const { return contains(p) && border(p, deep) >= deep; }
  bool comesNear(const Vec2& p, double reach) const { return contains(p) || border(p, reach + 1e-6) <= reach; }
  template <typename Visit>
  void edgesNear(const Vec2& p, double reach, const Visit& visit) const {
    grid_.near(p, reach, visit);
  }

 private:
  static int rowOf(double y) { return static_cast<int>(std::floor(y * 2)); }
  Paths outlines_;
  Grid<Edge> grid_;
  std::unordered_map<int, std::vector<Edge>> rows_;
};

Paths offset(const Paths& paths, double by);
// Everything within half a width of open lines.
Paths bead(const Paths& lines, double width);
Paths combined(ClipperLib::ClipType how, const Paths& a, const Paths& b);
double areaOf(const Paths& paths);  // mm²

// A mesh's sections at the middles of layers of one height, by CGAL's slicer.
std::vector<Paths> sectionsOf(const TriangleMesh& mesh, double layer);

}  // namespace trellis::test
