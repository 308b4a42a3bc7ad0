// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/setting_editor.hpp"

#include "app/theme/spoken.hpp"
#include "core/settings/words.hpp"

#include <QCheckBox>
#include <QComboBox>
#include <QDoubleSpinBox>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QToolButton>

namespace trellis {

SettingEditor::SettingEditor(Document& document, View& view, const std::string& key, QWidget* parent)
    : QWidget(parent), document_(document), view_(view), row_(settingRow(key)) {
  setObjectName(QString::fromStdString(key));
  build();
  connect(&document, &Document::changed, this, &SettingEditor::refresh);
  connect(&view, &View::selectionChanged, this, &SettingEditor::refresh);
  refresh();
}

void SettingEditor::build() {
  auto* line = new QHBoxLayout(this);
  line->setContentsMargins(0, 0, 0, 0);
  line->setSpacing(6);
  label_ = new QLabel(spoken(row_.label));
  line->addWidget(label_, 1);
  if (row_.kind == SettingKind::number || row_.kind == SettingKind::whole) {
    auto* box = new QDoubleSpinBox;
    const bool fine = row_.kind == SettingKind::number && row_.high <= 50;
    const bool coarse = row_.kind == SettingKind::whole || row_.high >= 20000;
    box->setDecimals(coarse ? 0 : fine ? 2 : 1);
    box->setRange(row_.low, row_.high);
    box->setSingleStep(row_.kind == SettingKind::whole ? 1 : row_.high <= 5 ? 0.02 : row_.high <= 50 ? 0.1 : 1);
    if (!row_.unit.empty()) box->setSuffix(" " + QString::fromStdString(row_.unit));
    box->setAlignment(Qt::AlignRight);
    box->setKeyboardTracking(false);
    connect(box, &QDoubleSpinBox::valueChanged, this, [this](double value) { change(value); });
    editor_ = box;
  } else if (row_.kind == SettingKind::yesNo) {
    auto* box = new QCheckBox;
    connect(box, &QCheckBox::toggled, this, [this](bool value) { change(value); });
    editor_ = box;
  } else if (row_.kind == SettingKind::choice) {
    auto* box = new QComboBox;
    for (const std::string& choice : row_.choices)
      box->addItem(spoken(choiceInWords(row_.key, choice)), QString::fromStdString(choice));
    connect(box, &QComboBox::activated, this, [this, box] { change(box->currentData().toString().toStdString()); });
    editor_ = box;
  } else {
    auto* box = new QLineEdit;
    connect(box, &QLineEdit::editingFinished, this, [this, box] { change(box->text().toStdString()); });
    editor_ = box;
  }
  editor_->setFocusPolicy(Qt::StrongFocus);
  if (row_.kind != SettingKind::yesNo)
    editor_->setFixedWidth(row_.kind != SettingKind::choice ? 104 : row_.label.size() > 16 ? 154 : 174);
  label_->setBuddy(editor_);
  QString help = spoken(row_.help);
  if (row_.kind == SettingKind::number || row_.kind == SettingKind::whole)
    help += tr("\n%1 to %2 %3").arg(row_.low).arg(row_.high).arg(QString::fromStdString(row_.unit));
  setToolTip(help);
  line->addWidget(editor_);
  reset_ = new QToolButton;
  reset_->setText("↺");
  reset_->setAutoRaise(true);
  reset_->setFixedSize(22, 22);
  reset_->setStyleSheet("padding: 0; border: 0;");
  reset_->setFocusPolicy(Qt::TabFocus);
  QSizePolicy kept = reset_->sizePolicy();
  kept.setRetainSizeWhenHidden(true);  // nothing jumps
  reset_->setSizePolicy(kept);

  connect(reset_, &QToolButton::clicked, this, [this] { document_.perform(ResetSetting{row_.key, part()}); });
  line->addWidget(reset_);
}

std::optional<std::size_t> SettingEditor::part() const { return row_.perPart ? view_.editedPart() : std::nullopt; }

void SettingEditor::change(const SettingValue& value) {
  const Settings shown = row_.perPart ? view_.settingsEdited() : document_.settings();
  if (refreshing_ || value == shown.value(row_.key)) return;
  document_.perform(ChangeSetting{row_.key, value, part()});
}

void SettingEditor::refresh() {
  refreshing_ = true;
  const Settings shown = row_.perPart ? view_.settingsEdited() : document_.settings();
  const SettingValue& value = shown.value(row_.key);
  if (auto* number = qobject_cast<QDoubleSpinBox*>(editor_)) number->setValue(std::get<double>(value));
  if (auto* yes = qobject_cast<QCheckBox*>(editor_)) yes->setChecked(std::get<bool>(value));
  if (auto* choice = qobject_cast<QComboBox*>(editor_))
    choice->setCurrentIndex(choice->findData(QString::fromStdString(std::get<std::string>(value))));
  if (auto* text = qobject_cast<QLineEdit*>(editor_))
    text->setText(QString::fromStdString(std::get<std::string>(value)));
  const bool isOwn = part() && document_.project()->parts[*part()]->settings.count(row_.key) > 0;
  QFont font = label_->font();
  font.setBold(isOwn);
  label_->setFont(font);
  reset_->setToolTip(isOwn ? tr("Back to the plate's") : tr("Back to the usual"));
  reset_->setVisible(part() ? isOwn : value != usualValue(document_.project()->sets, row_.key));
  editor_->setEnabled(!view_.editsPart() || row_.perPart);
  refreshing_ = false;
}

}  // namespace trellis
