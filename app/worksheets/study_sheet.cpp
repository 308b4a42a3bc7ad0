// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/worksheets/study_sheet.hpp"

#include "app/theme/spoken.hpp"
#include "app/widgets/lean_wedge.hpp"
#include "app/widgets/local_editor.hpp"
#include "app/widgets/site_delegate.hpp"
#include "core/assess/structure_advice.hpp"
#include "core/overhang/lean.hpp"

#include <QComboBox>
#include <QLabel>
#include <QListView>
#include <QPushButton>

#include <algorithm>

namespace trellis {

StudySheet::StudySheet(Document& document, Builder& builder, View& view, QWidget* parent)
    : Worksheet(tr("Study"), document, view, parent), builder_(builder) {
  addSection(tr("Free lean"));
  column_->addWidget(new LeanWedge(document, view));
  addSettings({"support.free_lean", "support.bridge_limit", "support.source"});
  addSection(tr("What hangs"));
  area_ = addQuiet("");
  starts_ = addQuiet("");
  addList();
  addChoices();
  addLocal();
  connect(&builder, &Builder::shownChanged, this, &StudySheet::refresh);
  connect(&builder, &Builder::sitesChanged, this, &StudySheet::refresh);
  refresh();
}

void StudySheet::addList() {
  auto* line = new QHBoxLayout;
  auto* order = new QComboBox;
  order->setObjectName("siteOrder");
  order->addItems({tr("by height"), tr("by area"), tr("by price"), tr("by lean")});
  auto* filter = new QComboBox;
  filter->setObjectName("siteFilter");
  filter->addItems({tr("all sites"), tr("floating starts"), tr("bridges"), tr("tiny, under 2 mm²"),
                    tr("high up, over 30 mm"), tr("expensive")});
  line->addWidget(order);
  line->addWidget(filter, 1);
  column_->addLayout(line);
  model_ = new SiteModel(document_, builder_, this);
  proxy_ = new SiteProxy(this);
  proxy_->setSourceModel(model_);
  proxy_->setOrder(SiteOrder::height);
  list_ = new QListView;
  list_->setObjectName("sites");
  list_->setModel(proxy_);
  auto* delegate = new SiteDelegate(*proxy_, list_);
  list_->setItemDelegate(delegate);
  list_->setSelectionMode(QAbstractItemView::ExtendedSelection);
  list_->setVerticalScrollMode(QAbstractItemView::ScrollPerPixel);
  list_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
  list_->setUniformItemSizes(true);
  list_->setMouseTracking(true);
  list_->setMinimumHeight(172);  // three rows
  list_->setSizePolicy(QSizePolicy::Preferred, QSizePolicy::Expanding);
  column_->addWidget(list_);
  giveRoomTo(list_);
  slight_ = new QPushButton;
  slight_->setObjectName("slightSites");
  slight_->setCheckable(true);
  slight_->setToolTip(
      tr("Smaller than a line is wide, or sagging onto what is right below: they print without support. "
         "Opens the list of them."));
  connect(slight_, &QPushButton::toggled, model_, &SiteModel::setSlightShown);
  column_->addWidget(slight_, 0, Qt::AlignLeft);
  connect(order, &QComboBox::currentIndexChanged, this, [this](int i) { proxy_->setOrder(static_cast<SiteOrder>(i)); });
  connect(filter, &QComboBox::currentIndexChanged, this,
          [this](int i) { proxy_->setFilter(static_cast<SiteFilter>(i)); });
  connect(delegate, &SiteDelegate::chosen, this, [this](const QModelIndex& index, Choice choice) {
    const QModelIndexList selected = selectedRows();
    choose(selected.contains(index) ? selected : QModelIndexList{index}, choice);
  });
  connect(list_->selectionModel(), &QItemSelectionModel::selectionChanged, this, &StudySheet::light);
  connect(list_, &QListView::entered, this, [this](const QModelIndex& index) {
    pointed_ = proxy_->rowAt(index).id;
    light();
  });
}

void StudySheet::addChoices() {
  auto* line = new QHBoxLayout;
  const std::tuple<const char*, const char*, Choice> rows[] = {
      {QT_TR_NOOP("As proposed"), "siteProposed", Choice::proposed},
      {QT_TR_NOOP("Enforce"), "siteEnforce", Choice::enforce},
      {QT_TR_NOOP("Block"), "siteBlock", Choice::block}};
  for (const auto& [words, name, choice] : rows) {
    auto* button = new QPushButton(tr(words));
    button->setObjectName(name);
    button->setToolTip(tr("For every site that is selected in the list."));
    connect(button, &QPushButton::clicked, this, [this, choice = choice] { choose(selectedRows(), choice); });
    line->addWidget(button);
  }
  column_->addLayout(line);
}

// Settings of the support that the selected sites cause.
void StudySheet::addLocal() {
  addSection(tr("Support of the selected sites"));
  auto* editor = new LocalEditor([this](const Overrides& settings) {
    std::vector<Operation> operations;
    for (const QModelIndex& index : selectedRows())
      operations.push_back(DecideSite{proxy_->rowAt(index).id.part, proxy_->rowAt(index).site->at, {}, settings});
    document_.performTogether(operations);
  });
  column_->addWidget(editor);
  QLabel* suits = addQuiet("");
  suits->setObjectName("siteSuits");
  const auto refreshLocal = [this, editor, suits] {
    suits->clear();
    const QModelIndexList selected = selectedRows();
    const Shown& shown = builder_.shown();
    const SiteId id = selected.isEmpty() ? SiteId{} : proxy_->rowAt(selected.front()).id;
    const bool known = !selected.isEmpty() && shown.build && id.part < shown.build->parts.size() &&
                       id.site < shown.build->parts[id.part].resolved->sites.size();
    if (!known) return editor->show(nullptr, document_.settings());
    const PartBuild& built = shown.build->parts[id.part];
    const StructureAdvice advice = adviseFor(built.sites->list[id.site], *built.placed);
    suits->setText(
        (advice.structure == Structure::tree ? tr("Tree suits site %1: %2.") : tr("Normal suits site %1: %2."))
            .arg(id.site + 1)
            .arg(spoken(advice.reason)));
    const std::size_t decision = built.resolved->sites[id.site].decision;
    const Overrides none;
    editor->show(decision == ResolvedSite::none ? &none : &shown.project->parts[id.part]->sites[decision].settings,
                 settingsOf(*shown.project, id.part));
  };
  connect(list_->selectionModel(), &QItemSelectionModel::selectionChanged, this, refreshLocal);
  connect(&builder_, &Builder::shownChanged, this, refreshLocal);
  refreshLocal();
}

QModelIndexList StudySheet::selectedRows() const {
  QModelIndexList rows = list_->selectionModel()->selectedIndexes();
  std::sort(rows.begin(), rows.end(), [](const QModelIndex& a, const QModelIndex& b) { return a.row() < b.row(); });
  return rows;
}

void StudySheet::choose(const QModelIndexList& rows, Choice choice) {
  std::vector<Operation> operations;
  for (const QModelIndex& index : rows)
    operations.push_back(DecideSite{proxy_->rowAt(index).id.part, proxy_->rowAt(index).site->at, choice, {}});
  document_.performTogether(operations);
}

QModelIndex StudySheet::indexOf(const SiteId& site) const {
  for (int i = 0; i < model_->rowCount(); ++i)
    if (model_->row(i).id == site) return proxy_->mapFromSource(model_->index(i));
  return {};
}

void StudySheet::pointTo(const std::optional<SiteId>& site) {
  pointed_ = site;
  if (site && isVisible()) list_->scrollTo(indexOf(*site));
  light();
}

void StudySheet::pickSite(const SiteId& site) {
  if (const QModelIndex index = indexOf(site); index.isValid()) {
    list_->selectionModel()->select(index, QItemSelectionModel::ClearAndSelect);
    list_->scrollTo(index);
  }
}

void StudySheet::light() {
  std::vector<SiteId> lit;
  for (const QModelIndex& index : selectedRows()) lit.push_back(proxy_->rowAt(index).id);
  if (pointed_) lit.push_back(*pointed_);
  std::sort(lit.begin(), lit.end());
  lit.erase(std::unique(lit.begin(), lit.end()), lit.end());
  view_.lightSites(lit);
}

void StudySheet::refresh() {
  double hanging = 0, lowest = 1e9;
  std::size_t proper = 0, starts = 0, bridges = 0;
  for (const auto& sites : builder_.sites())
    for (const Site& site : sites->list) {
      if (site.siteClass != SiteClass::proper) continue;
      ++proper;
      hanging += site.area;
      bridges += site.bridge;
      starts += site.starts.size();
      if (!site.starts.empty()) lowest = std::min(lowest, site.low);
    }
  area_->setText(proper == 0 ? tr("Nothing hangs at this lean.")
                             : tr("%L1 mm² hang in %2 sites. Bridging by themselves: %3.")
                                   .arg(hanging, 0, 'f', 0)
                                   .arg(proper)
                                   .arg(bridges));
  const SiteModel::Slight slight = model_->slight();
  slight_->setVisible(slight.count > 0);
  slight_->setText(tr("%1 too small to matter, %2 mm² together").arg(slight.count).arg(slight.area, 0, 'f', 0));
  starts_->setText(starts == 0 ? tr("Nothing begins in mid-air.")
                               : tr("◆ %1 floating starts, the lowest at %2 mm.").arg(starts).arg(lowest, 0, 'f', 1));
}

}  // namespace trellis
