// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/field_manners.hpp"

#include <QAbstractButton>
#include <QAbstractSlider>
#include <QAbstractSpinBox>
#include <QApplication>
#include <QComboBox>
#include <QDoubleSpinBox>
#include <QKeyEvent>
#include <QLabel>
#include <QLineEdit>
#include <QScrollBar>
#include <QTimer>

namespace trellis {

namespace {

// The field an event is for: a line within a spin box is that spin box.
QWidget* fieldOf(QObject* watched) {
  auto* widget = qobject_cast<QWidget*>(watched);
  if (!widget) return nullptr;
  if (qobject_cast<QLineEdit*>(widget) && qobject_cast<QAbstractSpinBox*>(widget->parentWidget()))
    return widget->parentWidget();
  const bool turns = qobject_cast<QAbstractSpinBox*>(widget) || qobject_cast<QComboBox*>(widget) ||
                     (qobject_cast<QAbstractSlider*>(widget) && !qobject_cast<QScrollBar*>(widget));
  return turns || qobject_cast<QLineEdit*>(widget) ? widget : nullptr;
}

// The label right before it in its row.
QString labelBefore(const QWidget* widget) {
  const QLabel* last = nullptr;
  for (const QObject* sibling : widget->parentWidget()->children()) {
    if (sibling == widget) break;
    if (const auto* label = qobject_cast<const QLabel*>(sibling); label && !label->text().isEmpty()) last = label;
  }
  return last ? last->text() : QString();
}

// What a screen reader says of it: its own words, or those of its label, or the first sentence of its help.
void nameIt(QWidget* widget) {
  if (!widget->accessibleName().isEmpty() || !(widget->focusPolicy() & Qt::TabFocus)) return;
  if (const auto* button = qobject_cast<QAbstractButton*>(widget); button && !button->text().isEmpty()) return;
  const QString label = widget->parentWidget() ? labelBefore(widget) : QString();
  QString help = widget->toolTip();
  for (const QWidget* up = widget->parentWidget(); help.isEmpty() && up; up = up->parentWidget()) help = up->toolTip();
  const QString words = !label.isEmpty() ? label : help.section('.', 0, 0);
  widget->setAccessibleName(!words.isEmpty() ? words : widget->objectName());
}

}  // namespace

FieldManners::FieldManners(QWidget* root, QWidget* keys) : QObject(root), root_(root), keys_(keys) {
  qApp->installEventFilter(this);
  for (QWidget* widget : root->findChildren<QWidget*>()) nameIt(widget);
}

bool FieldManners::isOurs(const QWidget* widget) const { return root_->isAncestorOf(widget); }

// After whatever the event still does.
void FieldManners::giveBack() const {
  QTimer::singleShot(0, keys_, [keys = keys_] { keys->setFocus(Qt::OtherFocusReason); });
}

bool FieldManners::eventFilter(QObject* watched, QEvent* event) {
  if (event->type() == QEvent::Show)  // what was not there before
    if (auto* widget = qobject_cast<QWidget*>(watched); widget && isOurs(widget)) nameIt(widget);
  if (event->type() != QEvent::Wheel && event->type() != QEvent::KeyPress && event->type() != QEvent::FocusIn &&
      event->type() != QEvent::ShortcutOverride && event->type() != QEvent::MouseButtonDblClick)
    return false;
  QWidget* field = fieldOf(watched);
  if (!field || !isOurs(field)) return false;
  if (event->type() == QEvent::ShortcutOverride) {  // in a field, Escape is the field's
    if (static_cast<QKeyEvent*>(event)->key() != Qt::Key_Escape) return false;
    event->accept();
    return true;
  }
  if (event->type() == QEvent::MouseButtonDblClick) {  // a figure is one word, whatever points it has in it
    auto* box = qobject_cast<QAbstractSpinBox*>(field);
    if (!box || watched == box) return false;  // not on its arrows
    box->selectAll();
    return true;
  }
  if (event->type() == QEvent::Wheel) {
    if (field->hasFocus()) return false;
    event->ignore();  // so that it goes on to what scrolls
    return true;
  }
  if (event->type() == QEvent::FocusIn) {
    auto* combo = qobject_cast<QComboBox*>(field);
    if (combo && !combo->property("givesBack").toBool()) {
      combo->setProperty("givesBack", true);
      connect(combo, &QComboBox::activated, this, [this] { giveBack(); });
    }
    return false;
  }
  const int key = static_cast<QKeyEvent*>(event)->key();
  if (key == Qt::Key_Return || key == Qt::Key_Enter) giveBack();
  if (key == Qt::Key_Escape) {  // as it was before it was typed in
    if (auto* box = qobject_cast<QDoubleSpinBox*>(field)) box->setValue(box->value());
    giveBack();
    return true;
  }
  return false;
}

}  // namespace trellis
