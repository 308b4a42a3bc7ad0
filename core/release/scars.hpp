// SPDX-License-Identifier: GPL-3.0-or-later
// What the part's surface looks like where support carried it.
#pragma once

#include "core/settings/settings.hpp"

#include <array>

namespace trellis {

// smooth: lines close together at a small gap. striped: lines with daylight between them can be seen. rough: the first
// layer sagged by more than half of its height. fused: support of the same filament holds on as if it were part.
// nicked: where a hold was tied on.
enum class Scar { smooth, striped, rough, fused, nicked };
inline constexpr std::size_t scarCount = 5;
const char* nameOf(Scar scar);

// What the part lies over.
struct ScarBed {
  double gap = 0.2;          // mm of daylight above
  double layerHeight = 0.2;  // mm
  double daylight = 0;       // mm between lines or tips
  double fan = 1;            // 0–1
  bool sameFilament = true;  // as the part's
};
ScarBed scarBedOf(const Settings& settings, bool isTree);

// mm that a layer hangs through: by what it lies lower than the gap of one layer would let it, and between what carries
// it by a square of the span, twice that without a fan. The constant is from memory.
double sagOf(const ScarBed& bed);

Scar scarOf(const ScarBed& bed);

// mm² by what is to be expected.
struct Scars {
  std::array<double, scarCount> areas{};
  std::array<double, scarCount> seen{};  // of it, on seen faces
  double of(Scar scar) const { return areas[static_cast<std::size_t>(scar)]; }
  double seenOf(Scar scar) const { return seen[static_cast<std::size_t>(scar)]; }
  double all() const;
  double allSeen() const;
  // What of seen faces will show: all but what is smooth.
  double spoilt() const { return allSeen() - seenOf(Scar::smooth); }
};

}  // namespace trellis
