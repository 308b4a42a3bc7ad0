// SPDX-License-Identifier: GPL-3.0-or-later
// Pictures of the tools, drawn in the theme's own colours.
#pragma once

#include "app/window/hand.hpp"

#include <QIcon>

namespace trellis {

QIcon iconOf(Tool tool);
QIcon iconOf(Mark mark);
QIcon iconOf(Coat coat);  // of clean or seen
QIcon iconOf(ZoneAs as);

}  // namespace trellis
