// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/user_folder.hpp"

#include <cstdlib>

namespace trellis {

std::filesystem::path userFolder(const char* variable, const std::string& belowHome) {
  const char* named = std::getenv(variable);
  const char* home = std::getenv("HOME");
  const std::filesystem::path base =
      named && *named ? std::filesystem::path(named) : std::filesystem::path(home ? home : "/tmp") / belowHome;
  return base / "meek-trellis";
}

}  // namespace trellis
