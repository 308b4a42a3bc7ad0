// SPDX-License-Identifier: GPL-3.0-or-later
// Variants beside each other: a table of figures, what is decided otherwise, where support was gained and lost.
#pragma once

#include "app/window/comparer.hpp"

#include <QWidget>

class QComboBox;
class QLabel;
class QLineEdit;
class QPushButton;
class QTableWidget;
class QTreeWidget;

namespace trellis {

class FigureBars;

class VariantPage : public QWidget {
  Q_OBJECT
 public:
  VariantPage(Document& document, View& view, Comparer& comparer, QWidget* parent = nullptr);
  // A copy of what is there, to go on with, or to stay beside as it is.
  void addVariant(bool inHand);

 protected:
  void showEvent(QShowEvent* event) override;
  void hideEvent(QHideEvent* event) override;

 private:
  QPushButton* button(const char* name, const QString& words, const QString& help);
  VariantId chosen() const;
  void refresh();
  void refreshTable();
  void refreshChosen();
  void takeOver();

  Document& document_;
  View& view_;
  Comparer& comparer_;
  QTableWidget* table_;
  FigureBars* bars_;
  QLineEdit* name_;
  QPushButton *take_, *remove_, *takeOver_;
  QComboBox *base_, *scene_, *what_;
  QLabel *words_, *hint_;
  QTreeWidget* places_;
  QWidget* how_;  // base, and what the scene shows
  VariantId chosen_;
  std::vector<ChangedPlace> changed_;
};

}  // namespace trellis
