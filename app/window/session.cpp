// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/window/session.hpp"

#include "app/window/builder.hpp"
#include "core/assess/report.hpp"
#include "core/base/files.hpp"
#include "core/pipeline/rules.hpp"
#include "core/project/project_file.hpp"

#include <QFileInfo>

namespace trellis {

Session::Session(QObject* parent) : QObject(parent) {
  history_.markSaved();
  // Each report hops to the window's thread; one that arrives after the session is gone is dropped by Qt.
  const auto here = [this](auto call) { QMetaObject::invokeMethod(this, std::move(call), Qt::QueuedConnection); };
  builder_ = std::make_unique<Builder>(Builder::Reports{
      [this, here](const Shown& shown) {
        here([this, shown] {
          shown_ = shown;
          Q_EMIT shownChanged();
        });
      },
      [this, here](double fraction, std::string stage) {
        here([this, fraction, stage] { Q_EMIT progressed(fraction, QString::fromStdString(stage)); });
      },
      [this, here](std::string sentence) { here([this, sentence] { Q_EMIT failed(QString::fromStdString(sentence)); }); }});
}

Session::~Session() = default;

void Session::perform(const Operation& operation, bool continuing) {
  try {
    history_.perform(operation, continuing);
  } catch (const Error& error) {
    Q_EMIT failed(error.what());
    return;
  }
  projectTouched();
}

void Session::undo() {
  history_.undo();
  projectTouched();
}

void Session::redo() {
  history_.redo();
  projectTouched();
}

void Session::projectTouched() {
  const int count = static_cast<int>(project()->parts.size());
  if (selectedPart_ >= count || (selectedPart_ < 0 && count > 0)) selectPart(count - 1);
  Q_EMIT projectChanged();
  rebuild();
}

void Session::rebuild() { builder_->want(project()); }

void Session::cancelBuild() { builder_->cancel(); }

void Session::take(ProjectPtr project, const QString& path, bool saved) {
  history_ = History(std::move(project));
  if (saved) history_.markSaved();
  path_ = path;
  selectedPart_ = -1;
  range_ = {0, 1e9};
  Q_EMIT rangeChanged();
  projectTouched();
}

void Session::newProject() {
  readOnly_ = false;
  take(std::make_shared<const Project>(), "", true);
}

void Session::open(const QString& path, bool addToThis) {
  const Settings kept = settings();
  builder_->doNext([this, path, addToThis, kept](const Progress& progress) {
    const OpenedProject read = openFile(path.toStdString(), kept, progress);
    QMetaObject::invokeMethod(this, [this, path, addToThis, read] {
      if (addToThis) {
        perform(AddParts{read.project->parts});
      } else {
        readOnly_ = read.fromNewerVersion;
        take(read.project, read.isProject ? path : QString(), read.isProject);
      }
      Q_EMIT opened(path);
      if (!addToThis && read.fromNewerVersion)
        Q_EMIT failed(QFileInfo(path).fileName() + " was saved by a newer Meek Trellis. It is open to look at; saving it here would lose "
                                                   "what this version does not know.");
    }, Qt::QueuedConnection);
  });
}

void Session::save(const QString& path) {
  if (readOnly_) throw Error("This project comes from a newer Meek Trellis and saving it here would lose decisions. Install the newer version.");
  writeFileAtomically(path.toStdString(), packProject(*project()));
  path_ = path;
  history_.markSaved();
  Q_EMIT projectChanged();
}

void Session::exportGcode(const QString& path) {
  if (!shown_.build || isStale()) throw Error("The print is still being built. Try again when the bar below has gone.");
  if (shown_.build->print.layers.empty()) throw Error("There is nothing to print yet. Open a part first.");
  const double top = shown_.build->print.layers.back()->top;
  writeFileAtomically(path.toStdString(), writeGcode(shown_.build->print, gcodeRules(*project(), top),
                                                     totalsOf(*shown_.build, settings()), Progress()));
}

QString Session::title() const {
  if (!path_.isEmpty()) return QFileInfo(path_).completeBaseName();
  return project()->parts.empty() ? "empty plate" : QString::fromStdString(project()->parts.front()->name);
}

void Session::selectPart(int part) {
  selectedPart_ = part;
  Q_EMIT selectionChanged();
}

void Session::setBrush(const Brush& brush) {
  brush_ = brush;
  brush_.radius = std::clamp(brush_.radius, 0.15, 30.0);
  Q_EMIT brushChanged();
}

void Session::setRange(double low, double high) {
  range_ = {low, high};
  Q_EMIT rangeChanged();
}

double Session::height() const { return shown_.build && !shown_.build->print.layers.empty() ? shown_.build->print.layers.back()->top : 0; }

}  // namespace trellis
