// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/mark_swatch.hpp"

#include "app/theme/theme.hpp"

#include <QPainter>

namespace trellis {

namespace {

// As surface.frag: five forms, each in three tones.
void paintTint(QPainter& painter, const QRectF& box, int tint) {
  constexpr double pitch = 6;
  const int form = (tint - 1) % 5, tone = 100 + 28 * ((tint - 1) / 5);
  painter.fillRect(box, theme().enforce.darker(140 * tone / 100));
  painter.setPen(Qt::NoPen);
  painter.setBrush(theme().enforce.darker(tone));
  for (int i = -4; i * pitch < box.width() + box.height(); ++i)
    for (int k = 0; k * pitch < box.height(); ++k) {
      const QPointF at = box.topLeft() + QPointF(i * pitch, k * pitch);
      if (form == 0) painter.drawRect(QRectF(at, QSizeF(pitch / 2, pitch)));
      if (form == 1) painter.drawRect(QRectF(at, QSizeF(pitch, pitch / 2)));
      if (form == 2 && (i + k) % 2 == 0) painter.drawRect(QRectF(at, QSizeF(pitch, pitch)));
      if (form == 3) painter.drawEllipse(at + QPointF(pitch / 2, pitch / 2), pitch / 3, pitch / 3);
      if (form == 4)
        painter.drawPolygon(
            QPolygonF({at, at + QPointF(pitch / 2, 0), at + QPointF(pitch * 1.5, pitch), at + QPointF(pitch, pitch)}));
    }
}

}  // namespace

void paintSwatch(QPainter& painter, const QRectF& box, Mark mark) {
  painter.save();
  painter.setClipRect(box);
  if (tintOf(mark) > 0) {
    paintTint(painter, box, tintOf(mark));
    return painter.restore();
  }
  painter.fillRect(box, mark == Mark::enforce ? theme().enforce : mark == Mark::block ? theme().block : theme().part);
  painter.setPen(QPen(mark == Mark::enforce ? theme().enforce.darker(140) : theme().block.lighter(190), 1.2));
  const double left = box.left(), right = box.right(), middle = box.center().x(), tall = box.height();
  if (mark == Mark::enforce)
    for (double y = box.top() - 4; y < box.bottom() + 8; y += 6)
      painter.drawPolyline(QPolygonF({QPointF(left, y + 6), QPointF(middle, y), QPointF(right, y + 6)}));
  if (mark == Mark::block)
    for (double x = left - tall; x < right + tall; x += 6) {
      painter.drawLine(QPointF(x, box.top()), QPointF(x + tall, box.bottom()));
      painter.drawLine(QPointF(x + tall, box.top()), QPointF(x, box.bottom()));
    }
  painter.restore();
}

}  // namespace trellis
