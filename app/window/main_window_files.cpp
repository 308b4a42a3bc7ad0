// SPDX-License-Identifier: GPL-3.0-or-later
// What the window reads from files and writes to them.
#include "app/scene/scene_view.hpp"
#include "app/theme/spoken.hpp"
#include "app/window/main_window.hpp"
#include "app/window/report_page.hpp"
#include "core/assess/comparison.hpp"
#include "core/base/files.hpp"
#include "core/learn/print_recipe.hpp"

#include <QEventLoop>
#include <QFileDialog>
#include <QFileInfo>
#include <QLabel>
#include <QMessageBox>
#include <QPushButton>
#include <QSettings>
#include <nlohmann/json.hpp>

namespace trellis {

namespace {

constexpr const char* openable =
    "Parts and projects (*.stl *.STL *.obj *.OBJ *.ply *.PLY *.off *.OFF *.3mf *.3MF *.amf *.AMF)";

bool isGcode(const QString& path) {
  static const QStringList suffixes{"gcode", "gco", "g", "nc"};
  return suffixes.contains(QFileInfo(path).suffix().toLower());
}

}  // namespace

void MainWindow::openByDialog(bool add) {
  const QStringList paths =
      QFileDialog::getOpenFileNames(this, add ? tr("Add parts") : tr("Open"), QString(), tr(openable));
  openFiles(paths, add);
}

void MainWindow::replaceByDialog() {
  const QString path = QFileDialog::getOpenFileName(this, tr("A revised mesh"), QString(), tr(openable));
  if (!path.isEmpty()) document_->previewReplacing(view_->selection().back(), path);
}

// Formats without a unit are taken as millimetres, which gives odd sizes where the drawing was in others.
void MainWindow::askUnit(double largest) {
  auto* box = new QMessageBox(
      QMessageBox::NoIcon, tr("Meek Trellis"),
      tr("This measures %1 mm across if it was drawn in millimetres. What was it drawn in?").arg(largest, 0, 'g', 3),
      QMessageBox::NoButton, this);
  box->setObjectName("unit");
  box->setAttribute(Qt::WA_DeleteOnClose);
  box->addButton(tr("Millimetres"), QMessageBox::RejectRole);
  const std::size_t last = document_->project()->parts.size();
  for (const auto& [name, factor] :
       {std::pair(tr("Inches"), 25.4), std::pair(tr("Metres"), 1000.0), std::pair(tr("Micrometres"), 0.001)}) {
    if (!Document::isLikelySize(largest * factor)) continue;
    QPushButton* button = box->addButton(name, QMessageBox::AcceptRole);
    connect(button, &QPushButton::clicked, this, [this, factor = factor, last] {
      if (document_->project()->parts.size() != last || last == 0) return;
      PlacePart place;
      place.part = last - 1;
      place.scale = document_->project()->parts[last - 1]->placement.scale * factor;
      document_->perform(place);
    });
  }
  box->open();
}

// The first replaces what is open unless it is added; the others join it.
void MainWindow::openFiles(const QStringList& paths, bool add) {
  for (int i = 0; i < paths.size(); ++i) openFile(paths[i], add || i > 0);
}

void MainWindow::openGcodeByDialog() {
  const QString path = QFileDialog::getOpenFileName(this, tr("Try a G-code file"), QString(),
                                                    tr("G-code (*.gcode *.GCODE *.gco *.g *.nc);;All files (*)"));
  if (!path.isEmpty()) openFile(path);
}

void MainWindow::openFile(const QString& path, bool add) {
  if (isGcode(path)) {
    view_->openGcode(path);
    return showSheet(4);
  }
  if (!add && !mayLose()) return;
  document_->open(path, add);
}

void MainWindow::remember(const QString& path) {
  QSettings settings;
  QStringList recent = settings.value("recent").toStringList();
  const QString whole = QFileInfo(path).absoluteFilePath();
  recent.removeAll(whole);
  recent.prepend(whole);
  settings.setValue("recent", QStringList(recent.mid(0, 9)));
  refreshTitle();
}

bool MainWindow::save() { return document_->path().isEmpty() ? saveAs() : saveTo(document_->path()); }

bool MainWindow::saveAs() {
  QString path = QFileDialog::getSaveFileName(this, tr("Save project"), document_->title() + ".trellis.3mf",
                                              tr("Projects (*.3mf)"));
  if (path.isEmpty()) return false;
  if (!path.endsWith(".3mf", Qt::CaseInsensitive)) path += ".3mf";
  return saveTo(path);
}

bool MainWindow::wasDone(const std::function<void(const Activity::Done&)>& begin) {
  QEventLoop waiting;
  std::optional<bool> done;
  begin([&](bool could) {
    done = could;
    waiting.quit();
  });
  while (!done) waiting.exec();
  return *done;
}

bool MainWindow::saveTo(const QString& path) {
  return wasDone([&](const Activity::Done& done) { document_->save(path, done); });
}

void MainWindow::writeReport() {
  const QString path = QFileDialog::getSaveFileName(this, tr("Write a report"), document_->title() + ".pdf",
                                                    tr("Documents (*.pdf *.html)"));
  if (!path.isEmpty()) reportTo(path);
}

bool MainWindow::reportTo(const QString& path) {
  try {
    const QString page = reportPage(*document_, *builder_, *notes_, *view_, *scene_);
    const auto write = [page, path, title = document_->title()](const Progress&) {
      trellis::writeReport(page, title, path);
    };
    if (!wasDone([&](const Activity::Done& done) { activity_->write(write, done); })) return false;
    pointed_->setText(tr("Report written to %1").arg(path));
    return true;
  } catch (const Error& error) {
    ask(spoken(error));
    return false;
  }
}

void MainWindow::exportSupports() {
  const QString both = tr("Parts and supports (*.3mf)"), layers = tr("The same with their layers (*.3mf)");
  QString chosen;
  const QString path =
      QFileDialog::getSaveFileName(this, tr("Write supports"), document_->title() + " supports.3mf",
                                   QStringList{both, layers, tr("Supports alone (*.stl)")}.join(";;"), &chosen);
  if (!path.isEmpty()) builder_->exportSupports(path, chosen == layers);
}

void MainWindow::exportStl() {
  QString path = QFileDialog::getSaveFileName(this, tr("Write the parts as STL"), document_->title() + ".stl",
                                              tr("Meshes (*.stl)"));
  if (!path.isEmpty()) document_->exportStl(path);
}

void MainWindow::exportGcode() {
  const QString path =
      QFileDialog::getSaveFileName(this, tr("Write G-code"), document_->title() + ".gcode", tr("G-code (*.gcode)"));
  if (!path.isEmpty()) exportTo(path);
}

bool MainWindow::exportTo(const QString& path) {
  if (!wasDone([&](const Activity::Done& done) { builder_->exportGcode(path, done); })) return false;
  document_->keepVersion(QFileInfo(path).fileName());
  pointed_->setText(
      tr("G-code written to %1, as version %2").arg(path, QString::fromStdString(codeOf(document_->project()))));
  return true;
}

void MainWindow::writeRecipe() {
  const QString path = QFileDialog::getSaveFileName(this, tr("Write a recipe"), document_->title() + ".recipe.json",
                                                    tr("Recipes (*.json)"));
  if (path.isEmpty()) return;
  try {
    const PrintRecipe recipe = recipeOf(*document_->project(), QFileInfo(path).baseName().toStdString());
    writeFileAtomically(path.toStdString(), toJson(recipe).dump(1) + "\n");
  } catch (const Error& error) {
    ask(spoken(error));
  }
}

// Says what it would change, and changes nothing until it is kept.
void MainWindow::openRecipe() {
  const QString path = QFileDialog::getOpenFileName(this, tr("Open a recipe"), QString(), tr("Recipes (*.json)"));
  if (!path.isEmpty()) tryRecipe(path);
}

void MainWindow::tryRecipe(const QString& path) {
  try {
    const PrintRecipe recipe = readRecipe(path.toStdString());
    const ProjectPtr before = document_->project();
    document_->previewTogether(tr("recipe %1").arg(QString::fromStdString(recipe.name)).toStdString(), stepsOf(recipe));
    QStringList words;
    for (const std::string& word : differencesInWords(*before, *document_->project()))
      words << QString::fromStdString(word);
    ask(words.isEmpty() ? tr("This recipe changes nothing: everything is so already.")
                        : tr("This recipe would change:\n\n%1\n\nIt is tried out now. Keep it, or leave all as it was.")
                              .arg(words.join("\n")));
  } catch (const Error& error) {
    ask(spoken(error));
  }
}

}  // namespace trellis
