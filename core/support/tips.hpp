// SPDX-License-Identifier: GPL-3.0-or-later
// Where the branches of a tree support touch: small discs spread under the demand.
#pragma once

#include "core/support/clearance.hpp"

namespace trellis {

// mm, of a branch at its thinnest: two lines side by side.
inline double neckRadius(const SupportRules& rules) { return rules.lineWidth; }

// By how much a tip widens upward, mm per mm: as a branch may lean, and never so fast that a layer of its neck rests by
// less than half on the one below.
double wideningOf(const SupportRules& rules);

// The outline of a round cross-section.
Polygon disc(const Vec2& at, double radius);

// A disc that carries whatever of its site's demand lies right over it; on a slope it rises in steps. It widens upward
// from a neck, which stands under its lowest demand.
struct Tip {
  Vec2 at = Vec2::Zero();
  double radius = 0;        // mm
  double top = 0, low = 0;  // mm, of the highest and the lowest support right under demand
  Vec3 neck = Vec3::Zero();
  bool ghost = false;  // under what a mark blocks: the others stand as if it were there, and it is not built
};

// No place of demand that can be carried is farther from a rim than half the tip spacing, and no place near the border
// of the demand farther than a line width, but for seen faces: those are touched only where no tip beside them is near
// enough to carry them. Floating starts, which are lowest, have their tips first. Places are looked at on a lattice
// over the plate. A greedy cover: each tip is put where it serves most of what is still bare (D. S. Johnson,
// "Approximation algorithms for combinatorial problems", 1974). Where demand is narrower than the lattice, places lie
// along its outlines.
std::vector<Tip> placeTips(const DemandSite& site, const Obstacles& obstacles, const SupportRules& rules,
                           const Progress& progress);

}  // namespace trellis
