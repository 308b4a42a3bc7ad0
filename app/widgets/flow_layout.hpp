// SPDX-License-Identifier: GPL-3.0-or-later
// Widgets one after the other, in as many lines as the width asks for.
#pragma once

#include <QLayout>
#include <QList>

namespace trellis {

class FlowLayout : public QLayout {
 public:
  explicit FlowLayout(int gap) : gap_(gap) { setContentsMargins(0, 0, 0, 0); }
  ~FlowLayout() override { qDeleteAll(items_); }

  void addItem(QLayoutItem* item) override { items_.append(item); }
  int count() const override { return static_cast<int>(items_.size()); }
  QLayoutItem* itemAt(int index) const override { return items_.value(index); }
  QLayoutItem* takeAt(int index) override { return index < count() ? items_.takeAt(index) : nullptr; }
  bool hasHeightForWidth() const override { return true; }
  int heightForWidth(int width) const override { return arrange({0, 0, width, 0}, false); }
  QSize sizeHint() const override { return minimumSize(); }
  QSize minimumSize() const override;
  void setGeometry(const QRect& rect) override;

 private:
  int arrange(const QRect& rect, bool moving) const;  // the height it takes

  QList<QLayoutItem*> items_;
  int gap_;
};

}  // namespace trellis
