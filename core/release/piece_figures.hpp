// SPDX-License-Identifier: GPL-3.0-or-later
// Each piece of support as the hand meets it: how it holds, whether it comes out, what prints it.
#pragma once

#include "core/release/extraction_path.hpp"
#include "core/settings/rules.hpp"
#include "core/settings/settings.hpp"
#include "core/support/demand.hpp"

namespace trellis {

// As the removal plan finds it. comesAway: one move by hand; inBits: a few moves by hand; needsPliers: more force than
// fingers give; fragile: the part's own thinnest section near the contact is weaker than the bond; washesOut: no way
// out by hand, but water takes all of it away; trapped: neither.
enum class Grade { comesAway, inBits, needsPliers, fragile, washesOut, trapped };
const char* nameOf(Grade grade);  // "comes away", "needs pliers", …

struct PieceFigures {
  double contactBelow = 0;           // mm² that stand on the part
  double bond = 0;                   // mm² of fully bonded contact that would hold as firmly
  double weakest = 0;                // mm² of line in its thinnest layer
  Vec3 weakestPlace = Vec3::Zero();  // the middle of that
  double fullness = 1;               // 0–1, of its body's outline that is line
  bool crushes = false;              // sparse enough to be crushed and drawn out
  bool fragile = false;              // the part is thinner over some of its contacts than the bond is firm
  int tips = 0;                      // of trees
  double force = 0;                  // N that part it from the part, about
  double seconds = 0;                // of a hand, about
  ExtractionPath extraction;
  double drainClearance = 0;  // mm across of the widest way from it to the open air; only of pieces that are not free
  Grade grade = Grade::comesAway;
  Filament bodyFilament = Filament::first;  // of everything but the interface
  bool chosen = false;                      // bodyFilament was set by hand, not found
  // Its interface dissolves, and its body would too if a hand could not get it out.
  bool wouldDissolve = false;
};

// Share of a full bond that a gap leaves: 1 at none, falling to a tenth at one and a half layers and staying there. An
// estimate from memory.
double bondShare(double gap, double layerHeight);

// Which filament prints a piece's body, from its settings: where both are left to the program and water takes the
// interface away, the first if a hand gets the piece out and its interface keeps its body off the part, else the
// second.
Filament bodyFilamentOf(const std::vector<const Settings*>& ofItsSites, bool byHand, bool& chosen);

}  // namespace trellis
