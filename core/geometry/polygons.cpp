// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/geometry/polygons.hpp"

#include "core/geometry/clipper_door.hpp"

#include <algorithm>
#include <cmath>
#include <limits>
#include <utility>

namespace trellis {

using namespace ClipperLib;

namespace {

constexpr cInt hiRange = std::numeric_limits<cInt>::max(), loRange = std::numeric_limits<cInt>::min();

struct Bounds {
  cInt left = hiRange, bottom = hiRange, right = loRange, top = loRange;
  void extend(const Polygon& outline) {
    for (const Point& p : outline) {
      left = std::min(left, p.X);
      right = std::max(right, p.X);
      bottom = std::min(bottom, p.Y);
      top = std::max(top, p.Y);
    }
  }
  bool meets(const Bounds& other) const {
    return left <= other.right && other.left <= right && bottom <= other.top && other.bottom <= top;
  }
  bool holds(const Bounds& other) const {
    return left <= other.left && other.right <= right && bottom <= other.bottom && other.top <= top;
  }
};

// What of an outline lies on one side of a limit along an axis; where it leaves, it runs along the limit (I.
// Sutherland, G. Hodgman, "Reentrant polygon clipping", 1974).
Polygon cutOff(const Polygon& outline, cInt Point::*axis, cInt limit, bool keepAbove) {
  cInt Point::*const other = axis == &Point::X ? &Point::Y : &Point::X;
  const auto kept = [&](const Point& p) { return keepAbove ? p.*axis >= limit : p.*axis <= limit; };
  Polygon result;
  result.reserve(outline.size());
  bool before = !outline.empty() && kept(outline.front());
  for (std::size_t i = 0; i < outline.size(); ++i) {
    const Point &a = outline[i], &b = outline[i + 1 < outline.size() ? i + 1 : 0];
    if (before) result.push_back(a);
    const bool after = kept(b);
    if (std::exchange(before, after) == after) continue;
    const double t = static_cast<double>(limit - a.*axis) / static_cast<double>(b.*axis - a.*axis);
    Point crossing;
    crossing.*axis = limit;
    crossing.*other = a.*other + std::llround(t * static_cast<double>(b.*other - a.*other));
    result.push_back(crossing);
  }
  return result;
}

// Outlines that wind around the places within the bounds as a does. What lies far outside has no say there, and costs
// time.
Polygons near(const Polygons& a, Bounds bounds) {
  constexpr cInt margin = 1000;
  bounds = {bounds.left - margin, bounds.bottom - margin, bounds.right + margin, bounds.top + margin};
  Polygons result;
  for (const Polygon& outline : a) {
    Bounds own;
    own.extend(outline);
    if (!own.meets(bounds)) continue;
    if (bounds.holds(own)) {
      result.push_back(outline);
      continue;
    }
    Polygon cut = cutOff(cutOff(outline, &Point::X, bounds.left, true), &Point::X, bounds.right, false);
    cut = cutOff(cutOff(cut, &Point::Y, bounds.bottom, true), &Point::Y, bounds.top, false);
    if (cut.size() >= 3) result.push_back(std::move(cut));
  }
  return result;
}

Bounds wholeBounds(const Polygons& a) {
  Bounds bounds;
  for (const Polygon& outline : a) bounds.extend(outline);
  return bounds;
}

Polygons combine(ClipType how, const Polygons& a, const Polygons& b) { return clipped({how, a, b, true, pftNonZero}); }

Lines openLines(ClipType how, const Lines& lines, const Polygons& region) {
  return Lines(clipped({how, lines.paths(), region, false, pftNonZero}));
}

// Distances from one stretch, in units and squared.
class Stretch {
 public:
  Stretch(const Point& a, const Point& b)
      : x_(static_cast<double>(a.X)),
        y_(static_cast<double>(a.Y)),
        dx_(static_cast<double>(b.X) - x_),
        dy_(static_cast<double>(b.Y) - y_),
        squared_(dx_ * dx_ + dy_ * dy_) {}
  double distance(const Point& p) const {
    const double x = static_cast<double>(p.X) - x_, y = static_cast<double>(p.Y) - y_;
    const double along = x * dx_ + y * dy_;
    if (along <= 0) return x * x + y * y;
    if (along >= squared_) return (x - dx_) * (x - dx_) + (y - dy_) * (y - dy_);
    const double off = x * dy_ - y * dx_;
    return off * off / squared_;
  }

