// SPDX-License-Identifier: GPL-3.0-or-later
// The gaps as a cross-section drawn to scale from the numbers in force: the part above, the daylight, interface, graded
// layers and body at their spacings, the gap beside a wall, what the support stands on; and the patterns from above.
#pragma once

#include "app/window/document.hpp"
#include "app/window/view.hpp"

#include <QWidget>

namespace trellis {

class GapDrawing : public QWidget {
  Q_OBJECT
 public:
  GapDrawing(Document& document, View& view, QWidget* parent = nullptr);
  QSize sizeHint() const override { return {294, 336}; }

 protected:
  void paintEvent(QPaintEvent* event) override;

 private:
  Document& document_;
  View& view_;
};

}  // namespace trellis
