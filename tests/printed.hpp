// SPDX-License-Identifier: GPL-3.0-or-later
// Reads G-code back as beads. Shares nothing with the generator: words by the grammar of the NIST
// RS274/NGC report (a letter and a number, comments after a semicolon), and no comment of ours is needed
// for heights.
#pragma once

#include <map>
#include <string>
#include <vector>

namespace trellis::test {

struct Bead {
  double x0, y0, x1, y1, z, e;  // mm; z is the nozzle's height: the top of the bead
  std::string feature;          // from the comment, empty before the first
  double width;                 // from the comment
  double height;                // from the comment
  int tool;                     // of the last T word, 0 before the first
  double length() const;
};

// Throws std::runtime_error on a line that is no G-code.
std::vector<Bead> readBeads(const std::string& gcode);

// Those of one feature that push filament.
std::vector<Bead> beadsOf(const std::string& gcode, const std::string& feature);

// The height in mm of a bead of width w whose cross-section is e·πd²/4 ÷ length, solving the bead
// formula (w − h)·h + πh²/4.
double heightFromExtrusion(const Bead& bead, double filamentDiameter);

}  // namespace trellis::test
