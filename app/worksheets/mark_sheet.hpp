// SPDX-License-Identifier: GPL-3.0-or-later
// Mark: what the hand lays on the surface, and how large.
#pragma once

#include "app/worksheets/worksheet.hpp"

class QButtonGroup;
class QCheckBox;
class QDoubleSpinBox;
class QSlider;

namespace trellis {

class MarkSheet : public Worksheet {
  Q_OBJECT
 public:
  explicit MarkSheet(Session& session, QWidget* parent = nullptr);

 private:
  void refresh();
  void clear(std::optional<Mark> only);

  QButtonGroup *tools_, *marks_;
  QSlider* slider_;
  QDoubleSpinBox* size_;
  QCheckBox* keep_;
  QLabel *hands_, *laid_;
};

}  // namespace trellis
