// SPDX-License-Identifier: GPL-3.0-or-later
// One of the index tabs down the window's right edge, with its name read from top to bottom.
#pragma once

#include <QAbstractButton>

namespace trellis {

class IndexTab : public QAbstractButton {
  Q_OBJECT
 public:
  IndexTab(const QString& name, const QString& key, QWidget* parent = nullptr);
  QSize sizeHint() const override { return {46, 96}; }

 protected:
  void paintEvent(QPaintEvent* event) override;
};

}  // namespace trellis
