// SPDX-License-Identifier: GPL-3.0-or-later
// The print stood upright: at every height the cross-section of part and support, the worst lean and how far the part
// gives way; where marks and floating starts lie and supports take hold; and two handles that choose the shown heights.
#pragma once

#include "app/window/builder.hpp"
#include "app/window/document.hpp"
#include "app/window/hand.hpp"
#include "app/window/view.hpp"

#include <QFrame>
#include <QTimer>

#include <array>

namespace trellis {

// What lanes beside the chart of areas show; two at a time, so that each can be read.
enum class StripLane { lean, starts, marks, holds, sway };

class Strip : public QFrame {
  Q_OBJECT
 public:
  Strip(Document& document, Builder& builder, View& view, Hand& hand, QWidget* parent = nullptr);
  void play();  // draws the shown range as it would be printed, so many times as fast, or stops
  void setHaste(double times) { haste_ = times; }
  void step(int layers);  // moves the upper handle
  void setLanes(StripLane left, StripLane right);
  std::optional<double> laneX(StripLane lane) const;  // its middle, in pixels from the left, where it is shown

  QSize sizeHint() const override { return {150, 600}; }
  // Where a height is drawn, in pixels from the top; for tests too.
  double pixelOf(double z) const;
  // What is drawn there that can be gone to: a floating start or a place on air, and where; for tests too.
  std::optional<Vec3> placeAt(const QPointF& pixel) const;
  // The figures of a height, in words.
  QString wordsAt(double z) const;

 protected:
  bool event(QEvent* event) override;
  void paintEvent(QPaintEvent* event) override;
  void mousePressEvent(QMouseEvent* event) override;
  void mouseMoveEvent(QMouseEvent* event) override;
  void mouseReleaseEvent(QMouseEvent* event) override;
  void wheelEvent(QWheelEvent* event) override;

 private:
  static constexpr int marginTop = 50, marginBottom = 26, chartLeft = 36, chartRight = 68;  // pixels
  static constexpr int leftLane = 58, rightLane = 24;                                       // pixels from the right
  double heightAt(double pixel) const;
  double top() const;  // of the scale, mm
  double snapped(double z) const;
  void measure();
  void drawChart(QPainter& painter);
  void drawHeadings(QPainter& painter);
  void drawLeans(QPainter& painter, double x);
  void drawStarts(QPainter& painter, double x);
  void drawMarks(QPainter& painter, double x);
  void drawHolds(QPainter& painter, double x);
  void drawPrinted(QPainter& painter);
  void drawHandles(QPainter& painter);
  void drawSway(QPainter& painter, double x);
  void drawTimes(QPainter& painter);
  void drawBeside(QPainter& painter);
  bool showsLayers() const { return !view_.gcode() && view_.range().second < view_.height() - 1e-6; }
  void drawZone(QPainter& painter);
  static QString helpOf(StripLane lane);
  void measureLeans(const PartBuild& part);
  void playOn();
  std::optional<std::pair<double, double>> zoneHeights() const;  // of the chosen zone
  void moveZone(double z, bool continuing);

  struct Level {
    double bottom, top, part, support;  // mm, mm²
    double lean = 0;                    // degrees, the worst that hangs there
    double deflection = 0;              // mm, the most
    double seconds = 0;                 // that it takes, with the support layers up to it
    bool held = false, lands = false;   // support holds it there; support takes hold there
  };
  QPolygonF profileOf(double Level::*figure, double most) const;
  struct Symbol {
    Vec3 at;
    bool bare;  // nothing carries it
  };
  Document& document_;
  Builder& builder_;
  View& view_;
  Hand& hand_;
  std::vector<Level> levels_;
  std::vector<Symbol> symbols_;
  double widest_ = 1;          // mm²
  double mostDeflection_ = 0;  // mm
  double longest_ = 0;         // s, of a layer
  double haste_ = 60;
  std::array<StripLane, 2> lanes_{StripLane::lean, StripLane::starts};
  bool draggingHigh_ = true, pressedSymbol_ = false;
  std::optional<double> zoneFrom_;  // where its middle is held, mm from it
  bool zoneMoved_ = false;
  std::optional<std::pair<double, double>> band_;  // heights while a band is dragged
  QTimer playing_;
};

}  // namespace trellis
