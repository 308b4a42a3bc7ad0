// SPDX-License-Identifier: GPL-3.0-or-later
// Marks in little: colour and pattern, as they lie on the part.
#pragma once

#include "core/marks/marks.hpp"

#include <QRectF>

class QPainter;

namespace trellis {

// An enforcer by the pattern of its tint, as the scene shows it.
void paintSwatch(QPainter& painter, const QRectF& box, Mark mark);

}  // namespace trellis
