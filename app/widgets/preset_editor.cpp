// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/preset_editor.hpp"

#include "app/theme/spoken.hpp"

#include <QComboBox>
#include <QGridLayout>
#include <QLabel>

namespace trellis {

PresetEditor::PresetEditor(Document& document, View& view, PresetKind kind, const QString& label, QWidget* parent)
    : QWidget(parent), document_(document), view_(view), kind_(kind) {
  setObjectName(kind == PresetKind::release ? "preset.release" : "preset.filament");
  auto* grid = new QGridLayout(this);
  grid->setContentsMargins(0, 0, 28, 0);  // in line with the settings, which have a reset beside them
  grid->setColumnStretch(0, 1);
  grid->addWidget(new QLabel(label), 0, 0);
  box_ = new QComboBox;
  box_->setFixedWidth(180);
  for (const Preset& preset : presets()) {
    if (preset.kind != kind) continue;
    box_->addItem(spoken(preset.label), QString::fromStdString(preset.name));
    box_->setItemData(box_->count() - 1, spoken(preset.help), Qt::ToolTipRole);
  }
  box_->setPlaceholderText(tr("tuned by hand"));
  grid->addWidget(box_, 0, 1);
  help_ = new QLabel;
  help_->setObjectName("quiet");
  help_->setWordWrap(true);
  grid->addWidget(help_, 1, 0, 1, 2);
  connect(box_, &QComboBox::activated, this, [this] {
    document_.perform(ApplyPreset{box_->currentData().toString().toStdString(), view_.editedPart()});
  });
  connect(&document, &Document::changed, this, &PresetEditor::refresh);
  connect(&view, &View::selectionChanged, this, &PresetEditor::refresh);
  refresh();
}

void PresetEditor::refresh() {
  const Preset* preset = presetOf(kind_, view_.settingsEdited());
  box_->setCurrentIndex(preset ? box_->findData(QString::fromStdString(preset->name)) : -1);
  help_->setText(preset ? spoken(preset->help) : tr("Tuned by hand; choosing a preset sets all of it anew."));
}

}  // namespace trellis
