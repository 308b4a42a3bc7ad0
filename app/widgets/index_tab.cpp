// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/index_tab.hpp"

#include "app/theme/theme.hpp"

#include <QPainter>

namespace trellis {

IndexTab::IndexTab(const QString& name, const QString& key, QWidget* parent) : QAbstractButton(parent) {
  setText(name);
  setToolTip(name + "  (" + key + ")");
  setCheckable(true);
  setFocusPolicy(Qt::TabFocus);
  setFixedWidth(sizeHint().width());
  setSizePolicy(QSizePolicy::Fixed, QSizePolicy::Preferred);
  setMinimumHeight(fontMetrics().horizontalAdvance(name) + 16);  // in a low window all six come closer
  setMaximumHeight(sizeHint().height());
}

void IndexTab::paintEvent(QPaintEvent*) {
  QPainter painter(this);
  painter.setRenderHint(QPainter::Antialiasing);
  const QRectF box = QRectF(rect()).adjusted(isChecked() ? -8 : -8, 0.5, isChecked() ? -1 : -7, -0.5);
  painter.setPen(theme().rule);
  painter.setBrush(isChecked() ? theme().panel : theme().paper.darker(104));
  painter.drawRoundedRect(box, 6, 6);
  if (isChecked()) painter.fillRect(QRectF(0, 8, 3, height() - 16), theme().accent);
  painter.setPen(isChecked() ? theme().ink : theme().quiet);
  if (hasFocus()) painter.setPen(theme().accent);
  painter.translate(isChecked() ? width() / 2.0 : width() / 2.0 - 4, height() / 2.0);
  painter.rotate(90);
  painter.drawText(QRectF(-height() / 2.0, -12, height(), 24), Qt::AlignCenter, text());
}

}  // namespace trellis
