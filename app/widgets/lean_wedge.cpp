// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/lean_wedge.hpp"

#include "app/theme/spoken.hpp"
#include "app/theme/theme.hpp"
#include "core/base/types.hpp"

#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>

#include <cmath>

namespace trellis {

namespace {

constexpr double barsTall = 58;  // pixels, below the wedge

}  // namespace

LeanWedge::LeanWedge(Document& document, View& view, QWidget* parent)
    : QWidget(parent), document_(document), view_(view) {
  setFocusPolicy(Qt::StrongFocus);
  setMinimumHeight(206);
  setCursor(Qt::SizeAllCursor);
  setToolTip(spoken(settingRow("support.free_lean").help));
  connect(&view, &View::selectionChanged, this, qOverload<>(&QWidget::update));
  connect(&document, &Document::changed, this, qOverload<>(&QWidget::update));
}

QPointF LeanWedge::corner() const { return {width() * 0.30, height() - barsTall - 30.0}; }

double LeanWedge::reach() const { return height() - barsTall - 56.0; }

void LeanWedge::setLean(double lean, bool continuing) {
  const double whole = std::clamp(std::round(lean), 0.0, 89.0);
  if (whole != view_.settingsEdited().number("support.free_lean"))
    document_.perform(ChangeSetting{"support.free_lean", whole, view_.editedPart()}, continuing);
}

void LeanWedge::dragTo(const QPointF& pixel, bool begins) {
  const QPointF d = pixel - corner();
  setLean(toDegrees(std::atan2(std::max(0.0, d.x()), std::max(1e-6, -d.y()))), !begins);
}

void LeanWedge::mousePressEvent(QMouseEvent* event) {
  if (event->button() == Qt::LeftButton) dragTo(event->position(), true);
}

void LeanWedge::mouseMoveEvent(QMouseEvent* event) {
  if (event->buttons() & Qt::LeftButton) dragTo(event->position(), false);
}

void LeanWedge::keyPressEvent(QKeyEvent* event) {
  const double lean = view_.settingsEdited().number("support.free_lean");
  if (event->key() == Qt::Key_Right || event->key() == Qt::Key_Up) return setLean(lean + 1, false);
  if (event->key() == Qt::Key_Left || event->key() == Qt::Key_Down) return setLean(lean - 1, false);
  QWidget::keyPressEvent(event);
}

void LeanWedge::paintEvent(QPaintEvent*) {
  QPainter painter(this);
  painter.setRenderHint(QPainter::Antialiasing);
  const Theme& t = theme();
  const double lean = view_.settingsEdited().number("support.free_lean");
  const QPointF at = corner();
  const double r = reach();
  const auto along = [&](double degrees, double length) {
    return at + QPointF(std::sin(toRadians(degrees)), -std::cos(toRadians(degrees))) * length;
  };
  // What prints freely, from the wall to the free lean; what hangs, from there to the ceiling.
  const auto fan = [&](double from, double to, const QColor& colour) {
    QPainterPath path(at);
    for (int k = 0; k <= 24; ++k) path.lineTo(along(from + (to - from) * k / 24, r));
    path.closeSubpath();
    painter.fillPath(path, colour);
  };
  fan(0, lean, t.part);
  for (double angle = lean; angle < 90; angle += 3) {
    const double share = (angle - lean) / std::max(1.0, 90 - lean);
    const auto mix = [&](double low, double high) { return static_cast<int>(low + (high - low) * share); };
    fan(angle, std::min(angle + 3, 90.0),
        QColor(mix(t.hangingLow.red(), t.hangingHigh.red()), mix(t.hangingLow.green(), t.hangingHigh.green()),
               mix(t.hangingLow.blue(), t.hangingHigh.blue())));
  }
  painter.setPen(QPen(t.rule.darker(125), 1.5));
  painter.drawLine(QPointF(12, at.y()), QPointF(width() - 12.0, at.y()));
  painter.setPen(QPen(t.quiet, 1, Qt::DashLine));
  painter.drawLine(at, along(0, r + 12));
  painter.setPen(QPen(t.accent, hasFocus() ? 4 : 3));
  painter.drawLine(at, along(lean, r + 6));
  painter.setBrush(t.accent);
  painter.setPen(Qt::NoPen);
  painter.drawEllipse(along(lean, r + 6), 7, 7);
  painter.setPen(t.ink);
  QFont bold = font();
  bold.setBold(true);
  painter.setFont(bold);
  painter.drawText(QRectF(at.x(), 8, width() - at.x() - 4, 18), Qt::AlignRight, tr("%1° from the wall").arg(lean));
  painter.setFont(font());
  painter.setPen(t.quiet);
  painter.drawText(QRectF(at.x(), 28, width() - at.x() - 4, 18), Qt::AlignRight,
                   tr("%1° from the plate").arg(90 - lean));
  painter.drawText(QRectF(0, at.y() + 6, at.x() - 6, 18), Qt::AlignRight, tr("plate"));
  painter.save();
  painter.translate(at.x() - 8, at.y() - r / 2);
  painter.rotate(-90);
  painter.drawText(QRectF(-60, -14, 120, 16), Qt::AlignCenter, tr("upright wall"));
  painter.restore();
  painter.drawText(QRectF(at.x() + r + 8, at.y() - 20, 90, 18), Qt::AlignLeft, tr("ceiling"));
  paintBars(painter, lean);
}

void LeanWedge::paintBars(QPainter& painter, double lean) const {
  const Theme& t = theme();
  const double third = width() / 3.0, ground = height() - 22.0, length = 30;
  int column = 0;
  for (const double bar : {20.0, 45.0, 70.0}) {
    const bool hangs = bar > lean;
    const QPointF foot(third * column + third / 2 - length * std::sin(toRadians(bar)) / 2, ground);
    const QPointF tip = foot + QPointF(std::sin(toRadians(bar)), -std::cos(toRadians(bar))) * length;
    painter.setPen(QPen(t.rule.darker(125), 1.2));
    painter.drawLine(QPointF(third * column + 8, ground), QPointF(third * (column + 1) - 8, ground));
    if (hangs) {  // the support it would get
      painter.setPen(QPen(t.body, 1.5));
      for (double share = 0.35; share < 1; share += 0.2) {
        const QPointF under = foot + (tip - foot) * share;
        painter.drawLine(under + QPointF(0, 6), QPointF(under.x(), ground - 1));
      }
    }
    painter.setPen(QPen(hangs ? t.hangingHigh : t.part.darker(115), 7, Qt::SolidLine, Qt::FlatCap));
    painter.drawLine(foot, tip);
    painter.setPen(hangs ? t.ink : t.quiet);
    painter.drawText(QRectF(third * column, ground + 3, third, 18), Qt::AlignCenter,
                     hangs ? tr("%1° is held up").arg(bar) : tr("%1° prints").arg(bar));
    ++column;
  }
}

}  // namespace trellis
