// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/slice/moved_outline.hpp"

#include <algorithm>
#include <cmath>
#include <tuple>

namespace trellis {

namespace {

constexpr double gentle = 0.5;  // radians; a concave corner turning less is moved as one point

double cross(const Vec2& a, const Vec2& b) { return a.x() * b.y() - a.y() * b.x(); }
Vec2 leftOf(const Vec2& v) { return {-v.y(), v.x()}; }
Vec2 asVector(const Point& p) { return {static_cast<double>(p.X), static_cast<double>(p.Y)}; }
Point asPoint(const Vec2& v) { return {std::llround(v.x()), std::llround(v.y())}; }

Polygon withoutRepeats(const Polygon& outline) {
  Polygon points;
  for (const Point& p : outline)
    if (points.empty() || p != points.back()) points.push_back(p);
  while (points.size() > 1 && points.front() == points.back()) points.pop_back();
  return points;
}

}  // namespace

// Of an outline; from and to are the ends of what is left of it when it is moved.
struct OutlineMover::Edge {
  Point corner;  // where it begins
  Vec2 along, outward;  // of length 1
  Vec2 from, to;        // units
  std::size_t before, after;
  bool arcAfter = false;  // the moved edges part at its end
  bool turned() const { return (to - from).dot(along) < 0; }
};

OutlineMover::OutlineMover(double distance) : delta_(distance * unitsPerMm) {
  const double tolerance = std::min(arcTolerance * unitsPerMm, std::abs(delta_) / 4);
  arcStep_ = 2 * std::acos(1 - tolerance / std::abs(delta_));
}

void OutlineMover::addCorner(const Point& p, const Vec2& before, const Vec2& after, Polygon& out) const {
  const double turn = std::atan2(cross(before, after), before.dot(after));
  const bool opens = turn * delta_ > 0;  // the moved edges part, and an arc fills the gap
  const auto add = [&](const Vec2& by) { out.push_back({p.X + std::llround(by.x()), p.Y + std::llround(by.y())}); };
  if (std::abs(turn) < (opens ? arcStep_ : gentle)) {
    add((before + after) * (delta_ / (1 + before.dot(after))));
  } else if (opens) {
    const int steps = static_cast<int>(std::ceil(std::abs(turn) / arcStep_));
    for (int k = 0; k <= steps; ++k) {
      const double angle = turn * k / steps;
      add(delta_ * (std::cos(angle) * before + std::sin(angle) * leftOf(before)));
    }
  } else {
    add(delta_ * before);
    out.push_back(p);
    add(delta_ * after);
  }
}

Polygon OutlineMover::withLoops(const Polygon& outline) const {
  const Polygon points = withoutRepeats(outline);
  if (points.size() < 3) return {};
  std::vector<Vec2> outward(points.size());  // of the edge that begins at each point
  for (std::size_t i = 0; i < points.size(); ++i) outward[i] = -leftOf((asVector(points[(i + 1) % points.size()]) - asVector(points[i])).normalized());
  Polygon moved;
  moved.reserve(points.size() + 16);
  for (std::size_t i = 0; i < points.size(); ++i) addCorner(points[i], outward[(i + points.size() - 1) % points.size()], outward[i], moved);
  return moved;
}

// Finds where two moved edges meet, or the ends of the arc between them; false where that is not sure to be right.
bool OutlineMover::join(Edge& before, Edge& after, bool neighbours) const {
  const double turn = cross(before.along, after.along), ahead = before.along.dot(after.along);
  if (ahead < -0.4) return false;  // a spike
  before.arcAfter = turn * delta_ > 0 && ahead < std::cos(arcStep_);
  if (before.arcAfter) {
    before.to = asVector(after.corner) + delta_ * before.outward;
    after.from = asVector(after.corner) + delta_ * after.outward;
    return neighbours;
  }
  if (neighbours) {
    before.to = after.from = asVector(after.corner) + (before.outward + after.outward) * (delta_ / (1 + ahead));
    return true;
  }
  if (std::abs(turn) < 1e-3) return false;
  const Vec2 start = asVector(after.corner) + delta_ * after.outward;
  const Vec2 meeting = start + after.along * (cross(before.along, before.to - start) / turn);
  const bool isNear = (meeting - before.to).norm() < 4 * std::abs(delta_);
  before.to = after.from = meeting;
  return isNear;
}

std::optional<Polygon> OutlineMover::withoutTurnedEdges(const Polygon& outline) const {
  const Polygon points = withoutRepeats(outline);
  const std::size_t n = points.size();
  if (n < 3) return std::nullopt;
  std::vector<Edge> edges(n);
  for (std::size_t i = 0; i < n; ++i) {
    edges[i].corner = points[i];
    edges[i].along = (asVector(points[(i + 1) % n]) - asVector(points[i])).normalized();
    edges[i].outward = -leftOf(edges[i].along);
    edges[i].before = (i + n - 1) % n;
    edges[i].after = (i + 1) % n;
  }
  std::vector<std::size_t> waiting(n);
  for (std::size_t i = 0; i < n; ++i) {
    if (!join(edges[i], edges[edges[i].after], true)) return std::nullopt;
    waiting[i] = i;
  }
  std::vector<bool> gone(n, false);
  std::size_t left = n;
  while (!waiting.empty()) {
    const std::size_t i = waiting.back();
    waiting.pop_back();
    if (gone[i] || !edges[i].turned()) continue;
    gone[i] = true;
    Edge &before = edges[edges[i].before], &after = edges[edges[i].after];
    before.after = edges[i].after;
    after.before = edges[i].before;
    if (--left < 3 || !join(before, after, false)) return std::nullopt;
    waiting.insert(waiting.end(), {edges[i].before, edges[i].after});
  }
  Polygon moved;
  moved.reserve(left + 16);
  for (std::size_t i = 0; i < n; ++i) {
    if (gone[i]) continue;
    if (edges[i].arcAfter)
      addCorner(edges[edges[i].after].corner, edges[i].outward, edges[edges[i].after].outward, moved);
    else
      moved.push_back(asPoint(edges[i].to));
  }
  return moved;
}

namespace {

struct Side {
  Point a, b;
  ClipperLib::cInt left, right, bottom, top;
  std::size_t outline, index, count;
  bool follows(const Side& other) const { return outline == other.outline && index == (other.index + 1) % count; }
};

int sideOf(const Point& a, const Point& b, const Point& p) {
  const ClipperLib::cInt turn = (b.X - a.X) * (p.Y - a.Y) - (b.Y - a.Y) * (p.X - a.X);
  return turn > 0 ? 1 : turn < 0 ? -1 : 0;
}

// Whether two sides touch or cross. Of two that share a corner only the fold counts.
bool collide(const Side& s, const Side& t) {
  if (t.follows(s) || s.follows(t)) {
    const Side &first = t.follows(s) ? s : t, &second = t.follows(s) ? t : s;
    return sideOf(first.a, first.b, second.b) == 0 && (asVector(first.b) - asVector(first.a)).dot(asVector(second.b) - asVector(second.a)) < 0;
  }
  if (s.bottom > t.top || t.bottom > s.top) return false;
  return sideOf(s.a, s.b, t.a) * sideOf(s.a, s.b, t.b) <= 0 && sideOf(t.a, t.b, s.a) * sideOf(t.a, t.b, s.b) <= 0;
}

bool sidesCollide(const Polygons& outlines) {
  std::vector<Side> sides;
  for (std::size_t k = 0; k < outlines.size(); ++k)
    for (std::size_t i = 0, n = outlines[k].size(); i < n; ++i) {
      const Point &a = outlines[k][i], &b = outlines[k][(i + 1) % n];
      sides.push_back({a, b, std::min(a.X, b.X), std::max(a.X, b.X), std::min(a.Y, b.Y), std::max(a.Y, b.Y), k, i, n});
    }
  std::sort(sides.begin(), sides.end(), [](const Side& s, const Side& t) { return std::tie(s.left, s.outline, s.index) < std::tie(t.left, t.outline, t.index); });
  std::vector<const Side*> open;
  for (const Side& side : sides) {
    std::erase_if(open, [&](const Side* other) { return other->right < side.left; });
    if (std::any_of(open.begin(), open.end(), [&](const Side* other) { return collide(*other, side); })) return true;
    open.push_back(&side);
  }
  return false;
}

}  // namespace

bool isSimple(const Polygons& outlines) {
  if (sidesCollide(outlines)) return false;
  for (const Polygon& outline : outlines) {
    if (outline.size() < 3) return false;
    int around = 0;
    for (const Polygon& other : outlines)
      if (&other != &outline && ClipperLib::PointInPolygon(outline.front(), other) != 0) around += ClipperLib::Orientation(other) ? 1 : -1;
    if (around != (ClipperLib::Orientation(outline) ? 0 : 1)) return false;
  }
  return true;
}

}  // namespace trellis
