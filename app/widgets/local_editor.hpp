// SPDX-License-Identifier: GPL-3.0-or-later
// Settings of the support that one site, zone or prop causes: gaps, interface and density of the body.
#pragma once

#include "core/settings/settings.hpp"

#include <QWidget>

#include <functional>
#include <vector>

class QCheckBox;
class QComboBox;
class QDoubleSpinBox;

namespace trellis {

class LocalEditor : public QWidget {
  Q_OBJECT
 public:
  // changed is given all settings of its own whenever one changes.
  explicit LocalEditor(std::function<void(const Overrides&)> changed, QWidget* parent = nullptr);
  // own: null when there is nothing to edit; below: what holds where own says nothing.
  void show(const Overrides* own, const Settings& below);

 private:
  struct Line {
    const char* key;
    QCheckBox* own;
    QDoubleSpinBox* value;
  };
  void tell();

  std::function<void(const Overrides&)> changed_;
  QComboBox* structure_;
  std::vector<Line> lines_;
  Overrides own_;
  bool refreshing_ = false;
};

}  // namespace trellis
