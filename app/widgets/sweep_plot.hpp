// SPDX-License-Identifier: GPL-3.0-or-later
// The combinations of a sweep by two of the figures that are wanted; those nothing beats are joined.
#pragma once

#include "app/window/sweeper.hpp"

#include <QWidget>

namespace trellis {

class SweepPlot : public QWidget {
  Q_OBJECT
 public:
  explicit SweepPlot(const Sweeper& sweeper, QWidget* parent = nullptr);
  QSize sizeHint() const override { return {294, 210}; }
  int chosen() const { return chosen_; }
  void choose(int combination);
  QPointF pixelOf(std::size_t combination) const;  // for tests too; far away where its figures are not known

 Q_SIGNALS:
  void chosenChanged(int combination);
  void keptAsked(int combination);  // by a second click

 protected:
  void paintEvent(QPaintEvent* event) override;
  void mousePressEvent(QMouseEvent* event) override;
  void keyPressEvent(QKeyEvent* event) override;

 private:
  const std::string& row(std::size_t axis) const;  // across, up
  bool isKnown(const SweepResult& result) const {
    return result.figures.contains(row(0)) && result.figures.contains(row(1));
  }
  std::pair<double, double> rangeOf(std::size_t axis) const;

  const Sweeper& sweeper_;
  int chosen_ = -1;
};

}  // namespace trellis
