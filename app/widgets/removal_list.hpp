// SPDX-License-Identifier: GPL-3.0-or-later
// The removal plan, step by step; the chosen step is played in the scene.
#pragma once

#include "app/window/builder.hpp"
#include "app/window/view.hpp"

#include <QTreeWidget>

namespace trellis {

class RemovalList : public QTreeWidget {
  Q_OBJECT
 public:
  RemovalList(Builder& builder, View& view, QWidget* parent = nullptr);

 private:
  void refresh();

  Builder& builder_;
  View& view_;
};

}  // namespace trellis
