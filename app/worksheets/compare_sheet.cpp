// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/worksheets/compare_sheet.hpp"

#include "app/widgets/handover_page.hpp"
#include "app/widgets/ladder_page.hpp"
#include "app/widgets/print_page.hpp"
#include "app/widgets/sweep_page.hpp"
#include "app/widgets/variant_page.hpp"

#include <QButtonGroup>
#include <QHBoxLayout>
#include <QPushButton>

namespace trellis {

CompareSheet::CompareSheet(Document& document, Builder& builder, View& view, Activity& activity, const Bench& bench)
    : Worksheet(tr("Compare"), document, view, nullptr) {
  auto* line = new QHBoxLayout;
  line->setSpacing(4);
  pages_ = new QButtonGroup(this);
  const std::pair<QString, QString> names[] = {
      {tr("Variants"), tr("Ways to print the same parts, beside each other.")},
      {tr("Sweep"), tr("Every combination of what may vary, and which of them nothing beats.")},
      {tr("Ladders"), tr("Small prints to learn one figure from.")},
      {tr("Prints"), tr("What was printed, what became of it, and what was learnt.")},
      {tr("Printer"), tr("Hands the print over to a printer, and follows it.")}};
  for (int i = 0; i < 5; ++i) {
    auto* button = new QPushButton(names[i].first);
    button->setObjectName(QString("comparePage%1").arg(i));
    button->setToolTip(names[i].second);
    button->setCheckable(true);
    button->setProperty("narrow", true);
    pages_->addButton(button, i);
    line->addWidget(button);
  }
  column_->addLayout(line);
  variants_ = new VariantPage(document, view, bench.comparer);
  prints_ = new PrintPage(document, builder, view, bench.notes, activity);
  shown_ = {variants_, new SweepPage(document, view, bench.sweeper, activity), new LadderPage(document, view, activity),
            prints_, new HandoverPage(document, builder, bench.notes, bench.handover, activity)};
  for (QWidget* page : shown_) column_->addWidget(page);
  connect(pages_, &QButtonGroup::idClicked, this, &CompareSheet::showPage);
  showPage(0);
}

void CompareSheet::showPage(int page) {
  pages_->button(page)->setChecked(true);
  for (int i = 0; i < static_cast<int>(shown_.size()); ++i) shown_[static_cast<std::size_t>(i)]->setVisible(i == page);
}

}  // namespace trellis
