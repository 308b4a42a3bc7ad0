// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/marks/carry.hpp"

#include "core/base/parallel.hpp"
#include "core/mesh/nearest.hpp"

#include <algorithm>
#include <map>
#include <optional>

namespace trellis {

namespace {

constexpr double finest = 0.2;      // mm, of a leaf's edges
constexpr double onePlace = 5;      // mm
constexpr double unchanged = 1e-5;  // mm

struct Leaf {
  Corners corners;
  Mark mark;
};

std::vector<Leaf> leavesOf(const TriangleMesh& mesh, const Marks& marks) {
  std::vector<Leaf> leaves;
  marks.forEachTree([&](std::uint32_t facet, std::string_view tree) {
    forEachLeaf(mesh.corners(facet), tree, [&](const Corners& corners, Mark mark) {
      leaves.push_back({corners, mark});
    });
  });
  return leaves;
}

Vec3 middleOf(const Corners& corners) { return (corners[0] + corners[1] + corners[2]) / 3; }

MeshPtr meshOf(const std::vector<Leaf>& leaves) {
  std::vector<Vec3f> corners;
  for (const Leaf& leaf : leaves)
    for (const Vec3& corner : leaf.corners) corners.push_back(corner.cast<float>());
  return meshFromCorners(corners);
}

// The tree of the same facet turned inside out: its halves come in the other order. node is where it begins, and
// afterwards where what follows it begins.
MarkTree turnedOver(std::string_view tree, std::size_t& node) {
  const char first = tree[node++];
  if (first != markSplit) return MarkTree(1, first);
  const MarkTree one = turnedOver(tree, node), two = turnedOver(tree, node);
  return markSplit + two + one;
}

// Of the same corners in another order: whether they run the other way round.
bool isTurned(const Corners& a, const Corners& b) {
  return (a[1] - a[0]).cross(a[2] - a[0]).dot((b[1] - b[0]).cross(b[2] - b[0])) < 0;
}

bool sameCorners(Corners a, Corners b) {
  const auto before = [](const Vec3& p, const Vec3& q) {
    return std::lexicographical_compare(p.data(), p.data() + 3, q.data(), q.data() + 3);
  };
  std::sort(a.begin(), a.end(), before);
  std::sort(b.begin(), b.end(), before);
  return a == b;
}

class Carrier {
 public:
  Carrier(const MeshPtr& from, const Marks& marks, const std::vector<Leaf>& leaves, std::optional<Plane> across = {})
      : from_(treeOf(from)), marked_(treeOf(meshOf(leaves))), marks_(marks), across_(across) {}

  // The tree of a facet of the new mesh.
  MarkTree treeFor(const Corners& corners) const {
    const Vec3 middle = onOld(middleOf(corners));
    if (!isNearMarks(corners, middle)) return {};
    if (across_) return refined(corners);
    const auto same = nearestOn(*from_, middle, unchanged);
    // A tree depends on the corners and the way they run round, not on which comes first.
    if (same && sameCorners(corners, from_->mesh().corners(same->facet))) {
      const std::string_view tree = marks_.tree(same->facet);
      std::size_t root = 0;
      return tree.empty() || !isTurned(corners, from_->mesh().corners(same->facet)) ? MarkTree(tree)
                                                                                    : turnedOver(tree, root);
    }
    return refined(corners);
  }

 private:
  Vec3 onOld(const Vec3& place) const { return across_ ? across_->mirrored(place) : place; }

  static double reachOf(const Corners& corners) {
    const Vec3 middle = middleOf(corners);
    return std::max({(corners[0] - middle).norm(), (corners[1] - middle).norm(), (corners[2] - middle).norm()});
  }

  bool isNearMarks(const Corners& corners, const Vec3& middle) const {
    return !marked_->facetsNear(middle, reachOf(corners) + carryReach).empty();
  }

  char markNear(const Vec3& point) const {
    const auto near = nearestOn(*from_, point, carryReach);
    if (!near) return 0;
    return static_cast<char>(markAt(from_->mesh().corners(near->facet), marks_.tree(near->facet), near->point));
  }

  // Whether the old surface around a triangle carries one mark all over, or none.
  bool isUniform(const Corners& corners, const Vec3& middle) const {
    const auto near = from_->facetsNear(middle, reachOf(corners) + carryReach);
    return std::all_of(near.begin(), near.end(), [&](std::uint32_t f) {
      const std::string_view tree = marks_.tree(f);
      return tree.size() == 1 && tree == marks_.tree(near.front());
    });
  }

