// SPDX-License-Identifier: GPL-3.0-or-later
// The window without parts, and what it says to somebody who opens the first.
#include "app/scene/scene_view.hpp"
#include "app/strip/strip.hpp"
#include "app/tally/tally_bar.hpp"
#include "app/widgets/first_hints.hpp"
#include "app/widgets/start_card.hpp"
#include "app/window/handover.hpp"
#include "app/window/main_window.hpp"
#include "app/worksheets/compare_sheet.hpp"

#include <QCoreApplication>
#include <QFileInfo>
#include <QLayout>
#include <QStackedWidget>

namespace trellis {

// Beside the source tree or the installed program; empty when it is not there.
QString MainWindow::demoProject() {
  for (const char* place : {"/../demo/fernhollow.3mf", "/../share/meek-trellis/demo/fernhollow.3mf"}) {
    const QFileInfo file(QCoreApplication::applicationDirPath() + place);
    if (file.exists()) return file.canonicalFilePath();
  }
  return {};
}

void MainWindow::welcome() {
  start_ = new StartCard(!demoProject().isEmpty(), scene_);
  connect(start_, &StartCard::openAsked, this, [this] { openByDialog(false); });
  connect(start_, &StartCard::demoAsked, this, [this] { openFile(demoProject()); });
  connect(start_, &StartCard::ladderAsked, this, [this] { showPage(2); });
  hints_ = new FirstHints(scene_);
  connect(scene_, &SceneView::turned, this, [this] { hints_->done(FirstHints::turn); });
  connect(scene_, &SceneView::painted, this, [this] { hints_->done(FirstHints::paint); });
  connect(document_.get(), &Document::changed, this, &MainWindow::refreshEmpty);
  connect(view_.get(), &View::gcodeChanged, this, &MainWindow::refreshEmpty);
  refreshEmpty();
  followPrint();
}

// Nothing that cannot be used yet is in sight; a worksheet that is asked for comes all the same.
void MainWindow::refreshEmpty() {
  const bool empty = document_->project()->parts.empty() && !view_->gcode();
  if (empty_ == empty) return;
  empty_ = empty;
  strip_->setVisible(!empty);
  start_->setVisible(empty);
  showSheets(!empty);
  tally_->setVisible(!empty);
  centralWidget()->layout()->activate();
  scene_->fitAll();
  if (empty)
    hints_->hide();
  else if (scene_->isLively())
    hints_->offer();
}

void MainWindow::showSheets(bool shown) {
  sheets_->setVisible(shown);
  tabEdge_->setVisible(shown);
}

}  // namespace trellis
