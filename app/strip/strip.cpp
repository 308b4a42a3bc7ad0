// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/strip/strip.hpp"

#include "app/theme/theme.hpp"

#include <QMouseEvent>
#include <QPainter>

#include <cmath>

namespace trellis {

namespace {

constexpr int marginTop = 34, marginBottom = 26, chartLeft = 36, chartRight = 26;

}  // namespace

Strip::Strip(Session& session, QWidget* parent) : QFrame(parent), session_(session) {
  setObjectName("strip");
  setMinimumWidth(96);
  setMaximumWidth(260);
  setToolTip(tr("The print stood upright: part and support area at every height. Drag the handles to show some "
                "layers only; the wheel steps one layer, with Shift ten."));
  connect(&session, &Session::shownChanged, this, [this] {
    measure();
    update();
  });
  connect(&session, &Session::rangeChanged, this, qOverload<>(&QWidget::update));
  playing_.setInterval(60);
  connect(&playing_, &QTimer::timeout, this, [this] {
    if (session_.range().second >= session_.height() - 1e-6)
      playing_.stop();
    else
      step(1);
  });
}

void Strip::measure() {
  levels_.clear();
  widest_ = 1;
  const Shown& shown = session_.shown();
  if (!shown.build) return;
  for (std::size_t i = 0; i < shown.build->plan.count(); ++i) {
    Level level{shown.build->plan.spans[i].bottom, shown.build->plan.spans[i].top, 0, 0};
    for (const PartBuild& part : shown.build->parts)
      if (i < part.sections->size()) level.part += area((*part.sections)[i]);
    levels_.push_back(level);
  }
  for (const SupportLayer& layer : shown.build->support->layers) {
    const double middle = (layer.bottom + layer.top) / 2;
    const auto at = std::find_if(levels_.begin(), levels_.end(), [&](const Level& level) { return middle < level.top; });
    if (at == levels_.end()) continue;
    for (const PieceRegion& region : layer.regions) at->support += area(region.area);
  }
  for (const Level& level : levels_) widest_ = std::max(widest_, level.part + level.support);
}

double Strip::top() const { return std::max(10.0, session_.height()); }

double Strip::pixelOf(double z) const { return height() - marginBottom - z / top() * (height() - marginTop - marginBottom); }

double Strip::heightAt(double pixel) const {
  return std::clamp((height() - marginBottom - pixel) / (height() - marginTop - marginBottom), 0.0, 1.0) * top();
}

double Strip::snapped(double z) const {
  const Shown& shown = session_.shown();
  if (!shown.build || shown.build->print.layers.empty()) return z;
  double best = 0;
  for (const auto& layer : shown.build->print.layers)
    if (std::abs(layer->top - z) < std::abs(best - z)) best = layer->top;
  return best;
}

void Strip::step(int layers) {
  const Shown& shown = session_.shown();
  if (!shown.build || shown.build->print.layers.empty()) return;
  const auto& all = shown.build->print.layers;
  const double now = std::min(session_.range().second, session_.height());
  std::ptrdiff_t at = 0;
  while (at + 1 < static_cast<std::ptrdiff_t>(all.size()) && all[static_cast<std::size_t>(at)]->top < now - 1e-6) ++at;
  at = std::clamp<std::ptrdiff_t>(at + layers, 0, static_cast<std::ptrdiff_t>(all.size()) - 1);
  session_.setRange(session_.range().first, all[static_cast<std::size_t>(at)]->top);
}

void Strip::play() {
  if (playing_.isActive()) return playing_.stop();
  if (session_.range().second >= session_.height() - 1e-6) session_.setRange(session_.range().first, snapped(session_.range().first + 0.2));
  playing_.start();
}

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
  drawSymbols(painter);
  drawHandles(painter);
  if (band_) {
    QColor shade = session_.brush().mark == Mark::block ? theme().block : theme().enforce;
    shade.setAlpha(110);
    const double a = pixelOf(band_->first), b = pixelOf(band_->second);
    painter.fillRect(QRectF(chartLeft, std::min(a, b), width() - chartLeft - 8, std::abs(a - b)), shade);
  }
}

