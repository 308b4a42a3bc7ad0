// SPDX-License-Identifier: GPL-3.0-or-later
// The print stood upright: cross-section area of part and support at every height, where marks and
// floating starts lie, and two handles that choose the shown heights.
#pragma once

#include "app/window/session.hpp"

#include <QFrame>
#include <QTimer>

namespace trellis {

class Strip : public QFrame {
  Q_OBJECT
 public:
  explicit Strip(Session& session, QWidget* parent = nullptr);
  void play();          // draws the shown range as it would be printed, or stops
  void step(int layers);  // moves the upper handle

  QSize sizeHint() const override { return {120, 600}; }
  // Where a height is drawn, in pixels from the top; for tests too.
  double pixelOf(double z) const;

 protected:
  void paintEvent(QPaintEvent* event) override;
  void mousePressEvent(QMouseEvent* event) override;
  void mouseMoveEvent(QMouseEvent* event) override;
  void mouseReleaseEvent(QMouseEvent* event) override;
  void wheelEvent(QWheelEvent* event) override;

 private:
  double heightAt(double pixel) const;
  double top() const;  // of the scale, mm
  double snapped(double z) const;
  void measure();
  void drawChart(QPainter& painter);
  void drawSymbols(QPainter& painter);
  void drawHandles(QPainter& painter);

  struct Level {
    double bottom, top, part, support;  // mm, mm²
  };
  Session& session_;
  std::vector<Level> levels_;
  double widest_ = 1;  // mm²
  bool draggingHigh_ = true;
  std::optional<std::pair<double, double>> band_;  // heights while a band is dragged
  QTimer playing_;
};

}  // namespace trellis
