// SPDX-License-Identifier: GPL-3.0-or-later
// What the gap above costs: how hard a flat contact is to part, and how far the first layer over it hangs through. The
// dot is today's gap; dragging it, or the arrow keys, set another. Rings below are what ladders of this filament gave.
#pragma once

#include "app/window/document.hpp"
#include "app/window/notes.hpp"
#include "app/window/view.hpp"

#include <QWidget>

namespace trellis {

class TradePicture : public QWidget {
  Q_OBJECT
 public:
  TradePicture(Document& document, View& view, Notes& notes, QWidget* parent = nullptr);
  QSize sizeHint() const override { return {294, 150}; }
  double gapAt(double x) const;  // mm, of a pixel
  double pixelOf(double gap) const;

 protected:
  void paintEvent(QPaintEvent* event) override;
  void mousePressEvent(QMouseEvent* event) override;
  void mouseMoveEvent(QMouseEvent* event) override;
  void keyPressEvent(QKeyEvent* event) override;

 private:
  void setGap(double gap, bool continuing);

  Document& document_;
  View& view_;
  Notes& notes_;
};

}  // namespace trellis
