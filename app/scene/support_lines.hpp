// SPDX-License-Identifier: GPL-3.0-or-later
// Support, and what it leaves, as lines: pairs of ends.
#pragma once

#include "app/scene/scene_lines.hpp"

namespace trellis {

// Under what support carries, what it leaves there.
std::vector<LineVertex> scarLines(const Build& build);
// Where support stands, as outlines every so many millimetres of height.
std::vector<LineVertex> supportOutlines(const Build& build);

}  // namespace trellis
