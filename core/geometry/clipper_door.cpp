// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/geometry/clipper_door.hpp"

#include "core/geometry/outline_groups.hpp"

#include <cassert>
#include <cmath>

namespace trellis {

using namespace ClipperLib;

namespace {

constexpr cInt coarser = 1000;  // units: a micrometre

// Clipper says no by returning false, and by an exception when coordinates are beyond what it can multiply.
template <typename Result>
bool succeeds(const Clipping& clipping, const Polygons& subjects, const Polygons& clips, Result& result) {
  try {
    Clipper clipper;
    bool any = clipper.AddPaths(subjects, ptSubject, clipping.closed);
    if (!clips.empty()) any = clipper.AddPaths(clips, ptClip, true) || any;
    if (!any) return true;  // of outlines without any area nothing is left, which Clipper calls a failure
    return clipper.Execute(clipping.how, result, clipping.fill, clipping.fill);
  } catch (const clipperException&) {
    return false;
  }
}

Polygons snapped(Polygons outlines) {
  for (Polygon& outline : outlines)
    for (Point& p : outline) p = {p.X / coarser * coarser, p.Y / coarser * coarser};
  return outlines;
}

template <typename Result>
void clip(const Clipping& clipping, Result& result) {
  if (succeeds(clipping, clipping.subjects, clipping.clips, result)) return;
  if (succeeds(clipping, snapped(clipping.subjects), snapped(clipping.clips), result)) return;
  throw GeometryError(say("Outlines cannot be combined. Mend or wrap the mesh, or change the layer height a little."));
}

void clip(const Clipping& clipping, Polygons& result) {
  if (clipping.closed) return clip<Polygons>(clipping, result);
  PolyTree tree;
  clip<PolyTree>(clipping, tree);
  OpenPathsFromPolyTree(tree, result);
}

// Whether nothing of a group can be an edge of the result.
bool isSettled(const Clipping& clipping, const OutlineGroup& group) {
  const bool within = clipping.fill == pftPositive ? group.clipsAround > 0 : group.clipsAround != 0;
  if (group.clips.empty() && clipping.how == ctDifference) return within;
  if (group.clips.empty() && clipping.how == ctIntersection) return !within;
  return group.subjects.empty() && (!clipping.closed || (group.subjectsAround == 0 && clipping.how != ctUnion));
}

void clipGroup(const Clipping& clipping, OutlineGroup& group, Polygons& result) {
  if (isSettled(clipping, group)) return;
  if (!clipping.closed && group.clips.empty()) {  // lines that meet nothing stay whole
    result.insert(result.end(), group.subjects.begin(), group.subjects.end());
    return;
  }
  Polygons all = group.subjects;
  all.insert(all.end(), group.clips.begin(), group.clips.end());
  const Polygon frame = frameAround(all);
  addFrame(group.subjects, frame, group.subjectsAround);
  addFrame(group.clips, frame, group.clipsAround);
  Polygons found;
  clip({clipping.how, group.subjects, group.clips, clipping.closed, clipping.fill}, found);
  dropFrame(found, frame);
  for (Polygon& outline : found) result.push_back(std::move(outline));
}

}  // namespace

// What crosses, lies twofold or is wound wrong encloses another area than what it is wound around.
bool isSound(const Polygons& a, double slack) {
  Polygons wound;
  clip({ctUnion, a, {}}, wound);
  return std::abs(area(wound) - area(a)) <= rimOf(a) * slack;
}

Polygons clipped(const Clipping& clipping) {
  Polygons result;
  if (clipping.subjects.size() + clipping.clips.size() < manyOutlines) {
    clip(clipping, result);
    assert(!clipping.closed || isSound(result));
    return result;
  }
  std::vector<OutlineGroup> groups = groupsApart(clipping.subjects, clipping.closed, clipping.clips);
  if (groups.size() == 1)
    clip(clipping, result);
  else
    for (OutlineGroup& group : groups) clipGroup(clipping, group, result);
  assert(!clipping.closed || isSound(result));
  return result;
}

}  // namespace trellis
