// SPDX-License-Identifier: GPL-3.0-or-later
// The entry of a fuzzer (LLVM's libFuzzer); which reader it is for is compiled in.
#include "tests/fuzz/readers.hpp"

#include <algorithm>
#include <cstddef>
#include <cstdint>

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
  using trellis::test::readers;
  static const auto reader =
      std::find_if(readers().begin(), readers().end(), [](const auto& each) { return each.name == TRELLIS_FUZZED; });
  reader->read({reinterpret_cast<const char*>(data), size});
  return 0;
}
