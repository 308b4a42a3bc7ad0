// SPDX-License-Identifier: GPL-3.0-or-later
// What every worksheet looks like: a heading and a scrolling column.
#pragma once

#include "app/window/document.hpp"
#include "app/window/view.hpp"

#include <QFrame>
#include <QVBoxLayout>

class QLabel;

namespace trellis {

class Worksheet : public QFrame {
  Q_OBJECT
 public:
  Worksheet(const QString& title, Document& document, View& view, QWidget* parent = nullptr);

 Q_SIGNALS:
  void wantsManual();

 protected:
  void addSection(const QString& title);
  void giveRoomTo(QWidget* widget);  // of the column: what of the sheet's height is left
  QLabel* addQuiet(const QString& words);
  void addSettings(std::initializer_list<const char*> keys);
  // Under settings: what to expect of those that lie outside common practice; nothing when none does.
  void addAdvice(std::vector<std::string> keys);

  Document& document_;
  View& view_;
  QVBoxLayout* column_;
};

}  // namespace trellis
