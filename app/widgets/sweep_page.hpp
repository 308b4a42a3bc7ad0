// SPDX-License-Identifier: GPL-3.0-or-later
// A better way, found: what may vary, what is wanted, and every combination of it.
#pragma once

#include "app/window/sweeper.hpp"
#include "app/window/view.hpp"

#include <QWidget>

class QCheckBox;
class QComboBox;
class QLabel;
class QLineEdit;
class QProgressBar;
class QPushButton;
class QVBoxLayout;

namespace trellis {

class SweepPlot;

class SweepPage : public QWidget {
  Q_OBJECT
 public:
  SweepPage(Document& document, View& view, Sweeper& sweeper, Activity& activity, QWidget* parent = nullptr);

 private:
  void addAxes(QVBoxLayout* column);
  void addWants(QVBoxLayout* column);
  SweepSpec spec() const;  // throws Error
  void count();
  void takeUsual(std::size_t axis);
  void start();
  void refresh();
  void look(int combination);
  void keep(int combination);
  QString wordsOf(std::size_t combination) const;

  Document& document_;
  View& view_;
  Sweeper& sweeper_;
  Activity& activity_;
  static constexpr std::size_t axes = 3, wants = 2;
  std::array<QComboBox*, axes> keys_;
  std::array<QLineEdit*, axes> values_;
  std::array<QComboBox*, wants> wants_;
  QCheckBox *trapped_, *problems_;
  QLabel *count_, *words_;
  QPushButton *start_, *keep_;
  QProgressBar* progress_;
  SweepPlot* plot_;
};

}  // namespace trellis
