// SPDX-License-Identifier: GPL-3.0-or-later
// Study: how far may a surface lean, and what hangs then.
#pragma once

#include "app/worksheets/worksheet.hpp"

namespace trellis {

class StudySheet : public Worksheet {
  Q_OBJECT
 public:
  explicit StudySheet(Session& session, QWidget* parent = nullptr);

 private:
  void refresh();
  QLabel *area_, *starts_;
};

}  // namespace trellis
