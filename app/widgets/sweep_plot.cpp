// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/sweep_plot.hpp"

#include "app/theme/spoken.hpp"
#include "app/theme/theme.hpp"

#include <QKeyEvent>
#include <QLocale>
#include <QMouseEvent>
#include <QPainter>

#include <algorithm>
#include <cmath>

namespace trellis {

namespace {

constexpr double left = 44, right = 12, top = 12, bottom = 34, reach = 10;  // pixels

QString nameOf(const std::string& key) {
  for (const FigureRow& row : figureRows())
    if (key == row.key) return spoken(row.label) + (*row.unit ? QString(", ") + row.unit : QString());
  return {};
}

}  // namespace

SweepPlot::SweepPlot(const Sweeper& sweeper, QWidget* parent) : QWidget(parent), sweeper_(sweeper) {
  setObjectName("sweepPlot");
  setMinimumHeight(210);
  setFocusPolicy(Qt::StrongFocus);
  setAccessibleName(tr("Combinations by two figures"));
  setToolTip(
      tr("Each dot is one combination; those joined are beaten by none. Click one to look at it, click it again to "
         "keep it as a variant. The arrow keys go from one to the next, Enter keeps."));
  connect(&sweeper, &Sweeper::changed, this, [this] {
    if (chosen_ >= static_cast<int>(sweeper_.results().size())) chosen_ = -1;
    update();
  });
}

const std::string& SweepPlot::row(std::size_t axis) const {
  const auto& want = sweeper_.spec().want;
  return want[std::min(axis, want.size() - 1)].row;
}

std::pair<double, double> SweepPlot::rangeOf(std::size_t axis) const {
  double low = 1e300, high = -1e300;
  for (const SweepResult& result : sweeper_.results())
    if (isKnown(result)) {
      low = std::min(low, result.figures.at(row(axis)));
      high = std::max(high, result.figures.at(row(axis)));
    }
  const double margin = std::max(0.05 * (high - low), 1e-3);
  return {low - margin, high + margin};
}

QPointF SweepPlot::pixelOf(std::size_t combination) const {
  const SweepResult& result = sweeper_.results()[combination];
  if (!isKnown(result)) return {-1e6, -1e6};
  const auto [x0, x1] = rangeOf(0);
  const auto [y0, y1] = rangeOf(1);
  return {left + (result.figures.at(row(0)) - x0) / (x1 - x0) * (width() - left - right),
          height() - bottom - (result.figures.at(row(1)) - y0) / (y1 - y0) * (height() - top - bottom)};
}

void SweepPlot::choose(int combination) {
  chosen_ = combination;
  update();
  Q_EMIT chosenChanged(combination);
}

void SweepPlot::paintEvent(QPaintEvent*) {
  QPainter painter(this);
  painter.setRenderHint(QPainter::Antialiasing);
  painter.fillRect(rect(), theme().sheet);
  QFont small = font();
  small.setPixelSize(11);
  painter.setFont(small);
  painter.setPen(theme().rule);
  painter.drawRect(QRectF(left, top, width() - left - right, height() - top - bottom));
  if (sweeper_.results().empty() || sweeper_.spec().want.empty() || sweeper_.done() == 0) return;
  painter.setPen(theme().quiet);
  painter.drawText(QRectF(left, height() - 17, width() - left - right, 15), Qt::AlignHCenter, nameOf(row(0)));
  painter.save();
  painter.rotate(-90);
  painter.drawText(QRectF(-height() + bottom, 1, height() - top - bottom, 14), Qt::AlignHCenter, nameOf(row(1)));
  painter.restore();
  const auto figure = [](double v) { return QLocale().toString(v, 'g', 4); };
  const auto [x0, x1] = rangeOf(0);
  const auto [y0, y1] = rangeOf(1);
  painter.drawText(QRectF(left, height() - bottom + 2, 60, 14), Qt::AlignLeft, figure(x0));
  painter.drawText(QRectF(width() - right - 60, height() - bottom + 2, 60, 14), Qt::AlignRight, figure(x1));
  painter.drawText(QRectF(14, height() - bottom - 14, left - 17, 14), Qt::AlignRight, figure(y0));
  painter.drawText(QRectF(14, top, left - 17, 14), Qt::AlignRight, figure(y1));
  const std::vector<std::size_t> front = nonDominated(sweeper_.spec(), sweeper_.results());
  std::vector<QPointF> joined;
  for (const std::size_t i : front) joined.push_back(pixelOf(i));
  std::sort(joined.begin(), joined.end(),
            [](const QPointF& a, const QPointF& b) { return std::pair(a.x(), b.y()) < std::pair(b.x(), a.y()); });
  painter.setPen(QPen(theme().accent, 1.4));
  painter.drawPolyline(QPolygonF(QList<QPointF>(joined.begin(), joined.end())));
  for (std::size_t i = 0; i < sweeper_.results().size(); ++i) {
    const SweepResult& result = sweeper_.results()[i];
    if (!isKnown(result)) continue;
    const bool unbeaten = std::binary_search(front.begin(), front.end(), i),
               allowed = isAllowed(sweeper_.spec(), result);
    painter.setPen(QPen(unbeaten ? theme().accent : theme().quiet, 1.4));
    painter.setBrush(unbeaten ? QBrush(theme().accent) : QBrush(theme().sheet));
    const QPointF at = pixelOf(i);
    if (!allowed) {  // beyond a limit: a cross
      painter.drawLine(at - QPointF(3, 3), at + QPointF(3, 3));
      painter.drawLine(at - QPointF(3, -3), at + QPointF(3, -3));
    } else {
      painter.drawEllipse(at, 3.6, 3.6);
    }
    if (static_cast<int>(i) != chosen_) continue;
    painter.setBrush(Qt::NoBrush);
    painter.setPen(QPen(theme().ink, 1.6));
    painter.drawEllipse(at, 7, 7);
  }
}

void SweepPlot::mousePressEvent(QMouseEvent* event) {
  int nearest = -1;
  double least = reach;
  for (std::size_t i = 0; i < sweeper_.results().size(); ++i) {
    const QPointF away = pixelOf(i) - event->position();
    if (const double distance = std::hypot(away.x(), away.y()); distance < least) {
      least = distance;
      nearest = static_cast<int>(i);
    }
  }
  if (nearest < 0) return;
  if (nearest == chosen_) return Q_EMIT keptAsked(nearest);
  choose(nearest);
}

void SweepPlot::keyPressEvent(QKeyEvent* event) {
  const int step = event->key() == Qt::Key_Right ? 1 : event->key() == Qt::Key_Left ? -1 : 0;
  if ((event->key() == Qt::Key_Return || event->key() == Qt::Key_Enter) && chosen_ >= 0)
    return Q_EMIT keptAsked(chosen_);
  if (step == 0) return QWidget::keyPressEvent(event);
  std::vector<std::pair<double, int>> order;  // by what is across
  for (std::size_t i = 0; i < sweeper_.results().size(); ++i)
    if (isKnown(sweeper_.results()[i])) order.emplace_back(pixelOf(i).x(), static_cast<int>(i));
  if (order.empty()) return;
  std::stable_sort(order.begin(), order.end());
  const auto now = std::find_if(order.begin(), order.end(), [&](const auto& one) { return one.second == chosen_; });
  const std::ptrdiff_t at = now == order.end() ? (step > 0 ? -1 : std::ssize(order)) : now - order.begin();
  choose(order[static_cast<std::size_t>(std::clamp<std::ptrdiff_t>(at + step, 0, std::ssize(order) - 1))].second);
}

}  // namespace trellis
