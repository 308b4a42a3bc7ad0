// SPDX-License-Identifier: GPL-3.0-or-later
// Folders of a person's own, as the XDG base directory specification names them.
#pragma once

#include <filesystem>
#include <string>

namespace trellis {

// The program's folder below the one that an environment variable names ("XDG_DATA_HOME"), or below a path in the home
// folder (".local/share") where it names none.
std::filesystem::path userFolder(const char* variable, const std::string& belowHome);

}  // namespace trellis
