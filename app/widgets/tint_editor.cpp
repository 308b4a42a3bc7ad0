// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/tint_editor.hpp"

#include "app/widgets/local_editor.hpp"
#include "app/widgets/tool_icons.hpp"

#include <QComboBox>
#include <QLabel>
#include <QVBoxLayout>

namespace trellis {

TintEditor::TintEditor(Document& document, View& view, Hand& hand, QWidget* parent)
    : QWidget(parent), document_(document), view_(view), hand_(hand) {
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(0, 0, 0, 0);
  auto* line = new QHBoxLayout;
  line->addWidget(new QLabel(tr("Tint")));
  tint_ = new QComboBox;
  tint_->setObjectName("tint");
  tint_->setIconSize({30, 18});
  tint_->setToolTip(
      tr("Enforcers bear a number. Those of one number have support settings of their own, below. "
         "Keys comma and full stop."));
  for (int tint = 0; tint < tintCount; ++tint) tint_->addItem(iconOf(enforceAs(tint)), QString::number(tint));
  line->addWidget(tint_, 1);
  column->addLayout(line);
  local_ = new LocalEditor([this](const Overrides& settings) {
    if (view_.selectedPart() >= 0) document_.perform(SetTint{view_.selection().back(), hand_.brush().tint, settings});
  });
  column->addWidget(local_);
  connect(tint_, &QComboBox::activated, this, [this](int i) {
    Brush brush = hand_.brush();
    brush.tint = i;
    hand_.setBrush(brush);
  });
}

void TintEditor::refresh() {
  const Brush& brush = hand_.brush();
  setVisible(brush.lays() && brush.coat == Coat::support && brush.mark == Mark::enforce);
  tint_->setCurrentIndex(brush.tint);
  if (isHidden() || view_.selectedPart() < 0) return local_->show(nullptr, document_.settings());
  const std::size_t p = view_.selection().back();
  const Part& part = *document_.project()->parts[p];
  const auto own = part.tints.find(brush.tint);
  const Overrides settings = own == part.tints.end() ? Overrides() : own->second;
  local_->show(&settings, settingsOf(*document_.project(), p));
  nameTints(part);
}

void TintEditor::nameTints(const Part& part) {
  const auto areas = markedAreas(*part.mesh, transformOf(part.placement, *part.mesh), *part.marks);
  for (int tint = 0; tint < tintCount; ++tint) {
    QString words = tint == 0 ? tr("0, plain") : QString::number(tint);
    if (const auto area = areas.find(enforceAs(tint)); area != areas.end())
      words += tr("  ·  %1 mm²").arg(area->second, 0, 'f', 0);
    if (const auto own = part.tints.find(tint); own != part.tints.end())
      words += tr("  ·  %1 of its own").arg(own->second.size());
    tint_->setItemText(tint, words);
  }
}

}  // namespace trellis
