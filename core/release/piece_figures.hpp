// SPDX-License-Identifier: GPL-3.0-or-later
// Each piece of support as the hand meets it: how it holds, whether it comes out, what prints it.
#pragma once

#include "core/release/extraction_path.hpp"
#include "core/settings/rules.hpp"
#include "core/settings/settings.hpp"
#include "core/support/demand.hpp"

namespace trellis {

// comesAway: by hand; needsPliers: its bond is no longer small against its own weakest section; fragile: the part's own
// thinnest section near the contact is weaker than the bond; washesOut: no straight way out, but water takes all of it
// away; trapped: neither.
enum class Grade { comesAway, needsPliers, fragile, washesOut, trapped };
const char* nameOf(Grade grade);  // "comes away", "needs pliers", …

struct PieceFigures {
  double contactBelow = 0;  // mm² that stand on the part
  double bond = 0;          // mm² of fully bonded contact that would hold as firmly
  double weakest = 0;       // mm² of line in its thinnest layer
  ExtractionPath extraction;
  double drainClearance = 0;  // mm across of the widest way from it to the open air; only of pieces that are not free
  Grade grade = Grade::comesAway;
  int bodyTool = 0;            // filament of everything but the interface: 0 the first, 1 the second
  bool chosen = false;         // bodyTool was set by hand, not found
  bool wouldDissolve = false;  // its interface dissolves, and its body would too if it could not be pulled out
};

// Share of a full bond that a gap leaves: 1 at none, falling to a tenth at one and a half layers and staying there. An
// estimate from memory.
double bondShare(double gap, double layerHeight);

// Which filament prints a piece's body, from its settings: where both are left to the program and water takes the
// interface away, the first if the piece comes out and its interface keeps its body off the part, else the second.
int bodyToolOf(const std::vector<const Settings*>& ofItsSites, bool isFree, bool& chosen);

}  // namespace trellis
