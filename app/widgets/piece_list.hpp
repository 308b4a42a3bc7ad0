// SPDX-License-Identifier: GPL-3.0-or-later
// The pieces of support that are built: what each costs, how it comes off, what prints its body.
#pragma once

#include "app/window/builder.hpp"
#include "app/window/document.hpp"
#include "app/window/view.hpp"

#include <QWidget>

class QComboBox;
class QTreeWidget;

namespace trellis {

class PieceList : public QWidget {
  Q_OBJECT
 public:
  PieceList(Document& document, Builder& builder, View& view, QWidget* parent = nullptr);

 private:
  void refresh();
  void printBodies();

  Document& document_;
  Builder& builder_;
  View& view_;
  QTreeWidget* list_;
  QComboBox* filament_;
};

}  // namespace trellis
