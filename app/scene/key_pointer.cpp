// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/scene/key_pointer.hpp"
#include "app/theme/theme.hpp"

#include <QCoreApplication>
#include <QMouseEvent>
#include <QPainter>

#include <algorithm>

namespace trellis {

namespace {

constexpr int arm = 14, gap = 4;  // pixels of the cross, and of its open middle
constexpr int step = 10;          // pixels; one with Shift

bool isReturn(int key) { return key == Qt::Key_Return || key == Qt::Key_Enter; }

}  // namespace

KeyPointer::KeyPointer(QWidget* scene) : QWidget(scene) {
  setObjectName("keyPointer");
  setAttribute(Qt::WA_TransparentForMouseEvents);
  setFixedSize(2 * arm + 1, 2 * arm + 1);
  hide();
  scene->installEventFilter(this);
}

bool KeyPointer::eventFilter(QObject* scene, QEvent* event) {
  switch (event->type()) {
    case QEvent::KeyPress: {
      const auto* key = static_cast<QKeyEvent*>(event);
      return (key->isAutoRepeat() && isReturn(key->key())) || pressKey(key->key(), key->modifiers());
    }
    case QEvent::KeyRelease: {
      const auto* key = static_cast<QKeyEvent*>(event);
      if (!isReturn(key->key()) || !pressed_) return false;
      if (!key->isAutoRepeat()) release();
      return true;
    }
    case QEvent::MouseMove:
      if (event->spontaneous() && !pressed_) hide();  // a hand is on the mouse
      return false;
    case QEvent::FocusOut:
      if (pressed_) release();
      hide();
      return false;
    default:
      return QWidget::eventFilter(scene, event);
  }
}

bool KeyPointer::pressKey(int key, Qt::KeyboardModifiers modifiers) {
  modifiers &= Qt::ShiftModifier | Qt::ControlModifier | Qt::AltModifier;
  if (modifiers & Qt::ControlModifier) return moves(key, modifiers);
  if (!isReturn(key) || modifiers & Qt::AltModifier) return false;
  if (!isVisible()) {  // nothing is done where nobody sees it
    pointTo(parentWidget()->rect().center());
    return true;
  }
  pointTo(at_);
  with_ = modifiers;
  pressed_ = true;
  send(QEvent::MouseButtonPress);
  return true;
}

bool KeyPointer::moves(int key, Qt::KeyboardModifiers modifiers) {
  const int far = modifiers & Qt::ShiftModifier ? 1 : step;
  const QPoint by = key == Qt::Key_Left    ? QPoint(-far, 0)
                    : key == Qt::Key_Right ? QPoint(far, 0)
                    : key == Qt::Key_Up    ? QPoint(0, -far)
                    : key == Qt::Key_Down  ? QPoint(0, far)
                                           : QPoint();
  if (by.isNull()) return false;
  pointTo(isVisible() ? at_ + by : parentWidget()->rect().center());
  return true;
}

void KeyPointer::pointTo(const QPoint& at) {
  const QRect scene = parentWidget()->rect();
  at_ = {std::clamp(at.x(), scene.left(), scene.right()), std::clamp(at.y(), scene.top(), scene.bottom())};
  move(at_ - QPoint(arm, arm));
  show();
  raise();
  send(QEvent::MouseMove);
}

void KeyPointer::release() {
  pressed_ = false;
  send(QEvent::MouseButtonRelease);
  with_ = Qt::NoModifier;
}

void KeyPointer::send(QEvent::Type type) {
  const Qt::MouseButton button = type == QEvent::MouseMove ? Qt::NoButton : Qt::LeftButton;
  QMouseEvent event(type, at_, parentWidget()->mapToGlobal(QPointF(at_)), button,
                    pressed_ ? Qt::LeftButton : Qt::NoButton, with_);
  QCoreApplication::sendEvent(parentWidget(), &event);
}

void KeyPointer::paintEvent(QPaintEvent*) {
  QPainter painter(this);
  for (const auto& [colour, width] : {std::pair(theme().paper, 4), std::pair(theme().ink, 2)}) {
    painter.setPen(QPen(colour, width));
    for (const QPoint& way : {QPoint(1, 0), QPoint(-1, 0), QPoint(0, 1), QPoint(0, -1)})
      painter.drawLine(QPoint(arm, arm) + way * gap, QPoint(arm, arm) + way * arm);
  }
}

}  // namespace trellis
