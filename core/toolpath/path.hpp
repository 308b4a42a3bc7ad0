// SPDX-License-Identifier: GPL-3.0-or-later
// What is printed: lines with a width, each belonging to a feature and to a part or a piece.
#pragma once

#include "core/geometry/polygons.hpp"
#include "core/settings/feature.hpp"
#include "core/settings/filament.hpp"

namespace trellis {

// Whose line it is.
struct Owner {
  enum Kind : std::uint8_t { none, part, piece } kind = none;
  std::size_t index = 0;
  bool operator==(const Owner&) const = default;
};

struct Path {
  Feature feature = Feature::skirt;
  double width = 0;     // mm
  bool closed = false;  // the last point joins the first again
  Polygon points;
  double height = 0;  // mm, when it is not the layer's
};

// Paths that belong together on the plate, such as one island of a part: printed one after the other,
// the first stage before the second.
struct PathGroup {
  Owner owner;
  std::vector<std::vector<Path>> stages;
  Filament filament = Filament::first;
  Polygons island = {};  // of a part: what it fills, within which the nozzle travels unseen; empty for all else
};

// Cross-section in mm² of a line of width w and height h: (w − h)·h + πh²/4, a rectangle with round
// ends. For w < h, where no such shape exists, the ellipse of both, πwh/4.
inline double beadArea(double w, double h) { return w >= h ? (w - h) * h + pi * h * h / 4 : pi * w * h / 4; }

double lengthOf(const Polygon& line);  // mm, of an open line
double lengthOf(const Path& path);     // mm, closing stretch included

}  // namespace trellis
