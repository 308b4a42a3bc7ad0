// SPDX-License-Identifier: GPL-3.0-or-later
// What the nozzle does, read from G-code alone: words by the grammar of the NIST RS274/NGC report, moves, pauses, and
// the seconds they take. Shares nothing with the generator but the names in its comments.
#pragma once

#include <array>
#include <map>
#include <string>
#include <vector>

namespace trellis::test {

struct NozzleMove {
  std::array<double, 3> from{}, to{};  // mm
  double filament = 0;                 // mm pushed, or pulled back
  double speed = 0;                    // mm/s
  double dwell = 0;                    // s of standing still
  int layer = -1;
  std::string feature;  // what the comment before it says
  std::string owner;
  double flat() const;  // mm across the plate
  bool draws() const { return filament > 0 && flat() > 0; }
  bool travels() const { return filament == 0 && flat() > 0; }
};

std::vector<NozzleMove> nozzleMoves(const std::string& gcode);

// A machine that starts and stops with one acceleration, rounds corners by a deviation, and stands still to go up or
// down and to move filament alone: a trapezoid for every move, planned back from each stop and forward again (any
// mechanics handbook; the corner formula is common practice in motion controllers).
struct Machine {
  double acceleration = 1500, filamentAcceleration = 1500;  // mm/s²
  double corner = 0.02;                                     // mm
};
// Seconds of each move.
std::vector<double> secondsOf(const std::vector<NozzleMove>& moves, const Machine& machine);

struct LineFigures {
  double drawn = 0;                       // mm
  double seconds = 0, travelSeconds = 0;  // of all, and of all that draws nothing but waiting
  std::size_t draws = 0, tiny = 0;        // moves that draw, and those of them under 0.05 mm
  std::size_t travels = 0, pulls = 0;
  std::map<int, double> layers;  // s, with pauses
};
LineFigures figuresOf(const std::vector<NozzleMove>& moves, const Machine& machine);

// Travels of more than so many mm that cross an outer wall of the part drawn in the same layer, filament not pulled
// back; the layer of each.
std::vector<int> openCrossings(const std::vector<NozzleMove>& moves, double longest);

}  // namespace trellis::test
