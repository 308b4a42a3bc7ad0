// SPDX-License-Identifier: GPL-3.0-or-later
// The sites of all parts as a list that can be sorted and filtered.
#pragma once

#include "app/window/builder.hpp"
#include "app/window/choice.hpp"
#include "app/window/document.hpp"

#include "core/release/scars.hpp"

#include <QAbstractListModel>
#include <QSortFilterProxyModel>

namespace trellis {

class SiteModel : public QAbstractListModel {
  Q_OBJECT
 public:
  SiteModel(Document& document, Builder& builder, QObject* parent = nullptr);

  struct Row {
    SiteId id;
    const Site* site = nullptr;  // held by the builder
    QString partName = {};       // where there are several parts
    Choice choice = Choice::proposed;
    bool priced = false;                         // figures below are of a build that is current
    double grams = 0, minutes = 0, removal = 0;  // removal: minutes of a hand
    Scars scars = {};
  };
  const Row& row(int index) const { return rows_[static_cast<std::size_t>(index)]; }
  int rowCount(const QModelIndex& parent = {}) const override {
    return parent.isValid() ? 0 : static_cast<int>(rows_.size());
  }
  // What is too small to matter is listed only on request.
  void setSlightShown(bool shown);
  struct Slight {
    std::size_t count = 0;
    double area = 0;  // mm²
  };
  Slight slight() const;
  QVariant data(const QModelIndex& index, int role) const override;

 private:
  void refresh();

  Document& document_;
  Builder& builder_;
  std::vector<std::shared_ptr<const Sites>> held_;
  std::vector<Row> rows_;
  bool slightShown_ = false;
};

enum class SiteOrder { height, area, price, lean };
enum class SiteFilter { all, starts, bridges, tiny, high, dear };

class SiteProxy : public QSortFilterProxyModel {
  Q_OBJECT
 public:
  using QSortFilterProxyModel::QSortFilterProxyModel;
  void setOrder(SiteOrder order);
  void setFilter(SiteFilter filter);
  const SiteModel::Row& rowAt(const QModelIndex& index) const;

 protected:
  bool lessThan(const QModelIndex& left, const QModelIndex& right) const override;
  bool filterAcceptsRow(int source, const QModelIndex& parent) const override;

 private:
  const SiteModel& sites() const { return *static_cast<const SiteModel*>(sourceModel()); }
  SiteOrder order_ = SiteOrder::height;
  SiteFilter filter_ = SiteFilter::all;
};

}  // namespace trellis
