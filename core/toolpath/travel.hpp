// SPDX-License-Identifier: GPL-3.0-or-later
// How the nozzle gets from one line to the next without a trace.
#pragma once

#include "core/toolpath/run.hpp"

#include <optional>
#include <vector>

namespace trellis {

struct TravelRules {
  double retractOver = 1.5;  // mm; shorter travels are made as they are
  double lineWidth = 0.45;   // mm
};

// Sets every run's approach but the first one's. Within an island, given by the group's number or null for what is
// none, the nozzle keeps inside the outer walls where that is at most 1.6 times as far, and pulls nothing back; nor
// does it from support to support, as long as no outer wall lies between. Everything else is gone over with the
// filament pulled back, and raised where it crosses the part. After a closed outer wall it wipes back along it by a
// line's width.
void layTravel(std::vector<Run>& runs, const std::vector<const Polygons*>& islands, const TravelRules& rules);

// The way from a to b within a region, along its outlines where the straight one leaves it: its corners. Nothing where
// it would have to change outlines outside. Both ends may lie up to reach mm beside the region.
std::optional<Polygon> wayInside(const Polygons& region, const Vec2& a, const Vec2& b, double reach);

}  // namespace trellis
