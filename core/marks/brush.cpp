// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/marks/brush.hpp"

#include "core/overhang/lean.hpp"

#include <algorithm>
#include <cmath>

namespace trellis {

namespace {

struct Capsule {
  Vec3 from, to;
};

double distanceTo(const Capsule& capsule, const Vec3& p) {
  const Vec3 along = capsule.to - capsule.from;
  const double length = along.squaredNorm();
  const double t = length > 0 ? std::clamp((p - capsule.from).dot(along) / length, 0.0, 1.0) : 0.0;
  return (p - capsule.from - t * along).norm();
}

// Rewrites one facet's tree. Walks old tree and geometry together and appends the new tree to out_.
class TreePainter {
 public:
  TreePainter(const std::vector<Capsule>& capsules, double radius, const Affine& toPlate, Mark mark)
      : capsules_(capsules), radius_(radius), edge_(leafEdge(radius)), toPlate_(toPlate), mark_(mark) {}

  MarkTree paint(const Corners& corners, std::string_view tree) {
    old_ = tree.empty() ? std::string_view("\0", 1) : tree;
    at_ = 0;
    out_.clear();
    visit(corners, nullptr);
    return out_;
  }

 private:
  enum class Where { outside, inside, across };

  // Exact for "inside" (a capsule is convex); "across" may be said of triangles just outside, which
  // costs splits that merge back.
  Where classify(const Corners& placed, const Vec3& middle) const {
    const double reach =
        std::max({(placed[0] - middle).norm(), (placed[1] - middle).norm(), (placed[2] - middle).norm()});
    bool near = false;
    for (const Capsule& capsule : capsules_) {
      if (distanceTo(capsule, middle) > radius_ + reach) continue;
      near = true;
      if (std::all_of(placed.begin(), placed.end(), [&](const Vec3& p) { return distanceTo(capsule, p) <= radius_; }))
        return Where::inside;
    }
    return near ? Where::across : Where::outside;
  }

  bool isInside(const Vec3& p) const {
    return std::any_of(capsules_.begin(), capsules_.end(),
                       [&](const Capsule& capsule) { return distanceTo(capsule, p) <= radius_; });
  }

  // inherited is the leaf this triangle is part of, when the old tree ends above it.
  void visit(const Corners& corners, const char* inherited) {
    const Corners placed{toPlate_ * corners[0], toPlate_ * corners[1], toPlate_ * corners[2]};
    const Vec3 middle = (placed[0] + placed[1] + placed[2]) / 3;
    Where where = classify(placed, middle);
    if (where == Where::across && longestEdge(placed) <= edge_)
      where = isInside(middle) ? Where::inside : Where::outside;
    if (where == Where::inside) {
      if (!inherited) skipOld();
      out_.push_back(static_cast<char>(mark_));
    } else if (where == Where::outside) {
      if (inherited)
        out_.push_back(*inherited);
      else
        copyOld();
    } else {
      split(corners, inherited);
    }
  }

  void split(const Corners& corners, const char* inherited) {
    char leaf = 0;
    if (!inherited) {
      const char node = old_[at_++];
      if (node != markSplit) {
        leaf = node;
        inherited = &leaf;
      }
    }
    const auto [first, second] = bisect(corners);
    const std::size_t begin = out_.size();
    out_.push_back(markSplit);
    visit(first, inherited);
    const bool firstIsLeaf = out_.size() == begin + 2;
    visit(second, inherited);
    if (firstIsLeaf && out_.size() == begin + 3 && out_[begin + 1] == out_[begin + 2]) {
      const char merged = out_[begin + 1];
      out_.resize(begin);
      out_.push_back(merged);
    }
  }

  void skipOld() {
    for (int open = 1; open > 0; ++at_) open += old_[at_] == markSplit ? 1 : -1;
  }
  void copyOld() {
    const std::size_t from = at_;
    skipOld();
    out_.append(old_.substr(from, at_ - from));
  }

  static double longestEdge(const Corners& c) {
    return std::max({(c[1] - c[0]).norm(), (c[2] - c[1]).norm(), (c[0] - c[2]).norm()});
  }

  const std::vector<Capsule>& capsules_;
  double radius_, edge_;
  const Affine& toPlate_;
  Mark mark_;
  std::string_view old_;
  std::size_t at_ = 0;
  MarkTree out_;
};

std::vector<Capsule> capsulesOf(const std::vector<Vec3>& path) {
  std::vector<Capsule> capsules;
  if (path.size() == 1) capsules.push_back({path.front(), path.front()});
  for (std::size_t i = 1; i < path.size(); ++i) capsules.push_back({path[i - 1], path[i]});
  return capsules;
}

// Facets within reach of any capsule, ascending. Long capsules are walked in steps of a radius.
std::vector<std::uint32_t> facetsNear(const MeshTree& tree, const Affine& toPlate,
                                      const std::vector<Capsule>& capsules, double radius) {
  const Affine toMesh = toPlate.inverse();
  // The longest a unit of the plate can be in the mesh, so that a scaled part is searched far enough.
  const double stretch = toMesh.linear().norm();
  std::vector<std::uint32_t> found;
  for (const Capsule& capsule : capsules) {
    const auto steps = static_cast<int>(std::ceil((capsule.to - capsule.from).norm() / radius)) + 1;
    for (int i = 0; i < steps; ++i) {
      const double t = steps > 1 ? static_cast<double>(i) / (steps - 1) : 0.0;
      const Vec3 centre = toMesh * (capsule.from + t * (capsule.to - capsule.from));
      const auto near = tree.facetsNear(centre, radius * 1.2 * stretch);
      found.insert(found.end(), near.begin(), near.end());
    }
  }
  std::sort(found.begin(), found.end());
  found.erase(std::unique(found.begin(), found.end()), found.end());
  return found;
}

}  // namespace

double leafEdge(double radius) { return std::max(0.1, radius / 12); }

MarksPtr paint(const MeshTree& tree, const Affine& toPlate, const Marks& marks, const BallStroke& stroke, Mark mark,
               const MarkFilter& filter) {
  const std::vector<Capsule> capsules = capsulesOf(stroke.path);
  TreePainter painter(capsules, stroke.radius, toPlate, mark);
  const Eigen::Matrix3d normalToPlate = toPlate.linear().inverse().transpose();
  std::vector<std::pair<std::uint32_t, MarkTree>> changes;
  for (const std::uint32_t facet : facetsNear(tree, toPlate, capsules, stroke.radius)) {
    const Vec3 normal = (normalToPlate * tree.mesh().normal(facet)).normalized();
    if (leanOf(normal) <= filter.freeLean) continue;
    const std::string_view old = marks.tree(facet);
    MarkTree fresh = painter.paint(tree.mesh().corners(facet), old);
    if (fresh != old && !(old.empty() && fresh == MarkTree(1, '\0'))) changes.emplace_back(facet, std::move(fresh));
  }
  return marks.with(changes);
}

}  // namespace trellis
