// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/local_editor.hpp"

#include "app/theme/spoken.hpp"
#include "core/document/operations.hpp"
#include "core/settings/words.hpp"

#include <QCheckBox>
#include <QComboBox>
#include <QDoubleSpinBox>
#include <QGridLayout>
#include <QLabel>
#include <QToolButton>
#include <QVBoxLayout>

namespace trellis {

LocalEditor::LocalEditor(std::function<void(const Overrides&)> changed, QWidget* parent)
    : QWidget(parent), changed_(std::move(changed)) {
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(0, 0, 0, 0);
  rows_ = new QGridLayout;
  rows_->setContentsMargins(0, 0, 0, 0);
  rows_->setVerticalSpacing(4);
  rows_->setColumnStretch(0, 1);
  column->addLayout(rows_);
  add_ = new QComboBox;
  add_->setObjectName("addOwn");
  add_->addItem(tr("Give it a setting of its own…"));
  for (const SettingRow& row : settingsTable())
    if (isLocal(row.key)) add_->addItem(spoken(row.label), QString::fromStdString(row.key));
  column->addWidget(add_);
  connect(add_, &QComboBox::activated, this, [this](int i) {
    add_->setCurrentIndex(0);
    const std::string key = add_->itemData(i).toString().toStdString();
    if (i > 0 && !own_.contains(key)) set(key, below_.value(key));
  });
}

void LocalEditor::show(const Overrides* own, const Settings& below) {
  setEnabled(own != nullptr);
  below_ = below;
  const Overrides now = own ? *own : Overrides();
  if (known_ && now == own_) return;  // what is being typed in stays
  own_ = now;
  known_ = true;
  while (QLayoutItem* item = rows_->takeAt(0)) {
    if (item->widget()) item->widget()->deleteLater();
    delete item;
  }
  for (const auto& [key, value] : own_) addRow(settingRow(key), value);
}

void LocalEditor::addRow(const SettingRow& row, const SettingValue& value) {
  const int line = rows_->rowCount();
  auto* label = new QLabel(spoken(row.label));
  label->setToolTip(spoken(row.help));
  QWidget* editor = editorOf(row, value);
  editor->setObjectName("local." + QString::fromStdString(row.key));
  editor->setFocusPolicy(Qt::StrongFocus);
  editor->setToolTip(label->toolTip());
  auto* back = new QToolButton;
  back->setObjectName("back." + QString::fromStdString(row.key));
  back->setText("↺");
  back->setToolTip(tr("As around it"));
  back->setAutoRaise(true);
  connect(back, &QToolButton::clicked, this, [this, key = row.key] {
    Overrides settings = own_;
    settings.erase(key);
    changed_(settings);
  });
  rows_->addWidget(label, line, 0);
  rows_->addWidget(editor, line, 1);
  rows_->addWidget(back, line, 2);
}

QWidget* LocalEditor::editorOf(const SettingRow& row, const SettingValue& value) {
  if (const auto* number = std::get_if<double>(&value)) {
    auto* box = new QDoubleSpinBox;
    box->setRange(row.low, row.high);
    box->setDecimals(row.kind == SettingKind::whole ? 0 : 2);
    box->setSingleStep(row.kind == SettingKind::whole ? 1 : row.high <= 5 ? 0.02 : 0.1);
    if (!row.unit.empty()) box->setSuffix(" " + QString::fromStdString(row.unit));
    box->setAlignment(Qt::AlignRight);
    box->setKeyboardTracking(false);
    box->setFixedWidth(104);
    box->setValue(*number);
    connect(box, &QDoubleSpinBox::valueChanged, this, [this, key = row.key](double typed) { set(key, typed); });
    return box;
  }
  if (const auto* yes = std::get_if<bool>(&value)) {
    auto* box = new QCheckBox;
    box->setChecked(*yes);
    connect(box, &QCheckBox::toggled, this, [this, key = row.key](bool ticked) { set(key, ticked); });
    return box;
  }
  auto* box = new QComboBox;
  for (const std::string& choice : row.choices)
    box->addItem(spoken(choiceInWords(row.key, choice)), QString::fromStdString(choice));
  box->setCurrentIndex(box->findData(QString::fromStdString(std::get<std::string>(value))));
  connect(box, &QComboBox::activated, this,
          [this, key = row.key, box] { set(key, box->currentData().toString().toStdString()); });
  return box;
}

void LocalEditor::set(const std::string& key, const SettingValue& value) {
  Overrides settings = own_;
  settings.insert_or_assign(key, value);
  own_ = settings;
  if (rows_->parentWidget() && !findChild<QWidget*>("local." + QString::fromStdString(key)))
    addRow(settingRow(key), value);
  changed_(settings);
}

}  // namespace trellis
