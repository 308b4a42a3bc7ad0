// SPDX-License-Identifier: GPL-3.0-or-later
// What the mouse buttons do with the tool in hand, in words.
#pragma once

#include "app/window/hand.hpp"

namespace trellis {

QString handWords(const Brush& brush);

}  // namespace trellis
