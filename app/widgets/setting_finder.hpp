// SPDX-License-Identifier: GPL-3.0-or-later
// Settings found by their words, and those that differ from what is usual.
#pragma once

#include "app/window/document.hpp"
#include "app/window/view.hpp"

#include <QWidget>

class QLabel;
class QLineEdit;
class QToolButton;
class QVBoxLayout;

namespace trellis {

class SettingFinder : public QWidget {
  Q_OBJECT
 public:
  SettingFinder(Document& document, View& view, QWidget* parent = nullptr);

 private:
  void find();
  void refreshUnusual();

  Document& document_;
  View& view_;
  QLineEdit* words_;
  QVBoxLayout* found_;
  QLabel* none_;
  QToolButton* unusual_;
  QWidget* list_;
};

}  // namespace trellis
