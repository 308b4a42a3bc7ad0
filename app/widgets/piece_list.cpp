// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/piece_list.hpp"

#include "app/theme/spoken.hpp"
#include "core/assess/removal.hpp"
#include "core/assess/report.hpp"
#include "core/release/drain_clearance.hpp"
#include "core/settings/words.hpp"

#include <QComboBox>
#include <QHeaderView>
#include <QLabel>
#include <QTreeWidget>
#include <QVBoxLayout>

namespace trellis {

namespace {

// Sorts by figures where there are figures.
class Row : public QTreeWidgetItem {
 public:
  using QTreeWidgetItem::QTreeWidgetItem;
  bool operator<(const QTreeWidgetItem& other) const override {
    const int column = treeWidget()->sortColumn();
    const QVariant mine = data(column, Qt::UserRole), theirs = other.data(column, Qt::UserRole);
    return mine.isValid() && theirs.isValid() ? mine.toDouble() < theirs.toDouble() : text(column) < other.text(column);
  }
};

QString tipOf(const Piece& piece, const PieceFigures& figures, double money) {
  QString words = QObject::tr(
                      "%1 to %2 mm high; touches the part over %3 mm² above and %4 mm² below; "
                      "filament for %5.")
                      .arg(piece.lowest, 0, 'f', 1)
                      .arg(piece.highest, 0, 'f', 1)
                      .arg(piece.contactAbove, 0, 'f', 0)
                      .arg(figures.contactBelow, 0, 'f', 0)
                      .arg(money, 0, 'f', 2);
  words += QObject::tr(
               " About %1 N part it from the part, and %2 s of a hand take it off. Its thinnest section is %3 mm² of "
               "line, %4 mm up.")
               .arg(figures.force, 0, 'f', 0)
               .arg(figures.seconds, 0, 'f', 0)
               .arg(figures.weakest, 0, 'f', 1)
               .arg(figures.weakestPlace.z(), 0, 'f', 1);
  if (figures.extraction.free) return words + QObject::tr(" It comes out in a straight pull.");
  words += QObject::tr(" No straight pull gets it out; along the best way %1 % of it is free.")
               .arg(100 * figures.extraction.open, 0, 'f', 0);
  return words + (figures.drainClearance >= waterPasses ? QObject::tr(" Water reaches it.")
                                                        : QObject::tr(" Water does not reach it."));
}

}  // namespace

PieceList::PieceList(Document& document, Builder& builder, View& view, QWidget* parent)
    : QWidget(parent), document_(document), builder_(builder), view_(view) {
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(0, 0, 0, 0);
  list_ = new QTreeWidget;
  list_->setObjectName("pieces");
  list_->setRootIsDecorated(false);
  list_->setSelectionMode(QAbstractItemView::ExtendedSelection);
  list_->setHeaderLabels({tr("piece"), tr("g"), tr("min"), tr("removal"), tr("body")});
  list_->header()->setSectionResizeMode(QHeaderView::ResizeToContents);
  list_->header()->setStretchLastSection(true);
  list_->setSortingEnabled(true);
  list_->sortByColumn(1, Qt::DescendingOrder);
  list_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
  list_->setFixedHeight(190);
  column->addWidget(list_);
  filament_ = new QComboBox;
  filament_->setObjectName("pieceFilament");
  filament_->setPlaceholderText(tr("print the chosen bodies from…"));
  for (const std::string& choice : settingRow("support.filament.body").choices)
    filament_->addItem(spoken(choiceInWords("support.filament.body", choice)), QString::fromStdString(choice));
  filament_->setCurrentIndex(-1);
  column->addWidget(filament_);
  connect(filament_, &QComboBox::activated, this, &PieceList::printBodies);
  connect(list_, &QTreeWidget::itemSelectionChanged, this,
          [this] { filament_->setEnabled(!list_->selectedItems().isEmpty() && !builder_.isStale()); });
  connect(list_, &QTreeWidget::itemSelectionChanged, this, [this] {
    const auto selected = list_->selectedItems();
    view_.takePiece(selected.isEmpty() ? -1 : selected.back()->data(0, Qt::UserRole).toInt() - 1);
  });
  connect(&builder, &Builder::shownChanged, this, &PieceList::refresh);
  refresh();
}

void PieceList::refresh() {
  const Shown& shown = builder_.shown();
  list_->setSortingEnabled(false);
  list_->clear();
  for (std::size_t i = 0; shown.build && i < shown.build->pieces.size(); ++i) {
    const PieceFigures& figures = shown.build->pieces[i];
    const Use& use = shown.build->tally.pieces[i];
    const Settings& settings = shown.project->settings;
    auto* row = new Row(list_);
    const auto figure = [&](int column, double value, int decimals) {
      row->setText(column, inFigures(value, decimals));
      row->setData(column, Qt::UserRole, value);
      row->setTextAlignment(column, Qt::AlignRight | Qt::AlignVCenter);
    };
    figure(0, static_cast<double>(i + 1), 0);
    figure(1, grams(use, settings), 2);
    figure(2, use.seconds / 60, 1);
    row->setSizeHint(0, {0, 22});
    row->setText(3, spoken(nameOf(figures.grade)));
    row->setText(4, (figures.bodyFilament == Filament::first ? tr("first") : tr("second")) +
                        (figures.chosen ? tr(", set") : QString()));
    for (int column = 0; column < 5; ++column)
      row->setToolTip(column, tipOf(shown.build->support->pieces[i], figures, money(use, settings)));
  }
  list_->setSortingEnabled(true);
  filament_->setEnabled(false);
}

void PieceList::printBodies() {
  const Shown& shown = builder_.shown();
  std::vector<Operation> operations;
  for (const QTreeWidgetItem* row : list_->selectedItems()) {
    const auto piece = static_cast<std::size_t>(row->data(0, Qt::UserRole).toInt() - 1);
    const std::vector<Operation> more =
        printingBody(*shown.build, *document_.project(), piece, filament_->currentData().toString().toStdString());
    operations.insert(operations.end(), more.begin(), more.end());
  }
  filament_->setCurrentIndex(-1);
  document_.performTogether(operations);
}

}  // namespace trellis
