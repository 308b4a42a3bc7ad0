// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/site_model.hpp"

#include "core/assess/report.hpp"
#include "core/assess/scar_map.hpp"

#include <algorithm>

namespace trellis {

namespace {

constexpr double tinyArea = 2;   // mm²; less is a lip
constexpr double highUp = 30;    // mm over the plate
constexpr double dearShare = 2;  // times the mean price

}  // namespace

SiteModel::SiteModel(Document& document, Builder& builder, QObject* parent)
    : QAbstractListModel(parent), document_(document), builder_(builder) {
  connect(&builder, &Builder::sitesChanged, this, &SiteModel::refresh);
  connect(&builder, &Builder::shownChanged, this, &SiteModel::refresh);
  refresh();
}

void SiteModel::refresh() {
  const Shown& shown = builder_.shown();
  std::vector<Row> rows;
  for (std::size_t p = 0; p < builder_.sites().size(); ++p)
    for (std::size_t s = 0; s < builder_.sites()[p]->list.size(); ++s) {
      if (!slightShown_ && builder_.sites()[p]->list[s].siteClass != SiteClass::proper) continue;
      Row row{{p, s}, &builder_.sites()[p]->list[s]};
      if (builder_.sites().size() > 1 && p < document_.project()->parts.size())
        row.partName = QString::fromStdString(document_.project()->parts[p]->name);
      if (shown.build && p < shown.build->parts.size() && shown.build->parts[p].sites == builder_.sites()[p]) {
        const Cause cause{CauseKind::site, p, s};
        const Price price = priceOf(*shown.build, cause);
        row.choice = shown.build->parts[p].resolved->sites[s].choice;
        row.priced = true;
        row.grams = grams(price.use, shown.project->settings);
        row.minutes = price.use.seconds / 60;
        row.removal = price.removal / 60;
        row.scars = scarsOf(*shown.build, cause);
      }
      rows.push_back(row);
    }
  const bool sameSites = held_ == builder_.sites();
  if (sameSites && rows.size() == rows_.size()) {  // keeps what is selected and where the list is scrolled to
    rows_ = std::move(rows);
    if (!rows_.empty()) Q_EMIT dataChanged(index(0), index(static_cast<int>(rows_.size()) - 1));
    return;
  }
  beginResetModel();
  held_ = builder_.sites();
  rows_ = std::move(rows);
  endResetModel();
}

void SiteModel::setSlightShown(bool shown) {
  slightShown_ = shown;
  refresh();
}

SiteModel::Slight SiteModel::slight() const {
  Slight sum;
  for (const auto& sites : builder_.sites())
    for (const Site& site : sites->list)
      if (site.siteClass != SiteClass::proper) {
        ++sum.count;
        sum.area += site.area;
      }
  return sum;
}

// In words, for a screen reader and for tests.
QVariant SiteModel::data(const QModelIndex& index, int role) const {
  if (role != Qt::DisplayRole && role != Qt::AccessibleTextRole) return {};
  const Row& r = row(index.row());
  return tr("site %1: %2 mm², %3 to %4 mm high, %5°")
      .arg(r.id.site + 1)
      .arg(r.site->area, 0, 'f', 1)
      .arg(r.site->low, 0, 'f', 1)
      .arg(r.site->high, 0, 'f', 1)
      .arg(r.site->worstLean, 0, 'f', 0);
}

void SiteProxy::setOrder(SiteOrder order) {
  order_ = order;
  invalidate();
  sort(0);
}

void SiteProxy::setFilter(SiteFilter filter) {
  filter_ = filter;
  invalidateFilter();
}

const SiteModel::Row& SiteProxy::rowAt(const QModelIndex& index) const { return sites().row(mapToSource(index).row()); }

bool SiteProxy::lessThan(const QModelIndex& left, const QModelIndex& right) const {
  const SiteModel::Row &a = sites().row(left.row()), &b = sites().row(right.row());
  switch (order_) {
    case SiteOrder::area:
      return a.site->area > b.site->area;
    case SiteOrder::price:
      return a.grams > b.grams;
    case SiteOrder::lean:
      return a.site->worstLean > b.site->worstLean;
    case SiteOrder::height:
      break;
  }
  return std::pair(a.site->low, a.id) < std::pair(b.site->low, b.id);
}

bool SiteProxy::filterAcceptsRow(int source, const QModelIndex&) const {
  const SiteModel::Row& row = sites().row(source);
  switch (filter_) {
    case SiteFilter::starts:
      return !row.site->starts.empty();
    case SiteFilter::bridges:
      return row.site->bridge;
    case SiteFilter::tiny:
      return row.site->area < tinyArea;
    case SiteFilter::high:
      return row.site->low > highUp;
    case SiteFilter::dear: {
      double sum = 0;
      for (int i = 0; i < sites().rowCount(); ++i) sum += sites().row(i).grams;
      return row.grams * sites().rowCount() > dearShare * sum;
    }
    case SiteFilter::all:
      break;
  }
  return true;
}

}  // namespace trellis
