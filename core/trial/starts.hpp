// SPDX-License-Identifier: GPL-3.0-or-later
// Beads of a part that begin in mid-air together.
#pragma once

#include "core/trial/bead_path.hpp"

namespace trellis {

// A bead of a part, and whether anything carries some of it: see BorneBead.
struct LaidBead {
  const BeadPath* path = nullptr;
  bool touches = false;
};

// Of the beads of one layer: those that touch one another and nothing below.
std::vector<TrialStart> startsAmong(const std::vector<LaidBead>& layer, int number);

}  // namespace trellis
