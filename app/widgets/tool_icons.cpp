// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/tool_icons.hpp"

#include "app/theme/theme.hpp"
#include "app/widgets/mark_swatch.hpp"

#include <QPainter>
#include <QPainterPath>

#include <functional>

namespace trellis {

namespace {

QIcon drawn(const std::function<void(QPainter&)>& draw) {
  QPixmap pixmap(80, 56);
  pixmap.setDevicePixelRatio(2);
  pixmap.fill(Qt::transparent);
  QPainter painter(&pixmap);
  painter.setRenderHint(QPainter::Antialiasing);
  draw(painter);
  painter.end();
  return QIcon(pixmap);
}

QPen ink(double width = 1.3, Qt::PenStyle style = Qt::SolidLine) { return {theme().ink, width, style}; }

// A piece of the part, seen from the side: a block with a sloping top.
void part(QPainter& painter) { painter.fillRect(QRectF(3, 14, 34, 12), theme().part); }

void arrowDown(QPainter& painter) {
  painter.setPen(ink());
  painter.drawLine(QPointF(20, 2), QPointF(20, 12));
  painter.drawPolyline(QPolygonF({QPointF(16, 8), QPointF(20, 12), QPointF(24, 8)}));
}

void ball(QPainter& painter) {
  part(painter);
  painter.fillRect(QRectF(12, 14, 16, 7), theme().enforce);
  painter.setPen(ink(1.2, Qt::DashLine));
  painter.drawEllipse(QPointF(20, 14), 9, 9);
}

// An eye whose look stops at the surface.
void sight(QPainter& painter) {
  part(painter);
  painter.fillRect(QRectF(13, 14, 14, 3), theme().enforce);
  painter.setPen(ink(1));
  painter.drawLine(QPointF(20, 5), QPointF(13, 14));
  painter.drawLine(QPointF(20, 5), QPointF(27, 14));
  painter.setBrush(theme().panel);
  painter.drawEllipse(QPointF(20, 5), 6, 3.6);
  painter.setBrush(theme().ink);
  painter.drawEllipse(QPointF(20, 5), 1.6, 1.6);
}

void face(QPainter& painter) {
  const QPolygonF top({QPointF(3, 12), QPointF(13, 5), QPointF(37, 5), QPointF(27, 12)});
  painter.setPen(Qt::NoPen);
  painter.setBrush(theme().part);
  painter.drawPolygon(
      QPolygonF({QPointF(3, 12), QPointF(27, 12), QPointF(37, 5), QPointF(37, 17), QPointF(27, 25), QPointF(3, 25)}));
  painter.setBrush(theme().enforce);
  painter.drawPolygon(top);
  painter.setPen(ink(1));
  painter.setBrush(Qt::NoBrush);
  painter.drawPolygon(top);
}

// A shelf on a wall with its underside marked.
void site(QPainter& painter) {
  painter.fillRect(QRectF(4, 3, 8, 23), theme().part);
  painter.fillRect(QRectF(12, 6, 24, 7), theme().part);
  painter.fillRect(QRectF(12, 13, 24, 4), theme().enforce);
}

void band(QPainter& painter) {
  painter.fillRect(QRectF(13, 2, 14, 24), theme().part);
  painter.fillRect(QRectF(13, 9, 14, 8), theme().enforce);
  painter.setPen(ink(1, Qt::DashLine));
  painter.drawLine(QPointF(6, 9), QPointF(34, 9));
  painter.drawLine(QPointF(6, 17), QPointF(34, 17));
}

void clean(QPainter& painter) {
  part(painter);
  painter.setPen(QPen(theme().accent, 1.8));
  painter.drawPolyline(QPolygonF({QPointF(13, 7), QPointF(18, 12), QPointF(28, 2)}));
  painter.drawLine(QPointF(3, 14), QPointF(37, 14));
}

void seen(QPainter& painter) {
  part(painter);
  painter.setPen(QPen(theme().accent, 1.8));
  for (const double x : {10.0, 20.0, 30.0}) painter.drawEllipse(QPointF(x, 14), 3.2, 3.2);
}

void zone(QPainter& painter) {
  part(painter);
  QColor fill = theme().enforce;
  fill.setAlpha(90);
  painter.setBrush(fill);
  painter.setPen(ink(1.1));
  painter.drawRect(QRectF(11, 7, 18, 13));
}

void prop(QPainter& painter) {
  painter.fillRect(QRectF(3, 2, 34, 7), theme().part);
  painter.setPen(Qt::NoPen);
  painter.setBrush(theme().body);
  painter.drawPolygon(QPolygonF(
      {QPointF(17, 10), QPointF(23, 10), QPointF(23, 22), QPointF(26, 26), QPointF(14, 26), QPointF(17, 22)}));
}

void remove(QPainter& painter) {
  prop(painter);
  painter.setPen(QPen(theme().floating, 2));
  painter.drawLine(QPointF(12, 12), QPointF(28, 25));
  painter.drawLine(QPointF(28, 12), QPointF(12, 25));
}

void measure(QPainter& painter) {
  painter.fillRect(QRectF(3, 14, 9, 12), theme().part);
  painter.fillRect(QRectF(28, 14, 9, 12), theme().part);
  painter.setPen(ink(1.1));
  painter.drawLine(QPointF(12, 9), QPointF(28, 9));
  for (const double x : {12.0, 28.0}) painter.drawLine(QPointF(x, 5), QPointF(x, 13));
}

void pick(QPainter& painter) {
  part(painter);
  arrowDown(painter);
}

}  // namespace

QIcon iconOf(Tool tool) {
  constexpr void (*drawings[])(QPainter&) = {pick, ball, sight, face, site, band, zone, prop, remove, measure};
  return drawn(drawings[static_cast<std::size_t>(tool)]);
}

QIcon iconOf(Coat coat) { return drawn(coat == Coat::clean ? clean : seen); }

QIcon iconOf(Mark mark) {
  return drawn([mark](QPainter& painter) { paintSwatch(painter, {8, 6, 24, 16}, mark); });
}

QIcon iconOf(ZoneAs as) {
  if (as != ZoneAs::keepClear) return iconOf(as == ZoneAs::enforce ? Mark::enforce : Mark::block);
  return drawn([](QPainter& painter) {
    painter.setPen(ink(1.2, Qt::DashLine));
    painter.drawRect(QRectF(8, 6, 24, 16));
    painter.drawLine(QPointF(8, 22), QPointF(32, 6));
  });
}

}  // namespace trellis
