// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/variant_page.hpp"

#include "app/theme/spoken.hpp"
#include "app/theme/theme.hpp"
#include "app/widgets/figure_bars.hpp"

#include <QComboBox>
#include <QHBoxLayout>
#include <QHeaderView>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QTableWidget>
#include <QTreeWidget>
#include <QVBoxLayout>

#include <algorithm>

namespace trellis {

namespace {

constexpr int rowHeight = 21;

QString valueWords(const FigureRow& row, double value) { return inFigures(value, row.decimals); }

}  // namespace

QPushButton* VariantPage::button(const char* name, const QString& words, const QString& help) {
  auto* made = new QPushButton(words);
  made->setObjectName(name);
  made->setToolTip(help);
  return made;
}

VariantPage::VariantPage(Document& document, View& view, Comparer& comparer, QWidget* parent)
    : QWidget(parent), document_(document), view_(view), comparer_(comparer) {
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(0, 0, 0, 0);
  column->setSpacing(8);
  hint_ =
      new QLabel(tr("A variant is another way to print the same parts. A new one begins as a copy; then change "
                    "what you like: marks, settings, turnings."));
  hint_->setObjectName("quiet");
  hint_->setWordWrap(true);
  column->addWidget(hint_);
  auto* line = new QHBoxLayout;
  QPushButton* fresh =
      button("newVariant", tr("New variant"),
             tr("A copy of what is there, to go on with. What was there stays beside it. Ctrl+Shift+N."));
  fresh->setToolTip(tr("A copy of what is there, to go on with. What was there stays beside it. Ctrl+Shift+N."));
  QPushButton* pin = button("pinVariant", tr("Pin"), tr("Keep what is there now as a variant, and go on. J."));
  base_ = new QComboBox;
  base_->setObjectName("baseVariant");
  base_->setToolTip(tr("What the others are measured against."));
  line->addWidget(fresh);
  line->addWidget(pin);
  line->addStretch(1);
  column->addLayout(line);
  table_ = new QTableWidget;
  table_->setObjectName("variantTable");
  table_->setEditTriggers(QAbstractItemView::NoEditTriggers);
  table_->setSelectionBehavior(QAbstractItemView::SelectColumns);
  table_->setSelectionMode(QAbstractItemView::SingleSelection);
  table_->verticalHeader()->setDefaultSectionSize(rowHeight);
  table_->verticalHeader()->setMinimumSectionSize(rowHeight);
  table_->horizontalHeader()->setMinimumSectionSize(64);
  table_->setAccessibleName(tr("Figures of the variants"));
  column->addWidget(table_);
  auto* inHand = new QHBoxLayout;
  name_ = new QLineEdit;
  name_->setObjectName("variantName");
  name_->setToolTip(tr("The name of the chosen variant."));
  take_ =
      button("takeVariant", tr("Take in hand"), tr("Go on with the chosen variant. What is in hand now stays beside."));
  remove_ = button("removeVariant", tr("Remove"), tr("Remove the chosen variant. Undo brings it back."));
  inHand->addWidget(name_, 1);
  inHand->addWidget(take_);
  inHand->addWidget(remove_);
  column->addLayout(inHand);
  auto* grid = new QGridLayout;
  grid->setColumnStretch(1, 1);
  scene_ = new QComboBox;
  scene_->setObjectName("besideMode");
  scene_->addItems(
      {tr("the one in hand alone"), tr("with the other's outlines"), tr("both side by side"), tr("wiped by a line")});
  scene_->setToolTip(tr("How the scene shows the chosen variant, or the base where the one in hand is chosen."));
  grid->setContentsMargins(0, 0, 0, 0);
  grid->addWidget(new QLabel(tr("Base")), 0, 0);
  grid->addWidget(base_, 0, 1);
  grid->addWidget(new QLabel(tr("Scene")), 1, 0);
  grid->addWidget(scene_, 1, 1);
  how_ = new QWidget;
  how_->setLayout(grid);
  column->addWidget(how_);
  words_ = new QLabel;
  words_->setObjectName("variantDifferences");
  words_->setWordWrap(true);
  words_->setMinimumWidth(1);
  column->addWidget(words_);
  places_ = new QTreeWidget;
  places_->setObjectName("changedPlaces");
  places_->setRootIsDecorated(false);
  places_->setHeaderLabels({tr("support at"), tr("base g"), tr("chosen g")});
  places_->header()->setSectionResizeMode(0, QHeaderView::Stretch);
  places_->header()->setStretchLastSection(false);
  for (const int figure : {1, 2}) places_->header()->setSectionResizeMode(figure, QHeaderView::ResizeToContents);
  places_->setFixedHeight(170);
  places_->setToolTip(tr("Where support was gained or lost. A click goes there."));
  column->addWidget(places_);
  auto* over = new QHBoxLayout;
  what_ = new QComboBox;
  what_->setObjectName("takeOverWhat");
  takeOver_ = button("takeOver", tr("Take over"), tr("Decide here what the chosen variant decided."));
  over->addWidget(what_, 1);
  over->addWidget(takeOver_);
  column->addLayout(over);
  bars_ = new FigureBars(comparer);
  column->addWidget(bars_);
  connect(fresh, &QPushButton::clicked, this, [this] { addVariant(true); });
  connect(pin, &QPushButton::clicked, this, [this] { addVariant(false); });
  connect(take_, &QPushButton::clicked, this, [this] { document_.perform(TakeVariant{chosen()}); });
  connect(remove_, &QPushButton::clicked, this, [this] { document_.perform(RemoveVariant{chosen()}); });
  connect(takeOver_, &QPushButton::clicked, this, &VariantPage::takeOver);
  connect(name_, &QLineEdit::editingFinished, this, [this] {
    const Comparer::Side* side = comparer_.side(chosen());
    const std::string name = name_->text().trimmed().toStdString();
    if (side && chosen() && !name.empty() && name != side->variant.name)
      document_.perform(RenameVariant{chosen(), name});
  });
  connect(base_, &QComboBox::activated, this,
          [this](int row) { comparer_.setBase(comparer_.sides()[static_cast<std::size_t>(row)].variant.id); });
  connect(scene_, &QComboBox::activated, this, &VariantPage::refreshChosen);
  connect(table_, &QTableWidget::currentCellChanged, this, [this](int, int now) {
    if (now >= 0 && static_cast<std::size_t>(now) < comparer_.sides().size())
      chosen_ = comparer_.sides()[static_cast<std::size_t>(now)].variant.id;
    refreshChosen();
  });
  connect(table_->horizontalHeader(), &QHeaderView::sectionClicked, this,
          [this](int now) { table_->setCurrentCell(0, now); });
  connect(places_, &QTreeWidget::itemClicked, this, [this](QTreeWidgetItem* item) {
    view_.goTo(changed_[static_cast<std::size_t>(places_->indexOfTopLevelItem(item))].at);
  });
  connect(&comparer, &Comparer::changed, this, &VariantPage::refresh);
  refresh();
}

void VariantPage::addVariant(bool inHand) {
  document_.perform(AddVariant{
      inHand ? document_.freeVariantName(tr("variant"), 2) : document_.freeVariantName(tr("pin"), 1), inHand});
}

void VariantPage::showEvent(QShowEvent* event) {
  QWidget::showEvent(event);
  comparer_.setWatched(true);
}

void VariantPage::hideEvent(QHideEvent* event) {
  QWidget::hideEvent(event);
  comparer_.setWatched(false);
}

// The chosen one; else the one in hand where it is not the base, for what it does otherwise is asked first.
VariantId VariantPage::chosen() const {
  if (comparer_.side(chosen_)) return chosen_;
  if (comparer_.inHand() != comparer_.base()) return comparer_.inHand();
  for (const Comparer::Side& side : comparer_.sides())
    if (side.variant.id != comparer_.inHand()) return side.variant.id;
  return comparer_.inHand();
}

void VariantPage::refresh() {
  const bool several = comparer_.sides().size() > 1;
  hint_->setVisible(!several);
  for (QWidget* widget :
       std::initializer_list<QWidget*>{table_, bars_, name_, take_, remove_, how_, words_, what_, takeOver_, places_})
    widget->setVisible(several || widget == table_);
  refreshTable();
  base_->clear();
  for (const Comparer::Side& side : comparer_.sides()) {
    base_->addItem(QString::fromStdString(side.variant.name));
    if (side.variant.id == comparer_.base()) base_->setCurrentIndex(base_->count() - 1);
  }
  refreshChosen();
}

void VariantPage::refreshTable() {
  const QSignalBlocker quiet(table_);
  const auto& sides = comparer_.sides();
  std::vector<const FigureRow*> rows;  // without those that nobody has anything of
  for (const FigureRow& row : figureRows())
    if (std::any_of(sides.begin(), sides.end(), [&](const auto& side) { return row.value(side.figures) != 0; }))
      rows.push_back(&row);
  table_->setRowCount(static_cast<int>(rows.size()));
  table_->setColumnCount(static_cast<int>(sides.size()));
  QStringList labels, names;
  for (const FigureRow* row : rows) labels << spoken(row->label) + (*row->unit ? QString(" ") + row->unit : QString());
  for (const Comparer::Side& side : sides)
    names << (side.variant.id == comparer_.inHand() ? "● " : "") +
                 (side.variant.name.empty() ? tr("this one") : QString::fromStdString(side.variant.name));
  table_->setVerticalHeaderLabels(labels);
  table_->setHorizontalHeaderLabels(names);
  const Comparer::Side* base = comparer_.side(comparer_.base());
  for (std::size_t r = 0; r < rows.size(); ++r) {
    const FigureRow& row = *rows[r];
    double best = row.moreIsBetter ? -1e300 : 1e300;
    for (const Comparer::Side& side : sides)
      if (side.build)
        best = row.moreIsBetter ? std::max(best, row.value(side.figures)) : std::min(best, row.value(side.figures));
    const bool differs = std::any_of(sides.begin(), sides.end(), [&](const Comparer::Side& side) {
      return side.build && valueWords(row, row.value(side.figures)) != valueWords(row, best);
    });
    for (std::size_t c = 0; c < sides.size(); ++c) {
      const Comparer::Side& side = sides[c];
      const double value = row.value(side.figures);
      auto* item = new QTableWidgetItem(side.build ? valueWords(row, value) : side.problem.empty() ? "…" : "–");
      item->setTextAlignment(Qt::AlignRight | Qt::AlignVCenter);
      if (!side.problem.empty()) item->setToolTip(spoken(side.problem));
      const bool isBest = side.build && row.isJudged && differs && value == best;
      if (isBest) {
        QFont bold = table_->font();
        bold.setBold(true);
        item->setFont(bold);
        item->setText("‣ " + item->text());
      }
      if (side.build && base && base->build && &side != base) {
        const double more = value - row.value(base->figures);
        item->setToolTip(
            tr("%1%2 %3 against %4")
                .arg(more >= 0 ? "+" : "−")
                .arg(valueWords(row, std::abs(more)), row.unit, QString::fromStdString(base->variant.name)));
      }
      table_->setItem(static_cast<int>(r), static_cast<int>(c), item);
      if (side.variant.id == chosen()) table_->setCurrentCell(0, static_cast<int>(c));
    }
  }
  table_->resizeColumnsToContents();
  table_->setFixedHeight(table_->horizontalHeader()->sizeHint().height() + rowHeight * static_cast<int>(rows.size()) +
                         18);
}

void VariantPage::refreshChosen() {
  const Comparer::Side *side = comparer_.side(chosen()), *base = comparer_.side(comparer_.base());
  if (!side || !base) return;
  const bool isOther = chosen() != comparer_.inHand();
  if (!name_->hasFocus()) name_->setText(QString::fromStdString(side->variant.name));
  take_->setEnabled(isOther);
  remove_->setEnabled(comparer_.sides().size() > 1);
  const VariantId beside = isOther ? chosen() : comparer_.base();  // the base, where the one in hand is chosen
  const int mode = beside == comparer_.inHand() ? 0 : scene_->currentIndex();
  comparer_.lookAt(mode > 0 ? std::optional(beside) : std::nullopt, static_cast<BesideMode>(std::max(0, mode - 1)));
  QStringList words;
  if (side != base)
    for (const Sentence& word : differencesInWords(*base->variant.project, *side->variant.project))
      words << "· " + spoken(word);
  words_->setText(side == base      ? tr("This is the base: choose another column to see what it does otherwise.")
                  : words.isEmpty() ? tr("It decides the same as %1.").arg(QString::fromStdString(base->variant.name))
                                    : words.join("\n"));
  const int before = what_->currentIndex();
  what_->clear();
  what_->addItem(tr("everything"));
  for (const PartPtr& part : side->variant.project->parts)
    what_->addItem(tr("all of %1").arg(QString::fromStdString(part->name)),
                   QVariant::fromValue<qulonglong>(part->id.number));
  for (const SettingRow& row : settingsTable())
    if (side->variant.project->settings.value(row.key) != document_.settings().value(row.key))
      what_->addItem(spoken(row.label), QString::fromStdString(row.key));
  what_->setCurrentIndex(before >= 0 && before < what_->count() ? before : 0);
  takeOver_->setEnabled(isOther);
  places_->clear();
  changed_.clear();
  if (side == base || !side->build || !base->build) return;
  changed_ = changedPlaces(*base->variant.project, *base->build, *side->variant.project, *side->build);
  for (const ChangedPlace& place : changed_) {
    auto* row = new QTreeWidgetItem(places_, {(place.gained() ? "+ " : "− ") + QString::fromStdString(place.name),
                                              inFigures(place.before, 2), inFigures(place.now, 2)});
    for (const int column : {1, 2}) row->setTextAlignment(column, Qt::AlignRight | Qt::AlignVCenter);
  }
}

void VariantPage::takeOver() {
  TakeOver over{chosen()};
  const QVariant what = what_->currentData();
  if (what.typeId() == QMetaType::QString)
    over.key = what.toString().toStdString();
  else if (what.isValid())
    over.part = PartId{what.toULongLong()};
  document_.perform(over);
}

}  // namespace trellis