  MarkTree refined(const Corners& corners) const {
    const Vec3 middle = onOld(middleOf(corners));
    if (!isNearMarks(corners, middle)) return MarkTree(1, '\0');
    const double edge = std::max(
        {(corners[1] - corners[0]).norm(), (corners[2] - corners[1]).norm(), (corners[0] - corners[2]).norm()});
    if (edge <= finest || isUniform(corners, middle)) return MarkTree(1, markNear(middle));
    const auto [one, two] = bisect(corners);
    const MarkTree first = refined(one), second = refined(two);
    return first.size() == 1 && first == second ? first : markSplit + first + second;
  }

  MeshTreePtr from_, marked_;
  const Marks& marks_;
  std::optional<Plane> across_;  // places of the new mesh lie on the other side of it
};

MarksPtr carried(const Carrier& carrier, const TriangleMesh& to, const Progress& progress) {
  std::vector<MarkTree> trees(to.facets.size());
  parallelFor(trees.size(), progress, [&](std::size_t f) { trees[f] = carrier.treeFor(to.corners(f)); });
  std::vector<std::pair<std::uint32_t, MarkTree>> changes;
  for (std::uint32_t f = 0; f < trees.size(); ++f)
    if (!trees[f].empty()) changes.emplace_back(f, std::move(trees[f]));
  return Marks().with(changes);
}

std::vector<LostMarks> lostOf(const std::vector<Leaf>& leaves, const MeshTree& to, const Progress& progress) {
  std::vector<char> isLost(leaves.size());
  parallelFor(leaves.size(), progress,
              [&](std::size_t i) { isLost[i] = !nearestOn(to, middleOf(leaves[i].corners), carryReach); });
  std::vector<LostMarks> lost;
  for (std::size_t i = 0; i < leaves.size(); ++i) {
    if (!isLost[i]) continue;
    const auto& [a, b, c] = leaves[i].corners;
    const Vec3 middle = middleOf(leaves[i].corners);
    const LostKind kind = leaves[i].mark == Mark::block ? LostKind::block : LostKind::enforce;
    auto place = std::find_if(lost.begin(), lost.end(), [&](const LostMarks& known) {
      return known.kind == kind && (known.at - middle).norm() < onePlace;
    });
    if (place == lost.end()) place = lost.insert(lost.end(), {kind, 0, middle});
    place->area += (b - a).cross(c - a).norm() / 2;
  }
  return lost;
}

}  // namespace

Carried carryMarks(const MeshPtr& from, const Marks& marks, const MeshPtr& to, const Progress& progress) {
  const std::vector<Leaf> leaves = leavesOf(*from, marks);
  if (leaves.empty()) return {std::make_shared<const Marks>(), {}};
  return {carried(Carrier(from, marks, leaves), *to, progress), lostOf(leaves, *treeOf(to), progress)};
}

MarksPtr mirroredMarks(const MeshPtr& mesh, const Marks& marks, const Plane& plane, const Progress& progress) {
  const std::vector<Leaf> leaves = leavesOf(*mesh, marks);
  if (leaves.empty()) return std::make_shared<const Marks>();
  return carried(Carrier(mesh, marks, leaves, plane), *mesh, progress);
}

MarksBeyond beyond(const TriangleMesh& mesh, const Marks& marks, const Marks& more, double reach) {
  std::map<Mark, std::vector<Leaf>> known;
  for (const Leaf& leaf : leavesOf(mesh, marks)) known[kindOf(leaf.mark)].push_back(leaf);
  std::map<Mark, MeshTreePtr> trees;
  for (const auto& [kind, leaves] : known) trees[kind] = treeOf(meshOf(leaves));
  MarksBeyond sum;
  double largest = 0;
  for (const Leaf& leaf : leavesOf(mesh, more)) {
    const auto tree = trees.find(kindOf(leaf.mark));
    if (tree != trees.end() && nearestOn(*tree->second, middleOf(leaf.corners), reach)) continue;
    const auto& [a, b, c] = leaf.corners;
    const double area = (b - a).cross(c - a).norm() / 2;
    sum.area += area;
    if (area > largest) sum.at = middleOf(leaf.corners);
    largest = std::max(largest, area);
  }
  return sum;
}

}  // namespace trellis
