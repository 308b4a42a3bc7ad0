// SPDX-License-Identifier: GPL-3.0-or-later
// A portrait in the theme's colours, as an image.
#pragma once

#include "core/plate/portrait.hpp"

#include <QImage>

namespace trellis {

// Surface that leans more than freeLean degrees is rose, as in the scene.
QImage imageOf(const Portrait& portrait, double freeLean);

}  // namespace trellis
