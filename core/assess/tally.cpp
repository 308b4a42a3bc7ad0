// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/assess/build.hpp"

namespace trellis {

Use Tally::whole() const {
  Use sum;
  for (const Use& use : features) sum += use;
  return sum;
}

Use Tally::support() const {
  Use sum;
  for (std::size_t i = 0; i < featureCount; ++i)
    if (isSupport(static_cast<Feature>(i))) sum += features[i];
  return sum;
}

Tally tallyOf(const Print& print, std::size_t pieceCount, const MotionRules& rules) {
  Tally tally;
  tally.pieces.resize(pieceCount);
  Vec3 at(0, 0, print.floor());
  int tool = 0;
  for (const auto& layer : print.layers) {
    for (std::size_t i = 0; i < featureCount; ++i) tally.features[i] += layer->use.features[i];
    for (const auto& [piece, use] : layer->use.pieces) tally.pieces[piece] += use;
    tally.travelSeconds += layer->use.travelSeconds;
    if (layer->runs.empty()) continue;
    tally.toolChanges += layer->use.toolChanges + (layer->runs.front().tool != tool);
    tool = layer->runs.back().tool;
    // From layer to layer: up, and across to where this one begins, each from rest to rest.
    const Vec2 start = toMm(layer->runs.front().points.front());
    const double across = (start - at.head<2>()).norm();
    for (const double d : {layer->top - at.z(), across})
      if (d > 0) tally.travelSeconds += moveSeconds(d, 0, 0, rules.travelSpeed, rules.acceleration);
    if (retractsOver(across, rules)) tally.travelSeconds += 2 * rules.retractLength / rules.retractSpeed;
    const Vec2 end = toMm(layer->runs.back().points.back());
    at = {end.x(), end.y(), layer->top};
  }
  tally.toolSeconds = tally.toolChanges * rules.toolChangeSeconds;
  tally.seconds = tally.travelSeconds + tally.toolSeconds;
  for (const Use& use : tally.features) tally.seconds += use.seconds;
  return tally;
}

}  // namespace trellis
