// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/geometry/clipper_door.hpp"

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
  throw GeometryError("Outlines cannot be combined. Mend or wrap the mesh, or change the layer height a little.");
}

}  // namespace

Polygons clipped(const Clipping& clipping) {
  Polygons result;
  clip(clipping, result);
  return result;
}

void clipInto(PolyTree& tree, const Clipping& clipping) { clip(clipping, tree); }

}  // namespace trellis
