// SPDX-License-Identifier: GPL-3.0-or-later
// What is laid on the selected part, and what it amounts to.
#include "app/theme/spoken.hpp"
#include "app/worksheets/mark_sheet.hpp"
#include "core/base/short_name.hpp"

#include <QLabel>

namespace trellis {

// By marks, zones and choices together, as last built; until then by marks alone.
MarkSheet::Amounts MarkSheet::amountsOf(const Part& part, const Affine& toPlate) {
  Amounts amounts{markedArea(*part.mesh, toPlate, *part.marks, Mark::enforce),
                  markedArea(*part.mesh, toPlate, *part.marks, Mark::block),
                  markedArea(*part.mesh, toPlate, *part.clean, Mark::block),
                  markedArea(*part.mesh, toPlate, *part.seen, Mark::block)};
  const Shown& shown = builder_.shown();
  const std::size_t p = view_.selection().back();
  if (!shown.build || builder_.isStale() || p >= shown.build->parts.size()) return amounts;
  const PartBuild& built = shown.build->parts[p];
  if (decided_.first != built.resolved) decided_ = {built.resolved, decidedBeside(built)};
  amounts.enforced += decided_.second.enforced;
  amounts.blocked += decided_.second.blocked;
  return amounts;
}

// What was decided and changes nothing is said where it was decided, as soon as it is known.
void MarkSheet::refreshIdle() {
  QStringList words;
  for (const Finding& finding : builder_.findings())
    if (finding.part == view_.selectedPart() && !finding.accepted && isAboutDecision(finding.code))
      words << "△ " + spoken(finding.message + finding.detail);
  idle_->setVisible(!words.isEmpty());
  idle_->setText(words.join("\n"));
}

void MarkSheet::refreshLaid() {
  if (view_.selectedPart() < 0) return laid_->setText(tr("No part is selected."));
  const Part& part = *document_.project()->parts[view_.selection().back()];
  const Affine toPlate = transformOf(part.placement, *part.mesh);
  const Amounts amounts = amountsOf(part, toPlate);
  laid_->setText(tr("%1: %2 mm² enforced, %3 mm² blocked, %4 mm² kept clean, %5 mm² seen")
                     .arg(QString::fromStdString(shortName(part.name)))
                     .arg(amounts.enforced, 0, 'f', 0)
                     .arg(amounts.blocked, 0, 'f', 0)
                     .arg(amounts.clean, 0, 'f', 0)
                     .arg(amounts.seen, 0, 'f', 0));
}

}  // namespace trellis
