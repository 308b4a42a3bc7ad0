// SPDX-License-Identifier: GPL-3.0-or-later
// Lines along the outline of a region, and what is solid where it is thin.
#pragma once

#include "core/toolpath/path.hpp"

#include <vector>

namespace trellis {

// How wide a strip one line fills: neighbouring beads touch without gaps when they lie so far apart, mm. w: width,
// h: height of the line, h ≤ w. The bead's area over its height.
inline double filledBy(double w, double h) { return beadArea(w, h) / h; }
// The line that fills a strip so wide.
inline double lineToFill(double strip, double h) { return strip + h * (1 - pi / 4); }

struct WallRules {
  int count = 2;            // of lines from the outline inward
  double lineWidth = 0.45;  // mm
  double height = 0.2;      // mm, of the layer
  Feature outer = Feature::wallOuter, inner = Feature::wallInner;
};

// Loops from the outline inward. Where a region is at most thinnestForLoop(w) thick, two loops would overlap or leave a
// slit: two lines of half its thickness fill it, or one, where it is at most singleUpTo thick.
struct Walls {
  std::vector<std::vector<Path>> loops;  // outermost first
  std::vector<Path> thin;                // single lines
  Polygons inside;                       // what the walls leave free
  Polygons missed;                       // where single lines lie, or where it is too thin for one
};
Walls wallsOf(const Polygons& region, const WallRules& rules);

// The same of what need not be solid: loops at w/2, 3w/2, … inside the outline, none of which reaches past it, and
// single lines where it is too thin for one. The height is of no account.
Walls loopsOf(const Polygons& region, const WallRules& rules);

// What of a region is thinner than so many mm, but corners.
Polygons narrowIn(const Polygons& region, double thickness);

inline constexpr double singleUpTo = 0.8;                                        // mm
inline double thinnestForLoop(double lineWidth) { return 2 * lineWidth + 0.3; }  // mm

// Parallel lines at an angle that fill a region, each piece of it evenly and with its volume, and go on into one
// another; where it is too thin for them, single lines. ends: mm that lines stop before its outline; pieces that
// reach into what is open do not join.
std::vector<Path> solidLines(const Polygons& region, double angle, double ends, const Path& like,
                             const Polygons& open = {});

// Single lines along the middle of a region that is at most singleUpTo thick, as wide as it is there, and small loops
// in what is too round for that: together they have its volume.
std::vector<Path> singleLines(const Polygons& region, const Path& like);

}  // namespace trellis
