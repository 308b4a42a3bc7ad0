// SPDX-License-Identifier: GPL-3.0-or-later
// Every figure of a machine, a filament or a print, and what can be done with the set they are kept as.
#pragma once

#include "app/window/document.hpp"
#include "app/window/view.hpp"

#include <QWidget>

class QLabel;
class QLineEdit;
class QPushButton;

namespace trellis {

class SetPage : public QWidget {
  Q_OBJECT
 public:
  SetPage(Document& document, View& view, Activity& activity, SetKind kind, QWidget* parent = nullptr);

 private:
  void addKeeping();
  void addFigures();
  void refresh();
  void keepAs(const QString& name);
  void rename();
  void remove();
  void takeFromFile();
  void writeToFile();
  // Does it, and says a sentence when it cannot be done.
  void attempt(const std::function<void()>& what);

  Document& document_;
  View& view_;
  Activity& activity_;
  SetKind kind_;
  QLineEdit* name_ = nullptr;
  QString named_;  // the set that is chosen
  QPushButton *keep_ = nullptr, *rename_ = nullptr, *remove_ = nullptr;
  QLabel* notice_ = nullptr;
};

}  // namespace trellis
