// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/wrapping_label.hpp"

#include <QLabel>
#include <QLayout>

namespace trellis {

QLabel* wrappingLabel(const char* look, const QString& words) {
  auto* label = new QLabel(words);
  label->setObjectName(look);
  label->setWordWrap(true);
  label->setMinimumWidth(1);
  return label;
}

void fitWithin(QWidget* card, int room) {
  const auto labels = card->findChildren<QLabel*>();
  for (QLabel* label : labels) label->setWordWrap(false);
  card->layout()->activate();
  const bool wraps = card->sizeHint().width() > room;
  for (QLabel* label : labels) label->setWordWrap(wraps);
  card->layout()->activate();
  if (wraps)
    card->resize(room, card->heightForWidth(room));
  else
    card->resize(card->sizeHint());
}

}  // namespace trellis
