// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/document/marks_file.hpp"

#include "core/base/bytes.hpp"

#include <algorithm>

namespace trellis {

namespace {

constexpr std::uint32_t magic = 0x314d5254;        // "TRM1": two bits a node
constexpr std::uint32_t magicTinted = 0x324d5254;  // "TRM2": a byte a node
constexpr std::uint64_t largestTree = 1ULL << 26;  // nodes; a brush makes far fewer
constexpr std::uint64_t mostNodes = 1ULL << 28;    // of all trees, each counted as often as it stands for a facet

// Seven bits a byte, lowest first; the high bit says that more follow.
void putVarint(ByteWriter& out, std::uint64_t value) {
  for (; value >= 0x80; value >>= 7) out.put(static_cast<std::uint8_t>(value | 0x80));
  out.put(static_cast<std::uint8_t>(value));
}

std::uint64_t getVarint(ByteReader& in) {
  std::uint64_t value = 0;
  for (int shift = 0; shift < 63; shift += 7) {
    const auto byte = in.get<std::uint8_t>();
    value |= static_cast<std::uint64_t>(byte & 0x7f) << shift;
    if (!(byte & 0x80)) return value;
  }
  in.fail();
}

struct Stretch {
  std::uint32_t first, count;
  std::string_view tree;
};

constexpr std::size_t perByte = 4;

void putNodes(ByteWriter& out, std::string_view tree, bool isTinted) {
  if (isTinted) {
    for (const char node : tree) out.put(static_cast<std::uint8_t>(node));
    return;
  }
  for (std::size_t i = 0; i < tree.size(); i += perByte) {
    unsigned packed = 0;
    for (std::size_t k = i; k < std::min(i + perByte, tree.size()); ++k)
      packed |= static_cast<unsigned>(tree[k]) << (2 * (k - i));
    out.put(static_cast<std::uint8_t>(packed));
  }
}

MarkTree getNodes(ByteReader& in, std::size_t count, bool isTinted) {
  MarkTree tree(count, '\0');
  if (isTinted) {
    for (char& node : tree) node = static_cast<char>(in.get<std::uint8_t>());
    return tree;
  }
  for (std::size_t i = 0; i < count; i += perByte) {
    const auto packed = in.get<std::uint8_t>();
    for (std::size_t k = i; k < std::min(i + perByte, count); ++k)
      tree[k] = static_cast<char>((packed >> (2 * (k - i))) & 3);
  }
  return tree;
}

}  // namespace

std::string packMarks(const Marks& marks) {
  std::vector<Stretch> stretches;
  marks.forEachTree([&](std::uint32_t facet, std::string_view tree) {
    if (!stretches.empty() && stretches.back().first + stretches.back().count == facet && stretches.back().tree == tree)
      ++stretches.back().count;
    else
      stretches.push_back({facet, 1, tree});
  });
  ByteWriter out;
  const bool isTinted = std::any_of(stretches.begin(), stretches.end(), [](const Stretch& stretch) {
    return std::any_of(stretch.tree.begin(), stretch.tree.end(), [](char node) { return node > markSplit; });
  });
  out.put(isTinted ? magicTinted : magic);
  putVarint(out, stretches.size());
  std::uint32_t next = 0;
  for (const Stretch& stretch : stretches) {
    putVarint(out, stretch.first - next);
    putVarint(out, stretch.count);
    putVarint(out, stretch.tree.size());
    putNodes(out, stretch.tree, isTinted);
    next = stretch.first + stretch.count;
  }
  return out.take();
}

MarksPtr unpackMarks(std::string_view bytes, std::size_t facetCount, const std::string& what) {
  ByteReader in(bytes, what);
  const auto begins = in.get<std::uint32_t>();
  const bool isTinted = begins == magicTinted;
  if (!isTinted && begins != magic) in.fail();
  std::vector<std::pair<std::uint32_t, MarkTree>> trees;
  std::uint64_t next = 0, all = 0;
  for (std::uint64_t left = getVarint(in); left > 0; --left) {
    const std::uint64_t skip = getVarint(in), count = getVarint(in), nodes = getVarint(in);
    if (skip > facetCount || count > facetCount || next + skip + count > facetCount || count == 0) in.fail();
    if (nodes == 0 || nodes > largestTree || nodes / 4 > bytes.size()) in.fail();
    all += count * nodes;
    if (all > mostNodes) in.fail();
    const MarkTree tree = getNodes(in, nodes, isTinted);
    if (!isMarkTree(tree)) in.fail();
    next += skip;
    for (std::uint64_t k = 0; k < count; ++k, ++next) trees.emplace_back(static_cast<std::uint32_t>(next), tree);
  }
  if (!in.atEnd()) in.fail();
  return Marks().with(trees);
}

}  // namespace trellis
