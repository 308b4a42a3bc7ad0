// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/worksheets/build_sheet.hpp"

#include "app/widgets/gap_drawing.hpp"

#include <QLabel>

namespace trellis {

BuildSheet::BuildSheet(Session& session, QWidget* parent) : Worksheet(tr("Build"), session, parent) {
  addSettings({"support.on"});
  notice_ = addQuiet("");
  addSettings({"support.source", "support.footing"});
  addSection(tr("Gaps"));
  column_->addWidget(new GapDrawing(session));
  addSettings({"support.gap.above", "support.gap.below", "support.gap.beside"});
  addSection(tr("Interface and body"));
  addSettings({"support.interface.upper.layers", "support.interface.upper.spacing", "support.body.spacing", "support.body.walls"});
  pieces_ = addQuiet("");
  addSection(tr("Layers and part"));
  addSettings({"layer.height", "layer.first", "line.width", "walls", "skin.top", "skin.bottom", "infill.density"});
  connect(&session, &Session::projectChanged, this, &BuildSheet::refresh);
  connect(&session, &Session::shownChanged, this, &BuildSheet::refresh);
  refresh();
}

void BuildSheet::refresh() {
  const bool on = session_.settings().yes("support.on");
  notice_->setVisible(!on);
  notice_->setText(tr("Supports are off: nothing below is built. Everything can still be set."));
  const Shown& shown = session_.shown();
  const std::size_t count = shown.build ? shown.build->support->pieces.size() : 0;
  pieces_->setText(count == 0 ? tr("No support is built.") : count == 1 ? tr("Built as 1 piece.") : tr("Built as %1 pieces.").arg(count));
}

}  // namespace trellis
