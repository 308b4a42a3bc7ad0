// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/scene/scene_overlay.hpp"

#include "app/theme/theme.hpp"

#include <QPainter>

namespace trellis {

SceneOverlay::SceneOverlay(Session& session, const Camera& camera, const std::vector<Handle>& handles, QWidget* parent)
    : QWidget(parent), session_(session), camera_(camera), handles_(handles) {
  setAttribute(Qt::WA_TransparentForMouseEvents);
  setAttribute(Qt::WA_NoSystemBackground);
  connect(&session, &Session::projectChanged, this, qOverload<>(&QWidget::update));
}

void SceneOverlay::paintEvent(QPaintEvent*) {
  QPainter painter(this);
  painter.setRenderHint(QPainter::Antialiasing);
  if (camera_.pitch() >= 0) drawFigures(painter);  // from below they would lie over the parts
  drawLetters(painter);
  if (session_.project()->parts.empty()) drawHint(painter);
}

// Millimetres along the two plate edges nearest to the eye.
void SceneOverlay::drawFigures(QPainter& painter) {
  const double width = session_.settings().number("machine.width"), depth = session_.settings().number("machine.depth");
  const Vec3 eye = camera_.eye();
  const double nearY = eye.y() < depth / 2 ? 0 : depth, nearX = eye.x() < width / 2 ? 0 : width;
  painter.setPen(theme().quiet);
  QFont small = font();
  small.setPixelSize(11);
  painter.setFont(small);
  const auto figure = [&](const Vec3& at, double value) {
    if (const auto pixel = camera_.pixelOf(at))
      painter.drawText(QRectF(pixel->x() - 20, pixel->y() - 8, 40, 16), Qt::AlignCenter, QString::number(value));
  };
  for (double x = 0; x <= width; x += 50) figure({x, nearY + (nearY > 0 ? 6 : -6), 0}, x);
  for (double y = 50; y <= depth; y += 50) figure({nearX + (nearX > 0 ? 8 : -8), y, 0}, y);
}

// Beside each handle, what it changes.
void SceneOverlay::drawLetters(QPainter& painter) {
  QFont bold = font();
  bold.setBold(true);
  painter.setFont(bold);
  painter.setPen(theme().accent);
  for (const Handle& handle : handles_) {
    if (handle.kind == Handle::turn || handle.kind == Handle::stretch) continue;
    if (const auto pixel = camera_.pixelOf(handle.label))
      painter.drawText(QRectF(pixel->x() - 20, pixel->y() - 9, 40, 18), Qt::AlignCenter, handle.kind == Handle::scale ? tr("size") : QString("xyz").mid(handle.axis, 1));
  }
}

void SceneOverlay::drawHint(QPainter& painter) {
  const QRectF card(width() / 2.0 - 190, height() / 2.0 - 60, 380, 110);
  painter.setPen(theme().rule);
  painter.setBrush(theme().panel);
  painter.drawRoundedRect(card, 8, 8);
  painter.setPen(theme().ink);
  QFont large = font();
  large.setPixelSize(16);
  painter.setFont(large);
  painter.drawText(card.adjusted(16, 18, -16, -60), Qt::AlignHCenter | Qt::AlignTop, tr("Drop a part here"));
  painter.setFont(font());
  painter.setPen(theme().quiet);
  painter.drawText(card.adjusted(16, 48, -16, -10), Qt::AlignHCenter | Qt::AlignTop | Qt::TextWordWrap,
                   tr("a mesh (STL, OBJ, PLY, OFF, 3MF, AMF) or a saved project. Or open one with Ctrl+O, or try the demo parts from the File menu."));
}

}  // namespace trellis
