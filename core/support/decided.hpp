// SPDX-License-Identifier: GPL-3.0-or-later
// How much of a part zones and choices for sites decide, beside what is painted.
#pragma once

#include "core/support/supports.hpp"

namespace trellis {

// mm² in plan of hanging surface, where no mark says otherwise.
struct Decided {
  double enforced = 0, blocked = 0;
};

Decided decidedBeside(const PartBuild& part);

}  // namespace trellis
