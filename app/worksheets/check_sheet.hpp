// SPDX-License-Identifier: GPL-3.0-or-later
// Prove it before it prints: the trial print's verdict, findings, pieces, and how firmly it stands.
#pragma once

#include "app/worksheets/worksheet.hpp"

class QLabel;
class QPushButton;

namespace trellis {

class CheckSheet : public Worksheet {
  Q_OBJECT
 public:
  CheckSheet(Document& document, Builder& builder, View& view, QWidget* parent = nullptr);

 Q_SIGNALS:
  void gcodeAsked();   // to open some
  void reportAsked();  // to write one

 protected:
  void showEvent(QShowEvent* event) override;

 private:
  void addTrial();
  void addPieces();
  void prove();  // what takes a while and only this sheet asks for
  void refreshTrial();
  void refresh();

  QLabel *verdict_ = nullptr, *lengths_ = nullptr, *standing_ = nullptr, *pieces_ = nullptr, *findings_ = nullptr,
         *removal_ = nullptr;
  QPushButton *back_ = nullptr, *first_ = nullptr;
  Builder& builder_;
};

}  // namespace trellis
