// SPDX-License-Identifier: GPL-3.0-or-later
// Judges every piece of a build.
#pragma once

#include "core/assess/build.hpp"
#include "core/release/drain_clearance.hpp"

#include <unordered_map>

namespace trellis {

struct WayOut {
  ExtractionPath extraction;
  double drainClearance = 0;  // as of PieceFigures
};

// Ways out that were found, by the keys of pieces and parts; what is no longer asked for is forgotten.
using WayOutBook = std::unordered_map<std::uint64_t, WayOut>;

// parts are the build's own; drainClearances is asked only when some piece has no straight way out.
std::vector<PieceFigures> judgePieces(const Build& build, const std::vector<Solid>& parts,
                                      const std::function<const DrainClearance&()>& drainClearances, WayOutBook& book,
                                      const Progress& progress);

}  // namespace trellis
