// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/trade_picture.hpp"

#include "app/theme/spoken.hpp"
#include "app/theme/theme.hpp"
#include "core/release/contact_bond.hpp"

#include <QMouseEvent>
#include <QPainter>

#include <algorithm>
#include <cmath>

namespace trellis {

namespace {

constexpr const char* key = "support.gap.above";
constexpr double left = 12, right = 12, top = 26, bottom = 40;  // pixels around the plot
constexpr double widest = 0.5, step = 0.01;                     // mm
constexpr double contact = 100;                                 // mm², flat

}  // namespace

TradePicture::TradePicture(Document& document, View& view, Notes& notes, QWidget* parent)
    : QWidget(parent), document_(document), view_(view), notes_(notes) {
  setObjectName("tradeOff");
  setFocusPolicy(Qt::StrongFocus);
  setMinimumHeight(150);
  setCursor(Qt::SizeHorCursor);
  setAccessibleName(tr("Gap above against removal and underside"));
  setToolTip(
      tr("How hard 100 mm² of flat contact are to part, and how far the first layer over them hangs through, for "
         "every gap above. Drag the dot, or use the arrow keys. Usual figures, not measured on yours."));
  connect(&view, &View::selectionChanged, this, qOverload<>(&QWidget::update));
  connect(&document, &Document::changed, this, qOverload<>(&QWidget::update));
  connect(&notes, &Notes::changed, this, qOverload<>(&QWidget::update));
}

double TradePicture::pixelOf(double gap) const { return left + gap / widest * (width() - left - right); }

double TradePicture::gapAt(double x) const { return (x - left) / (width() - left - right) * widest; }

void TradePicture::setGap(double gap, bool continuing) {
  const double rounded = std::clamp(std::round(gap / step) * step, 0.0, widest);
  if (std::abs(rounded - view_.settingsEdited().number(key)) > step / 2)
    document_.perform(ChangeSetting{key, rounded, view_.editedPart()}, continuing);
}

void TradePicture::mousePressEvent(QMouseEvent* event) {
  if (event->button() == Qt::LeftButton) setGap(gapAt(event->position().x()), false);
}

void TradePicture::mouseMoveEvent(QMouseEvent* event) {
  if (event->buttons() & Qt::LeftButton) setGap(gapAt(event->position().x()), true);
}

void TradePicture::keyPressEvent(QKeyEvent* event) {
  const double gap = view_.settingsEdited().number(key);
  if (event->key() == Qt::Key_Right || event->key() == Qt::Key_Up) return setGap(gap + step, false);
  if (event->key() == Qt::Key_Left || event->key() == Qt::Key_Down) return setGap(gap - step, false);
  QWidget::keyPressEvent(event);
}

void TradePicture::paintEvent(QPaintEvent*) {
  QPainter painter(this);
  painter.setRenderHint(QPainter::Antialiasing);
  const Theme& t = theme();
  const Settings settings = view_.settingsEdited();
  const double now = settings.number(key), ground = height() - bottom, tall = ground - top;
  const double hardest = tradeOffAt(settings, 0, contact).force, deepest = tradeOffAt(settings, widest, contact).sag;
  const auto heightOf = [&](double value, double most) { return ground - value / std::max(most, 1e-9) * tall; };
  QPolygonF force, sag;
  for (double gap = 0; gap <= widest + 1e-9; gap += step) {
    const TradeOff at = tradeOffAt(settings, gap, contact);
    force << QPointF(pixelOf(gap), heightOf(at.force, hardest));
    sag << QPointF(pixelOf(gap), heightOf(at.sag, deepest));
  }
  painter.setPen(QPen(t.rule, 1));
  painter.drawLine(QPointF(left, ground), QPointF(width() - right, ground));
  painter.setPen(QPen(t.ink, 2));
  painter.drawPolyline(force);
  painter.setPen(QPen(t.floating, 2, Qt::DashLine));
  painter.drawPolyline(sag);
  // What really became of rungs: filled where it came off by hand, crossed where it did not come off.
  for (const OutcomeDot& real : dotsOf(notes_.ofThese(), LadderKind::gapAbove)) {
    if (real.figure > widest) continue;
    const QPointF at(pixelOf(real.figure), ground - 8);
    painter.setPen(QPen(t.ink, 1.4));
    painter.setBrush(real.came == CameOff::byHand ? QBrush(t.ink) : QBrush(Qt::NoBrush));
    painter.drawEllipse(at, 4, 4);
    if (real.came == CameOff::stayed) painter.drawLine(at - QPointF(5, 5), at + QPointF(5, 5));
  }
  const TradeOff today = tradeOffAt(settings, std::min(now, widest), contact);
  const QPointF dot(pixelOf(today.gap), heightOf(today.force, hardest));
  painter.setPen(QPen(t.accent, 1));
  painter.drawLine(QPointF(dot.x(), top), QPointF(dot.x(), ground));
  painter.setPen(QPen(hasFocus() ? t.ink : t.panel, 2));
  painter.setBrush(t.accent);
  painter.drawEllipse(dot, 6, 6);
  painter.setPen(t.ink);
  painter.drawText(QRectF(left, 2, width() - left - right, 18), Qt::AlignLeft,
                   tr("— %1 N to part 100 mm²").arg(today.force, 0, 'f', 1));
  painter.setPen(t.floating);
  painter.drawText(QRectF(left, 2, width() - left - right, 18), Qt::AlignRight,
                   tr("-- sags %1 mm").arg(today.sag, 0, 'f', 2));
  painter.setPen(t.quiet);
  painter.drawText(QRectF(left, ground + 2, width() - left - right, 16), Qt::AlignLeft, tr("0"));
  painter.drawText(QRectF(left, ground + 2, width() - left - right, 16), Qt::AlignRight,
                   tr("gap above, %1 mm").arg(widest, 0, 'f', 1));
  painter.setPen(t.ink);
  painter.drawText(QRectF(left, ground + 18, width() - left - right, 18), Qt::AlignHCenter,
                   tr("a gap of %1 mm: %2 underneath").arg(now, 0, 'f', 2).arg(spoken(nameOf(today.scar))));
}

}  // namespace trellis
