// SPDX-License-Identifier: GPL-3.0-or-later
// Build: what asks for support, how it stands, and how it lets go.
#pragma once

#include "app/window/notes.hpp"
#include "app/worksheets/worksheet.hpp"

class QComboBox;

namespace trellis {

class BuildSheet : public Worksheet {
  Q_OBJECT
 public:
  BuildSheet(Document& document, Builder& builder, View& view, Activity& activity, Notes& notes,
             QWidget* parent = nullptr);

 private:
  void refresh();
  void refreshLearnt();
  QLabel *learnt_, *notice_, *suits_, *pieces_, *own_, *saved_;
  QComboBox* scope_;
  Builder& builder_;
  Notes& notes_;
};

}  // namespace trellis
