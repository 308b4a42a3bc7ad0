// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/worksheets/build_sheet.hpp"

#include "app/tally/tally_bar.hpp"
#include "app/theme/spoken.hpp"
#include "app/widgets/density_editor.hpp"
#include "app/widgets/gap_drawing.hpp"
#include "app/widgets/preset_editor.hpp"
#include "app/widgets/set_lines.hpp"
#include "app/widgets/setting_finder.hpp"
#include "app/widgets/trade_picture.hpp"
#include "core/assess/structure_advice.hpp"
#include "core/base/short_name.hpp"

#include <QComboBox>
#include <QLabel>

#include <algorithm>

namespace trellis {

namespace {

// Which structure suits a part, the selected one or each.
QString suitsWords(const Shown& shown, const Part* part) {
  QString words;
  if (!shown.build) return words;
  for (std::size_t p = 0; p < shown.build->parts.size() && p < shown.project->parts.size(); ++p) {
    const Part& here = *shown.project->parts[p];
    if (part && here.name != part->name) continue;
    const StructureAdvice advice = adviseFor(shown.build->parts[p]);
    const QString name = QString::fromStdString(here.name), reason = spoken(advice.reason);
    words += (words.isEmpty() ? "" : "\n") + (advice.structure == Structure::tree ? QObject::tr("Tree suits %1: %2.")
                                                                                  : QObject::tr("Normal suits %1: %2."))
                                                 .arg(name, reason);
  }
  return words;
}

// What bodies from the first filament spare, once both are printed.
QString savedWords(const Shown& shown) {
  if (!shown.build || shown.build->tally.toolChanges == 0) return QObject::tr("Support is printed from one filament.");
  const auto dissolve = [](const PieceFigures& piece) { return piece.wouldDissolve; };
  const auto& pieces = shown.build->pieces;
  if (std::none_of(pieces.begin(), pieces.end(), dissolve))
    return QObject::tr("%1 tool changes.").arg(shown.build->tally.toolChanges);
  const auto held = std::count_if(pieces.begin(), pieces.end(), [&](const PieceFigures& piece) {
    return dissolve(piece) && piece.bodyFilament == Filament::second;
  });
  return QObject::tr(
             "%1 of %2 pieces keep a body that dissolves. The others' bodies from the first filament save %3; %4 "
             "tool changes.")
      .arg(held)
      .arg(pieces.size())
      .arg(durationWords(shown.build->savedSeconds))
      .arg(shown.build->tally.toolChanges);
}

}  // namespace

BuildSheet::BuildSheet(Document& document, Builder& builder, View& view, Activity& activity, Notes& notes,
                       QWidget* parent)
    : Worksheet(tr("Build"), document, view, parent), builder_(builder), notes_(notes) {
  column_->addWidget(new SetLines(document, view, activity));
  column_->addWidget(new SettingFinder(document, view));
  scope_ = new QComboBox;
  scope_->setObjectName("scope");
  scope_->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
  scope_->addItem(tr("For the whole plate"));
  scope_->addItem(QString());
  connect(scope_, &QComboBox::activated, this, [this](int index) { view_.setEditsPart(index == 1); });
  column_->addWidget(scope_);
  own_ = addQuiet("");
  addSettings({"support.on"});
  notice_ = addQuiet("");
  addSettings({"support.source", "support.footing", "support.structure"});
  suits_ = addQuiet("");
  suits_->setObjectName("suits");
  addSection(tr("Release"));
  column_->addWidget(new PresetEditor(document, view, PresetKind::release, tr("Preset")));
  column_->addWidget(new GapDrawing(document, view));
  column_->addWidget(new TradePicture(document, view, notes));
  learnt_ = addQuiet("");
  learnt_->setObjectName("learnt");
  connect(&document, &Document::changed, this, &BuildSheet::refreshLearnt);
  connect(&notes, &Notes::changed, this, &BuildSheet::refreshLearnt);
  refreshLearnt();
  addSettings({"support.gap.above", "support.gap.below", "support.gap.beside", "support.gap.slope"});
  addAdvice({"support.gap.above", "support.gap.below", "support.gap.beside"});
  addSection(tr("Interface and body"));
  addSettings({"support.interface.upper.layers", "support.interface.upper.pattern", "support.interface.upper.spacing"});
  column_->addWidget(new DensityEditor(document, view, "support.interface.upper.spacing"));
  addSettings({"support.body.pattern", "support.body.spacing"});
  column_->addWidget(new DensityEditor(document, view, "support.body.spacing"));
  addAdvice({"support.interface.upper.layers", "support.interface.upper.spacing", "support.body.spacing"});
  addSettings({"support.body.walls", "support.graded.layers", "support.graded.density", "support.normal.outline",
               "support.normal.column"});
  addAdvice({"support.graded.density", "support.normal.column"});
  addSection(tr("Branches of a tree"));
  addSettings({"support.tree.tip_width", "support.tree.tip_spacing", "support.tree.branch_lean",
               "support.tree.trunk_width", "support.tree.walls", "support.tree.inner_spacing",
               "support.tree.foot_width", "support.tree.foot_height"});
  addSection(tr("Where it stands"));
  addSettings({"support.interface.lower.layers", "support.interface.lower.pattern", "support.interface.lower.spacing"});
  column_->addWidget(new DensityEditor(document, view, "support.interface.lower.spacing"));
  addSettings({"support.foot.layers", "support.foot.spread"});
  addSettings({"support.raft.layers", "support.raft.reach", "support.raft.gap"});
  addSection(tr("Filaments"));
  column_->addWidget(new PresetEditor(document, view, PresetKind::filament, tr("Kind")));
  addSettings({"support.filament.interface", "support.filament.body"});
  saved_ = addQuiet("");
  saved_->setObjectName("saved");
  addSettings({"filament2.name", "filament2.soluble", "filament2.speed", "filament2.nozzle_heat", "filament2.density",
               "filament2.price", "prime.purge", "machine.tool_change_time"});
  pieces_ = addQuiet("");
  addSection(tr("Holds"));
  addSettings({"support.gap.hold", "support.hold.tie_spacing"});
  addSection(tr("Brim and skirt"));
  addSettings({"brim.width", "brim.gap", "brim.side", "skirt.loops", "skirt.distance", "skirt.code"});
  addSection(tr("Layers and part"));
  addSettings({"layer.height", "layer.first", "line.width", "walls", "cover.top", "cover.bottom", "infill.density"});
  connect(&document, &Document::changed, this, &BuildSheet::refresh);
  connect(&view, &View::selectionChanged, this, &BuildSheet::refresh);
  connect(&builder, &Builder::shownChanged, this, &BuildSheet::refresh);
  refresh();
}

// Of figures in force that a print taught, which one it was.
void BuildSheet::refreshLearnt() {
  QStringList words;
  const std::vector<BenchNote> notes = notes_.ofThese();
  for (const char* key : {"support.gap.above", "support.gap.below", "support.gap.beside",
                          "support.interface.upper.spacing", "support.free_lean", "support.bridge_limit"}) {
    const SettingRow& row = settingRow(key);
    if (const auto from = learntFrom(notes, key, document_.settings().number(key)))
      words << tr("%1 %2 %3, %4")
                   .arg(spoken(row.label))
                   .arg(document_.settings().number(key))
                   .arg(QString::fromStdString(row.unit), spoken(wordsOf(*from)));
  }
  learnt_->setText(words.join("\n"));
  learnt_->setVisible(!words.isEmpty());
}

void BuildSheet::refresh() {
  const bool any = view_.selectedPart() >= 0;
  const Part* part = any ? document_.project()->parts[view_.selection().back()].get() : nullptr;
  scope_->setItemText(
      1, part ? tr("For %1 alone").arg(QString::fromStdString(shortName(part->name, 24))) : tr("For one part alone"));
  scope_->setEnabled(any);
  scope_->setCurrentIndex(view_.editsPart() ? 1 : 0);
  const std::size_t own = part ? part->settings.size() : 0;
  own_->setText(!part      ? tr("Select a part in Place to give it settings of its own.")
                : own == 0 ? tr("%1 has no settings of its own: those of the plate hold for it.")
                                 .arg(QString::fromStdString(shortName(part->name)))
                           : tr("%1 has %2 of its own; choose it alone above and their names are bold.")
                                 .arg(QString::fromStdString(shortName(part->name)))
                                 .arg(own == 1 ? tr("1 setting") : tr("%1 settings").arg(own)));
  const bool on = view_.settingsEdited().yes("support.on");
  notice_->setVisible(!on);
  notice_->setText(tr("Supports are off: nothing below is built. Everything can still be set."));
  const Shown& shown = builder_.shown();
  suits_->setText(suitsWords(shown, part));
  suits_->setVisible(!suits_->text().isEmpty());
  const std::size_t count = shown.build ? shown.build->support->pieces.size() : 0;
  pieces_->setText(count == 0 ? tr("No support is built.")
                              : tr("Built as %1; Check lists what each is printed from and how it comes off.")
                                    .arg(count == 1 ? tr("1 piece") : tr("%1 pieces").arg(count)));
  saved_->setText(savedWords(shown));
}

}  // namespace trellis
