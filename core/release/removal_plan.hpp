// SPDX-License-Identifier: GPL-3.0-or-later
// In which order and by which moves all support comes off.
#pragma once

#include "core/release/piece_figures.hpp"
#include "core/release/piece_moves.hpp"
#include "core/support/supports.hpp"

#include <functional>

namespace trellis {

// Usual figures, all from memory.
inline constexpr double fingersGive = 30;      // N
inline constexpr double pliersGive = 150;      // N
inline constexpr double bondHolds = 2;         // N for a mm² that is fully bonded, where it parts
inline constexpr double bondParts = 2;         // mm: it parts from one side, in a strip so wide
inline constexpr double sectionBends = 10;     // N for a mm² of line, snapped over at some height
inline constexpr double toolReaches = 8;       // mm: through an opening so wide a body can be crushed and drawn out
inline constexpr double crushedEasily = 0.25;  // of a body that is line
inline constexpr double secondsToPull = 6, secondsToTurn = 12, secondsToSnap = 4, secondsToCrush = 25,
                        secondsToWash = 60;   // of a hand, not of the water
inline constexpr double secondsForTip = 0.5;  // each leaves something to be rubbed off
inline constexpr double secondsPerNewton = 0.2;

struct RemovalStep {
  HandMove move = HandMove::pull;
  std::size_t piece = 0;
  double low = 0, high = 0;  // mm: the bit of it that goes
  bool isWhole = true;
  bool withPliers = false;
  HandPath path = {};          // only the first pose where it is crushed or washed out
  Vec3 middle = Vec3::Zero();  // of the bit, where it stands
  double force = 0;            // N
  double seconds = 0;
};

struct RemovalPlan {
  std::vector<RemovalStep> steps;    // in this order
  std::vector<std::size_t> trapped;  // pieces of which something stays
  double seconds() const;
  // Whether each piece comes off by hand, whole or in bits: neither crushed with a tool nor by water, nor so that the
  // part may break, unless a straight pull is all it takes. figures: as the plan graded them.
  std::vector<bool> byHand(const std::vector<PieceFigures>& figures) const;
};

// What the planner asks for when a piece cannot leave as a whole.
using BitsOf = std::function<std::vector<Bit>(std::size_t piece)>;

// A disassembly sequence: at each step what leaves most cheaply of what nothing blocks, until all are gone or the rest
// cannot leave (after R. Wilson, J.-C. Latombe, "Geometric reasoning about mechanical assembly", 1994). whole: as of
// wholeMoves, one of each piece. Pieces that cannot leave whole are broken; those that cannot leave broken are crushed
// or washed out where they can be. Sets the figures' grades, forces and seconds.
RemovalPlan planRemoval(const Supports& supports, std::vector<Bit> whole, const BitsOf& broken,
                        std::vector<PieceFigures>& figures, const Progress& progress);

}  // namespace trellis
