// SPDX-License-Identifier: GPL-3.0-or-later
// Build: what asks for support, how it stands, and how it lets go.
#pragma once

#include "app/worksheets/worksheet.hpp"

class QComboBox;

namespace trellis {

class BuildSheet : public Worksheet {
  Q_OBJECT
 public:
  BuildSheet(Document& document, Builder& builder, View& view, Activity& activity, QWidget* parent = nullptr);

 private:
  void refresh();
  QLabel *notice_, *suits_, *pieces_, *own_, *saved_;
  QComboBox* scope_;
  Builder& builder_;
};

}  // namespace trellis
