// SPDX-License-Identifier: GPL-3.0-or-later
// The gaps as a cross-section drawn to scale from the numbers in force: the part above, the daylight, the
// interface's lines at their spacing, the body's lines, the gap beside a wall.
#pragma once

#include "app/window/session.hpp"

#include <QWidget>

namespace trellis {

class GapDrawing : public QWidget {
  Q_OBJECT
 public:
  explicit GapDrawing(Session& session, QWidget* parent = nullptr);
  QSize sizeHint() const override { return {294, 220}; }

 protected:
  void paintEvent(QPaintEvent* event) override;

 private:
  Session& session_;
};

}  // namespace trellis
