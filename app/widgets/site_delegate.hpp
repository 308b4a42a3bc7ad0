// SPDX-License-Identifier: GPL-3.0-or-later
// One site as a row: its shadow from above, its figures, its price, and the three choices.
#pragma once

#include <QStyledItemDelegate>

namespace trellis {

class SiteProxy;
enum class Choice;

class SiteDelegate : public QStyledItemDelegate {
  Q_OBJECT
 public:
  explicit SiteDelegate(const SiteProxy& sites, QObject* parent = nullptr)
      : QStyledItemDelegate(parent), sites_(sites) {}
  void paint(QPainter* painter, const QStyleOptionViewItem& option, const QModelIndex& index) const override;
  QSize sizeHint(const QStyleOptionViewItem& option, const QModelIndex& index) const override;
  static QRectF choiceBox(const QRect& row, int which);  // where a row's choice is drawn and clicked

 Q_SIGNALS:
  void chosen(const QModelIndex& index, Choice choice);

 protected:
  bool editorEvent(QEvent* event, QAbstractItemModel* model, const QStyleOptionViewItem& option,
                   const QModelIndex& index) override;
  bool helpEvent(QHelpEvent* event, QAbstractItemView* view, const QStyleOptionViewItem& option,
                 const QModelIndex& index) override;

 private:
  const SiteProxy& sites_;
};

}  // namespace trellis
