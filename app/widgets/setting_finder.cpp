// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/setting_finder.hpp"

#include "app/theme/spoken.hpp"
#include "app/widgets/setting_editor.hpp"
#include "core/settings/words.hpp"

#include <QLabel>
#include <QLineEdit>
#include <QToolButton>
#include <QVBoxLayout>

#include <algorithm>

namespace trellis {

namespace {

constexpr std::size_t mostFound = 12;

void empty(QLayout* layout) {
  while (QLayoutItem* item = layout->takeAt(0)) {
    if (item->widget()) item->widget()->deleteLater();
    delete item;
  }
}

// Whether every word is in what a setting is called or in its help, and of those called so before the others.
int rankOf(const SettingRow& row, const QStringList& words) {
  const QString label = spoken(row.label), all = label + ' ' + spoken(row.help);
  const auto within = [&](const QString& text) {
    return std::all_of(words.begin(), words.end(),
                       [&](const QString& word) { return text.contains(word, Qt::CaseInsensitive); });
  };
  return within(label) ? 0 : within(all) ? 1 : 2;
}

QString inWords(const SettingRow& row, const SettingValue& value) {
  if (const auto* number = std::get_if<double>(&value))
    return QString::number(*number) + (row.unit.empty() ? "" : ' ' + QString::fromStdString(row.unit));
  if (const auto* yes = std::get_if<bool>(&value)) return *yes ? QObject::tr("on") : QObject::tr("off");
  const std::string& text = std::get<std::string>(value);
  const QString words = row.choices.empty() ? QString::fromStdString(text) : spoken(choiceInWords(row.key, text));
  return words.size() > 24 ? words.left(23) + "…" : words;
}

}  // namespace

SettingFinder::SettingFinder(Document& document, View& view, QWidget* parent)
    : QWidget(parent), document_(document), view_(view) {
  setObjectName("settingFinder");
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(0, 0, 0, 0);
  column->setSpacing(6);
  words_ = new QLineEdit;
  words_->setObjectName("findSetting");
  words_->setPlaceholderText(tr("Find a setting by its words"));
  words_->setClearButtonEnabled(true);
  column->addWidget(words_);
  none_ = new QLabel(tr("No setting has these words."));
  none_->setObjectName("quiet");
  none_->setVisible(false);
  column->addWidget(none_);
  found_ = new QVBoxLayout;
  found_->setSpacing(6);
  column->addLayout(found_);
  unusual_ = new QToolButton;
  unusual_->setObjectName("unusual");
  unusual_->setCheckable(true);
  unusual_->setToolButtonStyle(Qt::ToolButtonTextBesideIcon);
  unusual_->setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
  column->addWidget(unusual_);
  list_ = new QWidget;
  list_->setObjectName("unusualList");
  (new QVBoxLayout(list_))->setContentsMargins(0, 0, 0, 0);
  list_->setVisible(false);
  column->addWidget(list_);
  connect(words_, &QLineEdit::textChanged, this, &SettingFinder::find);
  connect(unusual_, &QToolButton::toggled, this, &SettingFinder::refreshUnusual);
  connect(&document, &Document::changed, this, &SettingFinder::refreshUnusual);
  refreshUnusual();
}

void SettingFinder::find() {
  empty(found_);
  const QStringList words = words_->text().split(' ', Qt::SkipEmptyParts);
  std::vector<std::pair<int, const SettingRow*>> rows;
  if (!words.isEmpty())
    for (const SettingRow& row : settingsTable())
      if (const int rank = rankOf(row, words); rank < 2) rows.emplace_back(rank, &row);
  std::stable_sort(rows.begin(), rows.end(), [](const auto& a, const auto& b) { return a.first < b.first; });
  for (std::size_t i = 0; i < std::min(rows.size(), mostFound); ++i)
    found_->addWidget(new SettingEditor(document_, view_, rows[i].second->key));
  none_->setText(rows.empty() ? tr("No setting has these words.")
                              : tr("%1 more; add a word.").arg(rows.size() - std::min(rows.size(), mostFound)));
  none_->setVisible(!words.isEmpty() && (rows.empty() || rows.size() > mostFound));
}

void SettingFinder::refreshUnusual() {
  const ChosenSets& sets = document_.project()->sets;
  const Settings& settings = document_.settings();
  const std::vector<std::string> keys = unusualKeys(settings, sets);
  unusual_->setText(keys.empty()       ? tr("Everything is as usual with these three")
                    : keys.size() == 1 ? tr("1 setting differs from my usual")
                                       : tr("%1 settings differ from my usual").arg(keys.size()));
  unusual_->setEnabled(!keys.empty());
  if (keys.empty()) unusual_->setChecked(false);
  list_->setVisible(unusual_->isChecked());
  if (!unusual_->isChecked()) return;
  empty(list_->layout());
  for (const std::string& key : keys) {
    const SettingRow& row = settingRow(key);
    list_->layout()->addWidget(new SettingEditor(document_, view_, key));
    auto* usual = new QLabel(
        tr("here %1, usually %2").arg(inWords(row, settings.value(key)), inWords(row, usualValue(sets, key))));
    usual->setObjectName("quiet");
    usual->setWordWrap(true);
    list_->layout()->addWidget(usual);
  }
}

}  // namespace trellis
