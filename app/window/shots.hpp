// SPDX-License-Identifier: GPL-3.0-or-later
// Pictures of the main views, made from the project that is open.
#pragma once

#include <QString>

namespace trellis {

class MainWindow;

// Waits for the build, then writes one PNG a view into the folder. Returns the process's exit code.
int takeShots(MainWindow& window, const QString& folder);

}  // namespace trellis
