// SPDX-License-Identifier: GPL-3.0-or-later
// Judges every piece of support.
#pragma once

#include "core/release/drain_clearance.hpp"
#include "core/release/piece_figures.hpp"
#include "core/support/supports.hpp"

namespace trellis {

struct WayOut {
  ExtractionPath extraction;
  double drainClearance = 0;  // as of PieceFigures
};

// Which filament prints a piece's body. Chosen before any line is laid.
struct BodyFilament {
  Filament filament = Filament::first;
  bool chosen = false;         // it was set by hand, not found
  bool wouldDissolve = false;  // its interface dissolves, and its body would too if it could not be pulled out
};
std::vector<BodyFilament> bodyFilaments(const Supports& supports, const std::vector<WayOut>& ways);

// All three as the support's pieces.
std::vector<PieceFigures> judgePieces(const Supports& supports, const std::vector<WayOut>& ways,
                                      const std::vector<BodyFilament>& bodies, const Progress& progress);

}  // namespace trellis
