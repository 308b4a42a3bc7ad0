// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/worksheets/study_sheet.hpp"

#include "app/widgets/lean_wedge.hpp"
#include "core/overhang/lean.hpp"

#include <QLabel>

namespace trellis {

StudySheet::StudySheet(Session& session, QWidget* parent) : Worksheet(tr("Study"), session, parent) {
  addSection(tr("Free lean"));
  column_->addWidget(new LeanWedge(session));
  addQuiet(tr("Surface that leans farther than this from an upright wall hangs, and is rose in the scene. Drag the line; a larger "
              "angle asks for less support and trusts the machine more."));
  addSettings({"support.free_lean"});
  addSection(tr("What hangs"));
  area_ = new QLabel;
  column_->addWidget(area_);
  starts_ = new QLabel;
  starts_->setWordWrap(true);
  column_->addWidget(starts_);
  connect(&session, &Session::shownChanged, this, &StudySheet::refresh);
  refresh();
}

void StudySheet::refresh() {
  const Shown& shown = session_.shown();
  double hanging = 0;
  std::size_t starts = 0;
  double lowest = 1e9;
  if (shown.build)
    for (const PartBuild& part : shown.build->parts) {
      hanging += hangingArea(*part.placed, shown.project->settings.number("support.free_lean"));
      starts += part.overhangs->starts.size();
      for (const FloatingStart& start : part.overhangs->starts) lowest = std::min(lowest, start.at.z());
    }
  area_->setText(tr("%L1 mm² of surface hangs").arg(hanging, 0, 'f', 0));
  starts_->setText(starts == 0 ? tr("Nothing begins in mid-air.")
                               : tr("◆ %1 floating starts, the lowest at %2 mm. The strip shows where.").arg(starts).arg(lowest, 0, 'f', 1));
}

}  // namespace trellis
