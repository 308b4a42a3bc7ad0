// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/set_page.hpp"

#include "app/theme/spoken.hpp"
#include "app/widgets/setting_editor.hpp"
#include "core/base/error.hpp"

#include <QFileDialog>
#include <QGridLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QVBoxLayout>

namespace trellis {

namespace {

constexpr const char* setFiles = "Machines, filaments and prints (*.json)";

}  // namespace

SetPage::SetPage(Document& document, View& view, Activity& activity, SetKind kind, QWidget* parent)
    : QWidget(parent), document_(document), view_(view), activity_(activity), kind_(kind) {
  setObjectName("page." + QString::fromStdString(std::string(nameOf(kind))));
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(0, 0, 0, 8);
  column->setSpacing(6);
  addKeeping();
  addFigures();
  connect(&document, &Document::changed, this, &SetPage::refresh);
  connect(&document, &Document::setsChanged, this, &SetPage::refresh);
  refresh();
}

void SetPage::addKeeping() {
  name_ = new QLineEdit;
  name_->setObjectName("setName");
  name_->setMaxLength(60);
  layout()->addWidget(name_);
  auto* buttons = new QGridLayout;
  buttons->setSpacing(6);
  const auto add = [&](const QString& words, const char* name, const QString& help, int row, int col) {
    auto* button = new QPushButton(words);
    button->setObjectName(name);
    button->setToolTip(help);
    buttons->addWidget(button, row, col);
    return button;
  };
  keep_ = add(tr("Keep"), "keepSet", tr("Keeps the figures below under the name above."), 0, 0);
  rename_ = add(tr("Rename"), "renameSet", tr("Gives what is kept the name above."), 0, 1);
  remove_ = add(tr("Remove"), "removeSet", tr("Removes what is kept; one that ships is again as it came."), 0, 2);
  auto* take = add(tr("Take from file"), "takeSet", tr("Keeps a copy of a set from a file, and chooses it."), 1, 0);
  auto* write = add(tr("Write to file"), "writeSet", tr("Writes the figures below, to send or to copy."), 1, 1);
  static_cast<QVBoxLayout*>(layout())->addLayout(buttons);
  notice_ = new QLabel;
  notice_->setObjectName("quiet");
  notice_->setWordWrap(true);
  layout()->addWidget(notice_);
  connect(keep_, &QPushButton::clicked, this, [this] { keepAs(name_->text().trimmed()); });
  connect(name_, &QLineEdit::textChanged, this, &SetPage::refresh);
  connect(rename_, &QPushButton::clicked, this, &SetPage::rename);
  connect(remove_, &QPushButton::clicked, this, &SetPage::remove);
  connect(take, &QPushButton::clicked, this, &SetPage::takeFromFile);
  connect(write, &QPushButton::clicked, this, &SetPage::writeToFile);
}

// Its own figures, and then those of how far to trust it.
void SetPage::addFigures() {
  for (const bool own : {true, false})
    for (const SettingRow& row : settingsTable())
      if (mayHold(kind_, row.key) && (kindOf(row.key) == kind_) == own && !row.key.ends_with(".name"))
        layout()->addWidget(new SettingEditor(document_, view_, row.key));
}

void SetPage::refresh() {
  const KeptSet& chosen = document_.project()->sets.of(kind_);
  const QString current = QString::fromStdString(chosen.name);
  if (current != named_) {  // what is being typed stays
    named_ = current;
    name_->setText(current);
  }
  const std::string name = name_->text().trimmed().toStdString();
  const bool isCurrent = name == chosen.name, isKept = document_.library().isKept(kind_, chosen.name);
  keep_->setText(isCurrent ? tr("Keep") : tr("Keep as"));
  keep_->setEnabled(!name.empty());
  rename_->setEnabled(isKept && !isCurrent && !name.empty());
  remove_->setEnabled(isKept && isCurrent);
  const auto same = [&] {
    const KeptSet now = setFrom(kind_, chosen.name, document_.settings(), document_.project()->sets);
    return !document_.library().isOtherwise(now);
  };
  notice_->setText(same() ? tr("These are the figures of %1.").arg(current)
                          : tr("Not all of these are the figures of %1 as it is kept. Keep them, or reset them one by "
                               "one.")
                                .arg(current));
}

void SetPage::attempt(const std::function<void()>& what) {
  try {
    what();
  } catch (const Error& error) {
    activity_.fail(spoken(error));
  }
}

void SetPage::keepAs(const QString& name) {
  attempt([&] {
    const KeptSet set = setFrom(kind_, name.toStdString(), document_.settings(), document_.project()->sets);
    document_.keepSet(set);
  });
}

void SetPage::rename() {
  attempt([&] { document_.renameSet(kind_, name_->text().trimmed().toStdString()); });
}

void SetPage::remove() {
  attempt([&] { document_.removeSet(kind_); });
}

void SetPage::takeFromFile() {
  const QString path = QFileDialog::getOpenFileName(this, tr("Take from file"), QString(), tr(setFiles));
  if (!path.isEmpty()) attempt([&] { document_.takeSet(path); });
}

void SetPage::writeToFile() {
  const std::string name = name_->text().trimmed().toStdString();
  const QString path =
      QFileDialog::getSaveFileName(this, tr("Write to file"), QString::fromStdString(name) + ".json", tr(setFiles));
  if (!path.isEmpty())
    attempt(
        [&] { writeSet(setFrom(kind_, name, document_.settings(), document_.project()->sets), path.toStdString()); });
}

}  // namespace trellis
