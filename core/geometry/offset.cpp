// SPDX-License-Identifier: GPL-3.0-or-later
// Every outline is moved edge by edge. Where the moved outlines keep clear of each other they are the result; else it
// is what they wind around at least once. The winding is Clipper's; its own offset makes a small loop at every concave
// corner, which costs five to ten times more on the smooth outlines of organic parts.
#include "core/geometry/clipper_door.hpp"
#include "core/geometry/edge_cells.hpp"
#include "core/geometry/moved_outline.hpp"
#include "core/geometry/outline_groups.hpp"

#include <algorithm>
#include <cassert>
#include <cmath>

namespace trellis {

namespace {

constexpr double slack = 0.001;  // mm; without it every offset adds corners to a smooth outline

// Distance from a place to the nearest edge, units.
double nearestEdge(const Polygons& outlines, const Point& p) {
  double nearest = 1e300;
  for (const OutlineEdge& edge : edgesOf(outlines, true)) nearest = std::min(nearest, fromEdge(unitsOf(p), edge));
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

// The moved outlines, if each is still what it was and none meets another.
std::optional<Polygons> movedClear(const Polygons& outlines, const OutlineMover& mover, int around) {
  Polygons moved;
  for (const Polygon& outline : outlines) {
    std::optional<Polygon> one = mover.withoutTurnedEdges(outline);
    if (!one || ClipperLib::Orientation(*one) != ClipperLib::Orientation(outline)) return std::nullopt;
    moved.push_back(std::move(*one));
  }
  if (!isSimple(moved, around)) return std::nullopt;
  return moved;
}

// But outlines that the offset closes: no circle of its size has room in them.
Polygons withoutClosing(const Polygons& outlines, double distance) {
  const double least = pi * distance * distance * unitsPerMm * unitsPerMm;
  Polygons result;
  for (const Polygon& outline : outlines)
    if (const double area = ClipperLib::Area(outline) * (distance < 0 ? 1 : -1); area < 0 || area > least)
      result.push_back(outline);
  return result;
}

// Of outlines that others, which are nowhere near, wind around so many times.
Polygons grown(const Polygons& outlines, double distance, int around) {
  const OutlineMover mover(distance);
  const Polygons a = withoutClosing(outlines, distance);
  if (const auto moved = movedClear(a, mover, around)) return simplified(*moved, slack);
  Polygons loops;
  for (const Polygon& outline : a) loops.push_back(mover.withLoops(outline));
  const Polygon frame = frameAround(loops);
  addFrame(loops, frame, around);
  Polygons result = clipped({ClipperLib::ctUnion, loops, {}, true, ClipperLib::pftPositive});
  dropFrame(result, frame);
  dropTurnedOut(result, a, distance);
  return simplified(result, slack);
}

}  // namespace

Polygons grow(const Polygons& outlines, double distance) {
  if (outlines.empty() || distance == 0) return outlines;
  Polygons result;
  if (outlines.size() < manyOutlines)
    result = grown(outlines, distance, 0);
  else
    for (const OutlineGroup& group : groupsApart(outlines, true, {}, 2 * std::abs(distance) + slack))
      for (Polygon& outline : grown(group.subjects, distance, group.subjectsAround))
        result.push_back(std::move(outline));
  assert(isSound(result, slack));
  return result;
}

Polygons opened(const Polygons& a, double distance) { return grow(grow(a, -distance), distance); }

Polygons closed(const Polygons& a, double distance) { return grow(grow(a, distance), -distance); }

Polygons around(const Lines& lines, double distance) {
  if (lines.empty() || distance <= 0) return {};
  // Of many lines each for itself: what comes after asks only those that are near about each other.
  if (lines.size() >= manyOutlines) {
    Polygons strips;
    for (const Polygon& line : lines)
      for (Polygon& strip : around({line}, distance)) strips.push_back(std::move(strip));
    return simplified(unite(strips), slack);
  }
  ClipperLib::ClipperOffset offset(2.0, arcTolerance * unitsPerMm);
  offset.AddPaths(lines.paths(), ClipperLib::jtRound, ClipperLib::etOpenRound);
  Polygons result;
  offset.Execute(result, distance * unitsPerMm);  // does not say when it fails
  if (result.empty())
    throw GeometryError(say("A strip along lines cannot be drawn. Change the layer height a little."));
  return simplified(result, slack);
}

}  // namespace trellis
