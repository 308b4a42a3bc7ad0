// SPDX-License-Identifier: GPL-3.0-or-later
// Decisions painted on a part's surface, in adaptive triangles.
#pragma once

#include "core/mesh/triangle_mesh.hpp"

#include <functional>
#include <map>
#include <string>
#include <string_view>
#include <utility>

namespace trellis {

// What is decided of a place. An enforcer bears a tint, the number of the settings that its support is built by:
// `enforce` is tint 0, the others come after markSplit.
enum class Mark : std::uint8_t { none = 0, enforce = 1, block = 2 };
inline constexpr int tintCount = 16;

// A facet's marks are a binary tree in preorder, one byte a node: a Mark is a leaf, `markSplit` is
// followed by two subtrees. A split halves the triangle at the middle of its longest edge. No tree has
// two equal leaves side by side, so equal marks are equal bytes. An empty tree means unmarked.
using MarkTree = std::string;
inline constexpr char markSplit = 3;

constexpr Mark enforceAs(int tint) { return tint == 0 ? Mark::enforce : static_cast<Mark>(markSplit + tint); }
constexpr int tintOf(Mark mark) { return static_cast<int>(mark) > markSplit ? static_cast<int>(mark) - markSplit : 0; }
// The mark without its tint.
constexpr Mark kindOf(Mark mark) { return tintOf(mark) > 0 ? Mark::enforce : mark; }

// A triangle of the tree, in mesh coordinates, counter-clockwise seen from outside.
using Corners = std::array<Vec3, 3>;

// Halves across the longest edge in mesh coordinates; between equal edges the one whose ends come
// first by coordinates, so that neighbours agree.
std::pair<Corners, Corners> bisect(const Corners& corners);

class Marks;
using MarksPtr = std::shared_ptr<const Marks>;

// Immutable; copies share the pages that did not change. Facet indices are the mesh's.
class Marks {
 public:
  Marks() = default;

  std::string_view tree(std::uint32_t facet) const;  // empty: unmarked
  bool empty() const;
  std::uint64_t key() const;
  // Of pages that other does not share.
  std::size_t bytesBeside(const Marks& other) const;

  // Facets that carry any mark, ascending, each with its tree.
  void forEachTree(const std::function<void(std::uint32_t, std::string_view)>& visit) const;

  // The same marks with the given facets' trees replaced; facets ascend.
  MarksPtr with(const std::vector<std::pair<std::uint32_t, MarkTree>>& changes) const;
  // The same marks without those of one kind, whatever their tint.
  MarksPtr without(Mark kind) const;
  // Where there is no mark, that of other marks of the same mesh.
  MarksPtr over(const Marks& other) const;

 private:
  static constexpr std::uint32_t pageSize = 256;
  struct Page {
    std::vector<std::pair<std::uint32_t, MarkTree>> trees;  // ascending, none empty
    std::uint64_t key = 0;
  };
  std::vector<std::shared_ptr<const Page>> pages_;  // a missing page carries no marks
};

// Calls visit for every leaf of a tree that carries a mark.
void forEachLeaf(const Corners& corners, std::string_view tree, const std::function<void(const Corners&, Mark)>& visit);

// The mark at a point on a facet with these corners.
Mark markAt(const Corners& corners, std::string_view tree, const Vec3& point);

// mm² on the plate that carry a mark of this kind, whatever its tint.
double markedArea(const TriangleMesh& mesh, const Affine& toPlate, const Marks& marks, Mark kind);
// mm² on the plate of each mark that there is.
std::map<Mark, double> markedAreas(const TriangleMesh& mesh, const Affine& toPlate, const Marks& marks);

// Whether bytes are a tree as described above, no deeper than a brush can make it.
bool isMarkTree(std::string_view tree);

}  // namespace trellis
