// SPDX-License-Identifier: GPL-3.0-or-later
// What a layer's text asks the machine to do, step by step. The text is written from it and the time is taken from it.
#pragma once

#include "core/gcode/print.hpp"

namespace trellis {

// A place on the plate in whole micrometres, what the text holds.
struct Micron {
  long long x = 0, y = 0;
  bool operator==(const Micron&) const = default;
};

Micron rounded(const Point& p);
double distance(const Micron& a, const Micron& b);  // mm

struct Step {
  enum Kind : std::uint8_t {
    draw,    // to a place, laying amount mm³
    go,      // to a place
    rise,    // to a height of amount mm over the plate
    pull,    // amount mm of filament back
    push,    // and forward again
    change,  // to the run's filament
    wait     // amount seconds
  } kind;
  Micron to;
  double amount;
  double speed;     // mm/s, but of what is drawn: that is the run's
  std::size_t run;  // which one it leads to or belongs to
};

// From where the layers below ended to where this one begins. before: their last run, or null. lift: mm that heights
// are raised by.
std::vector<Step> stepsInto(const PrintLayer& layer, const Run* before, double lift, const MotionRules& rules);

// All that follows.
std::vector<Step> stepsOf(const PrintLayer& layer, double lift, const MotionRules& rules);

}  // namespace trellis
