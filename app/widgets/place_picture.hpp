// SPDX-License-Identifier: GPL-3.0-or-later
// A place in a layer, from above: what of part and support is printed there, and the layer below.
#pragma once

#include "app/window/builder.hpp"

#include <QPixmap>

namespace trellis {

// So many mm of plate around the place, so many pixels along each side; empty where nothing is built there.
QPixmap placePicture(const Build& build, const Vec3& at, double across, int size);

}  // namespace trellis
