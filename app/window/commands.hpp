// SPDX-License-Identifier: GPL-3.0-or-later
// Every command with its menu and shortcut, in one table: the menus, the command finder and Help read it.
#pragma once

#include <QKeySequence>
#include <QString>

#include <functional>
#include <vector>

namespace trellis {

struct Command {
  QString menu, name;
  QKeySequence shortcut;
  std::function<void()> run;
  std::function<QString()> detail = {};  // added to the name in menus, such as the step that undo takes
  std::function<bool()> enabled = {};
};

}  // namespace trellis
