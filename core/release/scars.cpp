// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/release/scars.hpp"

#include <algorithm>
#include <numeric>

namespace trellis {

namespace {

constexpr double sagPerSquare = 0.012;  // mm for each mm² of span, at full fan: from memory
constexpr double shows = 0.25;          // of a layer's height: what hangs through by more shows as stripes
constexpr double wide = 0.3;            // mm of daylight between lines that shows

}  // namespace

const char* nameOf(Scar scar) {
  constexpr std::array<const char*, scarCount> names{"smooth", "striped", "rough", "fused", "nicked"};
  return names[static_cast<std::size_t>(scar)];
}

ScarBed scarBedOf(const Settings& settings, bool isTree) {
  ScarBed bed;
  bed.gap = settings.number("support.gap.above");
  bed.layerHeight = settings.number("layer.height");
  const bool hasInterface = settings.whole("support.interface.upper.layers") > 0;
  const double spacing = settings.number(hasInterface ? "support.interface.upper.spacing" : "support.body.spacing");
  bed.daylight = isTree ? settings.number("support.tree.tip_spacing") : spacing;
  bed.fan = settings.yes("machine.fan") ? settings.number("filament.fan.most") / 100 : 0;
  bed.sameFilament = settings.text("support.filament.interface") != "second";
  return bed;
}

double sagOf(const ScarBed& bed) {
  return std::max(0.0, bed.gap - bed.layerHeight) + sagPerSquare * bed.daylight * bed.daylight * (2 - bed.fan);
}

Scar scarOf(const ScarBed& bed) {
  if (bed.sameFilament && bed.gap < bed.layerHeight / 2) return Scar::fused;
  const double sag = sagOf(bed);
  if (sag > bed.layerHeight / 2) return Scar::rough;
  return bed.daylight > wide || sag > shows * bed.layerHeight ? Scar::striped : Scar::smooth;
}

double Scars::all() const { return std::accumulate(areas.begin(), areas.end(), 0.0); }

double Scars::allSeen() const { return std::accumulate(seen.begin(), seen.end(), 0.0); }

}  // namespace trellis
