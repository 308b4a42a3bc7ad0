// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/wrapping_label.hpp"

#include <QLabel>
#include <QLayout>

namespace trellis {

namespace {

// At once: a layout in a layout hears of a changed label only with the next round of events.
void setWraps(QWidget* card, bool wraps) {
  for (QLabel* label : card->findChildren<QLabel*>()) label->setWordWrap(wraps);
  for (QWidget* row : card->findChildren<QWidget*>())
    if (row->layout()) {
      row->layout()->invalidate();
      row->updateGeometry();
    }
  card->layout()->invalidate();
}

}  // namespace

QLabel* wrappingLabel(const char* look, const QString& words) {
  auto* label = new QLabel(words);
  label->setObjectName(look);
  label->setWordWrap(true);
  label->setMinimumWidth(1);
  return label;
}

void fitWithin(QWidget* card, int room) {
  setWraps(card, false);
  const bool wraps = card->sizeHint().width() > room;
  setWraps(card, wraps);
  if (wraps)
    card->resize(room, card->heightForWidth(room));
  else
    card->resize(card->sizeHint());
}

}  // namespace trellis
