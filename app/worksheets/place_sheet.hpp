// SPDX-License-Identifier: GPL-3.0-or-later
// Place: the parts, how sound their meshes are, where and which way up each stands.
#pragma once

#include "app/widgets/figure_box.hpp"
#include "app/window/hand.hpp"
#include "app/worksheets/worksheet.hpp"

#include <array>
#include <functional>

class QBoxLayout;
class QCheckBox;
class QGridLayout;
class QListWidget;
class QPushButton;

namespace trellis {

class PlaceSheet : public Worksheet {
  Q_OBJECT
 public:
  PlaceSheet(Document& document, Builder& builder, View& view, Hand& hand, QWidget* parent = nullptr);

 Q_SIGNALS:
  void addAsked();
  void replaceAsked();

 private:
  using Triple = std::array<QDoubleSpinBox*, 3>;
  void addPartsList();
  void addMesh();
  void addFigures();
  QPushButton* addButton(QBoxLayout* line, const char* name, const QString& words, const QString& help,
                         const std::function<void()>& run);
  QDoubleSpinBox* addBox(const Figure& figure);
  Triple addTriple(const Figure& figure, const std::function<void(int, double)>& changed);  // named as it is shown
  const Part* part() const;
  void forSelected(const std::function<Operation(std::size_t)>& operation);  // one step for all selected parts
  void place(PlacePart change);
  void scaleTo(int axis, double factor);
  void refreshList();
  void refreshFigures();
  QString healthWords(std::size_t part) const;

  QListWidget* list_;
  QLabel *size_, *soundness_;
  QGridLayout* figures_;
  Triple position_, turn_, measures_, scale_;
  QDoubleSpinBox* lift_;
  QCheckBox* inProportion_;
  std::vector<QPushButton*> partButtons_;
  std::vector<QWidget*> figureBoxes_;
  std::vector<std::uint64_t> pictured_;  // what the list's pictures were made from
  bool refreshing_ = false;
  Builder& builder_;
  Hand& hand_;
};

}  // namespace trellis
