// SPDX-License-Identifier: GPL-3.0-or-later
// The pieces of support that are built: what each costs, how it comes off, what prints its body.
#pragma once

#include "app/window/session.hpp"

#include <QWidget>

class QComboBox;
class QTreeWidget;

namespace trellis {

class PieceList : public QWidget {
  Q_OBJECT
 public:
  explicit PieceList(Session& session, QWidget* parent = nullptr);

 private:
  void refresh();
  void printBodies();

  Session& session_;
  QTreeWidget* list_;
  QComboBox* filament_;
};

}  // namespace trellis
