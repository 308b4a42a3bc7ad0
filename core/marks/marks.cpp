// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/marks/marks.hpp"

#include "core/base/key.hpp"

#include <algorithm>

namespace trellis {

namespace {

constexpr int deepest = 64;

bool comesFirst(const Vec3& a, const Vec3& b) {
  return std::lexicographical_compare(a.data(), a.data() + 3, b.data(), b.data() + 3);
}

// The ends of the edge that begins at corner k, in an order that does not depend on the facet.
std::pair<Vec3, Vec3> orderedEdge(const Corners& corners, std::size_t k) {
  const Vec3 &a = corners[k], &b = corners[(k + 1) % 3];
  return comesFirst(a, b) ? std::pair(a, b) : std::pair(b, a);
}

bool walkTree(std::string_view tree, std::size_t& at, int depth) {
  if (at >= tree.size() || depth > deepest) return false;
  const char node = tree[at++];
  if (node != markSplit) return node >= 0 && node < markSplit + tintCount;
  return walkTree(tree, at, depth + 1) && walkTree(tree, at, depth + 1);
}

MarkTree treeWithout(std::string_view tree, std::size_t& at, Mark kind) {
  const char node = tree[at++];
  if (node != markSplit) return MarkTree(1, kindOf(static_cast<Mark>(node)) == kind ? '\0' : node);
  const MarkTree first = treeWithout(tree, at, kind), second = treeWithout(tree, at, kind);
  return first.size() == 1 && first == second ? first : markSplit + first + second;
}

struct Cursor {
  std::string_view tree;
  std::size_t at = 0;
  bool isSplit() const { return tree[at] == markSplit; }
  MarkTree takeWhole() {
    const std::size_t from = at;
    for (int open = 1; open > 0; ++at) open += tree[at] == markSplit ? 1 : -1;
    return MarkTree(tree.substr(from, at - from));
  }
};

MarkTree overlaid(Cursor& top, Cursor& below) {
  if (!top.isSplit()) {
    const MarkTree mark = top.takeWhole(), under = below.takeWhole();
    return mark[0] != 0 ? mark : under;
  }
  ++top.at;
  MarkTree first, second;
  if (below.isSplit()) {
    ++below.at;
    first = overlaid(top, below);
    second = overlaid(top, below);
  } else {
    const MarkTree leaf = below.takeWhole();
    Cursor once{leaf}, again{leaf};
    first = overlaid(top, once);
    second = overlaid(top, again);
  }
  return first.size() == 1 && first == second ? first : markSplit + first + second;
}

void visitLeaves(const Corners& corners, std::string_view tree, std::size_t& at,
                 const std::function<void(const Corners&, Mark)>& visit) {
  const char node = tree[at++];
  if (node == markSplit) {
    const auto [first, second] = bisect(corners);
    visitLeaves(first, tree, at, visit);
    visitLeaves(second, tree, at, visit);
  } else if (node != 0) {
    visit(corners, static_cast<Mark>(node));
  }
}

}  // namespace

std::pair<Corners, Corners> bisect(const Corners& corners) {
  std::size_t longest = 0;
  double best = -1;
  for (std::size_t k = 0; k < 3; ++k) {
    const auto [a, b] = orderedEdge(corners, k);
    const double length = (b - a).squaredNorm();
    if (length < best) continue;
    if (length == best) {
      const auto [c, d] = orderedEdge(corners, longest);
      if (comesFirst(c, a) || (c == a && comesFirst(d, b))) continue;
    }
    best = length;
    longest = k;
  }
  const auto [a, b] = orderedEdge(corners, longest);
  const Vec3 middle = (a + b) / 2;
  const Vec3 &from = corners[longest], &to = corners[(longest + 1) % 3], &apex = corners[(longest + 2) % 3];
  return {{from, middle, apex}, {middle, to, apex}};
}

std::string_view Marks::tree(std::uint32_t facet) const {
  const std::size_t page = facet / pageSize;
  if (page >= pages_.size() || !pages_[page]) return {};
  const auto& trees = pages_[page]->trees;
  const auto found = std::lower_bound(trees.begin(), trees.end(), facet,
                                      [](const auto& entry, std::uint32_t wanted) { return entry.first < wanted; });
  return found != trees.end() && found->first == facet ? std::string_view(found->second) : std::string_view();
}

bool Marks::empty() const {
  return std::all_of(pages_.begin(), pages_.end(), [](const auto& page) { return !page || page->trees.empty(); });
}

std::size_t Marks::bytesBeside(const Marks& other) const {
  std::size_t sum = pages_.size() * sizeof(pages_[0]);
  for (std::size_t i = 0; i < pages_.size(); ++i)
    if (pages_[i] && (i >= other.pages_.size() || pages_[i] != other.pages_[i]))
      for (const auto& [facet, tree] : pages_[i]->trees) sum += sizeof(facet) + sizeof(tree) + tree.size();
  return sum;
}

std::uint64_t Marks::key() const {
  KeyBuilder key;
  for (std::size_t i = 0; i < pages_.size(); ++i)
    if (pages_[i] && !pages_[i]->trees.empty()) key.add(i).add(pages_[i]->key);
  return key.key();
}

void Marks::forEachTree(const std::function<void(std::uint32_t, std::string_view)>& visit) const {
  for (const auto& page : pages_)
    if (page)
      for (const auto& [facet, tree] : page->trees) visit(facet, tree);
}

MarksPtr Marks::with(const std::vector<std::pair<std::uint32_t, MarkTree>>& changes) const {
  auto result = std::make_shared<Marks>(*this);
  for (auto change = changes.begin(); change != changes.end();) {
    const std::uint32_t page = change->first / pageSize;
    if (result->pages_.size() <= page) result->pages_.resize(page + 1);
    auto fresh = std::make_shared<Page>();
    auto old = result->pages_[page] ? result->pages_[page]->trees.begin() : fresh->trees.begin();
    const auto oldEnd = result->pages_[page] ? result->pages_[page]->trees.end() : fresh->trees.end();
    std::vector<std::pair<std::uint32_t, MarkTree>> trees;
    for (; change != changes.end() && change->first / pageSize == page; ++change) {
      for (; old != oldEnd && old->first < change->first; ++old) trees.push_back(*old);
      if (old != oldEnd && old->first == change->first) ++old;
      const bool bare = change->second.empty() || change->second == MarkTree(1, '\0');
      if (!bare) trees.push_back(*change);
    }
    trees.insert(trees.end(), old, oldEnd);
    KeyBuilder key;
    for (const auto& [facet, tree] : trees) key.add(facet).add(std::string_view(tree));
    fresh->trees = std::move(trees);
    fresh->key = key.key();
    result->pages_[page] = std::move(fresh);
  }
  return result;
}

MarksPtr Marks::without(Mark kind) const {
  std::vector<std::pair<std::uint32_t, MarkTree>> changes;
  forEachTree([&](std::uint32_t facet, std::string_view tree) {
    std::size_t at = 0;
    changes.emplace_back(facet, treeWithout(tree, at, kind));
  });
  return with(changes);
}

MarksPtr Marks::over(const Marks& other) const {
  std::vector<std::pair<std::uint32_t, MarkTree>> changes;
  other.forEachTree([&](std::uint32_t facet, std::string_view below) {
    const std::string_view own = tree(facet);
    Cursor top{own}, under{below};
    changes.emplace_back(facet, own.empty() ? MarkTree(below) : overlaid(top, under));
  });
  return with(changes);
}

void forEachLeaf(const Corners& corners, std::string_view tree,
                 const std::function<void(const Corners&, Mark)>& visit) {
  std::size_t at = 0;
  if (!tree.empty()) visitLeaves(corners, tree, at, visit);
}

Mark markAt(const Corners& corners, std::string_view tree, const Vec3& point) {
  Corners at = corners;
  std::size_t node = 0;
  while (node < tree.size() && tree[node] == markSplit) {
    const auto [first, second] = bisect(at);
    // The halves share the edge from the middle to the apex; the point is on the side of first's own corner.
    const Vec3 middle = first[1], apex = first[2];
    const Vec3 side = (apex - middle).cross((at[1] - at[0]).cross(at[2] - at[0]));
    ++node;
    if ((point - middle).dot(side) * (first[0] - middle).dot(side) >= 0) {
      at = first;
    } else {
      for (int open = 1; open > 0; ++node) open += tree[node] == markSplit ? 1 : -1;
      at = second;
    }
  }
  return node < tree.size() ? static_cast<Mark>(tree[node]) : Mark::none;
}

double markedArea(const TriangleMesh& mesh, const Affine& toPlate, const Marks& marks, Mark kind) {
  double sum = 0;
  for (const auto& [mark, area] : markedAreas(mesh, toPlate, marks))
    if (kindOf(mark) == kind) sum += area;
  return sum;
}

std::map<Mark, double> markedAreas(const TriangleMesh& mesh, const Affine& toPlate, const Marks& marks) {
  std::map<Mark, double> areas;
  const auto linear = toPlate.linear();
  marks.forEachTree([&](std::uint32_t facet, std::string_view tree) {
    forEachLeaf(mesh.corners(facet), tree, [&](const Corners& leaf, Mark mark) {
      areas[mark] += (linear * (leaf[1] - leaf[0])).cross(linear * (leaf[2] - leaf[0])).norm() / 2;
    });
  });
  return areas;
}

bool isMarkTree(std::string_view tree) {
  std::size_t at = 0;
  return walkTree(tree, at, 0) && at == tree.size();
}

}  // namespace trellis
