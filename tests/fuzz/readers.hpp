// SPDX-License-Identifier: GPL-3.0-or-later
// Every reader of bytes that somebody else may have written, as a fuzzer calls it: each takes any bytes and either
// reads them or says in a sentence why not. Whatever else becomes of them is a fault.
#pragma once

#include <ostream>
#include <span>
#include <string_view>

namespace trellis::test {

struct Reader {
  std::string_view name;  // of its corpus too, tests/fuzz/corpora/<name>
  void (*read)(std::string_view bytes);
};

inline std::ostream& operator<<(std::ostream& out, const Reader& reader) { return out << reader.name; }

std::span<const Reader> readers();

}  // namespace trellis::test
