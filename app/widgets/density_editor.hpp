// SPDX-License-Identifier: GPL-3.0-or-later
// The same as a spacing, said as a density: each of the two figures updates the other.
#pragma once

#include "app/window/session.hpp"

#include <QWidget>

class QDoubleSpinBox;

namespace trellis {

class DensityEditor : public QWidget {
  Q_OBJECT
 public:
  DensityEditor(Session& session, const std::string& spacingKey, QWidget* parent = nullptr);

 private:
  void refresh();

  Session& session_;
  std::string key_;
  QDoubleSpinBox* box_;
};

}  // namespace trellis
