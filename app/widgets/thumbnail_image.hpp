// SPDX-License-Identifier: GPL-3.0-or-later
// A thumbnail in the theme's colours, as an image.
#pragma once

#include "core/assess/thumbnail.hpp"

#include <QImage>

namespace trellis {

// Surface that leans more than freeLean degrees is rose, as in the scene.
QImage imageOf(const Thumbnail& thumbnail, double freeLean);

}  // namespace trellis
