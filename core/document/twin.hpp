// SPDX-License-Identifier: GPL-3.0-or-later
// A symmetrical part's decisions, laid on both of its sides.
#pragma once

#include "core/document/part.hpp"
#include "core/mesh/plane.hpp"

namespace trellis {

// How far a counterpart may lie from where it should be, mm.
inline constexpr double twinReach = 1;

// The part with every decision on the other side of the plane too, where nothing is decided there. The plane is in
// mesh coordinates; the free lean, in degrees, says what belongs to a site.
Part withTwin(const Part& part, const Plane& plane, double freeLean, const Progress& progress);

// What of a part's decisions has no counterpart.
struct TwinLeftOut {
  double marked = 0;       // mm² in mesh coordinates, of marks, clean and seen faces
  std::size_t others = 0;  // zones, props and choices for sites
  Vec3 at = Vec3::Zero();  // where one would be, mesh coordinates
};
TwinLeftOut twinLeftOut(const Part& part, const Part& withTwin);

}  // namespace trellis
