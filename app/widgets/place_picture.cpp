// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/place_picture.hpp"

#include "app/theme/theme.hpp"

#include <QPainter>
#include <QPainterPath>

#include <algorithm>

namespace trellis {

QPixmap placePicture(const Build& build, const Vec3& at, double across, int size) {
  QPixmap picture(size, size);
  picture.fill(theme().sheet);
  QPainter painter(&picture);
  painter.setRenderHint(QPainter::Antialiasing);
  const double scale = size / across;
  const auto draw = [&](const Polygons& area, const QBrush& brush, const QPen& pen) {
    QPainterPath path;
    path.setFillRule(Qt::OddEvenFill);
    for (const Polygon& outline : area) {
      QPolygonF polygon;
      for (const Point& p : outline) {
        const Vec2 place = (toMm(p) - at.head<2>()) * scale;
        polygon << QPointF(size / 2.0 + place.x(), size / 2.0 - place.y());
      }
      path.addPolygon(polygon);
      path.closeSubpath();
    }
    painter.setBrush(brush);
    painter.setPen(pen);
    painter.drawPath(path);
  };
  const auto layerAt = [&](const LayerPlan& plan) {
    const auto span =
        std::find_if(plan.spans.begin(), plan.spans.end(), [&](const LayerSpan& s) { return s.top > at.z() + 1e-6; });
    return static_cast<std::size_t>(std::min(span, plan.spans.end() - 1) - plan.spans.begin());
  };
  for (const SupportLayer& layer : build.support->layers)
    if (layer.top <= at.z() + 1e-6 && layer.top > at.z() - 1)
      for (const PieceRegion& region : layer.regions) draw(region.area, QBrush(theme().body.lighter(115)), Qt::NoPen);
  for (const PartBuild& part : build.parts) {
    if (part.plan.count() == 0) continue;
    const std::size_t l = layerAt(part.plan);
    if (l > 0) draw((*part.sections)[l - 1], QBrush(theme().part.lighter(118)), Qt::NoPen);
    draw((*part.sections)[l], QBrush(theme().part.darker(112), Qt::Dense5Pattern), QPen(theme().part.darker(150), 1.2));
  }
  painter.setBrush(Qt::NoBrush);
  painter.setPen(QPen(theme().floating, 1.6));
  painter.drawEllipse(QPointF(size / 2.0, size / 2.0), 6, 6);
  painter.setPen(theme().rule);
  painter.drawRect(0, 0, size - 1, size - 1);
  return picture;
}

}  // namespace trellis
