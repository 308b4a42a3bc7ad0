// SPDX-License-Identifier: GPL-3.0-or-later
// What a bead stands on, stretch by stretch.
#pragma once

#include "core/trial/bead_path.hpp"
#include "core/trial/height_field.hpp"

namespace trellis {

// From the end of the one before, or the path's beginning.
struct Borne {
  double end = 0;  // mm along the path
  ContactClass contactClass = ContactClass::air;
};

struct BorneBead {
  std::vector<Borne> stretches;
  bool touches = false;  // something below it, or beads of its layer that are held, carry some of it
};

// The field is that of everything printed before.
BorneBead bear(const BeadPath& path, const HeightField& field, const TrialRules& rules);

// Puts the bead into the field: what is held as one stuff, what is on air as another.
void lay(const BeadPath& path, const BorneBead& borne, Stuff held, Stuff onAir, HeightField& field);

}  // namespace trellis
