// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/removal_list.hpp"

#include "app/theme/spoken.hpp"

#include <QHeaderView>

namespace trellis {

namespace {

// As a sentence: what is taken, and how.
QString wordsOf(const RemovalStep& step) {
  QString words = spoken(nameOf(step.move));
  if (!step.isWhole) words += QObject::tr(", %1–%2 mm up").arg(step.low, 0, 'f', 1).arg(step.high, 0, 'f', 1);
  return words;
}

}  // namespace

RemovalList::RemovalList(Builder& builder, View& view, QWidget* parent)
    : QTreeWidget(parent), builder_(builder), view_(view) {
  setObjectName("removalSteps");
  setRootIsDecorated(false);
  setHeaderLabels({tr("step"), tr("piece"), tr("s"), tr("by"), tr("move")});
  header()->setSectionResizeMode(QHeaderView::ResizeToContents);
  header()->setStretchLastSection(true);
  setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
  setFixedHeight(170);
  connect(this, &QTreeWidget::itemSelectionChanged, this, [this] {
    const auto selected = selectedItems();
    if (selected.isEmpty()) return view_.takePiece(-1);
    const int step = indexOfTopLevelItem(selected.back());
    view_.takePiece(static_cast<int>(builder_.shown().build->removal->steps[static_cast<std::size_t>(step)].piece),
                    step);
  });
  // What is chosen elsewhere is no step of this list.
  connect(&view, &View::pieceTaken, this, [this] {
    if (view_.stepInHand() >= 0) return;
    const QSignalBlocker quiet(this);
    clearSelection();
  });
  connect(&builder, &Builder::shownChanged, this, &RemovalList::refresh);
  refresh();
}

void RemovalList::refresh() {
  clear();
  const BuildPtr& build = builder_.shown().build;
  if (!build) return;
  for (std::size_t k = 0; k < build->removal->steps.size(); ++k) {
    const RemovalStep& step = build->removal->steps[k];
    auto* row =
        new QTreeWidgetItem(this, {QString::number(k + 1), QString::number(step.piece + 1), inFigures(step.seconds, 0),
                                   step.withPliers ? tr("pliers") : tr("hand"), wordsOf(step)});
    for (int column = 0; column < 3; ++column) row->setTextAlignment(column, Qt::AlignRight | Qt::AlignVCenter);
    QString tip = wordsOf(step);
    if (step.force > 0)
      tip += step.withPliers ? tr(". About %1 N: more than fingers give, so take pliers.").arg(step.force, 0, 'f', 0)
                             : tr(". About %1 N.").arg(step.force, 0, 'f', 0);
    row->setSizeHint(0, {0, 22});
    for (int column = 0; column < 5; ++column) row->setToolTip(column, tip);
  }
}

}  // namespace trellis
