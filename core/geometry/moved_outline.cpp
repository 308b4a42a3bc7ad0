// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/geometry/moved_outline.hpp"

#include "core/geometry/edge_cells.hpp"

#include <algorithm>
#include <cmath>
#include <functional>
#include <queue>

namespace trellis {

namespace {

constexpr double gentle = 0.5;  // radians; a concave corner turning less is moved as one point

double cross(const Vec2& a, const Vec2& b) { return a.x() * b.y() - a.y() * b.x(); }
Vec2 leftOf(const Vec2& v) { return {-v.y(), v.x()}; }
Vec2 turnedBy(double angle, const Vec2& v) { return std::cos(angle) * v + std::sin(angle) * leftOf(v); }
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
  Point corner;         // where it begins
  Vec2 along, outward;  // of length 1
  Vec2 from, to;        // units
  std::size_t before = 0, after = 0;
  std::optional<double> turn = {};  // radians to the edge after it, of corners whose edges between are gone
  double length = 0;                // before it is moved
  // After which share of the distance nothing is left of it; 1 if something lasts. Not exact once a neighbour is gone.
  double lasts() const {
    const double left = (to - from).dot(along);
    return left < 0 ? length / (length - left) : 1;
  }
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
    for (int k = 0; k <= steps; ++k) add(delta_ * turnedBy(turn * k / steps, before));
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
  for (std::size_t i = 0; i < points.size(); ++i)
    outward[i] = -leftOf((unitsOf(points[(i + 1) % points.size()]) - unitsOf(points[i])).normalized());
  Polygon moved;
  moved.reserve(points.size() + 16);
  for (std::size_t i = 0; i < points.size(); ++i)
    addCorner(points[i], outward[(i + points.size() - 1) % points.size()], outward[i], moved);
  return moved;
}

// Finds where two edges that share a corner meet when they are moved; false where that is not sure to be right.
bool OutlineMover::meetAtCorner(Edge& before, Edge& after) const {
  const double ahead = before.along.dot(after.along);
  if (ahead < -0.999) return false;  // folded back
  before.to = after.from = unitsOf(after.corner) + (before.outward + after.outward) * (delta_ / (1 + ahead));
  return true;
}

// The same for two edges between which one is gone. All in all they must still turn as an outline does that closes in,
// and by less than half a turn: beyond that they meet on the wrong side.
bool OutlineMover::meetOver(Edge& before, const Edge& gone, Edge& after) const {
  constexpr double most = 3.0;      // radians
  constexpr double farthest = 1e9;  // units: coordinates within that can be multiplied
  const auto turned = [](const Edge& from, const Edge& to) {
    return from.turn.value_or(std::atan2(cross(from.along, to.along), from.along.dot(to.along)));
  };
  before.turn = turned(before, gone) + turned(gone, after);
  const double opening = delta_ > 0 ? *before.turn : -*before.turn, sine = cross(before.along, after.along);
  if (opening > arcStep_ || opening < -most || std::abs(sine) < 1e-3) return false;
  const Vec2 start = unitsOf(after.corner) + delta_ * after.outward;
  before.to = after.from = start + after.along * (cross(before.along, before.to - start) / sine);
  return before.to.lpNorm<Eigen::Infinity>() < farthest;
}

// Where a corner opens there is an edge of no length for each step of its arc.
std::vector<OutlineMover::Edge> OutlineMover::edgesOf(const Polygon& points) const {
  const std::size_t n = points.size();
  const double straight = std::cos(arcStep_);
  std::vector<Edge> edges;
  edges.reserve(n + 16);
  Vec2 before = (unitsOf(points[0]) - unitsOf(points[n - 1])).normalized();
  for (std::size_t i = 0; i < n; ++i) {
    const Vec2 edge = unitsOf(points[(i + 1) % n]) - unitsOf(points[i]), along = edge.normalized();
    const bool opens = cross(before, along) * delta_ > 0 && before.dot(along) < straight;
    const double turn = opens ? std::atan2(cross(before, along), before.dot(along)) : 0;
    const int steps = static_cast<int>(std::ceil(std::abs(turn) / arcStep_));
    for (int k = 1; k < steps; ++k) {
      const Vec2 turned = turnedBy(turn * k / steps, before);
      edges.push_back({points[i], turned, -leftOf(turned), Vec2::Zero(), Vec2::Zero()});
    }
    edges.push_back({points[i], along, -leftOf(along), Vec2::Zero(), Vec2::Zero(), 0, 0, {}, edge.norm()});
    before = along;
  }
  for (std::size_t i = 0; i < edges.size(); ++i) {
    edges[i].before = (i + edges.size() - 1) % edges.size();
    edges[i].after = (i + 1) % edges.size();
  }
  return edges;
}

std::optional<Polygon> OutlineMover::withoutTurnedEdges(const Polygon& outline) const {
  const Polygon points = withoutRepeats(outline);
  if (points.size() < 3) return std::nullopt;
  std::vector<Edge> edges = edgesOf(points);
  const std::size_t n = edges.size();
  for (Edge& edge : edges)
    if (!meetAtCorner(edge, edges[edge.after])) return std::nullopt;
  // What is used up first goes first.
  using Turned = std::pair<double, std::size_t>;
  std::priority_queue<Turned, std::vector<Turned>, std::greater<>> waiting;
  const auto look = [&](std::size_t i) {
    if (const double lasts = edges[i].lasts(); lasts < 1) waiting.emplace(lasts, i);
  };
  for (std::size_t i = 0; i < n; ++i) look(i);
  std::vector<bool> gone(n, false);
  std::size_t left = n;
  while (!waiting.empty()) {
    const auto [lasts, i] = waiting.top();
    waiting.pop();
    if (gone[i] || edges[i].lasts() != lasts) continue;
    gone[i] = true;
    Edge &before = edges[edges[i].before], &after = edges[edges[i].after];
    before.after = edges[i].after;
    after.before = edges[i].before;
    if (--left < 3 || !meetOver(before, edges[i], after)) return std::nullopt;
    look(edges[i].before);
    look(edges[i].after);
  }
  Polygon moved;
  moved.reserve(left);
  for (std::size_t i = 0; i < n; ++i)
    if (!gone[i]) moved.push_back(asPoint(edges[i].to));
  return moved;
}

namespace {

int turnOf(const Point& a, const Point& b, const Point& p) {
  const ClipperLib::cInt turn = (b.X - a.X) * (p.Y - a.Y) - (b.Y - a.Y) * (p.X - a.X);
  return turn > 0 ? 1 : turn < 0 ? -1 : 0;
}

// A side of an outline, and the one after it.
struct Side {
  Point a, b;
  std::size_t next;
};

// Whether two sides touch or cross. Of two that share a corner only the fold counts.
bool collide(const std::vector<Side>& sides, std::size_t one, std::size_t other) {
  const Side &s = sides[one], &t = sides[other];
  if (s.next == other || t.next == one) {
    const Side &first = s.next == other ? s : t, &second = s.next == other ? t : s;
    return turnOf(first.a, first.b, second.b) == 0 &&
           (unitsOf(first.b) - unitsOf(first.a)).dot(unitsOf(second.b) - unitsOf(second.a)) < 0;
  }
  if (std::max(s.a.X, s.b.X) < std::min(t.a.X, t.b.X) || std::max(t.a.X, t.b.X) < std::min(s.a.X, s.b.X)) return false;
  if (std::max(s.a.Y, s.b.Y) < std::min(t.a.Y, t.b.Y) || std::max(t.a.Y, t.b.Y) < std::min(s.a.Y, s.b.Y)) return false;
  return turnOf(s.a, s.b, t.a) * turnOf(s.a, s.b, t.b) <= 0 && turnOf(t.a, t.b, s.a) * turnOf(t.a, t.b, s.b) <= 0;
}

std::vector<Side> sidesOf(const Polygons& outlines) {
  std::vector<Side> sides;
  for (const Polygon& outline : outlines)
    for (std::size_t i = 0, first = sides.size(); i < outline.size(); ++i) {
      const bool isLast = i + 1 == outline.size();
      sides.push_back({outline[i], outline[isLast ? 0 : i + 1], isLast ? first : first + i + 1});
    }
  return sides;
}

}  // namespace

bool isSimple(const Polygons& outlines, int around) {
  const std::vector<Side> sides = sidesOf(outlines);
  const std::vector<OutlineEdge> edges = edgesOf(outlines, true);
  if (EdgeCells(edges, 1).anyPair([&](std::uint32_t a, std::uint32_t b) { return collide(sides, a, b); })) return false;
  const Windings windings(edges);
  for (std::size_t o = 0; o < outlines.size(); ++o) {
    if (outlines[o].size() < 3) return false;
    int wound = around;
    windings.at(unitsOf(outlines[o].front()), [&](const OutlineEdge& edge, int turn) {
      if (edge.outline != o) wound += turn;
    });
    if (wound != (ClipperLib::Orientation(outlines[o]) ? 0 : 1)) return false;
  }
  return true;
}

}  // namespace trellis
