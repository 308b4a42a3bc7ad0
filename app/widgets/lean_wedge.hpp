// SPDX-License-Identifier: GPL-3.0-or-later
// The free lean as a drawn wedge that shows both ways of counting the angle. Drag it, or use the arrows.
#pragma once

#include "app/window/document.hpp"
#include "app/window/view.hpp"

#include <QWidget>

namespace trellis {

class LeanWedge : public QWidget {
  Q_OBJECT
 public:
  LeanWedge(Document& document, View& view, QWidget* parent = nullptr);
  QSize sizeHint() const override { return {294, 206}; }

 protected:
  void paintEvent(QPaintEvent* event) override;
  void mousePressEvent(QMouseEvent* event) override;
  void mouseMoveEvent(QMouseEvent* event) override;
  void keyPressEvent(QKeyEvent* event) override;

 private:
  void paintBars(class QPainter& painter, double lean) const;  // three leans and what becomes of each
  QPointF corner() const;                                      // where wall and plate meet
  double reach() const;                                        // length of the drawn surface, pixels
  void dragTo(const QPointF& pixel, bool begins);
  void setLean(double lean, bool continuing);

  Document& document_;
  View& view_;
};

}  // namespace trellis
