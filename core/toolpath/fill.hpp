// SPDX-License-Identifier: GPL-3.0-or-later
// Parallel lines across a region.
#pragma once

#include "core/geometry/polygons.hpp"

namespace trellis {

// Line centres inside a region at an angle (degrees, counter-clockwise from x), pitch mm apart. Their
// phase is fixed on the plate, so lines of the same angle and pitch stand on one another in every layer.
// Given in scanning order, every other line the other way round. Lines under shortest mm are left out.
Lines fillLines(const Polygons& region, double angle, double pitch, double shortest = 0.1);

// Line centres within a region at an angle, spread evenly across all of a piece: as many as fit it best at a pitch of
// about so many mm, the outermost half a pitch inside it.
Lines evenLines(const Polygons& piece, const Polygons& within, double angle, double pitch);

// The one line through the middle of each connected piece of a region that fillLines misses because
// the piece is narrower than the pitch.
Lines linesThroughMissed(const Polygons& region, const Lines& lines, double angle);

// Where lines run across fill lines of the same angle and pitch: the strips between two of them along which a line
// runs too far from crossing to crossing, or too crookedly, to span it.
struct HoldRules {
  double longest, crooked;  // mm
  double margin;            // mm that each strip reaches past both fill lines
};
Polygons stripsWithoutHold(const Lines& lines, double angle, double pitch, const HoldRules& hold);

// The angle among multiples of 10° at which most of the line length across a region has both ends on
// anchor, that is, along the span; the shortest spans win between equals.
double spanAngle(const Polygons& region, const Polygons& anchor, double lineWidth);

}  // namespace trellis
