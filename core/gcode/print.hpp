// SPDX-License-Identifier: GPL-3.0-or-later
// A print: every layer's runs in the order they are printed, and what each layer takes.
#pragma once

#include "core/gcode/motion.hpp"

#include <algorithm>
#include <memory>

namespace trellis {

struct PrintLayer {
  double bottom = 0, top = 0;  // mm
  bool supportOnly = false;    // exists only for support
  std::vector<Run> runs;
  LayerUse use;        // of all but the way to where it begins, and the waiting there
  double waits = 0;    // s before it begins, so that the layer below has cooled
  Point beside{0, 0};  // where
  Polygons tooThin;    // parts of the sections that no line can print
};

// Layers by top. A layer is printed whole before the next, so the nozzle never goes down into a print.
struct Print {
  std::vector<std::shared_ptr<const PrintLayer>> layers;
  // The plate's height, mm: 0, or less when all stands on a raft.
  double floor() const { return layers.empty() ? 0 : std::min(0.0, layers.front()->bottom); }
};

}  // namespace trellis
