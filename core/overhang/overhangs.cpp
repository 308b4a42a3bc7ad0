// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/overhang/overhangs.hpp"

#include "core/base/parallel.hpp"

#include <cmath>

#include <algorithm>

namespace trellis {

namespace {

constexpr double speck = 1e-4;  // mm²; less than this is rounding, not surface

struct Floating {
  Polygons printable, tooThin;
};

// Whether a line of half the width fits somewhere. What is thick for the length of its rim is not asked.
bool isPrintable(const Polygons& piece, double lineWidth) {
  return 2 * area(piece) > lineWidth * rimOf(piece) || !grow(piece, -lineWidth / 4).empty();
}

// What lies on something that is too thin to be printed lies on nothing.
bool restsOn(const Polygons& below, const Polygons& piece, double lineWidth) {
  if (!meet(piece, below, touching)) return false;
  const std::vector<Polygons> all = components(below);
  return std::any_of(all.begin(), all.end(), [&](const Polygons& one) {
    return (all.size() == 1 || meet(piece, one, touching)) && isPrintable(one, lineWidth);
  });
}

Floating floatingPieces(const Polygons& section, const Polygons& below, double lineWidth) {
  Floating floating;
  for (const Polygons& piece : components(section)) {
    if (!below.empty() && restsOn(below, piece, lineWidth)) continue;
    Polygons& kind = isPrintable(piece, lineWidth) ? floating.printable : floating.tooThin;
    kind.insert(kind.end(), piece.begin(), piece.end());
  }
  return floating;
}

FloatingStart startOf(const Polygons& piece, std::size_t layer, double bottom) {
  const Box2 box = boundsOf(piece);
  return {layer, {box.center().x(), box.center().y(), bottom}, area(piece)};
}

}  // namespace

Overhangs findOverhangs(const LayerPlan& plan, const std::vector<Polygons>& sections, const OverhangRules& rules,
                        const Progress& progress) {
  const double slope = std::tan(toRadians(rules.freeLean));
  Overhangs result;
  result.layerDifference.resize(plan.count());
  result.demand.resize(plan.count());
  result.floating.resize(plan.count());
  result.unprinted.resize(plan.count());
  parallelLayers(plan.count(), progress, [&](std::size_t i) {
    if (i == 0 || sections[i].empty()) return;
    const double reach = (plan.spans[i].middle() - plan.spans[i - 1].middle()) * slope;
    result.layerDifference[i] = withoutSpecks(subtract(sections[i], sections[i - 1]), speck);
    if (result.layerDifference[i].empty()) return;
    Floating floating = floatingPieces(sections[i], sections[i - 1], rules.lineWidth);
    result.floating[i] = std::move(floating.printable);
    const Polygons hangs = withoutSpecks(subtract(sections[i], grow(sections[i - 1], reach)), speck);
    if (!hangs.empty())
      result.demand[i] = withoutSpecks(intersect(result.layerDifference[i], grow(hangs, reach)), speck);
    if (!floating.tooThin.empty()) result.demand[i] = subtract(result.demand[i], floating.tooThin);
    for (const Polygons& piece : components(floating.tooThin))
      if (boundsOf(piece).sizes().maxCoeff() < rules.lineWidth / 2)
        result.unprinted[i].insert(result.unprinted[i].end(), piece.begin(), piece.end());
    if (!result.floating[i].empty()) result.demand[i] = unite(result.demand[i], result.floating[i]);
  });
  for (std::size_t i = 0; i < plan.count(); ++i)
    for (const Polygons& piece : components(result.floating[i]))
      result.starts.push_back(startOf(piece, i, plan.spans[i].bottom));
  return result;
}

}  // namespace trellis
