// SPDX-License-Identifier: GPL-3.0-or-later
// The window: strip, scene, worksheets under index tabs, tally, menus.
#pragma once

#include "app/window/commands.hpp"
#include "app/window/hand.hpp"

#include <QMainWindow>

class QButtonGroup;
class QLabel;
class QStackedWidget;

namespace trellis {

class Comparer;
class CompareSheet;
class FirstHints;
class Handover;
class Manual;
class Notes;
class SceneView;
class StartCard;
class Strip;
class Sweeper;
class TallyBar;

class MainWindow : public QMainWindow {
  Q_OBJECT
 public:
  MainWindow();
  ~MainWindow() override;

  Activity& activity() { return *activity_; }
  Document& document() { return *document_; }
  Builder& builder() { return *builder_; }
  View& view() { return *view_; }
  Hand& hand() { return *hand_; }
  SceneView& scene() { return *scene_; }
  Strip& strip() { return *strip_; }
  Comparer& comparer() { return *comparer_; }
  Sweeper& sweeper() { return *sweeper_; }
  CompareSheet& compare() { return *compare_; }
  Handover& handover() { return *handover_; }
  TallyBar& tally() { return *tally_; }
  void showSheet(int index);
  static QStringList sheetNames();

  // Write without asking for a name, for tests and the menu commands alike; false when it could not. They come back
  // when it is done; the window can be used meanwhile.
  bool exportTo(const QString& path);
  bool saveTo(const QString& path);
  bool reportTo(const QString& path);  // .pdf or .html
  void tryRecipe(const QString& path);

 protected:
  void closeEvent(QCloseEvent* event) override;
  void dragEnterEvent(QDragEnterEvent* event) override;
  void dropEvent(QDropEvent* event) override;

 private:
  void layOut();
  static QString demoProject();
  // The window without parts, see main_window_empty.cpp.
  void welcome();
  void refreshEmpty();
  void showSheets(bool shown);
  void makeCommands();
  void makeMenus();
  void refreshTitle();
  void ask(const QString& sentence);
  bool mayLose();
  bool mayLeavePrint();
  void followPrint();       // in strip and scene
  void showPage(int page);  // of Compare
  void openByDialog(bool add);
  void replaceByDialog();
  void askUnit(double largest);
  void openFiles(const QStringList& paths, bool add);
  void openFile(const QString& path, bool add = false);
  bool save();
  bool saveAs();
  void exportGcode();
  void exportStl();
  void exportSupports();
  void openGcodeByDialog();
  void writeReport();
  void writeRecipe();
  void openRecipe();
  bool wasDone(const std::function<void(const Activity::Done&)>& begin);
  struct Named {
    QString words;
    std::function<void()> run;
  };
  std::vector<Named> everythingNamed();
  void showSetting(const std::string& key);
  void findCommand();
  void escape();
  void selectAll();
  void removeChosen();
  void flipCut();
  void selectNext();
  void showShortcuts();
  void explain(const QWidget* widget);  // opens the manual
  void openManual(const QStringList& names);
  void explainPointed();
  void remember(const QString& path);
  void changeBrush(const std::function<void(Brush&)>& change);

  std::unique_ptr<Store> store_;
  std::unique_ptr<Activity> activity_;
  std::unique_ptr<Document> document_;
  std::unique_ptr<Builder> builder_;
  std::unique_ptr<View> view_;
  std::unique_ptr<Hand> hand_;
  std::unique_ptr<Comparer> comparer_;
  std::unique_ptr<Sweeper> sweeper_;
  std::unique_ptr<Notes> notes_;
  std::unique_ptr<Handover> handover_;
  CompareSheet* compare_;
  SceneView* scene_;
  Strip* strip_;
  TallyBar* tally_;
  QLabel* pointed_;
  QStackedWidget* sheets_;
  QButtonGroup* tabs_;
  QWidget* tabEdge_;
  StartCard* start_;
  FirstHints* hints_ = nullptr;
  Manual* manual_ = nullptr;   // once somebody asked for it
  std::optional<bool> empty_;  // whether it looks as without parts
  std::vector<Command> commands_;
};

}  // namespace trellis
