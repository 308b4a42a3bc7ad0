// SPDX-License-Identifier: GPL-3.0-or-later
// The window: strip, scene, worksheets under index tabs, tally, menus.
#pragma once

#include "app/window/commands.hpp"
#include "app/window/session.hpp"

#include <QMainWindow>

class QButtonGroup;
class QLabel;
class QStackedWidget;

namespace trellis {

class SceneView;
class Strip;
class TallyBar;

class MainWindow : public QMainWindow {
  Q_OBJECT
 public:
  MainWindow();
  ~MainWindow() override;

  Session& session() { return *session_; }
  SceneView& scene() { return *scene_; }
  Strip& strip() { return *strip_; }
  TallyBar& tally() { return *tally_; }
  void showSheet(int index);
  static QStringList sheetNames();

  // Exports without asking for a name, for tests and the menu command alike; false when it could not.
  bool exportTo(const QString& path);
  bool saveTo(const QString& path);
  bool reportTo(const QString& path);  // .pdf or .html

 protected:
  void closeEvent(QCloseEvent* event) override;
  void dragEnterEvent(QDragEnterEvent* event) override;
  void dropEvent(QDropEvent* event) override;

 private:
  void layOut();
  void makeCommands();
  void makeMenus();
  void refreshTitle();
  void ask(const QString& sentence);
  bool mayLose();
  void openByDialog(bool add);
  void replaceByDialog();
  void askUnit(double largest);
  void openFiles(const QStringList& paths, bool add);
  void openFile(const QString& path, bool add = false);
  bool save();
  bool saveAs();
  void exportGcode();
  void exportStl();
  void openGcodeByDialog();
  void writeReport();
  bool tryWriting(const std::function<void()>& write);
  void findCommand();
  void escape();
  void selectAll();
  void removeChosen();
  void flipCut();
  void selectNext();
  void showShortcuts();
  void remember(const QString& path);
  void changeBrush(const std::function<void(Brush&)>& change);

  Session* session_;
  SceneView* scene_;
  Strip* strip_;
  TallyBar* tally_;
  QLabel* pointed_;
  QStackedWidget* sheets_;
  QButtonGroup* tabs_;
  std::vector<Command> commands_;
};

}  // namespace trellis
