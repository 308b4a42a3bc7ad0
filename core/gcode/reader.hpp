// SPDX-License-Identifier: GPL-3.0-or-later
// Any program's plain G-code as the moves it asks for: words as in the NIST RS274/NGC report, and the printing
// M-codes every open firmware shares.
#pragma once

#include "core/base/progress.hpp"
#include "core/base/types.hpp"

#include <string>
#include <string_view>
#include <vector>

namespace trellis {

// What our own comments say of the moves that follow, see docs/formats/gcode.md. Empty in other programs' text.
struct Said {
  std::string feature;           // "part.wall.outer", …
  double width = 0, height = 0;  // mm of the line; 0: not said
  bool supportLayer = false;     // the layer exists only for support
  int layer = -1;                // its index
  bool operator==(const Said&) const = default;
};

// A straight stretch of the nozzle's way, from where the move before it ended; arcs are many of them.
struct Move {
  Vec3 to = Vec3::Zero();  // mm
  double filament = 0;     // mm pushed out along it; less than 0: pulled back
  double speed = 0;        // mm/s
  std::uint32_t line = 0;  // of the text, from 1
  std::uint32_t said = 0;  // into GcodeMoves::said
  int tool = 0;
};

struct GcodeMoves {
  std::vector<Move> moves;  // the nozzle starts at the origin
  std::vector<Said> said = {{}};
  double dwelt = 0;                  // s asked for by G4
  double acceleration = 0;           // mm/s², the last that M204 set; 0: none did
  std::vector<std::string> ignored;  // commands of a meaning not known here, each once: "G38"
};

// G0 to G3 (arcs in the plane of x and y, by centre or radius, in chords no farther than 0.01 mm from them), G4, G20,
// G21, G28, G90 to G92, M82, M83, M200 (filament as a volume), M204, M220, M221 and T. Motion is modal. Filament counts
// as G90 and G91 say until the text uses M82 or M83, which then rule alone: firmwares differ, and text that both kinds
// print right does so. Words may be spread out, in either case, numbered and with a checksum. Throws Error naming the
// line when a move cannot be understood or goes farther than ten metres, and when there is no move at all.
GcodeMoves readGcode(std::string_view text, const Progress& progress);

}  // namespace trellis
