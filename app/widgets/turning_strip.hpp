// SPDX-License-Identifier: GPL-3.0-or-later
// Candidate turnings as small pictures with their figures: a click tries one, a second click keeps it.
#pragma once

#include "app/window/session.hpp"

#include <QWidget>

class QComboBox;
class QLabel;
class QListWidget;
class QPushButton;

namespace trellis {

class TurningStrip : public QWidget {
  Q_OBJECT
 public:
  explicit TurningStrip(Session& session, QWidget* parent = nullptr);

 private:
  void refresh();
  void take(int row);

  Session& session_;
  QPushButton* find_;
  QComboBox* order_;
  QListWidget* list_;
  QLabel* figures_;
  std::vector<std::size_t> shown_;  // by row, indices into the session's turnings
  int tried_ = -1;
};

}  // namespace trellis
