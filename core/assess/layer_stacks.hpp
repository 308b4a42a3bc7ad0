// SPDX-License-Identifier: GPL-3.0-or-later
// What is printed as stacks of outlines, and those as the 3MF slice extension has them (version 1.0.2).
#pragma once

#include "core/assess/build.hpp"

namespace trellis {

struct LayerStack {
  double bottom = 0;  // mm
  struct Layer {
    double top;
    Polygons area;  // may be empty
  };
  std::vector<Layer> layers;  // each from the top of the one before, ascending
};

LayerStack stackOf(const PartBuild& part);

// What of a piece is printed as interface, or all else of it, from the lowest layer up; areas are the build's.
struct PieceSlab {
  double bottom, top;  // mm
  Key key;             // the same while an outline goes straight up
  const Polygons* area;
};
std::vector<PieceSlab> slabsOfPiece(const Build& build, std::size_t piece, bool interface);
// The same divided where its sites have layers of different heights they are
// divided, so that one stack has them all.
LayerStack stackOfPiece(const Build& build, std::size_t piece, bool interface);

void appendStack(std::string& xml, std::size_t id, const LayerStack& stack);

}  // namespace trellis
