// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/document/marks_file.hpp"

#include "core/base/bytes.hpp"

namespace trellis {

namespace {

constexpr std::uint32_t magic = 0x314d5254;        // "TRM1"
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
  out.put(magic);
  putVarint(out, stretches.size());
  std::uint32_t next = 0;
  for (const Stretch& stretch : stretches) {
    putVarint(out, stretch.first - next);
    putVarint(out, stretch.count);
    putVarint(out, stretch.tree.size());
    for (std::size_t i = 0; i < stretch.tree.size(); i += 4) {
      unsigned packed = 0;
      for (std::size_t k = i; k < std::min(i + 4, stretch.tree.size()); ++k)
        packed |= static_cast<unsigned>(stretch.tree[k]) << (2 * (k - i));
      out.put(static_cast<std::uint8_t>(packed));
    }
    next = stretch.first + stretch.count;
  }
  return out.take();
}

MarksPtr unpackMarks(std::string_view bytes, std::size_t facetCount, const std::string& what) {
  ByteReader in(bytes, what);
  if (in.get<std::uint32_t>() != magic) in.fail();
  std::vector<std::pair<std::uint32_t, MarkTree>> trees;
  std::uint64_t next = 0, all = 0;
  for (std::uint64_t left = getVarint(in); left > 0; --left) {
    const std::uint64_t skip = getVarint(in), count = getVarint(in), nodes = getVarint(in);
    if (skip > facetCount || count > facetCount || next + skip + count > facetCount || count == 0) in.fail();
    if (nodes == 0 || nodes > largestTree || nodes / 4 > bytes.size()) in.fail();
    all += count * nodes;
    if (all > mostNodes) in.fail();
    MarkTree tree(nodes, '\0');
    for (std::size_t i = 0; i < nodes; i += 4) {
      const auto packed = in.get<std::uint8_t>();
      for (std::size_t k = i; k < std::min<std::size_t>(i + 4, nodes); ++k)
        tree[k] = static_cast<char>((packed >> (2 * (k - i))) & 3);
    }
    if (!isMarkTree(tree)) in.fail();
    next += skip;
    for (std::uint64_t k = 0; k < count; ++k, ++next) trees.emplace_back(static_cast<std::uint32_t>(next), tree);
  }
  if (!in.atEnd()) in.fail();
  return Marks().with(trees);
}

}  // namespace trellis
