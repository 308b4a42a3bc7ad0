// SPDX-License-Identifier: GPL-3.0-or-later
// The trial print: what would have printed on air, from G-code text alone. It shares no code with what generates; of
// all the core it takes the reader of G-code and the two formulas of motion.
#pragma once

#include "core/gcode/reader.hpp"

#include <array>
#include <map>

namespace trellis {

// plate: the first layer, or with nothing under it in the second, which sags onto the plate. material: over something
// within half a layer below. release: over support no farther down than it lets go. sagging: less than three tenths of
// its width over material, for more than a millimetre. bridge: between two anchors, straight and short enough. air:
// none of these.
enum class ContactClass : std::uint8_t { plate, material, release, sagging, bridge, air };
inline constexpr std::array<std::string_view, 6> contactClassNames{"plate",   "material", "release",
                                                                   "sagging", "bridge",   "air"};

struct TrialRules {
  double lineWidth = 0.45;         // mm, of beads that no comment of ours describes
  double layerHeight = 0;          // mm, of the same; 0: from the volume and the width
  double release = 0;              // mm; 0: one and a half of the bead's height
  double bridgeLimit = 10;         // mm
  double filamentDiameter = 1.75;  // mm
  double acceleration = 1500;      // mm/s², where the text sets none
};

// A straight stretch of bead that stands on one kind of thing.
struct Stretch {
  Vec3f from = Vec3f::Zero(), to = Vec3f::Zero();  // mm; z is its top
  float width = 0, height = 0;                     // mm
  ContactClass contactClass = ContactClass::air;
  std::uint32_t said = 0;  // into TrialPrint::said
  std::uint32_t line = 0;  // of the text
  double length() const { return static_cast<double>((to - from).norm()); }
};

// Beads of a part that touch one another in a layer and nothing below.
struct TrialStart {
  Vec3 at = Vec3::Zero();  // their middle, at their underside
  int layer = 0;           // counted from 0; layers that are only there for support do not count
  double length = 0;       // mm of bead
  std::uint32_t line = 0;  // of the text, where the first of them begins
};

struct TrialPrint {
  std::vector<Said> said;
  std::vector<Stretch> stretches;                                // in the order they are printed
  using Lengths = std::array<double, contactClassNames.size()>;  // mm, by contactClass
  Lengths length{}, partLength{};  // of everything; of what belongs to parts, or to nothing that is named
  double supportOnAir = 0;         // mm
  std::vector<TrialStart> starts;
  struct Filament {
    double mm = 0;  // of filament
    double mm3 = 0;
  };
  std::map<std::string, Filament> filament;  // by feature; "unnamed" without our comments
  double seconds = 0;
  std::vector<double> tops;          // mm, of layers, ascending
  std::vector<std::string> ignored;  // as of GcodeMoves

  double onAir() const;  // 0–1, the share of the parts' length
};

// Height and width of a bead are those of our comments where they agree with the pushed volume within 2 %, else they
// follow from the volume: the height with the line width of the rules, or the width with their layer height. Ends of
// stretches are found to a tenth of a millimetre. Weak where a bead floats beside others that hold it: it counts as air
// all the same.
TrialPrint trialPrint(const GcodeMoves& moves, const TrialRules& rules, const Progress& progress);

bool isPart(const Said& said);     // of a part, or unnamed
bool isSupport(const Said& said);  // of support; in text without our names everything may be

// Seconds for each move, with junction speeds, as the machine's own planner would take; and of all, with what is waited
// for.
std::vector<double> secondsOfMoves(const GcodeMoves& moves, double acceleration);
double secondsOf(const GcodeMoves& moves, double acceleration);

}  // namespace trellis
