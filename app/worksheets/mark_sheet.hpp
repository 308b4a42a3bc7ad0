// SPDX-License-Identifier: GPL-3.0-or-later
// Mark: what the hand lays on the surface, zones and props, and what all of it amounts to.
#pragma once

#include "app/window/hand.hpp"
#include "app/worksheets/worksheet.hpp"

class QButtonGroup;
class QCheckBox;
class QComboBox;
class QDoubleSpinBox;
class QSlider;

namespace trellis {

class MarkSheet : public Worksheet {
  Q_OBJECT
 public:
  MarkSheet(Document& document, Builder& builder, View& view, Hand& hand, Activity& activity,
            QWidget* parent = nullptr);

 private:
  void addTools();
  void addMarks();
  void addReach();
  void addTwin();
  void addZoneAndProp();
  void addWhole();
  QDoubleSpinBox* addBox(class QBoxLayout* line, const char* name, const QString& label, const QString& unit,
                         double low, double high, int decimals, const QString& help);
  void change(const std::function<void(Brush&)>& how);
  void clear(Clearing what);
  void chooseSolid();
  void refresh();
  QString handWords() const;

  QButtonGroup *tools_, *marks_, *zoneAs_;
  QSlider* slider_;
  QDoubleSpinBox *size_, *crease_, *propWidth_, *above_;
  QCheckBox *keep_, *stop_, *twin_;
  QComboBox *twinAxis_, *shape_, *reach_;
  QLabel *hands_, *twinWords_, *laid_;
  QWidget *markRows_, *roundRows_, *creaseRow_, *zoneRows_, *propRow_, *removeRow_;
  Builder& builder_;
  Hand& hand_;
  Activity& activity_;
};

}  // namespace trellis
