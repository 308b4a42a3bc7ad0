// SPDX-License-Identifier: GPL-3.0-or-later
// Sends the print to a printer at the other end of a line, and follows it.
#pragma once

#include "app/window/builder.hpp"
#include "app/window/handover.hpp"
#include "app/window/notes.hpp"

#include <QWidget>

class QComboBox;
class QLabel;
class QProgressBar;
class QPushButton;
class QVBoxLayout;

namespace trellis {

class HandoverPage : public QWidget {
  Q_OBJECT
 public:
  HandoverPage(Document& document, Builder& builder, Notes& notes, Handover& handover, Activity& activity,
               QWidget* parent = nullptr);

 protected:
  void showEvent(QShowEvent* event) override;

 private:
  void addStart(QVBoxLayout* column);
  void addProgress(QVBoxLayout* column);
  void listPorts();
  void print();
  void refresh();
  QString sentence(const HandoverStatus& status) const;
  QString placeWords(const HandoverStatus& status) const;

  Document& document_;
  Builder& builder_;
  Notes& notes_;
  Handover& handover_;
  Activity& activity_;
  QWidget *start_, *left_, *progress_;
  QComboBox* port_;
  QLabel *leftWords_, *state_, *place_, *follows_;
  QProgressBar* bar_;
  class HeatCurves* heat_;
  QPushButton *print_, *pause_, *goOn_, *cancel_, *stop_;
};

}  // namespace trellis
