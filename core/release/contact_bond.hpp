// SPDX-License-Identifier: GPL-3.0-or-later
// How firmly support holds on to the part, and what the part looks like there, from settings alone.
#pragma once

#include "core/release/scars.hpp"
#include "core/support/column.hpp"

namespace trellis {

// How full a use of support is, 0–1.
double fullnessOf(RegionKind kind, const Settings& settings);

// mm² of full bond that would hold as firmly as so much contact with what lies right under the part.
double bondUnder(const Settings& settings, double contact, double gap, double layerHeight);

// N that part so many mm² of full bond, spread over so many mm² of contact: it parts from one side, strip by strip.
double partingForce(double bond, double contact);

// What a gap above makes of a flat contact.
struct TradeOff {
  double gap = 0;    // mm
  double force = 0;  // N
  double sag = 0;    // mm that the first layer over it hangs through
  Scar scar = Scar::smooth;
};
TradeOff tradeOffAt(const Settings& settings, double gap, double contact);

}  // namespace trellis
