// SPDX-License-Identifier: GPL-3.0-or-later
// The same as a spacing, said as a density: each of the two figures updates the other.
#pragma once

#include "app/window/document.hpp"
#include "app/window/view.hpp"

#include <QWidget>

class QDoubleSpinBox;

namespace trellis {

class DensityEditor : public QWidget {
  Q_OBJECT
 public:
  DensityEditor(Document& document, View& view, const std::string& spacingKey, QWidget* parent = nullptr);

 private:
  void refresh();

  Document& document_;
  View& view_;
  std::string key_;
  QDoubleSpinBox* box_;
};

}  // namespace trellis
