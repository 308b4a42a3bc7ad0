// SPDX-License-Identifier: GPL-3.0-or-later
// How long a layer takes and how much filament, by feature and by piece.
#pragma once

#include "core/settings/rules.hpp"
#include "core/toolpath/order.hpp"

#include <map>
#include <vector>

namespace trellis {

struct Use {
  double seconds = 0;
  double length = 0;  // mm of line
  double volume = 0;  // mm³
  double second = 0;  // mm³ of it from the second filament
  Use& operator+=(const Use& other) {
    seconds += other.seconds;
    length += other.length;
    volume += other.volume;
    second += other.second;
    return *this;
  }
  Use operator*(double share) const { return {seconds * share, length * share, volume * share, second * share}; }
};

struct LayerUse {
  std::array<Use, featureCount> features;
  std::map<std::size_t, Use> pieces;
  double travelSeconds = 0;  // with retractions
  int toolChanges = 0;       // within the layer
};

// Seconds for a straight move of d mm from speed v0 to v1 at up to v mm/s with acceleration a: a
// trapezoid, or a triangle where d is too short to reach v. From rest to rest that is v/a + d/v.
double moveSeconds(double d, double v0, double v1, double v, double a);

// The speed a machine keeps through a corner when it may round it by deviation mm: v² = a·δ·s/(1 − s),
// s the sine of half the angle between the two moves. Common practice in motion controllers.
double cornerSpeed(const Vec2& directionIn, const Vec2& directionOut, double acceleration, double deviation);

// Speeds are planned over the whole layer, which begins and ends at rest. isFirst caps the speed.
LayerUse useOf(const std::vector<Run>& runs, double height, bool isFirst, const MotionRules& rules);

double speedOf(const Run& run, bool isFirst, const MotionRules& rules);

// Whether the nozzle pulls filament back before a travel of this length.
inline bool retractsOver(double distance, const MotionRules& rules) {
  return rules.retractLength > 0 && distance > rules.retractOver;
}

}  // namespace trellis
