// SPDX-License-Identifier: GPL-3.0-or-later
// What hangs over nothing, layer by layer.
#pragma once

#include "core/base/progress.hpp"
#include "core/geometry/polygons.hpp"
#include "core/slice/layer_plan.hpp"

#include <vector>

namespace trellis {

// What is no farther apart meets, mm: an edge that two outlines share included, and one they share up to rounding.
inline constexpr double touching = 0.02;

// Something in a layer that begins on nothing at all.
struct FloatingStart {
  std::size_t layer = 0;
  Vec3 at = Vec3::Zero();  // its middle, at the underside of its layer
  double area = 0;         // mm²
};

// Per layer of the plan; empty polygons where nothing hangs. With S_i the section of layer i, d the
// distance between the planes of i−1 and i, and φ the free lean:
struct Overhangs {
  std::vector<Polygons> layerDifference;  // S_i \ S_{i−1}, all that sticks out over the layer below
  std::vector<Polygons> demand;     // (S_i \ S_{i−1}) ∩ grow(S_i \ grow(S_{i−1}, d·tan φ), d·tan φ), floating
  std::vector<Polygons> floating;   // printable connected pieces of S_i that touch nothing of S_{i−1}
  std::vector<Polygons> unprinted;  // those too thin for a line, and shorter than half of one is wide: below a claw
  std::vector<FloatingStart> starts;
};

struct OverhangRules {
  double freeLean = 45;  // degrees, 0–89
  double lineWidth =
      0.45;  // mm; a floating piece in which no line of half of it fits is not printed and starts nothing
};

// Layer 0 lies on the plate and never hangs.
Overhangs findOverhangs(const LayerPlan& plan, const std::vector<Polygons>& sections, const OverhangRules& rules,
                        const Progress& progress);

}  // namespace trellis
