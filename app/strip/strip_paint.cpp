// SPDX-License-Identifier: GPL-3.0-or-later
// What the strip looks like.
#include "app/strip/strip.hpp"

#include "app/theme/theme.hpp"

#include <QPainter>

#include <algorithm>
#include <cmath>

namespace trellis {

namespace {

constexpr double shownSway = 0.2;  // mm; less is not drawn

QString nameOf(StripLane lane) {
  switch (lane) {
    case StripLane::lean:
      return QObject::tr("lean");
    case StripLane::starts:
      return QObject::tr("starts");
    case StripLane::marks:
      return QObject::tr("marks");
    case StripLane::holds:
      return QObject::tr("holds");
    case StripLane::sway:
      break;
  }
  return QObject::tr("sway");
}

}  // namespace

void Strip::paintEvent(QPaintEvent*) {
  QPainter painter(this);
  painter.setRenderHint(QPainter::Antialiasing);
  painter.fillRect(rect(), theme().panel);
  QFont font = painter.font();
  font.setPixelSize(11);
  painter.setFont(font);
  const double wanted = top() * 70 / std::max(1, height() - marginTop - marginBottom);
  const double decade = std::pow(10, std::floor(std::log10(wanted)));
  const double pitch = decade * (wanted / decade > 5 ? 10 : wanted / decade > 2 ? 5 : 2);
  for (double z = 0; z <= top() + 1e-9; z += pitch) {
    const double y = pixelOf(z);
    painter.setPen(theme().rule);
    painter.drawLine(QPointF(chartLeft - 4, y), QPointF(width() - chartRight, y));
    painter.setPen(theme().quiet);
    painter.drawText(QRectF(0, y - 8, chartLeft - 7, 16), Qt::AlignRight | Qt::AlignVCenter, QString::number(z));
  }
  painter.setPen(theme().quiet);
  painter.drawText(QRectF(0, height() - 20, chartLeft - 7, 14), Qt::AlignRight, tr("mm"));
  drawChart(painter);
  drawBeside(painter);
  if (showsLayers()) drawTimes(painter);
  drawHeadings(painter);
  for (const StripLane lane : lanes_) {
    const double x = *laneX(lane);
    if (lane == StripLane::lean) drawLeans(painter, x);
    if (lane == StripLane::starts) drawStarts(painter, x);
    if (lane == StripLane::marks) drawMarks(painter, x);
    if (lane == StripLane::holds) drawHolds(painter, x);
    if (lane == StripLane::sway) drawSway(painter, x);
  }
  drawZone(painter);
  drawPrinted(painter);
  drawHandles(painter);
  if (band_) {
    QColor shade = hand_.brush().mark == Mark::block ? theme().block : theme().enforce;
    shade.setAlpha(110);
    const double a = pixelOf(band_->first), b = pixelOf(band_->second);
    painter.fillRect(QRectF(chartLeft, std::min(a, b), width() - chartLeft - 8, std::abs(a - b)), shade);
  }
}

void Strip::drawChart(QPainter& painter) {
  const double room = width() - chartLeft - chartRight;
  const auto [low, high] = view_.range();
  painter.setPen(Qt::NoPen);
  for (const Level& level : levels_) {
    const double y = pixelOf(level.top), tall = std::max(1.0, pixelOf(level.bottom) - y + 0.5);
    const bool hidden = level.top > high + 1e-6 || level.bottom < low - 1e-6;
    const double part = level.part / widest_ * room, support = level.support / widest_ * room;
    QColor clay = theme().part, blue = theme().body;
    if (hidden) {
      clay.setAlpha(70);
      blue.setAlpha(70);
    }
    painter.fillRect(QRectF(chartLeft, y, part, tall), clay);
    painter.fillRect(QRectF(chartLeft + part, y, support, tall), blue);
  }
}

void Strip::drawHeadings(QPainter& painter) {
  painter.setPen(theme().quiet);
  painter.drawText(QRectF(chartLeft, 24, 60, 16), Qt::AlignLeft, tr("area"));
  for (const StripLane lane : lanes_)
    painter.drawText(QRectF(*laneX(lane) - 20, 24, 40, 16), Qt::AlignHCenter, nameOf(lane));
}

// The worst lean, as rose as the surface in the scene.
void Strip::drawLeans(QPainter& painter, double x) {
  const auto [low, high] = view_.range();
  for (const Level& level : levels_) {
    if (level.lean <= 0) continue;
    const bool hidden = level.top > high + 1e-6 || level.bottom < low - 1e-6;
    const double y = pixelOf(level.top), share = std::clamp(level.lean / 90, 0.0, 1.0);
    QColor rose = theme().hangingHigh;
    rose.setAlphaF(static_cast<float>(hidden ? 0.25 * share : share));
    painter.fillRect(QRectF(x - 4, y, 8, std::max(1.0, pixelOf(level.bottom) - y + 0.5)), rose);
  }
}

// How much support the variant beside has at each height, beyond the part: as a line.
void Strip::drawBeside(QPainter& painter) {
  if (!view_.beside() || view_.gcode()) return;
  const double room = width() - chartLeft - chartRight;
  QPolygonF line;
  double part = 0, z = 0;
  for (const SupportLayer& layer : view_.beside()->shown.build->support->layers) {
    if (layer.top < z + 0.3) continue;
    z = layer.top;
    double support = 0;
    for (const PieceRegion& region : layer.regions) support += area(region.area);
    for (const Level& level : levels_)
      if (z <= level.top + 1e-6) {
        part = level.part;
        break;
      }
    line << QPointF(chartLeft + std::min(1.0, (part + support) / widest_) * room, pixelOf(z));
  }
  painter.setBrush(Qt::NoBrush);
  painter.setPen(QPen(theme().accent, 1.4));
  painter.drawPolyline(line);
}

void Strip::drawMarks(QPainter& painter, double x) {
  const Shown& shown = builder_.shown();
  if (!shown.build || view_.gcode()) return;
  for (const PartBuild& part : shown.build->parts)
    for (std::size_t i = 0; i < part.plan.count(); ++i) {
      const double y = pixelOf(part.plan.spans[i].top), tall = std::max(2.0, pixelOf(part.plan.spans[i].bottom) - y);
      if (!part.shadows->enforced[i].empty()) painter.fillRect(QRectF(x - 6, y, 5, tall), theme().enforce);
      if (!part.shadows->blocked[i].empty()) painter.fillRect(QRectF(x + 1, y, 5, tall), theme().block);
    }
}

// Where support takes hold: a small tip under the part.
void Strip::drawHolds(QPainter& painter, double x) {
  painter.setPen(Qt::NoPen);
  painter.setBrush(theme().body.darker(125));
  double lastY = 1e9;
  for (const Level& level : levels_) {
    const double y = pixelOf(level.top);
    if (!level.lands || lastY - y < 7) continue;
    lastY = y;
    painter.drawPolygon(QPolygonF({QPointF(x, y), QPointF(x - 4, y + 6), QPointF(x + 4, y + 6)}));
  }
}

void Strip::drawStarts(QPainter& painter, double x) {
  for (const bool bare : {false, true}) {  // a bunch of them is one symbol
    double lastY = 1e9;
    painter.setPen(QPen(theme().floating, 1.4));
    painter.setBrush(bare ? QBrush(theme().floating) : QBrush(theme().panel));
    for (const Symbol& symbol : symbols_) {
      const double y = pixelOf(symbol.at.z());
      if (symbol.bare != bare || std::abs(lastY - y) < 9) continue;
      lastY = y;
      const QPointF middle(x, y);
      painter.drawPolygon(QPolygonF(
          {middle + QPointF(0, -5), middle + QPointF(5, 0), middle + QPointF(0, 5), middle + QPointF(-5, 0)}));
    }
  }
}

// A figure of every level as a line from the chart's left, the most of them nearly across it.
QPolygonF Strip::profileOf(double Level::*figure, double most) const {
  const double room = width() - chartLeft - chartRight;
  QPolygonF line;
  for (const Level& level : levels_)
    line << QPointF(chartLeft + level.*figure / std::max(most, 1e-9) * room * 0.9, pixelOf(level.top));
  return line;
}

// How far the nozzle pushes the part aside when it is so high, as a line over the chart; where support holds, a bar.
void Strip::drawSway(QPainter& painter, double x) {
  painter.setBrush(Qt::NoBrush);
  painter.setPen(QPen(theme().ink, 1.2, Qt::DashLine));
  if (mostDeflection_ >= shownSway) painter.drawPolyline(profileOf(&Level::deflection, mostDeflection_));
  painter.setPen(Qt::NoPen);
  for (const Level& level : levels_)
    if (level.held)
      painter.fillRect(QRectF(x - 2, pixelOf(level.top), 4, std::max(1.5, pixelOf(level.bottom) - pixelOf(level.top))),
                       theme().accent);
}

// How long each layer takes, as a line from the chart's left; its longest is said at the foot.
void Strip::drawTimes(QPainter& painter) {
  painter.setBrush(Qt::NoBrush);
  painter.setPen(QPen(theme().accent, 1.2));
  painter.drawPolyline(profileOf(&Level::seconds, longest_));
  painter.drawText(QRectF(chartLeft, height() - 20, width() - chartLeft, 14), Qt::AlignLeft,
                   tr("to %1 s a layer").arg(longest_, 0, 'f', 0));
}

// The chosen zone as a bracket that can be dragged.
void Strip::drawZone(QPainter& painter) {
  const auto heights = zoneHeights();
  if (!heights) return;
  const Part& part = *document_.project()->parts[view_.selection().back()];
  const ZoneAs as = part.zones[view_.chosen().index].as;
  const double x = width() - 26, low = pixelOf(heights->first), high = pixelOf(heights->second);
  painter.setPen(QPen(as == ZoneAs::enforce ? theme().enforce.darker(115)
                      : as == ZoneAs::block ? theme().block
                                            : theme().quiet,
                      3));
  painter.drawLine(QPointF(x, low), QPointF(x, high));
  for (const double y : {low, high}) painter.drawLine(QPointF(x, y), QPointF(x - 7, y));
}

// How far a print that is followed is: a line with a nozzle on it.
void Strip::drawPrinted(QPainter& painter) {
  if (!view_.printedTo()) return;
  const double y = pixelOf(*view_.printedTo());
  painter.setPen(QPen(theme().floating, 1.6));
  painter.drawLine(QPointF(chartLeft - 4, y), QPointF(width() - chartRight + 6, y));
  painter.setPen(Qt::NoPen);
  painter.setBrush(theme().floating);
  painter.drawPolygon(
      QPolygonF({QPointF(chartLeft + 8, y), QPointF(chartLeft + 3, y - 8), QPointF(chartLeft + 13, y - 8)}));
}

void Strip::drawHandles(QPainter& painter) {
  const double high = std::min(view_.range().second, top()), low = view_.range().first;
  for (const double z : {low, high}) {
    const double y = pixelOf(z);
    painter.setPen(QPen(theme().accent, 2));
    painter.drawLine(QPointF(chartLeft - 4, y), QPointF(width() - 9, y));
    painter.setBrush(theme().accent);
    painter.setPen(Qt::NoPen);
    painter.drawEllipse(QPointF(width() - 9, y), 5.5, 5.5);
  }
  const std::vector<double> tops = view_.tops();
  if (tops.empty()) return;
  std::size_t index = 0;
  while (index + 1 < tops.size() && tops[index] < high - 1e-6) ++index;
  painter.setPen(theme().accent);
  painter.drawText(QRectF(4, 6, width() - 8, 16), Qt::AlignHCenter,
                   tr("layer %1 · %2 mm").arg(index + 1).arg(tops[index], 0, 'f', 2));
}

}  // namespace trellis
