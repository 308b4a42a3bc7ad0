// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/flow_layout.hpp"

#include <algorithm>

namespace trellis {

QSize FlowLayout::minimumSize() const {
  QSize size;
  for (const QLayoutItem* item : items_) size = size.expandedTo({1, item->minimumSize().height()});
  return size;
}

void FlowLayout::setGeometry(const QRect& rect) {
  QLayout::setGeometry(rect);
  arrange(rect, true);
}

int FlowLayout::arrange(const QRect& rect, bool moving) const {
  int x = rect.x(), y = rect.y(), high = 0;
  for (QLayoutItem* item : items_) {
    const QSize size(std::min(item->sizeHint().width(), rect.width()), item->sizeHint().height());
    if (x > rect.x() && x + size.width() > rect.right() + 1) {
      x = rect.x();
      y += high + gap_;
      high = 0;
    }
    if (moving) item->setGeometry({QPoint(x, y), size});
    x += size.width() + gap_;
    high = std::max(high, size.height());
  }
  return y + high - rect.y();
}

}  // namespace trellis
