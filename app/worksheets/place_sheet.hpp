// SPDX-License-Identifier: GPL-3.0-or-later
// Place: the parts, and where each stands, in figures.
#pragma once

#include "app/worksheets/worksheet.hpp"

#include <array>

class QDoubleSpinBox;
class QListWidget;
class QPushButton;

namespace trellis {

class PlaceSheet : public Worksheet {
  Q_OBJECT
 public:
  explicit PlaceSheet(Session& session, QWidget* parent = nullptr);

 Q_SIGNALS:
  void addAsked();

 private:
  using Triple = std::array<QDoubleSpinBox*, 3>;
  Triple addTriple(const QString& name, const QString& unit, double low, double high, int decimals, double step);
  const Part* part() const;
  void place(const PlacePart& change);
  void scaleBy(int axis, double percent);
  void refreshList();
  void refreshFigures();

  QListWidget* list_;
  QLabel *figures_, *soundness_;
  Triple position_, turn_, scale_;
  std::vector<QPushButton*> partButtons_;
  bool refreshing_ = false;
};

}  // namespace trellis
