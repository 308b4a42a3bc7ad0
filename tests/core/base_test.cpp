// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/archive.hpp"
#include "core/base/bytes.hpp"
#include "core/base/disjoint_sets.hpp"
#include "core/base/error.hpp"
#include "core/base/files.hpp"
#include "core/base/key.hpp"
#include "core/base/parallel.hpp"
#include "tests/shapes.hpp"

#include <tbb/global_control.h>

#include <filesystem>
#include <random>

namespace trellis::test {
namespace {

using testing::HasSubstr;

TEST(Archive, EqualEntriesAreEqualBytesAndComeBack) {
  std::string large(200'000, 'x');
  for (std::size_t i = 0; i < large.size(); i += 3) large[i] = static_cast<char>(i * 7);
  const std::vector<std::pair<std::string, std::string>> entries{
      {"a/b.bin", large}, {"empty", ""}, {"käfer.txt", "leaf"}};
  const std::string bytes = writeArchive(entries);
  EXPECT_EQ(bytes, writeArchive(entries));
  const ArchiveReader archive(bytes, "test.3mf");
  for (const auto& [name, content] : entries) EXPECT_EQ(archive.read(name), content) << name;
  EXPECT_FALSE(archive.has("b.bin"));
  EXPECT_THROW(archive.read("nothing"), Error);
}

// 300 MB of zeros pack a thousandfold; an entry that says so much is refused before it is unpacked, and so
// is one whose stated size is a lie.
TEST(Archive, RefusesWhatUnpacksToAbsurdSizes) {
  std::string bytes = writeArchive({{"bomb", std::string(1'000'000, '\0')}});
  const std::uint32_t claimed = 0x7fffffff;
  for (std::size_t at = bytes.find("PK\x01\x02"); at != std::string::npos; at = bytes.find("PK\x01\x02", at + 4))
    std::memcpy(bytes.data() + at + 24, &claimed, 4);  // the central directory's size field
  try {
    ArchiveReader(bytes, "bomb.3mf").read("bomb");
    FAIL() << "unpacked";
  } catch (const Error& error) {
    EXPECT_THAT(error.what(), HasSubstr("bomb.3mf"));
  }
}

TEST(ByteReader, StopsAtTheEndAndAtImpossibleCounts) {
  ByteWriter writer;
  writer.put(std::uint32_t{7});
  writer.putText("fern");
  writer.putAll(std::vector<double>{1.5, -2});
  const std::string bytes = writer.take();
  ByteReader reader(bytes, "It");
  EXPECT_EQ(reader.get<std::uint32_t>(), 7u);
  EXPECT_EQ(reader.getText(), "fern");
  EXPECT_EQ(reader.getAll<double>(), (std::vector<double>{1.5, -2}));
  EXPECT_TRUE(reader.atEnd());
  EXPECT_THROW(reader.get<char>(), Error);
  for (std::size_t length = 0; length < bytes.size(); ++length) {
    ByteReader cut(std::string_view(bytes).substr(0, length), "It");
    EXPECT_THROW((cut.get<std::uint32_t>(), cut.getText(), cut.getAll<double>()), Error) << length;
  }
  ByteWriter liar;
  liar.put(~std::uint64_t{0});
  const std::string lie = liar.take();
  EXPECT_THROW(ByteReader(lie, "It").getAll<double>(), Error);
}

TEST(DisjointSets, NamesEachSetByItsLowest) {
  DisjointSets sets(8);
  sets.join(7, 3);
  sets.join(3, 5);
  sets.join(2, 6);
  EXPECT_EQ(sets.find(7), 3u);
  EXPECT_EQ(sets.find(5), 3u);
  EXPECT_EQ(sets.find(6), 2u);
  EXPECT_EQ(sets.find(0), 0u);
  sets.join(6, 7);
  EXPECT_EQ(sets.find(5), 2u);
}

TEST(KeyBuilder, TellsOrderAndEveryBitApart) {
  const auto keyOf = [](auto... values) {
    KeyBuilder key;
    (key.add(values), ...);
    return key.key();
  };
  std::set<std::uint64_t> keys;
  for (int i = 0; i < 1000; ++i) keys.insert(keyOf(i, i + 1));
  for (int i = 0; i < 1000; ++i) keys.insert(keyOf(i + 1, i));
  EXPECT_EQ(keys.size(), 2000u);
  EXPECT_NE(keyOf(0.0), keyOf(-0.0));
  EXPECT_NE(KeyBuilder().add(std::string_view("ab")).add(std::string_view("c")).key(),
            KeyBuilder().add(std::string_view("a")).add(std::string_view("bc")).key());
}

TEST(Files, SayWhichFileAndWhy) {
  ScratchFolder folder;
  const auto sentence = [](const std::string& path) {
    try {
      readFile(path);
    } catch (const Error& error) {
      return std::string(error.what());
    }
    return std::string("read");
  };
  EXPECT_THAT(sentence(folder / "gone.stl"), HasSubstr("gone.stl"));
  EXPECT_THAT(sentence("/tmp"), HasSubstr("folder"));
  const std::string everything = [] {
    std::string bytes;
    for (int i = 0; i < 256; ++i) bytes += static_cast<char>(i);
    return bytes;
  }();
  writeFileAtomically(folder / "all.bin", everything);
  EXPECT_EQ(readFile(folder / "all.bin"), everything);
}

TEST(ParallelFor, IsTheSameOnAnyNumberOfThreadsAndStopsWhenCancelled) {
  const auto squares = [] {
    std::vector<double> values(5000);
    parallelFor(values.size(), Progress(), [&](std::size_t i) { values[i] = std::sqrt(static_cast<double>(i)) / 3; });
    return values;
  };
  const auto many = squares();
  const tbb::global_control one(tbb::global_control::max_allowed_parallelism, 1);
  EXPECT_EQ(squares(), many);
  Progress progress;
  std::size_t done = 0;
  EXPECT_THROW(parallelFor(1000, progress,
                           [&](std::size_t) {
                             if (++done == 10) progress.cancel();
                           }),
               Cancelled);
  EXPECT_EQ(done, 10u);
}

}  // namespace
}  // namespace trellis::test
