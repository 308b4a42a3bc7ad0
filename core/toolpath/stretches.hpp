// SPDX-License-Identifier: GPL-3.0-or-later
// Stretches of a path that are printed otherwise than the rest of it.
#pragma once

#include "core/toolpath/path.hpp"

namespace trellis {

// Of a path, in mm from its first point along it.
struct Stretch {
  double from = 0, to = 0;
};

// The place on a path nearest to a point, in mm from its first point along it, and how far off that is, mm.
struct PlaceOn {
  double at = 0, off = 0;
};
PlaceOn placeOn(const Path& path, const Vec2& point);

// Where a short line that lies on one of the path's edges is, to a hundredth of a millimetre.
Stretch stretchOn(const Path& path, const Point& a, const Point& b);

// Stretches in order, those less than shortest apart as one, and without what is then shorter than that itself.
std::vector<Stretch> merged(std::vector<Stretch> stretches, double shortest);

// What lies on a path between two places. On a closed one it may go on past its end, by once around at most.
Polygon pieceOf(const Path& path, const Stretch& stretch);

// The path in its order, stretches with a feature of their own: open paths, each beginning where the one before ends.
// A path that is one stretch all along, or has none, stays whole.
std::vector<Path> cutAt(const Path& path, const std::vector<Stretch>& stretches, Feature feature);

}  // namespace trellis
