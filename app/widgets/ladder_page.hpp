// SPDX-License-Identifier: GPL-3.0-or-later
// Small prints to learn a figure from: ladders, and fragments of one's own part.
#pragma once

#include "app/window/document.hpp"
#include "app/window/view.hpp"
#include "core/learn/ladder.hpp"

#include <QWidget>

class QComboBox;
class QDoubleSpinBox;
class QLabel;
class QPushButton;
class QVBoxLayout;

namespace trellis {

class LadderPage : public QWidget {
  Q_OBJECT
 public:
  LadderPage(Document& document, View& view, Activity& activity, QWidget* parent = nullptr);

 protected:
  void hideEvent(QHideEvent* event) override;
  void showEvent(QShowEvent* event) override;

 private:
  void addLadder(QVBoxLayout* column);
  void addFragment(QVBoxLayout* column);
  QDoubleSpinBox* addBox(const char* name, double high, int decimals);
  LadderSpec spec() const;
  void takeUsual();
  void refresh();
  void refreshBox(bool fresh);
  void putOnPlate(const std::string& name, std::vector<PartPtr> parts);  // as a variant of its own
  void cut(bool asRungs);

  Document& document_;
  View& view_;
  Activity& activity_;
  QComboBox *kind_, *ceiling_;
  QDoubleSpinBox *from_, *to_, *step_;
  std::array<QDoubleSpinBox*, 3> low_, high_;
  QLabel *words_, *part_;
  QPushButton *lay_, *cut_, *rungs_;
};

}  // namespace trellis
