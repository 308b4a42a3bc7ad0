// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/scene/scene_overlay.hpp"

#include "app/theme/theme.hpp"

#include <QPainter>

#include <algorithm>
#include <cmath>

namespace trellis {

SceneOverlay::SceneOverlay(Document& document, Builder& builder, View& view, const Under& under, QWidget* parent)
    : QWidget(parent),
      document_(document),
      builder_(builder),
      view_(view),
      camera_(under.camera),
      handles_(under.handles) {
  setAttribute(Qt::WA_TransparentForMouseEvents);
  setAttribute(Qt::WA_NoSystemBackground);
  connect(&document, &Document::changed, this, qOverload<>(&QWidget::update));
}

void SceneOverlay::setLegend(const QStringList& words) {
  legend_ = words;
  update();
}

void SceneOverlay::paintEvent(QPaintEvent*) {
  QPainter painter(this);
  painter.setRenderHint(QPainter::Antialiasing);
  // From below they would lie over the parts, and beside another variant over that.
  if (camera_.pitch() >= 0 && !(view_.beside() && view_.beside()->mode != BesideMode::outlines)) drawFigures(painter);
  drawLetters(painter);
  drawGap(painter);
  drawDistances(painter);
  drawWayOut(painter);
  drawBeside(painter);
  for (qsizetype k = 0; k < legend_.size(); ++k)
    drawLabel(painter, QPointF(12, height() - 20 - 24 * static_cast<double>(legend_.size() - 1 - k)), legend_[k]);
}

// Millimetres along the two plate edges nearest to the eye.
void SceneOverlay::drawFigures(QPainter& painter) {
  const double width = document_.settings().number("machine.width"),
               depth = document_.settings().number("machine.depth");
  const Vec3 eye = camera_.eye();
  const double nearY = eye.y() < depth / 2 ? 0 : depth, nearX = eye.x() < width / 2 ? 0 : width;
  painter.setPen(theme().quiet);
  QFont small = font();
  small.setPixelSize(11);
  painter.setFont(small);
  const auto figure = [&](const Vec3& at, double value) {
    if (const auto pixel = camera_.pixelOf(at))
      painter.drawText(QRectF(pixel->x() - 20, pixel->y() - 8, 40, 16), Qt::AlignCenter, QString::number(value));
  };
  for (double x = 0; x <= width; x += 50) figure({x, nearY + (nearY > 0 ? 6 : -6), 0}, x);
  for (double y = 50; y <= depth; y += 50) figure({nearX + (nearX > 0 ? 8 : -8), y, 0}, y);
}

// Beside each handle, what it changes.
void SceneOverlay::drawLetters(QPainter& painter) {
  QFont bold = font();
  bold.setBold(true);
  painter.setFont(bold);
  painter.setPen(theme().accent);
  for (const Handle& handle : handles_) {
    if (handle.kind == Handle::turn || handle.kind == Handle::stretch) continue;
    if (const auto pixel = camera_.pixelOf(handle.label))
      painter.drawText(QRectF(pixel->x() - 20, pixel->y() - 9, 40, 18), Qt::AlignCenter,
                       handle.kind == Handle::scale ? tr("size") : QString("xyz").mid(handle.axis, 1));
  }
}

// Side on and near, the daylight over the support nearest to the middle of the view is measured as on a drawing.
void SceneOverlay::drawGap(QPainter& painter) {
  constexpr double sideOn = 12, nearEnough = 0.03;  // degrees; mm a pixel
  const Shown& shown = builder_.shown();
  if (!shown.build || builder_.isStale() || view_.gcode() || std::abs(camera_.pitch()) > sideOn ||
      camera_.millimetresPerPixel(camera_.distance()) > nearEnough)
    return;
  const Build& build = *shown.build;
  std::optional<QPointF> best;
  double bestAway = std::hypot(width(), height()) / 2, gap = 0;
  QPointF over;
  for (std::size_t i = 0; i < build.columns.size(); ++i) {
    const DemandSite& site = *build.demand[i];
    if (site.isHold() || build.columns[i]->slabs.empty()) continue;
    const double above = build.rules[build.demand[i]->rules].support.gapAbove;
    for (std::size_t k = 0; k < site.layers.size(); ++k) {
      const double b = build.plan.spans[site.lowest + k].bottom;
      for (const Polygon& outline : site.layers[k])
        for (std::size_t n = 0; n < outline.size(); n += std::max<std::size_t>(1, outline.size() / 24)) {
          const Vec2 p = toMm(outline[n]);
          const auto lower = camera_.pixelOf({p.x(), p.y(), b - above}), upper = camera_.pixelOf({p.x(), p.y(), b});
          if (!lower || !upper) continue;
          const double away = std::hypot(lower->x() - width() / 2.0, lower->y() - height() / 2.0);
          if (away >= bestAway) continue;
          bestAway = away;
          best = lower;
          over = *upper;
          gap = above;
        }
    }
  }
  if (!best) return;
  painter.setPen(QPen(theme().ink, 1.2));
  const double x = best->x() + 26;
  for (const QPointF& end : {*best, over}) painter.drawLine(QPointF(end.x() + 4, end.y()), QPointF(x + 8, end.y()));
  for (const double sign : {1.0, -1.0}) {  // arrows from outside, as on a drawing of a narrow gap
    const double y = sign > 0 ? best->y() : over.y();
    painter.drawLine(QPointF(x, y), QPointF(x, y + sign * 18));
    painter.drawLine(QPointF(x, y), QPointF(x - 4, y + sign * 6));
    painter.drawLine(QPointF(x, y), QPointF(x + 4, y + sign * 6));
  }
  const QString words = tr("gap above %1 mm").arg(gap, 0, 'f', 2);
  drawLabel(painter, QPointF(x + 12, (best->y() + over.y()) / 2), words);
}

// On a card, its left middle at a place.
void SceneOverlay::drawLabel(QPainter& painter, const QPointF& at, const QString& words) {
  const QRectF box(at.x(), at.y() - 11, painter.fontMetrics().horizontalAdvance(words) + 12, 22);
  painter.setBrush(theme().panel);
  painter.setPen(theme().rule);
  painter.drawRoundedRect(box, 4, 4);
  painter.setPen(theme().ink);
  painter.drawText(box, Qt::AlignCenter, words);
}

// What was measured, as on a drawing: through whatever stands before it.
void SceneOverlay::drawDistances(QPainter& painter) {
  for (const View::Distance& distance : view_.distances()) {
    const auto from = camera_.pixelOf(distance.from.at);
    if (!from) continue;
    painter.setPen(QPen(theme().ink, 1.4));
    painter.setBrush(theme().panel);
    painter.drawEllipse(*from, 3.5, 3.5);
    if (!distance.to) {
      drawLabel(painter, *from + QPointF(10, 0), tr("click the other end"));
      continue;
    }
    const auto to = camera_.pixelOf(distance.to->at);
    if (!to) continue;
    painter.drawLine(*from, *to);
    painter.drawEllipse(*to, 3.5, 3.5);
    const Measured m = measured(distance.from, *distance.to);
    QString words = tr("%1 mm   x %2  y %3  z %4")
                        .arg(m.distance, 0, 'f', 2)
                        .arg(m.along.x(), 0, 'f', 2)
                        .arg(m.along.y(), 0, 'f', 2)
                        .arg(m.along.z(), 0, 'f', 2);
    if (m.betweenFaces) words += tr("   faces %1").arg(*m.betweenFaces, 0, 'f', 2);
    drawLabel(painter, (*from + *to) / 2 + QPointF(10, 0), words);
  }
}

// The way of what is taken off, as an arrow; and where it is weakest.
void SceneOverlay::drawWayOut(QPainter& painter) {
  const RemovalStep* step = view_.takenStep();
  if (!step) return;
  QPolygonF way;
  for (const Pose& pose : step->path.poses)
    if (const auto pixel = camera_.pixelOf(pose * step->middle)) way << *pixel;
  if (way.size() > 1) {
    constexpr double longest = 150, head = 9;  // pixels
    QLineF last(way[way.size() - 2], way.back());
    if (last.length() > longest) last.setLength(longest);
    way.back() = last.p2();
    painter.setPen(QPen(theme().ink, 2));
    painter.setBrush(Qt::NoBrush);
    painter.drawPolyline(way);
    QLineF side(last.p2(), last.p1());
    side.setLength(head);
    for (const double turn : {25.0, -25.0}) {
      QLineF barb = side;
      barb.setAngle(side.angle() + turn);
      painter.drawLine(barb);
    }
  }
  const PieceFigures& figures = builder_.shown().build->pieces[step->piece];
  if (const auto weak = camera_.pixelOf(figures.weakestPlace); weak && figures.grade != Grade::comesAway) {
    painter.setPen(QPen(theme().floating, 2));
    painter.drawLine(*weak - QPointF(7, 0), *weak + QPointF(7, 0));
    drawLabel(painter, *weak + QPointF(12, 0), tr("weakest: %1 mm² of line").arg(figures.weakest, 0, 'f', 1));
  }
}

// Which variant is where, and the line between them.
void SceneOverlay::drawBeside(QPainter& painter) {
  const auto& beside = view_.beside();
  if (!beside || view_.gcode()) return;
  painter.setFont(font());
  if (beside->mode == BesideMode::outlines) return drawLabel(painter, {12, 20}, tr("lines: %1").arg(beside->name));
  const double x = (beside->mode == BesideMode::halves ? 0.5 : beside->wipe) * width();
  painter.setPen(QPen(theme().ink, 1.4));
  painter.drawLine(QPointF(x, 0), QPointF(x, height()));
  if (beside->mode == BesideMode::wipe) {  // what it is taken by
    painter.setBrush(theme().panel);
    painter.drawRoundedRect(QRectF(x - 7, height() / 2.0 - 18, 14, 36), 4, 4);
    for (const double dx : {-2.5, 2.5})
      painter.drawLine(QPointF(x + dx, height() / 2.0 - 8), QPointF(x + dx, height() / 2.0 + 8));
  }
  const double wide = painter.fontMetrics().horizontalAdvance(beside->here) + 12;
  if (x > wide + 20) drawLabel(painter, {x - wide - 10, 20}, beside->here);
  drawLabel(painter, {x + 10, 20}, beside->name);
}

}  // namespace trellis
