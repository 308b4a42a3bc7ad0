// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/assess/hold_advice.hpp"

#include "core/overhang/lean.hpp"

#include <algorithm>
#include <cmath>
#include <set>

namespace trellis {

namespace {

constexpr double wallLean = 5;    // degrees; steeper than this, a mark makes a hold
constexpr double bandHeight = 6;  // mm
constexpr double leastWall = 1;   // mm² of wall per mm of height that is worth holding
constexpr int mostHolds = 5;

// A side of the part and mm² of wall per layer that faces it.
struct Side {
  Vec2 direction = Vec2::UnitY();
  std::vector<double> walls;
};

// From the back of the plate round.
std::vector<Side> sidesOf(const Standing& part) {
  std::vector<Side> sides;
  for (int k = 0; k < 8; ++k)
    sides.push_back({Vec2(std::sin(k * pi / 4), std::cos(k * pi / 4)), std::vector<double>(part.plan.count(), 0)});
  const TriangleMesh& mesh = part.placed;
  const std::vector<LayerSpan>& spans = part.plan.spans;
  for (std::size_t f = 0; f < mesh.facets.size(); ++f) {
    const auto [a, b, c] = mesh.corners(f);
    const Vec3 cross = (b - a).cross(c - a);
    const double area = cross.norm() / 2;
    if (area <= 0 || std::abs(leanOf(cross / (2 * area))) > wallLean) continue;
    const double low = std::min({a.z(), b.z(), c.z()}), high = std::max({a.z(), b.z(), c.z()});
    const auto first = std::lower_bound(spans.begin(), spans.end(), low,
                                        [](const LayerSpan& span, double z) { return span.top <= z; });
    for (Side& side : sides) {
      if (cross.head<2>().dot(side.direction) < 0.6 * 2 * area) continue;
      for (auto span = first; span != spans.end() && span->bottom < high; ++span)
        side.walls[static_cast<std::size_t>(span - spans.begin())] +=
            area * (std::min(high, span->top) - std::max(low, span->bottom)) / std::max(high - low, 1e-9);
    }
  }
  return sides;
}

struct Bands {
  std::vector<std::pair<double, double>> heights;  // mm
  double wall = 0;                                 // mm²
};

// As many bands as asked, evenly up the height, each moved to where there is most wall near.
Bands bandsOn(const Standing& part, const std::vector<double>& walls, int count) {
  Bands bands;
  const double height = part.plan.spans.back().top, pitch = height / (count + 1);
  for (int k = 1; k <= count; ++k) {
    double best = 0, at = 0;
    for (double z = k * pitch - pitch / 3; z <= k * pitch + pitch / 3; z += 1) {
      double wall = 0;
      for (std::size_t l = 0; l < walls.size(); ++l)
        if (const double middle = part.plan.spans[l].middle(); std::abs(middle - z) < bandHeight / 2) wall += walls[l];
      const double worth = wall * (1 - std::abs(z - k * pitch) / pitch);
      if (wall >= leastWall * bandHeight && worth > best) {
        best = worth;
        at = z;
      }
    }
    if (best <= 0) continue;
    bands.heights.emplace_back(at - bandHeight / 2, at + bandHeight / 2);
    bands.wall += best;
  }
  return bands;
}

Stability withBands(const Standing& part, const std::vector<double>& walls, const Bands& bands,
                    const StabilityRules& rules, const Progress& progress) {
  std::vector<Polygons> holds = part.holds;
  holds.resize(part.sections.size());
  for (std::size_t l = 0; l < holds.size(); ++l)
    for (const auto& [from, to] : bands.heights)
      if (const double z = part.plan.spans[l].middle(); z > from && z < to && walls[l] > 0) holds[l] = part.sections[l];
  return stabilityOf(part.plan, part.sections, holds, rules, progress);
}

}  // namespace

std::vector<Polygons> holdsOf(const Supports& build, std::size_t part) {
  std::vector<Polygons> holds;
  std::set<std::size_t> pieces;
  for (std::size_t i = 0; i < build.support->pieces.size(); ++i)
    for (const std::size_t site : build.support->pieces[i].sites)
      if (build.demand[site]->part == part && build.demand[site]->isHold()) pieces.insert(i);
  if (pieces.empty()) return holds;
  const LayerPlan& plan = build.parts[part].plan;
  const double reach = build.rules[part].support.gapHold + 0.05;  // the rounding of outlines
  holds.resize(plan.count());
  for (const SupportLayer& layer : build.support->layers) {
    const auto span = std::find_if(plan.spans.begin(), plan.spans.end(),
                                   [&](const LayerSpan& s) { return (layer.bottom + layer.top) / 2 < s.top; });
    if (span == plan.spans.end()) continue;
    Polygons& here = holds[static_cast<std::size_t>(span - plan.spans.begin())];
    for (const PieceRegion& region : layer.regions)
      if (pieces.contains(region.piece)) here = unite(here, grow(region.area, reach));
  }
  return holds;
}

HoldAdvice adviseHolds(std::size_t part, const Standing& built, const StabilityRules& rules, const Progress& progress) {
  HoldAdvice advice;
  const Stability now = stabilityOf(built.plan, built.sections, built.holds, rules, progress);
  if (now.levels.empty()) return advice;
  const double before = now.mostDeflected()->deflection;
  advice.deflection = before;
  const std::vector<Side> sides = sidesOf(built);
  for (int count = 1; count <= mostHolds; ++count) {
    Bands best;
    const Side* sheltered = &sides.front();
    for (const Side& side : sides) {
      Bands bands = bandsOn(built, side.walls, count);
      const double preferred = 1.2;  // how much more wall another side has to have
      if (bands.heights.size() < best.heights.size() ||
          (bands.heights.size() == best.heights.size() && bands.wall <= preferred * best.wall))
        continue;
      best = std::move(bands);
      sheltered = &side;
    }
    if (best.heights.empty()) continue;
    const Stability after = withBands(built, sheltered->walls, best, rules, progress);
    const double deflection = after.mostDeflected()->deflection;
    if (deflection >= advice.deflection) continue;
    advice.deflection = deflection;
    advice.marks.clear();
    for (const auto& [from, to] : best.heights) {
      const auto level = std::find_if(built.plan.spans.begin(), built.plan.spans.end(),
                                      [&, a = from, b = to](const LayerSpan& s) { return s.top >= (a + b) / 2; });
      const Polygons& section = built.sections[static_cast<std::size_t>(level - built.plan.spans.begin())];
      LayMark mark{part, Mark::enforce, BandStroke{from, to}};
      const Vec2 middle = figuresOf(section).centre;
      mark.rules.clip = {
          Plane{Vec3(middle.x(), middle.y(), 0), Vec3(sheltered->direction.x(), sheltered->direction.y(), 0)}};
      advice.marks.push_back(std::move(mark));
    }
    if (deflection <= before / 4 && (deflection <= rules.deflectionAllowed || count >= 3) &&
        after.leastHeld()->safetyFactor >= rules.safetyFactorAllowed)
      break;
  }
  if (advice.deflection > before / 2) advice.marks.clear();
  return advice;
}

}  // namespace trellis
