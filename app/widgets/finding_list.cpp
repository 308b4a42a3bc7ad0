// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/finding_list.hpp"

#include <QLabel>
#include <QVBoxLayout>

#include <algorithm>

namespace trellis {

FindingList::FindingList(Document& document, Builder& builder, View& view, QWidget* parent)
    : QWidget(parent), document_(document), builder_(builder), view_(view) {
  setObjectName("findingList");
  column_ = new QVBoxLayout(this);
  column_->setContentsMargins(0, 0, 0, 0);
  column_->setSpacing(6);
  connect(&builder, &Builder::shownChanged, this, &FindingList::refresh);
  connect(&builder, &Builder::remediesTried, this, &FindingList::refresh);
  refresh();
}

void FindingList::refresh() {
  while (QLayoutItem* item = column_->takeAt(0)) {
    if (item->widget()) item->widget()->deleteLater();
    delete item;
  }
  const Findings& findings = builder_.findings();
  if (findings.empty()) {
    auto* none = new QLabel(builder_.shown().build ? tr("Nothing was noticed that needs a decision.")
                                                   : tr("Nothing is built yet."));
    none->setObjectName("quiet");
    none->setWordWrap(true);
    column_->addWidget(none);
  }
  FindingCard* first = nullptr;
  for (std::size_t i = 0; i < findings.size(); ++i) {
    auto* card = new FindingCard(findings[i], document_, builder_, view_);
    card->setObjectName(QString("finding%1").arg(i));
    column_->addWidget(card);
    connect(card, &FindingCard::chosen, this, [this, card] {
      opened_ = {card->finding().code, card->finding().part};
      open(card);
    });
    if (!first || std::pair(findings[i].code, findings[i].part) == opened_) first = card;
  }
  open(first);
}

void FindingList::open(const FindingCard* card) {
  for (FindingCard* other : findChildren<FindingCard*>(Qt::FindDirectChildrenOnly)) other->setOpen(other == card);
}

}  // namespace trellis
