// SPDX-License-Identifier: GPL-3.0-or-later
// Zones and props of the selected part: a list, and the figures of the one in hand. What is said of several that are
// chosen (what they do, widths, settings, hiding, locking) is said of all.
#pragma once

#include "app/widgets/figure_box.hpp"
#include "app/window/builder.hpp"
#include "app/window/document.hpp"
#include "app/window/view.hpp"

#include <QWidget>

#include <array>
#include <functional>

class QCheckBox;
class QComboBox;
class QGridLayout;
class QLabel;
class QLineEdit;
class QListWidget;

namespace trellis {

class LocalEditor;

class DecisionList : public QWidget {
  Q_OBJECT
 public:
  DecisionList(Document& document, Builder& builder, View& view, QWidget* parent = nullptr);

 private:
  using Triple = std::array<QDoubleSpinBox*, 3>;
  Triple addTriple(QGridLayout* grid, int row, const Figure& figure);  // named as it is shown
  static QString zoneWords(const Zone& zone, std::size_t number);
  QWidget* zoneFigures();
  QWidget* propFigures();
  const Part* part() const;
  void changeZone(const std::function<void(ChangeZone&)>& how);   // the one in hand
  void changeZones(const std::function<void(ChangeZone&)>& how);  // all that are chosen
  void changeProps(const std::function<void(ChangeProp&)>& how);
  template <typename Change>
  void changeAll(Chosen::Kind kind, const std::function<void(Change&)>& how);
  void chooseSelected();
  void refresh();
  void refreshFigures();

  Document& document_;
  Builder& builder_;
  View& view_;
  QListWidget* list_;
  QWidget *zone_, *prop_;
  QLineEdit* name_;
  QCheckBox *hidden_, *locked_;
  QComboBox* as_;
  Triple centre_, size_, turn_;
  QDoubleSpinBox *lean_, *width_;
  QLabel* price_;
  LocalEditor* local_;
  bool refreshing_ = false;
};

}  // namespace trellis
