// SPDX-License-Identifier: GPL-3.0-or-later
// One row of a worksheet for one row of the settings table: name, editor, reset.
#pragma once

#include "app/window/document.hpp"
#include "app/window/view.hpp"

#include <QWidget>

class QLabel;
class QToolButton;

namespace trellis {

class SettingEditor : public QWidget {
  Q_OBJECT
 public:
  SettingEditor(Document& document, View& view, const std::string& key, QWidget* parent = nullptr);

 private:
  void build();
  void refresh();
  void change(const SettingValue& value);
  std::optional<std::size_t> part() const;  // whose own setting this is, or the plate's

  Document& document_;
  View& view_;
  const SettingRow& row_;
  QWidget* editor_ = nullptr;
  QLabel* label_ = nullptr;
  QToolButton* reset_ = nullptr;
  bool refreshing_ = false;
};

}  // namespace trellis
