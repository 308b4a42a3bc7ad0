// SPDX-License-Identifier: GPL-3.0-or-later
// One open project: what is in it, what was built from it, what is selected. Every widget talks to the
// project through this and hears of changes by its signals.
#pragma once

#include "core/assess/build.hpp"
#include "core/project/history.hpp"
#include "core/support/support_solid.hpp"

#include <QObject>
#include <QString>

#include <optional>

namespace trellis {

class Builder;

// The newest build, with what only the eye needs.
struct Shown {
  ProjectPtr project;  // what it was built from
  BuildPtr build;
  std::shared_ptr<const SupportSolid> supports;
};

// What the hand lays.
struct Brush {
  bool active = false;  // false: Pick
  Mark mark = Mark::enforce;
  double radius = 3;    // mm
  bool keepToOverhangs = false;
};

class Session : public QObject {
  Q_OBJECT
 public:
  explicit Session(QObject* parent = nullptr);
  ~Session() override;

  const ProjectPtr& project() const { return history_.now(); }
  const Settings& settings() const { return project()->settings; }
  const Shown& shown() const { return shown_; }
  bool isStale() const { return shown_.project != project(); }

  // Performs and rebuilds. A sentence goes to failed() when it cannot be done.
  void perform(const Operation& operation, bool continuing = false);
  void undo();
  void redo();
  QString undoName() const { return QString::fromStdString(history_.undoName()); }
  QString redoName() const { return QString::fromStdString(history_.redoName()); }

  // Files. These throw Error. Opening reads in the background and reports by opened() or failed().
  void newProject();
  void open(const QString& path, bool addToThis = false);
  void save(const QString& path);
  void exportGcode(const QString& path);
  const QString& path() const { return path_; }  // of the project file, or empty
  QString title() const;
  bool isModified() const { return !history_.isSaved(); }
  bool isReadOnly() const { return readOnly_; }

  void cancelBuild();
  void rebuild();

  int selectedPart() const { return selectedPart_; }
  void selectPart(int part);
  const Brush& brush() const { return brush_; }
  void setBrush(const Brush& brush);
  std::pair<double, double> range() const { return range_; }  // shown heights, mm
  void setRange(double low, double high);
  double height() const;  // of the print, mm

 Q_SIGNALS:
  void projectChanged();
  void shownChanged();
  void progressed(double fraction, const QString& stage);  // fraction 1: nothing is running
  void failed(const QString& sentence);
  void opened(const QString& path);
  void selectionChanged();
  void brushChanged();
  void rangeChanged();

 private:
  void take(ProjectPtr project, const QString& path, bool saved);
  void projectTouched();

  History history_{std::make_shared<const Project>()};
  Shown shown_;
  QString path_;
  bool readOnly_ = false;
  int selectedPart_ = -1;
  Brush brush_;
  std::pair<double, double> range_{0, 1e9};
  std::unique_ptr<Builder> builder_;
};

}  // namespace trellis
