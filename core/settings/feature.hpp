// SPDX-License-Identifier: GPL-3.0-or-later
// The kinds of line there are. Each has a speed and a fan of its own in the table of settings.
#pragma once

#include <array>
#include <cstdint>
#include <string_view>

namespace trellis {

// Steep is the stretch of a wall that leans out over the layer below by more than half its width; carried covers lie
// right over support.
enum class Feature : std::uint8_t {
  wallOuter,
  wallInner,
  wallSteep,
  cover,
  coverCarried,
  infill,
  bridge,
  supportBody,
  branch,
  graded,
  interfaceUpper,
  interfaceLower,
  hold,
  foot,
  raft,
  skirt,
  brim,
  prime
};

// Names as in G-code comments, reports and setting keys ("speed.<name>", "fan.<name>").
inline constexpr std::array<std::string_view, 18> featureNames = {"part.wall.outer",
                                                                  "part.wall.inner",
                                                                  "part.wall.steep",
                                                                  "part.cover",
                                                                  "part.cover.carried",
                                                                  "part.infill",
                                                                  "part.bridge",
                                                                  "support.body",
                                                                  "support.branch",
                                                                  "support.graded",
                                                                  "support.interface.upper",
                                                                  "support.interface.lower",
                                                                  "support.hold",
                                                                  "support.foot",
                                                                  "support.raft",
                                                                  "skirt",
                                                                  "brim",
                                                                  "prime"};
inline constexpr std::size_t featureCount = featureNames.size();

inline std::string_view nameOf(Feature feature) { return featureNames[static_cast<std::size_t>(feature)]; }
inline bool isPart(Feature feature) { return feature <= Feature::bridge; }
// Of pieces; a raft belongs to all that stands on it.
inline bool isInterface(Feature feature) {
  return feature == Feature::interfaceUpper || feature == Feature::interfaceLower;
}
inline bool isSupport(Feature feature) { return feature >= Feature::supportBody && feature <= Feature::foot; }

}  // namespace trellis
