// SPDX-License-Identifier: GPL-3.0-or-later
// Which preset of a kind is in force, and another at a click.
#pragma once

#include "app/window/document.hpp"
#include "app/window/view.hpp"
#include "core/settings/presets.hpp"

#include <QWidget>

class QComboBox;
class QLabel;

namespace trellis {

class PresetEditor : public QWidget {
  Q_OBJECT
 public:
  PresetEditor(Document& document, View& view, PresetKind kind, const QString& label, QWidget* parent = nullptr);

 private:
  void refresh();

  Document& document_;
  View& view_;
  PresetKind kind_;
  QComboBox* box_;
  QLabel* help_;
};

}  // namespace trellis
