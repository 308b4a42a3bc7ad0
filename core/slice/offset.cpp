// SPDX-License-Identifier: GPL-3.0-or-later
// Offsetting by winding numbers: every outline is moved edge by edge, and what the moved outlines wind
// around at least once is the result (X. Chen, S. McMains, "Polygon offsetting by computing winding
// numbers", 2005). The winding is Clipper's; its own offset makes a small loop at every concave corner,
// which costs five to ten times more on the smooth outlines of organic parts.
#include "core/slice/polygons.hpp"

#include <algorithm>
#include <cmath>

namespace trellis {

namespace {

constexpr double slack = 0.001;  // mm; without it every offset adds corners to a smooth outline
constexpr double gentle = 0.5;   // radians; a concave corner turning less is moved as one point

class RawOffset {
 public:
  explicit RawOffset(double distance) : delta_(distance * unitsPerMm) {
    const double tolerance = std::min(arcTolerance * unitsPerMm, std::abs(delta_) / 4);
    arcStep_ = 2 * std::acos(1 - tolerance / std::abs(delta_));
  }

  Polygon move(const Polygon& outline) const {
    Polygon points;
    for (const Point& p : outline)
      if (points.empty() || p != points.back()) points.push_back(p);
    while (points.size() > 1 && points.front() == points.back()) points.pop_back();
    if (points.size() < 3) return {};
    std::vector<Vec2> outward(points.size());  // of the edge that begins at each point
    for (std::size_t i = 0; i < points.size(); ++i) {
      const Point &a = points[i], &b = points[(i + 1) % points.size()];
      const Vec2 along = Vec2(static_cast<double>(b.X - a.X), static_cast<double>(b.Y - a.Y)).normalized();
      outward[i] = {along.y(), -along.x()};
    }
    Polygon moved;
    moved.reserve(points.size() + 16);
    for (std::size_t i = 0; i < points.size(); ++i)
      join(points[i], outward[(i + points.size() - 1) % points.size()], outward[i], moved);
    return moved;
  }

 private:
  static Point at(const Point& p, const Vec2& by) { return {p.X + std::llround(by.x()), p.Y + std::llround(by.y())}; }

  void join(const Point& p, const Vec2& before, const Vec2& after, Polygon& out) const {
    const double turn = std::atan2(before.x() * after.y() - before.y() * after.x(), before.dot(after));
    const bool opens = turn * delta_ > 0;  // the moved edges part, and an arc fills the gap
    if (std::abs(turn) < (opens ? arcStep_ : gentle)) {
      out.push_back(at(p, (before + after) * (delta_ / (1 + before.dot(after)))));
    } else if (opens) {
      const int steps = static_cast<int>(std::ceil(std::abs(turn) / arcStep_));
      for (int k = 0; k <= steps; ++k) {
        const double angle = turn * k / steps;
        const Vec2 turned(std::cos(angle) * before.x() - std::sin(angle) * before.y(),
                          std::sin(angle) * before.x() + std::cos(angle) * before.y());
        out.push_back(at(p, delta_ * turned));
      }
    } else {
      out.push_back(at(p, delta_ * before));
      out.push_back(p);
      out.push_back(at(p, delta_ * after));
    }
  }

  double delta_;    // units
  double arcStep_;  // radians
};

// Distance from a place to the nearest edge, units.
double nearestEdge(const Polygons& outlines, const Point& p) {
  double nearest = 1e300;
  const Vec2 at(static_cast<double>(p.X), static_cast<double>(p.Y));
  for (const Polygon& outline : outlines)
    for (std::size_t i = 0; i < outline.size(); ++i) {
      const Point &from = outline[i], &to = outline[(i + 1) % outline.size()];
      const Vec2 a(static_cast<double>(from.X), static_cast<double>(from.Y)), along(static_cast<double>(to.X - from.X), static_cast<double>(to.Y - from.Y));
      const double t = along.squaredNorm() > 0 ? std::clamp((at - a).dot(along) / along.squaredNorm(), 0.0, 1.0) : 0;
      nearest = std::min(nearest, (a + t * along - at).norm());
    }
  return nearest;
}

// What is smaller than the offset may have been turned inside out: its corners then lie nearer to where they came from.
void dropTurnedOut(Polygons& moved, const Polygons& from, double distance) {
  const double delta = std::abs(distance) * unitsPerMm;
  std::erase_if(moved, [&](const Polygon& outline) {
    const bool small = std::abs(ClipperLib::Area(outline)) < 16 * delta * delta;
    return small && nearestEdge(from, outline.front()) < 0.9 * delta - 2 * slack * unitsPerMm;
  });
}

}  // namespace

Polygons grow(const Polygons& a, double distance) {
  if (a.empty() || distance == 0) return a;
  const RawOffset offset(distance);
  ClipperLib::Clipper clipper;
  for (const Polygon& outline : a) clipper.AddPath(offset.move(outline), ClipperLib::ptSubject, true);
  Polygons result;
  clipper.Execute(ClipperLib::ctUnion, result, ClipperLib::pftPositive, ClipperLib::pftPositive);
  dropTurnedOut(result, a, distance);
  return simplified(result, slack);
}

Polygons opened(const Polygons& a, double distance) { return grow(grow(a, -distance), distance); }

Polygons closed(const Polygons& a, double distance) { return grow(grow(a, distance), -distance); }

Polygons around(const Polygons& lines, double distance) {
  if (lines.empty() || distance <= 0) return {};
  ClipperLib::ClipperOffset offset(2.0, arcTolerance * unitsPerMm);
  offset.AddPaths(lines, ClipperLib::jtRound, ClipperLib::etOpenRound);
  Polygons result;
  offset.Execute(result, distance * unitsPerMm);
  return simplified(result, slack);
}

}  // namespace trellis
