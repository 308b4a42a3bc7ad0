// SPDX-License-Identifier: GPL-3.0-or-later
// Candidate turnings as small pictures with their figures: a click tries one, a second click keeps it.
#pragma once

#include "app/window/document.hpp"
#include "app/window/view.hpp"

#include <QWidget>

class QComboBox;
class QLabel;
class QListWidget;
class QPushButton;

namespace trellis {

class TurningStrip : public QWidget {
  Q_OBJECT
 public:
  TurningStrip(Document& document, View& view, QWidget* parent = nullptr);

 private:
  void refresh();
  void take(int row);

  Document& document_;
  View& view_;
  QPushButton* find_;
  QComboBox* order_;
  QListWidget* list_;
  QLabel* figures_;
  std::vector<std::size_t> shown_;  // by row, indices into the view's turnings
  int tried_ = -1;
};

}  // namespace trellis
