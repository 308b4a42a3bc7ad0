// SPDX-License-Identifier: GPL-3.0-or-later
// Many outlines, as groups that can be combined or moved one after the other.
#pragma once

#include "core/geometry/polygons.hpp"

namespace trellis {

// From so many outlines on it is worth while to look for groups of them.
inline constexpr std::size_t manyOutlines = 12;

// Outlines whose edges come near each other, directly or over others of the group. No other outline comes near them, so
// along all their edges the others wind around the same number of times.
struct OutlineGroup {
  Polygons subjects, clips;
  int subjectsAround = 0, clipsAround = 0;  // how often the others of each set wind around this group
};

// In the order of their first outlines. near: mm; at least a micrometre, far more than an edge is rounded by where
// others cross it. Takes n log n where one sweep over all of them, which carries every edge that lies on its line from
// event to event, takes n².
std::vector<OutlineGroup> groupsApart(const Polygons& subjects, bool closed, const Polygons& clips,
                                      double near = 0.001);

// A rectangle that stands for what winds around outlines: added as many times, and dropped from the result.
Polygon frameAround(const Polygons& outlines);
void addFrame(Polygons& outlines, Polygon frame, int times);
void dropFrame(Polygons& outlines, const Polygon& frame);

}  // namespace trellis
