// SPDX-License-Identifier: GPL-3.0-or-later
// Where support leaves which scars.
#pragma once

#include "core/assess/build.hpp"
#include "core/release/scars.hpp"

namespace trellis {

// Of one layer's underside, in plan.
struct ScarPatch {
  std::size_t site = 0;  // into Build::demand
  double z = 0;          // mm
  Scar scar = Scar::smooth;
  Polygons area = {};
};

// Everything that support carries or holds.
std::vector<ScarPatch> scarMap(const Build& build);

// Open lines that fill a patch, told apart without colour: smooth, one way and far apart; striped, the same close
// together; rough, both ways; fused, both ways and close together; nicked, only its rim.
Lines hatchOf(const ScarPatch& patch);

// By cause, as prices: what several share is split by contact. Trees scar only what their tips touch; else it is the
// same area in all as the contacts of the prices.
Scars scarsOf(const Build& build, const Cause& cause);
Scars scarsOf(const Build& build);
Scars scarsOn(const Build& build, std::size_t part);

}  // namespace trellis
