// SPDX-License-Identifier: GPL-3.0-or-later
// A few figures of all variants as bars: what is looked at rather than read.
#pragma once

#include "app/window/comparer.hpp"

#include <QWidget>

namespace trellis {

class FigureBars : public QWidget {
  Q_OBJECT
 public:
  explicit FigureBars(const Comparer& comparer, QWidget* parent = nullptr);
  QSize sizeHint() const override;

 protected:
  void paintEvent(QPaintEvent* event) override;

 private:
  const Comparer& comparer_;
};

}  // namespace trellis
