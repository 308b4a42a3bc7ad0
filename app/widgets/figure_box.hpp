// SPDX-License-Identifier: GPL-3.0-or-later
// A box for one figure with its unit, right-aligned, that tells of a change when the figure is finished.
#pragma once

#include <QDoubleSpinBox>

namespace trellis {

struct Figure {
  QString name;  // of the widget, not shown
  QString unit;  // shown behind it
  double low = 0, high = 100;
  int decimals = 1;
  double step = 1;  // of the arrow keys and the wheel
};

QDoubleSpinBox* figureBox(const Figure& figure);

}  // namespace trellis
