// SPDX-License-Identifier: GPL-3.0-or-later
// Text as outlines, in the typeface that ships with the program: what stands out of a print to be read.
#pragma once

#include "core/geometry/polygons.hpp"

#include <string>

namespace trellis {

// Begins at x = 0 and stands on y = 0; height is that of a digit, mm. Curves are followed to 0.02 mm. Characters the
// typeface does not have are left out. Read by FreeType.
Polygons lettered(const std::string& text, double height);

}  // namespace trellis
