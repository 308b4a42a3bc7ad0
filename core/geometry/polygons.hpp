// SPDX-License-Identifier: GPL-3.0-or-later
// Polygon sets in the plane of a layer. Over Clipper, at 10⁶ units per mm: a unit is a nanometre.
//
// A Polygons value is a set of closed outlines; outer outlines run counter-clockwise, holes clockwise.
// Every function here returns outlines that are closed, disjoint and correctly nested.
#pragma once

#include "core/base/types.hpp"
#include "core/geometry/lines.hpp"

#include <polyclipping/clipper.hpp>

#include <vector>

namespace trellis {

using Polygons = ClipperLib::Paths;

inline constexpr double unitsPerMm = 1e6;
inline constexpr double arcTolerance = 0.005;  // mm; a library's default is up to 40 times slower

inline Point toPoint(double x, double y) {
  return {static_cast<ClipperLib::cInt>(std::llround(x * unitsPerMm)),
          static_cast<ClipperLib::cInt>(std::llround(y * unitsPerMm))};
}
inline Point toPoint(const Vec2& p) { return toPoint(p.x(), p.y()); }
inline Vec2 toMm(const Point& p) {
  return {static_cast<double>(p.X) / unitsPerMm, static_cast<double>(p.Y) / unitsPerMm};
}

Polygons unite(const Polygons& a);  // resolves overlaps: everything wound around at least once is inside
Polygons unite(const Polygons& a, const Polygons& b);
Polygons subtract(const Polygons& a, const Polygons& b);
Polygons intersect(const Polygons& a, const Polygons& b);

// Whether two sets overlap or come within distance mm of each other.
bool meet(const Polygons& a, const Polygons& b, double distance);

// Outlines moved outward by distance mm (inward when negative) with round corners.
Polygons grow(const Polygons& a, double distance);

// What remains after growing inward and outward again by distance: parts narrower than twice the
// distance are gone.
Polygons opened(const Polygons& a, double distance);

// The opposite: slits narrower than twice the distance are filled.
Polygons closed(const Polygons& a, double distance);

// Everything within distance mm of the lines.
Polygons around(const Lines& lines, double distance);

// Each outline as an open line that ends where it began.
Lines asLines(const Polygons& outlines);

// The stretches of lines outside, or inside, a region.
Lines linesOutside(const Lines& lines, const Polygons& region);
Lines linesInside(const Lines& lines, const Polygons& region);

// Fewer points; no outline moves by more than tolerance mm.
Polygons simplified(const Polygons& a, double tolerance);

// Connected pieces, each an outer outline followed by its holes, in a fixed order.
std::vector<Polygons> components(const Polygons& a);

double area(const Polygons& a);                    // mm²
double rimOf(const Polygons& a);                   // mm, of all outlines
Box2 boundsOf(const Polygons& a);                  // mm
bool contains(const Polygons& a, const Point& p);  // borders count as inside

// Without the outlines that enclose less than smallest mm².
Polygons withoutSpecks(Polygons a, double smallest);

// Without the pieces that are smaller than that; holes in others stay, however small.
Polygons withoutCrumbs(const Polygons& a, double smallest);

Polygons rectangle(const Box2& box);

}  // namespace trellis
