// SPDX-License-Identifier: GPL-3.0-or-later
// A print as G-code: RS-274 words (NIST RS274/NGC) with the printing M-codes every open firmware shares.
#pragma once

#include "core/base/progress.hpp"
#include "core/gcode/print.hpp"

#include <nlohmann/json.hpp>

#include <string>

namespace trellis {

// What the text says of itself: the version's code in its head, totals at its end.
struct GcodeAbout {
  std::string code;
  nlohmann::json summary;
};

// Heights count from the plate: a print that begins below 0 stands on a raft and is lifted by it. Absolute millimetres,
// relative extrusion (M83). X and Y to a micrometre, Z to a tenth of one; E is computed from the rounded coordinates,
// so every line holds exactly its bead. Comments as documented in docs/formats/gcode.md. The text depends on nothing
// but the print, the rules and what it says of itself.
std::string writeGcode(const Print& print, const GcodeRules& rules, const GcodeAbout& about, const Progress& progress);

// Text with {named} values filled in. Throws Error naming a name that is not known.
std::string filledIn(const std::string& text, const std::map<std::string, std::string>& values);

}  // namespace trellis
