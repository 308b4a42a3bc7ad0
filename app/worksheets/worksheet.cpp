// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/worksheets/worksheet.hpp"

#include "app/theme/spoken.hpp"
#include "app/widgets/setting_editor.hpp"
#include "app/widgets/wrapping_label.hpp"
#include "core/settings/presets.hpp"

#include <QLabel>
#include <QScrollArea>
#include <QToolButton>

namespace trellis {

Worksheet::Worksheet(const QString& title, Document& document, View& view, QWidget* parent)
    : QFrame(parent), document_(document), view_(view) {
  setObjectName("worksheet");
  auto* outer = new QVBoxLayout(this);
  outer->setContentsMargins(0, 0, 0, 0);
  auto* scroll = new QScrollArea;
  scroll->setWidgetResizable(true);
  scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
  scroll->setFrameShape(QFrame::NoFrame);
  outer->addWidget(scroll);
  auto* inside = new QWidget;
  inside->setMinimumWidth(1);
  auto* whole = new QVBoxLayout(inside);
  whole->setContentsMargins(16, 16, 12, 16);
  column_ = new QVBoxLayout;
  column_->setSpacing(8);
  whole->addLayout(column_);
  whole->addStretch(1);
  scroll->setWidget(inside);
  auto* heading = new QLabel(title);
  heading->setObjectName("heading");
  auto* manual = new QToolButton;
  manual->setObjectName("manualPage");
  manual->setText("?");
  manual->setToolTip(tr("The manual on this worksheet; F1 opens it on what is under the pointer."));
  manual->setAccessibleName(tr("Manual"));
  connect(manual, &QToolButton::clicked, this, &Worksheet::wantsManual);
  auto* top = new QHBoxLayout;
  top->addWidget(heading, 1);
  top->addWidget(manual);
  column_->addLayout(top);
}

void Worksheet::giveRoomTo(QWidget* widget) {
  column_->setStretchFactor(widget, 1);
  auto* whole = static_cast<QVBoxLayout*>(column_->parentWidget()->layout());
  whole->setStretch(0, 1);
  whole->setStretch(1, 0);
}

void Worksheet::addSection(const QString& title) {
  column_->addSpacing(8);
  auto* label = new QLabel(title);
  label->setObjectName("section");
  column_->addWidget(label);
}

QLabel* Worksheet::addQuiet(const QString& words) {
  QLabel* label = wrappingLabel("quiet", words);
  column_->addWidget(label);
  return label;
}

void Worksheet::addSettings(std::initializer_list<const char*> keys) {
  for (const char* key : keys) column_->addWidget(new SettingEditor(document_, view_, key));
}

void Worksheet::addAdvice(std::vector<std::string> keys) {
  QLabel* label = addQuiet("");
  label->setObjectName("advice");
  const auto refresh = [this, label, keys = std::move(keys)] {
    QString words;
    for (const std::string& key : keys)
      if (const auto advice = adviceOn(key, view_.settingsEdited()))
        words += (words.isEmpty() ? "△ " : "\n△ ") + spoken(*advice);
    label->setText(words);
    label->setVisible(!words.isEmpty());
  };
  connect(&document_, &Document::changed, this, refresh);
  connect(&view_, &View::selectionChanged, this, refresh);
  refresh();
}

}  // namespace trellis
