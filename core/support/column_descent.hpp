// SPDX-License-Identifier: GPL-3.0-or-later
// How far the normal support of one site reaches at each height, from its demand down to its footing.
#pragma once

#include "core/support/clearance.hpp"

namespace trellis {

// Between two planned heights.
struct DescentStep {
  double bottom = 0, top = 0;  // mm
  Polygons reach = {};         // what stands from bottom to top
  struct Landing {
    double bottom;  // ends on the part, higher than the step's own bottom or a little lower
    Polygons reach;
  };
  std::vector<Landing> landings = {};
  Polygons rim = {};  // of reach, what nothing hangs over: a slender column's widening
  bool lost = false;  // less stands here than in the step above would need

  Polygons whole() const;  // reach and landings together
};

struct Descent {
  std::vector<DescentStep> steps = {};         // highest first
  double wanted = 0;                           // mm² of demand in plan
  double noRoom = 0;                           // mm² of it where the gaps leave less than the thinnest layer
  double withoutFooting = 0;                   // mm² of it given up because nothing allowed to stand on is under it
  double tooSteep = 0;                         // mm² of footing left out: ledges of a slope narrower than half a line
  double slenderHeight = 0, slenderWidth = 0;  // mm, of the worst column that stays too thin for its height; 0 if none
};

// What every way of letting a site's support down has in common.
struct Ground {
  const Obstacles& obstacles;
  const std::vector<Polygons>& noLanding;  // as in Terrain
  const SupportRules& rules;
  Clearance& clearance;
};

// A column is slender when the largest circle in it is less across than this share of its height, or than leastColumn
// where it is high enough to widen so far: common practice.
inline constexpr double leastSteadiness = 1.0 / 12;
inline constexpr double leastColumn = 2;  // mm
// A branch is as thick as a column of its height, and at least
inline constexpr double leastBranch = 1.2;  // mm across, where it is longer than
inline constexpr double freeBranch = 10;    // mm.
// The outline of a body lies up to twice so far, mm, within what is let down: it is smooth, so that the nozzle keeps
// its speed, and never in a gap.
inline constexpr double smoothness = 0.1;
// The most a slender column widens downward, degrees from vertical.
inline constexpr double wideningLean = 30;

// Lets the site's demand down through heights, which are highest first and end with what the plate's supports stand on.
// Slender columns widen below the interface, never into the gaps. Weak on up-facing slopes when the gap below is no
// multiple of the layer height: landings narrower than half a line are left out there.
Descent descendColumn(const DemandSite& site, const Ground& ground, const std::vector<double>& heights,
                      const Progress& progress);

// How far beyond its demand, in mm in plan, support may reach that begins at so great a height.
double spreadOf(const SupportRules& rules, double highest);

}  // namespace trellis
