// SPDX-License-Identifier: GPL-3.0-or-later
// Lines of a fill that go on into one another along the border.
#pragma once

#include "core/geometry/polygons.hpp"

namespace trellis {

// Lines that end on the border of a region, in their order, as few chains as may be: from the end of one the nozzle
// goes along the border to the next, where that is at most longest mm away with no other end between, and each end is
// used once. None goes along what is to stay open: a cut would cost more than it saves.
// In n log n of their number.
Lines zigzag(const Lines& lines, const Polygons& region, double longest, const Polygons& open = {});

// Of lines that are not to be a ribbon before all else: pitches along the border from one to the next, at most.
inline constexpr double longestJoin = 2;

}  // namespace trellis
