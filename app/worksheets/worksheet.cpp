// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/worksheets/worksheet.hpp"

#include "app/widgets/setting_editor.hpp"
#include "core/settings/presets.hpp"

#include <QLabel>
#include <QScrollArea>

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
  column_->addWidget(heading);
}

void Worksheet::addSection(const QString& title) {
  column_->addSpacing(8);
  auto* label = new QLabel(title);
  label->setObjectName("section");
  column_->addWidget(label);
}

QLabel* Worksheet::addQuiet(const QString& words) {
  auto* label = new QLabel(words);
  label->setObjectName("quiet");
  label->setWordWrap(true);
  label->setMinimumWidth(1);  // long names are cut, not the sheet
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
        words += (words.isEmpty() ? "△ " : "\n△ ") + QString::fromStdString(*advice);
    label->setText(words);
    label->setVisible(!words.isEmpty());
  };
  connect(&document_, &Document::changed, this, refresh);
  connect(&view_, &View::selectionChanged, this, refresh);
  refresh();
}

}  // namespace trellis
