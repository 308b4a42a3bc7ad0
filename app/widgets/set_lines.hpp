// SPDX-License-Identifier: GPL-3.0-or-later
// The head of Build: which machine, filament and print are used, each with a page of all its figures.
#pragma once

#include "app/window/document.hpp"
#include "app/window/view.hpp"

#include <QWidget>

#include <array>

class QComboBox;
class QLabel;
class QToolButton;
class QVBoxLayout;

namespace trellis {

class SetLines : public QWidget {
  Q_OBJECT
 public:
  SetLines(Document& document, View& view, Activity& activity, QWidget* parent = nullptr);

 private:
  struct Line {
    QComboBox* box = nullptr;
    QToolButton* open = nullptr;
    QWidget* place = nullptr;  // of the page, made when it is first opened
    QLabel* otherwise = nullptr;
  };
  void addLine(SetKind kind, QVBoxLayout* column);
  void openPage(SetKind kind, bool open);
  void refresh();

  Document& document_;
  View& view_;
  Activity& activity_;
  std::array<Line, setKinds.size()> lines_;
};

}  // namespace trellis
