// SPDX-License-Identifier: GPL-3.0-or-later
// A piece cut out of one's own part, with the decisions on it: to try a figure on before the whole is printed.
#pragma once

#include "core/document/part.hpp"

namespace trellis {

// What of the part lies in the box, plate coordinates, as a part of its own where it stands, dropped onto the plate:
// closed and sound, marks where its surface is the part's. Zones, props and choices that lie in the box go with it.
// Throws Error when the box misses the part, or cuts it into several.
Part fragmentOf(const Part& part, const Box3& box, const Progress& progress);

}  // namespace trellis
