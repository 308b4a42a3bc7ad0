// SPDX-License-Identifier: GPL-3.0-or-later
// The tint that the hand lays, and the settings of support under enforcers of that tint.
#pragma once

#include "app/window/hand.hpp"

#include <QWidget>

class QComboBox;

namespace trellis {

class LocalEditor;

class TintEditor : public QWidget {
  Q_OBJECT
 public:
  TintEditor(Document& document, View& view, Hand& hand, QWidget* parent = nullptr);
  void refresh();

 private:
  void nameTints(const Part& part);  // each with its area on the part, and how many settings it has of its own

  Document& document_;
  View& view_;
  Hand& hand_;
  QComboBox* tint_;
  LocalEditor* local_;
};

}  // namespace trellis
