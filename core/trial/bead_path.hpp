// SPDX-License-Identifier: GPL-3.0-or-later
// Moves that lay one bead without a break.
#pragma once

#include "core/trial/trial_print.hpp"

namespace trellis {

struct BeadPath {
  std::vector<Vec3> points;          // mm; z is the bead's top
  std::vector<double> along;         // mm from its beginning to each point
  std::vector<std::uint32_t> lines;  // of the text, of the stretch that ends in each point
  std::uint32_t said = 0;
  double width = 0, height = 0;  // mm
  double filament = 0;           // mm of it

  double length() const { return along.back(); }
  double top() const { return points.front().z(); }
  bool isClosed() const;
  Vec3 at(double way) const;  // mm along it
};

// In the order they are printed, each with its width and height.
std::vector<BeadPath> beadPathsOf(const GcodeMoves& moves, const TrialRules& rules);

}  // namespace trellis
