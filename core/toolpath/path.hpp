// SPDX-License-Identifier: GPL-3.0-or-later
// What is printed: lines with a width, each belonging to a feature and to a part or a piece.
#pragma once

#include "core/slice/polygons.hpp"

#include <array>
#include <string_view>

namespace trellis {

// steep walls lean out over the layer below by more than half their width; carried skins lie right over support.
enum class Feature : std::uint8_t {
  wallOuter,
  wallInner,
  wallSteep,
  skin,
  skinCarried,
  infill,
  bridge,
  supportBody,
  branch,
  graded,
  interfaceUpper,
  interfaceLower,
  hold,
  foot,
  bed,
  skirt,
  brim,
  prime
};

// Names as in G-code comments, reports and setting keys ("speed.<name>", "fan.<name>").
inline constexpr std::array<std::string_view, 18> featureNames = {"part.wall.outer",
                                                                  "part.wall.inner",
                                                                  "part.wall.steep",
                                                                  "part.skin",
                                                                  "part.skin.carried",
                                                                  "part.infill",
                                                                  "part.bridge",
                                                                  "support.body",
                                                                  "support.branch",
                                                                  "support.graded",
                                                                  "support.interface.upper",
                                                                  "support.interface.lower",
                                                                  "support.hold",
                                                                  "support.foot",
                                                                  "support.bed",
                                                                  "skirt",
                                                                  "brim",
                                                                  "prime"};
inline constexpr std::size_t featureCount = featureNames.size();

inline std::string_view nameOf(Feature feature) { return featureNames[static_cast<std::size_t>(feature)]; }
// Of pieces; a bed belongs to all that stands on it.
inline bool isSupport(Feature feature) { return feature >= Feature::supportBody && feature <= Feature::foot; }

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
  int tool = 0;  // which filament: 0 the first, 1 the second
};

// Cross-section in mm² of a line of width w and height h: (w − h)·h + πh²/4, a rectangle with round
// ends. For w < h, where no such shape exists, the ellipse of both, πwh/4.
inline double beadArea(double w, double h) { return w >= h ? (w - h) * h + pi * h * h / 4 : pi * w * h / 4; }

double lengthOf(const Path& path);  // mm, closing stretch included

}  // namespace trellis
