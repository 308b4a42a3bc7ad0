// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/support/clearance.hpp"

#include <algorithm>

namespace trellis {

namespace {

constexpr double eps = 1e-7;  // mm

}  // namespace

std::pair<std::size_t, std::size_t> layersWithin(const LayerPlan& plan, double bottom, double top) {
  const auto& spans = plan.spans;
  const auto first =
      std::partition_point(spans.begin(), spans.end(), [&](const LayerSpan& s) { return s.top <= bottom + eps; });
  const auto last = std::partition_point(first, spans.end(), [&](const LayerSpan& s) { return s.bottom < top - eps; });
  return {first - spans.begin(), last - spans.begin()};
}

// What is kept free beside layer l. Surface of the site that only a mark makes part of it does not count
// either, and a site may keep a gap of its own.
const Polygons& Clearance::besideOf(std::size_t l) {
  const bool within = l >= site_.lowest && l <= site_.highest();
  if (within && site_.isHold()) return besideHold(l);
  const bool asked = within && !site_.beyondLean.empty() && !site_.beyondLean[l - site_.lowest].empty();
  const GapsAround gaps{rules_.gapBeside, rules_.gapSlope};
  if (!asked && gaps == obstacles_.gaps[site_.part]) return obstacles_.keepOut[l];
  Polygons& cached = besides_[l];
  if (cached.empty()) {
    const Lines walls =
        asked ? linesOutside(obstacles_.walls[l], grow(site_.beyondLean[l - site_.lowest], 0.01)) : obstacles_.walls[l];
    cached = keptClear(obstacles_.sections[l], walls, obstacles_.slopes[l], gaps);
  }
  return cached;
}

// The marked wall is kept off by the hold gap, every other by the gap beside.
const Polygons& Clearance::besideHold(std::size_t l) {
  Polygons& cached = besides_[l];
  if (cached.empty())
    cached = unite(grow(obstacles_.sections[l], rules_.gapHold),
                   around(linesOutside(obstacles_.walls[l], grow(site_.layers[l - site_.lowest], 0.01)),
                          rules_.gapBeside + outlineSlack));
  return cached;
}

Polygons Clearance::clearOfPart(const Polygons& reach, double bottom, double top) {
  Polygons inTheWay;
  const auto add = [&](const Polygons& more) { inTheWay.insert(inTheWay.end(), more.begin(), more.end()); };
  const auto [from, to] = layersWithin(obstacles_.plan, bottom - rules_.gapBelow, top + rules_.gapAbove);
  const auto [low, high] = layersWithin(obstacles_.plan, bottom, top);
  for (std::size_t l = from; l < to; ++l) add(l >= low && l < high ? besideOf(l) : obstacles_.sections[l]);
  if (!obstacles_.forbidden.empty())
    for (std::size_t l = low; l < high; ++l) add(obstacles_.forbidden[l]);
  return subtract(reach, inTheWay);
}

}  // namespace trellis
