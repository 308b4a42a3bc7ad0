// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/figure_box.hpp"

namespace trellis {

QDoubleSpinBox* figureBox(const Figure& figure) {
  auto* box = new QDoubleSpinBox;
  box->setObjectName(figure.name);
  box->setRange(figure.low, figure.high);
  box->setDecimals(figure.decimals);
  box->setSingleStep(figure.step);
  box->setSuffix(figure.unit);
  box->setAlignment(Qt::AlignRight);
  box->setKeyboardTracking(false);
  return box;
}

}  // namespace trellis
