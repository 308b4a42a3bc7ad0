// SPDX-License-Identifier: GPL-3.0-or-later
// The mouse of somebody who has only keys: a cross over the scene. Ctrl and an arrow move it, Return is its left
// button, and it stays pressed for as long as Return is. The scene hears of it what it hears of a mouse.
#pragma once

#include <QEvent>
#include <QWidget>

namespace trellis {

class KeyPointer : public QWidget {
  Q_OBJECT
 public:
  explicit KeyPointer(QWidget* scene);

 private:
  bool eventFilter(QObject* scene, QEvent* event) override;
  bool pressKey(int key, Qt::KeyboardModifiers modifiers);  // whether it is one of its own
  bool moves(int key, Qt::KeyboardModifiers modifiers);
  void pointTo(const QPoint& at);
  void release();
  void send(QEvent::Type type);
  void paintEvent(QPaintEvent* event) override;

  QPoint at_;
  bool pressed_ = false;
  Qt::KeyboardModifiers with_ = Qt::NoModifier;  // while it is pressed
};

}  // namespace trellis
