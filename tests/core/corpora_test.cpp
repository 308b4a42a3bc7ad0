// SPDX-License-Identifier: GPL-3.0-or-later
// What fuzzers once found worth keeping, read again: every reader of bytes reads them or refuses in a sentence.
#include "core/base/files.hpp"
#include "tests/fuzz/readers.hpp"

#include <gtest/gtest.h>

#include <algorithm>
#include <filesystem>
#include <vector>

namespace trellis::test {
namespace {

class Corpora : public testing::TestWithParam<Reader> {
 protected:
  std::vector<std::string> inputs() const {
    std::vector<std::string> read;
    for (const auto& entry :
         std::filesystem::directory_iterator(std::filesystem::path(TRELLIS_CORPORA) / std::string(GetParam().name)))
      read.push_back(readFile(entry.path()));
    return read;
  }
};

TEST_P(Corpora, AreReadOrRefusedInASentence) {
  const auto all = inputs();
  EXPECT_GE(all.size(), 3u);
  for (const std::string& bytes : all) EXPECT_NO_THROW(GetParam().read(bytes));
}

// No outside reference: what is cut short or has one byte changed is a file that really occurs.
TEST_P(Corpora, CutShortOrWithAByteChangedToo) {
  for (const std::string& bytes : inputs()) {
    const std::size_t step = std::max<std::size_t>(1, bytes.size() / 16);
    for (std::size_t at = 0; at < bytes.size(); at += step) {
      EXPECT_NO_THROW(GetParam().read(std::string_view(bytes).substr(0, at)));
      std::string changed = bytes;
      changed[at] = static_cast<char>(changed[at] ^ 0x41);
      EXPECT_NO_THROW(GetParam().read(changed));
    }
  }
}

INSTANTIATE_TEST_SUITE_P(Of, Corpora, testing::ValuesIn(readers().begin(), readers().end()), [](const auto& of) {
  std::string name(of.param.name);
  std::replace(name.begin(), name.end(), '-', '_');
  return name;
});

}  // namespace
}  // namespace trellis::test
