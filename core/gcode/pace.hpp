// SPDX-License-Identifier: GPL-3.0-or-later
// How fast each line is drawn.
#pragma once

#include "core/gcode/print.hpp"

namespace trellis {

// The speed a line has by its kind, mm/s: never more volume a second than its filament melts, slower on the first
// layer, and round a small closed wall of the part in proportion to its radius under 5 mm.
double usualSpeed(const Run& run, double layerHeight, bool isFirst, const MotionRules& rules);

// Gives every run its speed, and the layer the time it takes. A layer faster than the least layer time is slowed evenly
// down to the least speed, its outer walls last; what then still lacks is waited for.
void pace(PrintLayer& layer, bool isFirst, const MotionRules& rules);

// How much of the fan a layer that takes so long gets, 0–1: the most up to the least layer time, the least from three
// times that on.
double fanFor(double layerSeconds, const MotionRules& rules);

}  // namespace trellis
