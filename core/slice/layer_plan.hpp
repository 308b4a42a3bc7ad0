// SPDX-License-Identifier: GPL-3.0-or-later
// How a print's height is divided into the part's layers.
#pragma once

#include "core/settings/rules.hpp"

#include <vector>

namespace trellis {

struct LayerSpan {
  double bottom = 0;  // mm above the plate
  double top = 0;
  double middle() const { return (bottom + top) / 2; }
  double height() const { return top - bottom; }
};

// Layers 0, 1, … whose middle planes lie below top.
struct LayerPlan {
  std::vector<LayerSpan> spans;
  std::size_t count() const { return spans.size(); }
  std::vector<double> middles() const;  // heights of the section planes
};

LayerPlan planLayers(double top, const LayerRules& rules);

}  // namespace trellis
