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

// Which filament prints a piece's body. Chosen before any line is laid, by the plan of how it comes off.
struct BodyFilament {
  Filament filament = Filament::first;
  bool chosen = false;         // it was set by hand, not found
  bool wouldDissolve = false;  // its interface dissolves, and its body would too if a hand could not get it out
  bool operator==(const BodyFilament&) const = default;
};
// byHand: whether a hand gets the piece out when it is of the plain filament.
std::vector<BodyFilament> bodyFilaments(const Supports& supports, const std::vector<bool>& byHand);

// All as the support's pieces. Judged is everything but the body's filament.
std::vector<PieceFigures> judgePieces(const Supports& supports, const std::vector<WayOut>& ways,
                                      const Progress& progress);
std::vector<PieceFigures> printedFrom(std::vector<PieceFigures> judged, const std::vector<BodyFilament>& bodies);

}  // namespace trellis
