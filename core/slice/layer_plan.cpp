// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/slice/layer_plan.hpp"

namespace trellis {

std::vector<double> LayerPlan::middles() const {
  std::vector<double> heights;
  for (const LayerSpan& span : spans) heights.push_back(span.middle());
  return heights;
}

LayerPlan planLayers(double top, const LayerRules& rules) {
  constexpr double slack = 1e-6;  // a part exactly n layers high has n layers in spite of rounding
  LayerPlan plan;
  for (std::size_t i = 0;; ++i) {
    const double bottom = i == 0 ? 0.0 : rules.first + static_cast<double>(i - 1) * rules.height;
    const double height = i == 0 ? rules.first : rules.height;
    if (bottom + height / 2 >= top - slack) break;
    plan.spans.push_back({bottom, bottom + height});
  }
  return plan;
}

}  // namespace trellis
