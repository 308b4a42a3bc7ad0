// SPDX-License-Identifier: GPL-3.0-or-later
// Everything that has a name, found by a part of it; and the keys.
#include "app/scene/scene_view.hpp"
#include "app/theme/spoken.hpp"
#include "app/window/main_window.hpp"
#include "app/window/manual.hpp"

#include <QAbstractSpinBox>
#include <QApplication>
#include <QDialog>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QPushButton>
#include <QScrollArea>
#include <QStackedWidget>
#include <QTextBrowser>
#include <QVBoxLayout>

#include <algorithm>

namespace trellis {

// Whatever has a name: commands, settings, parts, findings, pages of the manual.
std::vector<MainWindow::Named> MainWindow::everythingNamed() {
  std::vector<Named> all;
  for (const Command& command : commands_)
    all.push_back({QString("%1 · %2    %3").arg(command.menu, command.name, command.shortcut.toString()), [&command] {
                     if (!command.enabled || command.enabled()) command.run();
                   }});
  for (const SettingRow& row : settingsTable())
    all.push_back({tr("Setting · %1").arg(spoken(row.label)), [this, &row] { showSetting(row.key); }});
  for (std::size_t p = 0; p < document_->project()->parts.size(); ++p)
    all.push_back({tr("Part · %1").arg(QString::fromStdString(document_->project()->parts[p]->name)),
                   [this, p] { view_->selectPart(static_cast<int>(p)); }});
  for (const Finding& finding : builder_->findings())
    all.push_back({tr("Finding · %1").arg(spoken(finding.message)), [this, at = finding.at] {
                     showSheet(4);
                     view_->goTo(at);
                   }});
  for (const ManualHeading& heading : manualHeadings())
    if (!heading.explains.isEmpty())
      all.push_back({tr("Manual · %1").arg(heading.words), [this, heading] { openManual(heading.explains); }});
  return all;
}

// The worksheet that has it, scrolled to it.
void MainWindow::showSetting(const std::string& key) {
  for (int sheet = 0; sheet < sheets_->count(); ++sheet) {
    auto* editor = sheets_->widget(sheet)->findChild<QWidget*>(QString::fromStdString(key));
    if (!editor) continue;
    showSheet(sheet);
    QCoreApplication::processEvents();  // until it has its place
    if (auto* scroll = sheets_->widget(sheet)->findChild<QScrollArea*>()) scroll->ensureWidgetVisible(editor, 0, 120);
    if (auto* field = editor->findChild<QAbstractSpinBox*>()) field->setFocus();
    return;
  }
  pointed_->setText(
      tr("%1 is set on the page of its machine, filament or print, in Build.").arg(spoken(settingRow(key).label)));
  showSheet(3);
}

void MainWindow::findCommand() {
  const std::vector<Named> all = everythingNamed();
  QDialog dialog(this);
  dialog.setWindowTitle(tr("Find"));
  dialog.resize(460, 380);
  auto* column = new QVBoxLayout(&dialog);
  auto* text = new QLineEdit;
  text->setPlaceholderText(
      tr("Type a part of its name: a command, a setting, a part, a finding, a page of the manual"));
  auto* list = new QListWidget;
  column->addWidget(text);
  column->addWidget(list);
  const auto fill = [&](const QString& wanted) {
    list->clear();
    for (std::size_t i = 0; i < all.size(); ++i) {
      const QStringList words = wanted.split(' ', Qt::SkipEmptyParts);
      if (!std::all_of(words.begin(), words.end(),
                       [&](const QString& word) { return all[i].words.contains(word, Qt::CaseInsensitive); }))
        continue;
      auto* item = new QListWidgetItem(all[i].words, list);
      item->setData(Qt::UserRole, static_cast<int>(i));
    }
    list->setCurrentRow(0);
  };
  fill({});
  connect(text, &QLineEdit::textChanged, &dialog, fill);
  connect(text, &QLineEdit::returnPressed, &dialog, &QDialog::accept);
  connect(list, &QListWidget::itemActivated, &dialog, &QDialog::accept);
  if (dialog.exec() != QDialog::Accepted || !list->currentItem()) return;
  all[static_cast<std::size_t>(list->currentItem()->data(Qt::UserRole).toInt())].run();
}

void MainWindow::explain(const QWidget* widget) { openManual(namesAround(widget)); }

void MainWindow::openManual(const QStringList& names) {
  if (!manual_) manual_ = new Manual(this);
  manual_->openAt(names);
}

// What is under the pointer, or else has the keys.
void MainWindow::explainPointed() {
  const QWidget* pointed = QApplication::widgetAt(QCursor::pos());
  explain(pointed && pointed->window() == this ? pointed : QApplication::focusWidget());
}

void MainWindow::showShortcuts() {
  QString rows = "<table cellspacing='4'>";
  for (const Command& command : commands_)
    if (!command.shortcut.isEmpty())
      rows += QString("<tr><td>%1 · %2&nbsp;&nbsp;</td><td>%3</td></tr>")
                  .arg(command.menu, command.name, command.shortcut.toString().toHtmlEscaped());
  rows +=
      tr("<tr><td>Scene · turn by 15°, with Shift to the next straight view</td><td>Arrows</td></tr>"
         "<tr><td>Scene · move the cross, with Shift by one pixel</td><td>Ctrl+Arrows</td></tr>"
         "<tr><td>Scene · the left button at the cross, with Shift the other mark</td><td>Return</td></tr>"
         "<tr><td>Scene · hide supports while held</td><td>`</td></tr>"
         "<tr><td>Scene · slide while held</td><td>Space</td></tr>"
         "<tr><td>Scene · brush size</td><td>Ctrl+wheel</td></tr>"
         "<tr><td>Scene · slide the cut</td><td>Shift+wheel</td></tr>"
         "<tr><td>Strip · one layer, with Shift ten</td><td>Wheel</td></tr></table>");
  QDialog dialog(this);  // as high as the window at most: there are many
  dialog.setWindowTitle(tr("Keys"));
  dialog.resize(560, std::min(720, height() - 60));
  auto* column = new QVBoxLayout(&dialog);
  auto* text = new QTextBrowser;
  text->setHtml(rows);
  column->addWidget(text);
  auto* close = new QPushButton(tr("Close"));
  column->addWidget(close, 0, Qt::AlignRight);
  connect(close, &QPushButton::clicked, &dialog, &QDialog::accept);
  dialog.exec();
}

}  // namespace trellis
