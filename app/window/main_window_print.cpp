// SPDX-License-Identifier: GPL-3.0-or-later
// The window while a print is handed over.
#include "app/window/handover.hpp"
#include "app/window/main_window.hpp"
#include "app/window/notes.hpp"
#include "app/worksheets/compare_sheet.hpp"
#include "core/document/variants.hpp"

#include <QMessageBox>
#include <QPushButton>

namespace trellis {

void MainWindow::showPage(int page) {
  showSheet(5);
  compare_->showPage(page);
}

// Up to where it is printed, where what is shown is what is printed.
void MainWindow::followPrint() {
  // The code of a large project takes longer than the printer's next word, so it is kept for as long as its project.
  connect(handover_.get(), &Handover::changed, this, [this, project = ProjectPtr(), code = std::string()]() mutable {
    const auto& status = handover_->status();
    if (handover_->isUnderWay() && project != document_->project()) code = codeOf(project = document_->project());
    const bool isThis = handover_->isUnderWay() && status->layer > 0 && handover_->code() == code;
    view_->setPrintedTo(isThis ? std::optional(status->height) : std::nullopt);
  });
  connect(handover_.get(), &Handover::ended, this, [this](bool done) {
    view_->setPrintedTo({});
    if (!done) return;
    notes_->measure(handover_->code(), handover_->took());
    showPage(3);  // what became of it
  });
}

bool MainWindow::mayLeavePrint() {
  if (!handover_->isUnderWay()) return true;
  QMessageBox box(
      QMessageBox::NoIcon, tr("Meek Trellis"),
      tr("%1 is being printed. Without the window the printer gets no more lines and stands still, warm, where "
         "it is.")
          .arg(handover_->title()),
      QMessageBox::NoButton, this);
  const QAbstractButton* stay = box.addButton(tr("Keep printing"), QMessageBox::RejectRole);
  box.addButton(tr("Close all the same"), QMessageBox::DestructiveRole);
  box.exec();
  return box.clickedButton() != stay;
}

}  // namespace trellis
