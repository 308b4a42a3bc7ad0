// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/wrapping_label.hpp"

#include <QLabel>

namespace trellis {

QLabel* wrappingLabel(const char* look, const QString& words) {
  auto* label = new QLabel(words);
  label->setObjectName(look);
  label->setWordWrap(true);
  label->setMinimumWidth(1);
  return label;
}

}  // namespace trellis
