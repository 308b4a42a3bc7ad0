// SPDX-License-Identifier: GPL-3.0-or-later
// Settings of the support that one site, zone or prop causes: those it has of its own, each with a way back, and a list
// to add from.
#pragma once

#include "core/settings/settings.hpp"

#include <QWidget>

#include <functional>

class QComboBox;
class QGridLayout;

namespace trellis {

class LocalEditor : public QWidget {
  Q_OBJECT
 public:
  // changed is given all settings of its own whenever one changes.
  explicit LocalEditor(std::function<void(const Overrides&)> changed, QWidget* parent = nullptr);
  // own: null when there is nothing to edit; below: what holds where own says nothing.
  void show(const Overrides* own, const Settings& below);

 private:
  void addRow(const SettingRow& row, const SettingValue& value);
  QWidget* editorOf(const SettingRow& row, const SettingValue& value);
  void set(const std::string& key, const SettingValue& value);

  std::function<void(const Overrides&)> changed_;
  QGridLayout* rows_;
  QComboBox* add_;
  Overrides own_;
  Settings below_;
  bool known_ = false;  // whether rows_ shows own_
};

}  // namespace trellis
