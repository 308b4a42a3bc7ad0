// SPDX-License-Identifier: GPL-3.0-or-later
// The version's code, raised on a plaque beside the print: it tells months later which print this was.
#pragma once

#include "core/settings/rules.hpp"
#include "core/toolpath/path.hpp"

#include <optional>

namespace trellis {

inline constexpr int raisedLayers = 2;  // of letters over the plaque's one

struct RaisedCode {
  Polygons plaque, letters;  // on the plate
};

// Against a skirt's line, or the raft, or as far from the print as a skirt would be, on the first side where it stays
// on the plate: in front, behind, left, right. Nothing where no side has room. covered: what skirts go around.
std::optional<RaisedCode> raisedCode(const std::string& code, const Polygons& covered, const Vec2& plate,
                                     const AdhesionRules& rules);

// The plaque, or the letters over it, in a layer of this height, mm.
PathGroup plaqueLines(const RaisedCode& raised, const AdhesionRules& rules, double height);
PathGroup letterLines(const RaisedCode& raised, const AdhesionRules& rules, double height);

}  // namespace trellis
