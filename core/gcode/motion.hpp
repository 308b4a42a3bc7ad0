// SPDX-License-Identifier: GPL-3.0-or-later
// How long a layer takes and how much filament, by feature and by piece.
#pragma once

#include "core/settings/rules.hpp"
#include "core/toolpath/run.hpp"

#include <map>
#include <vector>

namespace trellis {

struct Step;

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
  double travelSeconds = 0;  // with pulling back, lifting and waiting
  int toolChanges = 0;       // within the layer
  double seconds() const;    // but those of tool changes
};

// Seconds for a straight move of d mm from speed v0 to v1 at up to v mm/s with acceleration a: a
// trapezoid, or a triangle where d is too short to reach v. From rest to rest that is v/a + d/v.
double moveSeconds(double d, double v0, double v1, double v, double a);

// The speed a machine keeps through a corner when it may round it by deviation mm: v² = a·δ·s/(1 − s),
// s the sine of half the angle between the two moves. Common practice in motion controllers.
double cornerSpeed(const Vec2& directionIn, const Vec2& directionOut, double acceleration, double deviation);

// Where steps begin.
struct Position {
  double x = 0, y = 0, z = 0;  // mm over the plate
};

// Seconds of each step, from rest to rest, and those of tool changes 0. The nozzle stands still only to rise, to wait
// and to pull filament back or push it; everything between is planned as one motion.
std::vector<double> secondsOf(const std::vector<Step>& steps, Position at, const std::vector<Run>& runs,
                              const MotionRules& rules);

// What a layer's steps take but those that lead to it.
LayerUse useOf(const std::vector<Step>& body, double z, const std::vector<Run>& runs, const MotionRules& rules);

}  // namespace trellis
