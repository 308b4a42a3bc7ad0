// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/heat_curves.hpp"

#include "app/theme/theme.hpp"

#include <QPainter>

#include <algorithm>

namespace trellis {

namespace {

constexpr double words = 96, margin = 6;  // pixels

}  // namespace

HeatCurves::HeatCurves(const Handover& handover, QWidget* parent) : QWidget(parent), handover_(handover) {
  setObjectName("heatCurves");
  setFixedHeight(96);
  setAccessibleName(tr("Heat of nozzle and plate"));
}

void HeatCurves::paintEvent(QPaintEvent*) {
  QPainter painter(this);
  painter.setRenderHint(QPainter::Antialiasing);
  const auto& readings = handover_.readings();
  if (readings.empty()) return;
  const struct {
    QString name;
    double Heat::*is;
    double Heat::*wanted;
    QColor colour;
  } rows[] = {{tr("nozzle"), &Heat::nozzle, &Heat::nozzleWanted, theme().floating},
              {tr("plate"), &Heat::plate, &Heat::plateWanted, theme().enforce.darker(120)}};
  const double first = readings.front().at, span = std::max(20.0, readings.back().at - first);
  for (int k = 0; k < 2; ++k) {
    const QRectF box(words, k * height() / 2.0 + margin, width() - words - 2, height() / 2.0 - 2 * margin);
    double most = 30;
    for (const auto& reading : readings)
      most = std::max({most, reading.heat.*rows[k].is, reading.heat.*rows[k].wanted});
    const auto at = [&](const Handover::Reading& reading, double heat) {
      return QPointF(box.left() + (reading.at - first) / span * box.width(),
                     box.bottom() - heat / (most * 1.08) * box.height());
    };
    painter.setPen(theme().rule);
    painter.drawLine(box.bottomLeft(), box.bottomRight());
    QPolygonF is, wanted;
    for (const auto& reading : readings) {
      is << at(reading, reading.heat.*rows[k].is);
      wanted << at(reading, reading.heat.*rows[k].wanted);
    }
    painter.setPen(QPen(theme().quiet, 1, Qt::DashLine));
    painter.drawPolyline(wanted);
    painter.setPen(QPen(rows[k].colour, 1.8));
    painter.drawPolyline(is);
    const Heat& now = readings.back().heat;
    painter.setPen(theme().ink);
    painter.drawText(QRectF(0, box.top() - 3, words - 8, 16), Qt::AlignLeft, rows[k].name);
    painter.setPen(theme().quiet);
    painter.drawText(QRectF(0, box.top() + 13, words - 8, 16), Qt::AlignLeft,
                     tr("%1 of %2 °C").arg(now.*rows[k].is, 0, 'f', 0).arg(now.*rows[k].wanted, 0, 'f', 0));
  }
}

}  // namespace trellis
