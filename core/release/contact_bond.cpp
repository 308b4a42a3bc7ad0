// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/release/contact_bond.hpp"

#include "core/release/removal_plan.hpp"

#include <algorithm>
#include <cmath>

namespace trellis {

double fullnessOf(RegionKind kind, const Settings& settings) {
  const double w = settings.number("line.width");
  switch (kind) {
    case RegionKind::interfaceUpper:
      return densityOf(w, settings.number("support.interface.upper.spacing"));
    case RegionKind::interfaceLower:
      return densityOf(w, settings.number("support.interface.lower.spacing"));
    case RegionKind::graded:
      return settings.number("support.graded.density") / 100;
    case RegionKind::branch:
      return 0.5;  // of its section, by its walls: about so of a trunk, more of a tip
    case RegionKind::foot:
    case RegionKind::body:
      break;
  }
  return densityOf(w, settings.number("support.body.spacing"));
}

double bondUnder(const Settings& settings, double contact, double gap, double layerHeight) {
  const RegionKind kind = settings.whole("support.interface.upper.layers") > 0 ? RegionKind::interfaceUpper
                          : settings.text("support.structure") == "tree"       ? RegionKind::branch
                                                                               : RegionKind::body;
  return contact * fullnessOf(kind, settings) * bondShare(gap, layerHeight);
}

double partingForce(double bond, double contact) {
  return bondHolds * bond * std::min(1.0, bondParts / std::sqrt(std::max(contact, 1e-9)));
}

TradeOff tradeOffAt(const Settings& settings, double gap, double contact) {
  ScarBed bed = scarBedOf(settings, settings.text("support.structure") == "tree");
  bed.gap = gap;
  return {gap, partingForce(bondUnder(settings, contact, gap, bed.layerHeight), contact), sagOf(bed), scarOf(bed)};
}

}  // namespace trellis
