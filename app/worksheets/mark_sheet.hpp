// SPDX-License-Identifier: GPL-3.0-or-later
// Mark: what the hand lays on the surface, zones and props, and what all of it amounts to.
#pragma once

#include "app/widgets/figure_box.hpp"
#include "app/window/hand.hpp"
#include "app/worksheets/worksheet.hpp"
#include "core/support/decided.hpp"

class QBoxLayout;
class QButtonGroup;
class QCheckBox;
class QComboBox;
class QSlider;

namespace trellis {

class TintEditor;

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
  QDoubleSpinBox* addBox(QBoxLayout* line, const QString& label, const Figure& figure, const QString& help);
  void change(const std::function<void(Brush&)>& how);
  void clear(Clearing what);
  void chooseSolid();
  void refresh();
  void refreshIdle();
  void refreshLaid();
  struct Amounts {
    double enforced, blocked, clean, seen;  // mm²
  };
  Amounts amountsOf(const Part& part, const Affine& toPlate);

  QButtonGroup *tools_, *marks_, *zoneAs_;
  QSlider* slider_;
  QDoubleSpinBox *size_, *crease_, *propWidth_, *above_, *disc_;
  QCheckBox *keep_, *stop_, *twin_;
  QComboBox *twinAxis_, *shape_, *reach_;
  TintEditor* tint_;
  QLabel *hands_, *idle_, *twinWords_, *laid_;
  QWidget *markRows_, *roundRows_, *creaseRow_, *zoneRows_, *propRow_, *removeRow_;
  std::pair<std::shared_ptr<const ResolvedDecisions>, Decided> decided_;  // of what was last asked for
  Builder& builder_;
  Hand& hand_;
  Activity& activity_;
};

}  // namespace trellis
