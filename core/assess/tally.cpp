// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/assess/build.hpp"
#include "core/base/size.hpp"
#include "core/gcode/steps.hpp"

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

std::size_t Build::bytes() const { return support ? bytesOf(*support) : 0; }

Tally tallyOf(const Print& print, std::size_t pieceCount, const MotionRules& rules) {
  Tally tally;
  tally.pieces.resize(pieceCount);
  const Run* before = nullptr;
  Position at{0, 0, 0};
  for (const auto& layer : print.layers) {
    for (std::size_t i = 0; i < featureCount; ++i) tally.features[i] += layer->use.features[i];
    for (const auto& [piece, use] : layer->use.pieces) tally.pieces[piece] += use;
    tally.travelSeconds += layer->use.travelSeconds;
    if (layer->runs.empty()) continue;
    tally.toolChanges +=
        layer->use.toolChanges + (layer->runs.front().filament != (before ? before->filament : Filament::first));
    for (const double one : secondsOf(stepsInto(*layer, before, -print.floor(), rules), at, layer->runs, rules))
      tally.travelSeconds += one * rules.timeFactor;
    before = &layer->runs.back();
    const Vec2 end = toMm(before->points.back());
    at = {end.x(), end.y(), layer->top - print.floor()};
  }
  tally.toolSeconds = tally.toolChanges * rules.toolChangeSeconds;
  tally.heatSeconds = rules.heatSeconds;
  tally.seconds = tally.travelSeconds + tally.toolSeconds + tally.heatSeconds;
  for (const Use& use : tally.features) tally.seconds += use.seconds;
  return tally;
}

}  // namespace trellis
