// SPDX-License-Identifier: GPL-3.0-or-later
// Names as long as a line can bear.
#pragma once

#include <string>

namespace trellis {

// The beginning and the end of a UTF-8 name longer than most characters, with an ellipsis between.
inline std::string shortName(const std::string& name, std::size_t most = 32) {
  const auto begins = [](char c) { return (static_cast<unsigned char>(c) & 0xC0) != 0x80; };
  std::string::size_type count = 0;
  for (const char c : name) count += begins(c);
  if (count <= most) return name;
  const auto at = [&](std::size_t character) {  // the byte a character begins at
    std::string::size_type byte = 0;
    for (std::size_t passed = 0; byte < name.size(); ++byte)
      if (begins(name[byte]) && passed++ == character) break;
    return byte;
  };
  constexpr std::size_t tail = 8;
  return name.substr(0, at(most - tail - 1)) + "…" + name.substr(at(count - tail));
}

}  // namespace trellis