void Strip::drawChart(QPainter& painter) {
  const double room = width() - chartLeft - chartRight;
  const auto [low, high] = session_.range();
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

void Strip::drawSymbols(QPainter& painter) {
  const Shown& shown = session_.shown();
  if (!shown.build) return;
  for (const PartBuild& part : shown.build->parts) {
    for (std::size_t i = 0; i < part.plan.count(); ++i) {
      const double y = pixelOf(part.plan.spans[i].top), tall = std::max(2.0, pixelOf(part.plan.spans[i].bottom) - y);
      if (!part.shadows->enforced[i].empty()) painter.fillRect(QRectF(width() - 22, y, 5, tall), theme().enforce);
      if (!part.shadows->blocked[i].empty()) painter.fillRect(QRectF(width() - 15, y, 5, tall), theme().block);
    }
    painter.setPen(Qt::NoPen);
    painter.setBrush(theme().floating);
    double lastY = 1e9;
    for (const FloatingStart& start : part.overhangs->starts) {
      const double y = pixelOf(start.at.z());
      if (lastY - y < 9) continue;  // a bunch of them is one symbol
      lastY = y;
      const QPointF middle(chartLeft + 6, y);
      painter.drawPolygon(QPolygonF({middle + QPointF(0, -5), middle + QPointF(5, 0), middle + QPointF(0, 5), middle + QPointF(-5, 0)}));
    }
  }
}

void Strip::drawHandles(QPainter& painter) {
  const double high = std::min(session_.range().second, top()), low = session_.range().first;
  for (const double z : {low, high}) {
    const double y = pixelOf(z);
    painter.setPen(QPen(theme().accent, 2));
    painter.drawLine(QPointF(chartLeft - 4, y), QPointF(width() - 9, y));
    painter.setBrush(theme().accent);
    painter.setPen(Qt::NoPen);
    painter.drawEllipse(QPointF(width() - 9, y), 5.5, 5.5);
  }
  const Shown& shown = session_.shown();
  if (!shown.build || shown.build->print.layers.empty()) return;
  std::size_t index = 0;
  while (index + 1 < shown.build->print.layers.size() && shown.build->print.layers[index]->top < high - 1e-6) ++index;
  painter.setPen(theme().accent);
  painter.drawText(QRectF(4, 6, width() - 8, 16), Qt::AlignHCenter, tr("layer %1 · %2 mm").arg(index + 1).arg(shown.build->print.layers[index]->top, 0, 'f', 2));
}

void Strip::mousePressEvent(QMouseEvent* event) {
  if (event->button() != Qt::LeftButton) return;
  const double y = event->position().y();
  if (session_.brush().tool == Tool::band && session_.selectedPart() >= 0) {
    band_ = {heightAt(y), heightAt(y)};
    return;
  }
  draggingHigh_ = std::abs(y - pixelOf(std::min(session_.range().second, top()))) <= std::abs(y - pixelOf(session_.range().first));
  mouseMoveEvent(event);
}

void Strip::mouseMoveEvent(QMouseEvent* event) {
  if (!(event->buttons() & Qt::LeftButton) || levels_.empty()) return;
  if (band_) {
    band_->second = heightAt(event->position().y());
    return update();
  }
  const double z = snapped(heightAt(event->position().y()));
  const auto [low, high] = session_.range();
  if (draggingHigh_)
    session_.setRange(low, std::max(z, low + 1e-3));
  else
    session_.setRange(std::min(z, high - 1e-3), high);
}

// A band laid on the strip is one stroke over the selected part.
void Strip::mouseReleaseEvent(QMouseEvent*) {
  if (!band_) return;
  const auto [low, high] = std::minmax(band_->first, band_->second);
  const BandStroke stroke{low, high};
  band_.reset();
  update();
  if (stroke.to - stroke.from < 0.05) return;
  LayMark mark{session_.selection().back(), session_.brush().mark, stroke};
  mark.rules.keepToOverhangs = session_.brush().keepToOverhangs;
  session_.perform(mark);
}

void Strip::wheelEvent(QWheelEvent* event) {
  const int notches = event->angleDelta().y() > 0 ? 1 : -1;
  step(notches * (event->modifiers() & Qt::ShiftModifier ? 10 : 1));
}

}  // namespace trellis