 private:
  double x_, y_, dx_, dy_, squared_;
};

// Douglas and Peucker 1973, without recursion.
Polygon thinned(const Polygon& line, double tolerance) {
  const double allowed = tolerance * tolerance * unitsPerMm * unitsPerMm;
  std::vector<bool> kept(line.size(), false);
  kept.front() = kept.back() = true;
  std::vector<std::pair<std::size_t, std::size_t>> spans{{0, line.size() - 1}};
  while (!spans.empty()) {
    const auto [from, to] = spans.back();
    spans.pop_back();
    double farthest = allowed;
    std::size_t at = 0;
    const Stretch stretch(line[from], line[to]);
    for (std::size_t i = from + 1; i < to; ++i) {
      const double distance = stretch.distance(line[i]);
      if (distance > farthest) {
        farthest = distance;
        at = i;
      }
    }
    if (at == 0) continue;
    kept[at] = true;
    spans.emplace_back(from, at);
    spans.emplace_back(at, to);
  }
  Polygon result;
  for (std::size_t i = 0; i < line.size(); ++i)
    if (kept[i]) result.push_back(line[i]);
  return result;
}

// An outer outline of a component.
struct Outline {
  double size;  // units², without holes
  Bounds bounds;
  std::size_t component;
};

// Of outlines that do not cross.
bool liesIn(const Polygon& inner, const Polygon& outer) {
  for (const Point& p : inner)
    if (const int where = PointInPolygon(p, outer); where != -1) return where == 1;
  return true;
}

}  // namespace

Polygons unite(const Polygons& a) { return a.empty() ? a : combine(ctUnion, a, {}); }

Polygons unite(const Polygons& a, const Polygons& b) {
  if (a.empty()) return b;
  if (b.empty()) return a;
  return combine(ctUnion, a, b);
}

Polygons subtract(const Polygons& a, const Polygons& b) {
  if (a.empty() || b.empty()) return a;
  const Polygons reaching = near(b, wholeBounds(a));
  return reaching.empty() ? a : combine(ctDifference, a, reaching);
}

Polygons intersect(const Polygons& a, const Polygons& b) {
  if (a.empty() || b.empty()) return {};
  const Bounds ofA = wholeBounds(a), ofB = wholeBounds(b);
  const Bounds both{std::max(ofA.left, ofB.left), std::max(ofA.bottom, ofB.bottom), std::min(ofA.right, ofB.right),
                    std::min(ofA.top, ofB.top)};
  if (!ofA.meets(ofB)) return {};
  const Polygons nearA = near(a, both), nearB = near(b, both);
  return nearA.empty() || nearB.empty() ? Polygons{} : combine(ctIntersection, nearA, nearB);
}

bool meet(const Polygons& a, const Polygons& b, double distance) {
  Bounds boundsA = wholeBounds(a);
  const Bounds boundsB = wholeBounds(b);
  const auto reach = static_cast<cInt>(distance * unitsPerMm);
  boundsA.left -= reach;
  boundsA.bottom -= reach;
  boundsA.right += reach;
  boundsA.top += reach;
  if (a.empty() || b.empty() || !boundsA.meets(boundsB)) return false;
  if (a == b || contains(a, b.front().front()) || contains(b, a.front().front())) return true;
  return !intersect(grow(a, distance), b).empty();
}

Lines asLines(const Polygons& outlines) {
  Lines lines(outlines);
  for (Polygon& line : lines)
    if (!line.empty()) line.push_back(line.front());
  return lines;
}

Lines linesOutside(const Lines& lines, const Polygons& region) {
  if (lines.empty() || region.empty()) return lines;
  return openLines(ctDifference, lines, near(region, wholeBounds(lines.paths())));
}

Lines linesInside(const Lines& lines, const Polygons& region) {
  if (lines.empty() || region.empty()) return {};
  return openLines(ctIntersection, lines, near(region, wholeBounds(lines.paths())));
}

Polygons simplified(const Polygons& a, double tolerance) {
  Polygons result;
  for (const Polygon& outline : a) {
    if (outline.size() < 4) {
      result.push_back(outline);
      continue;
    }
    // Split at the first point and the one farthest from it, so that neither end is arbitrary.
    std::size_t far = 0;
    double best = -1;
    for (std::size_t i = 0; i < outline.size(); ++i) {
      const double d = (toMm(outline[i]) - toMm(outline[0])).squaredNorm();
      if (d > best) {
        best = d;
        far = i;
      }
    }
    const auto middle = outline.begin() + static_cast<std::ptrdiff_t>(far);
    Polygon there = thinned(Polygon(outline.begin(), middle + 1), tolerance);
    Polygon back(middle, outline.end());
    back.push_back(outline.front());
    back = thinned(back, tolerance);
    there.insert(there.end(), back.begin() + 1, back.end() - 1);
    if (there.size() >= 3) result.push_back(std::move(there));
  }
  return result;
}

std::vector<Polygons> components(const Polygons& a) {
  if (a.empty()) return {};
  if (a.size() == 1) return {a};
  std::vector<Polygons> result;
  std::vector<Outline> outers;
  Polygons holes;
  for (Polygon& outline : unite(a))
    if (const double size = Area(outline); size > 0) {
      outers.push_back({size, wholeBounds({outline}), result.size()});
      result.push_back({std::move(outline)});
    } else {
      holes.push_back(std::move(outline));
    }
  std::stable_sort(outers.begin(), outers.end(),
                   [](const Outline& one, const Outline& other) { return one.size < other.size; });
  // A hole lies in the smallest outer outline around it.
  for (Polygon& hole : holes) {
    const Bounds bounds = wholeBounds({hole});
    const auto larger = std::partition_point(outers.begin(), outers.end(),
                                             [size = -Area(hole)](const Outline& outer) { return outer.size <= size; });
    const auto around = std::find_if(larger, outers.end(), [&](const Outline& outer) {
      return outer.bounds.holds(bounds) && liesIn(hole, result[outer.component].front());
    });
    if (around != outers.end()) result[around->component].push_back(std::move(hole));
  }
  return result;
}

double rimOf(const Polygons& a) {
  double sum = 0;
  for (const Polygon& outline : a)
    for (std::size_t i = 0; i < outline.size(); ++i)
      sum += (toMm(outline[(i + 1) % outline.size()]) - toMm(outline[i])).norm();
  return sum;
}

double area(const Polygons& a) {
  double sum = 0;
  for (const Polygon& outline : a) sum += Area(outline);
  return sum / (unitsPerMm * unitsPerMm);
}

Box2 boundsOf(const Polygons& a) {
  Box2 box;
  for (const Polygon& outline : a)
    for (const Point& p : outline) box.extend(toMm(p));
  return box;
}

bool contains(const Polygons& a, const Point& p) {
  int winding = 0;
  for (const Polygon& outline : a) {
    const int where = PointInPolygon(p, outline);
    if (where == -1) return true;
    if (where == 1) winding += Orientation(outline) ? 1 : -1;
  }
  return winding > 0;
}

Polygons withoutSpecks(Polygons a, double smallest) {
  std::erase_if(a,
                [&](const Polygon& outline) { return std::abs(Area(outline)) < smallest * unitsPerMm * unitsPerMm; });
  return a;
}

Polygons withoutCrumbs(const Polygons& a, double smallest) {
  const double least = smallest * unitsPerMm * unitsPerMm;
  Polygons crumbs, result;
  for (const Polygon& outline : a)
    if (const double size = Area(outline); size >= 0 && size < least) crumbs.push_back(outline);
  if (crumbs.empty()) return a;
  for (const Polygon& outline : a)
    if (const double size = Area(outline); size >= least || (size < 0 && !contains(crumbs, outline.front())))
      result.push_back(outline);
  return result;
}

Polygons rectangle(const Box2& box) {
  return {{toPoint(box.min()), toPoint(box.max().x(), box.min().y()), toPoint(box.max()),
           toPoint(box.min().x(), box.max().y())}};
}

}  // namespace trellis
