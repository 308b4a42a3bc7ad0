// SPDX-License-Identifier: GPL-3.0-or-later
// One row of a worksheet for one row of the settings table: name, editor, reset.
#pragma once

#include "app/window/session.hpp"

#include <QWidget>

class QLabel;
class QToolButton;

namespace trellis {

class SettingEditor : public QWidget {
  Q_OBJECT
 public:
  SettingEditor(Session& session, const std::string& key, QWidget* parent = nullptr);

 private:
  void build();
  void refresh();
  void change(const SettingValue& value);
  std::optional<std::size_t> part() const;  // whose own setting this is, or the plate's

  Session& session_;
  const SettingRow& row_;
  QWidget* editor_ = nullptr;
  QLabel* label_ = nullptr;
  QToolButton* reset_ = nullptr;
  bool refreshing_ = false;
};

}  // namespace trellis
