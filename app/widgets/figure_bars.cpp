// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/figure_bars.hpp"

#include "app/tally/tally_bar.hpp"
#include "app/theme/spoken.hpp"
#include "app/theme/theme.hpp"

#include <QPainter>

#include <algorithm>

namespace trellis {

namespace {

constexpr int barHeight = 10, gap = 3, heading = 17, between = 6;  // pixels

// A bar in pieces: part, support, interface and rest of the filament, or one alone.
struct Bar {
  std::vector<double> pieces;
  QString words;
};
struct Chart {
  QString name;
  Bar (*barOf)(const VariantFigures&);
};

QString fixed(double value, int decimals, const char* unit) { return inFigures(value, decimals) + " " + unit; }

const std::vector<Chart>& charts() {
  static const std::vector<Chart> all{{QObject::tr("time"),
                                       [](const VariantFigures& v) {
                                         return Bar{{v.seconds}, durationWords(v.seconds)};
                                       }},
                                      {QObject::tr("filament: part, support, interface, rest"),
                                       [](const VariantFigures& v) {
                                         return Bar{{v.part, v.body, v.interface, v.rest}, fixed(v.all, 1, "g")};
                                       }},
                                      {QObject::tr("to take it off"),
                                       [](const VariantFigures& v) {
                                         return Bar{{v.removal}, durationWords(v.removal)};
                                       }},
                                      {QObject::tr("scars that show"), [](const VariantFigures& v) {
                                         const double shows = v.scars.all() - v.scars.of(Scar::smooth);
                                         return Bar{{shows}, fixed(shows, 0, "mm²")};
                                       }}};
  return all;
}

}  // namespace

FigureBars::FigureBars(const Comparer& comparer, QWidget* parent) : QWidget(parent), comparer_(comparer) {
  setAccessibleName(tr("Figures of the variants as bars"));
  connect(&comparer, &Comparer::changed, this, [this] {
    updateGeometry();
    update();
  });
}

QSize FigureBars::sizeHint() const {
  const int rows = static_cast<int>(comparer_.sides().size());
  return {200, static_cast<int>(charts().size()) * (heading + rows * (barHeight + gap) + between)};
}

void FigureBars::paintEvent(QPaintEvent*) {
  QPainter painter(this);
  QFont small = font();
  small.setPixelSize(11);
  painter.setFont(small);
  constexpr int nameWide = 62, valueWide = 70;
  const double room = width() - nameWide - valueWide;
  const QColor fills[] = {theme().part, theme().body, theme().interface, theme().quiet};
  const Qt::BrushStyle patterns[] = {Qt::NoBrush, Qt::FDiagPattern, Qt::BDiagPattern, Qt::NoBrush};
  double y = 0;
  for (const Chart& chart : charts()) {
    painter.setPen(theme().quiet);
    painter.drawText(QRectF(0, y, width(), heading), Qt::AlignLeft | Qt::AlignVCenter, chart.name);
    y += heading;
    double most = 1e-9;
    for (const Comparer::Side& side : comparer_.sides()) {
      double sum = 0;
      for (const double piece : chart.barOf(side.figures).pieces) sum += piece;
      most = std::max(most, sum);
    }
    for (const Comparer::Side& side : comparer_.sides()) {
      const Bar bar = chart.barOf(side.figures);
      painter.setPen(theme().ink);
      painter.drawText(
          QRectF(0, y - 2, nameWide - 4, barHeight + 4), Qt::AlignLeft | Qt::AlignVCenter,
          painter.fontMetrics().elidedText(QString::fromStdString(side.variant.name), Qt::ElideRight, nameWide - 4));
      double x = nameWide;
      for (std::size_t k = 0; k < bar.pieces.size(); ++k) {
        const QColor fill = bar.pieces.size() == 1 ? theme().accent : fills[k];
        const QRectF box(x, y, bar.pieces[k] / most * room, barHeight);
        painter.fillRect(box, fill);
        if (bar.pieces.size() > 1 && patterns[k] != Qt::NoBrush)
          painter.fillRect(box, QBrush(fill.lighter(128), patterns[k]));
        x += box.width();
      }
      painter.drawText(QRectF(width() - valueWide, y - 2, valueWide, barHeight + 4), Qt::AlignRight | Qt::AlignVCenter,
                       side.build ? bar.words : QString("…"));
      y += barHeight + gap;
    }
    y += between;
  }
}

}  // namespace trellis
