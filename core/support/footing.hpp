// SPDX-License-Identifier: GPL-3.0-or-later
// Where support that is let down comes to stand.
#pragma once

#include "core/support/clearance.hpp"
#include "core/support/column_descent.hpp"

#include <functional>

namespace trellis {

// mm²; what is smaller holds no line.
inline double speckOf(const SupportRules& rules) { return rules.lineWidth * rules.lineWidth / 2; }

// A descent before its first step: what is wanted, and what the floor leaves no room for.
Descent begin(const DemandSite& site, const Ground& ground);

// Takes out of reach what ends on the part within this step, and gives it an underside exactly at the part's top plus
// the gap below. Returns mm² of footing left out on ledges too narrow to grip.
double land(DescentStep& step, Polygons& reach, const Ground& ground);

// The part's layer right over what a step carries, if the site has demand there.
const Polygons* demandOver(const DemandSite& site, double top, const Ground& ground);

// From the bottom up: what has nothing under it, or reaches more than beside(step) mm over it, is given up. Returns
// mm² of demand lost so.
double standOnSomething(std::vector<DescentStep>& steps, const DemandSite& site, const Ground& ground,
                        const std::function<double(const DescentStep&)>& beside);

}  // namespace trellis
