// SPDX-License-Identifier: GPL-3.0-or-later
// Small prints made to learn one figure: a row of like shapes, each with another value of it and its number on its
// front. Ordinary parts with settings of their own.
#pragma once

#include "core/document/project.hpp"

#include <optional>

namespace trellis {

// gapAbove, gapBelow, gapBeside, spacing: a ceiling over its own support with that figure. lean: a slab that leans so
// many degrees from vertical. bridge: so many mm between two posts. column: a lip so wide, 30 mm up. The last three
// have no support but the column.
enum class LadderKind { gapAbove, gapBelow, gapBeside, spacing, lean, bridge, column };
// Of the first four: what hangs over the support. flat; sloping, 60° from vertical; tips, three pegs of 2 mm.
enum class Ceiling { flat, sloping, tips };

struct LadderSpec {
  LadderKind kind = LadderKind::gapAbove;
  double from = 0.18, to = 0.24, step = 0.02;  // mm, or degrees
  Ceiling ceiling = Ceiling::flat;
};
// As it is usual for a kind (common practice).
LadderSpec usualLadder(LadderKind kind);

// As on the command line and in files: "above", "below", "beside", "spacing", "lean", "bridge", "column"; "flat",
// "sloping", "tips". Throw Error naming what there is.
LadderKind ladderKindNamed(const std::string& name);
const char* nameOf(LadderKind kind);
Ceiling ceilingNamed(const std::string& name);
const char* nameOf(Ceiling ceiling);
// The setting that a ladder is about; empty for lean, bridge and column.
const char* settingOf(LadderKind kind);
// "gap above 0.18 to 0.24 mm"
std::string wordsOf(const LadderSpec& spec);

inline constexpr std::size_t mostRungs = 24;
// The figures of the rungs. Throws Error when there are none or too many, or a figure is out of its range.
std::vector<double> rungsOf(const LadderSpec& spec);
// As it stands on a rung: "0.18".
std::string figureOf(const LadderSpec& spec, double value);

// The rungs in rows around the plate's middle, 4 mm apart. Throws Error when they do not fit the plate.
std::vector<PartPtr> ladderParts(const LadderSpec& spec, const Settings& settings);

// Which ladder a plate of parts is, by their names; none where it is none.
std::optional<LadderSpec> ladderIn(const Project& project);
// The figure of a rung by its part's name; none where it is none.
std::optional<double> rungFigure(LadderKind kind, const std::string& name);

// A mesh once for each figure, with a little sign before each.
std::vector<PartPtr> ladderOf(const LadderSpec& spec, const Part& part, const Settings& settings);

}  // namespace trellis
