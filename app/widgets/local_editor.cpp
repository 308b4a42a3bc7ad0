// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/local_editor.hpp"

#include <QCheckBox>
#include <QComboBox>
#include <QDoubleSpinBox>
#include <QGridLayout>
#include <QLabel>

namespace trellis {

LocalEditor::LocalEditor(std::function<void(const Overrides&)> changed, QWidget* parent)
    : QWidget(parent), changed_(std::move(changed)) {
  auto* grid = new QGridLayout(this);
  grid->setContentsMargins(0, 0, 0, 0);
  grid->setVerticalSpacing(4);
  grid->setColumnStretch(0, 1);
  structure_ = new QComboBox;
  structure_->setObjectName("own.support.structure");
  structure_->addItems({tr("as around it"), tr("normal"), tr("tree")});
  structure_->setToolTip(QString::fromStdString(settingRow("support.structure").help));
  grid->addWidget(new QLabel(QString::fromStdString(settingRow("support.structure").label)), 0, 0);
  grid->addWidget(structure_, 0, 1);
  connect(structure_, &QComboBox::activated, this, &LocalEditor::tell);
  for (const char* key :
       {"support.gap.above", "support.gap.below", "support.gap.beside", "support.interface.upper.layers",
        "support.interface.upper.spacing", "support.body.spacing"}) {
    const SettingRow& row = settingRow(key);
    auto* own = new QCheckBox(QString::fromStdString(row.label));
    own->setToolTip(tr("Ticked: a value of its own. %1").arg(QString::fromStdString(row.help)));
    auto* value = new QDoubleSpinBox;
    value->setObjectName(QString("local.") + key);
    value->setRange(row.low, row.high);
    value->setDecimals(row.kind == SettingKind::whole ? 0 : 2);
    value->setSingleStep(row.kind == SettingKind::whole ? 1 : row.high <= 5 ? 0.02 : 0.1);
    if (!row.unit.empty()) value->setSuffix(" " + QString::fromStdString(row.unit));
    value->setAlignment(Qt::AlignRight);
    value->setKeyboardTracking(false);
    value->setFixedWidth(104);
    own->setObjectName(QString("own.") + key);
    const int line = static_cast<int>(lines_.size()) + 1;
    grid->addWidget(own, line, 0);
    grid->addWidget(value, line, 1);
    connect(own, &QCheckBox::toggled, this, &LocalEditor::tell);
    connect(value, &QDoubleSpinBox::valueChanged, this, &LocalEditor::tell);
    lines_.push_back({key, own, value});
  }
}

void LocalEditor::show(const Overrides* own, const Settings& below) {
  refreshing_ = true;
  setEnabled(own != nullptr);
  own_ = own ? *own : Overrides();
  const auto structure = own ? own->find("support.structure") : Overrides::const_iterator();
  structure_->setCurrentIndex(!own || structure == own->end()                      ? 0
                              : std::get<std::string>(structure->second) == "tree" ? 2
                                                                                   : 1);
  for (const Line& line : lines_) {
    const auto found = own ? own->find(line.key) : Overrides::const_iterator();
    const bool has = own && found != own->end();
    line.own->setChecked(has);
    line.value->setEnabled(has);
    line.value->setValue(std::get<double>(has ? found->second : below.value(line.key)));
  }
  refreshing_ = false;
}

void LocalEditor::tell() {
  if (refreshing_) return;
  Overrides settings = own_;  // what has no line here stays
  settings.erase("support.structure");
  if (structure_->currentIndex() > 0)
    settings.insert_or_assign("support.structure",
                              SettingValue(std::string(structure_->currentIndex() == 2 ? "tree" : "normal")));
  for (const Line& line : lines_) {
    line.value->setEnabled(line.own->isChecked());
    settings.erase(line.key);
    if (line.own->isChecked()) settings.insert_or_assign(line.key, SettingValue(line.value->value()));
  }
  changed_(settings);
}

}  // namespace trellis
