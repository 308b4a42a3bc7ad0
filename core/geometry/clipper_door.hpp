// SPDX-License-Identifier: GPL-3.0-or-later
// The one door to Clipper's booleans. Every answer is checked: a failed one is tried once more on a coarser grid, and
// then it is an error, never an empty region. Outlines that come near no others are combined apart from them.
#pragma once

#include "core/base/error.hpp"
#include "core/geometry/polygons.hpp"

namespace trellis {

struct Clipping {
  ClipperLib::ClipType how;
  const Polygons& subjects;
  const Polygons& clips;
  bool closed = true;  // subjects are outlines and not open lines
  ClipperLib::PolyFillType fill = ClipperLib::pftNonZero;
};

// Open lines where the subjects are. Throws GeometryError.
Polygons clipped(const Clipping& clipping);

// Whether outlines are what polygons.hpp promises: closed, wound right, and neither crossing nor lying on one
// another by more than a strip slack mm wide along them. Takes a union, so it is asked by assertions and tests only.
bool isSound(const Polygons& a, double slack = 4 / unitsPerMm);

}  // namespace trellis
