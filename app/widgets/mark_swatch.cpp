// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/mark_swatch.hpp"

#include "app/theme/theme.hpp"

#include <QPainter>

namespace trellis {

void paintSwatch(QPainter& painter, const QRectF& box, Mark mark) {
  painter.save();
  painter.fillRect(box, mark == Mark::enforce ? theme().enforce : mark == Mark::block ? theme().block : theme().part);
  painter.setPen(QPen(mark == Mark::enforce ? theme().enforce.darker(140) : theme().block.lighter(190), 1.2));
  painter.setClipRect(box);
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
