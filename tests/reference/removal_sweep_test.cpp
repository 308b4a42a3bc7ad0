// SPDX-License-Identifier: GPL-3.0-or-later
// Every step of the removal plan, swept finely: what moves never enters the part, by CGAL's AABB tree (CGAL 5.5), nor
// what still stands, by its outlines. Shares nothing with the planner but the plan.
#include "tests/package_mesh.hpp"
#include "tests/reference/facet_tree.hpp"
#include "tests/shapes.hpp"

namespace trellis::test {
namespace {

constexpr double outline = 0.1;  // mm: outlines are smoothed, and steps stand out of the smooth surface beside them

class PlacedPart {
 public:
  explicit PlacedPart(const TriangleMesh& mesh) : triangles_(trianglesOf(mesh)), box_(mesh.bounds) {
    tree_.insert(triangles_.cbegin(), triangles_.cend());
    tree_.accelerate_distance_queries();
  }
  const Box3& box() const { return box_; }
  // mm below the surface; 0 outside.
  double depthOf(const Vec3& p) const {
    if (!box_.contains(p)) return 0;
    const Kernel::Point_3 at = toCgal(p);
    const Kernel::Ray_3 ray(at, Kernel::Vector_3(0.31, 0.57, 0.76));  // along no facet of these
    if (tree_.number_of_intersected_primitives(ray) % 2 == 0) return 0;
    return std::sqrt(tree_.squared_distance(at));
  }

 private:
  Triangles triangles_;
  FacetTree tree_;
  Box3 box_;
};

// Corners of the outlines between a step's heights.
std::vector<Vec3> cornersOf(const SupportLayers& support, const RemovalStep& step) {
  std::vector<Vec3> corners;
  for (std::size_t l = 0; l < support.layers.size(); l += 2)
    for (const PieceRegion& region : support.layers[l].regions) {
      const double z = (support.layers[l].bottom + support.layers[l].top) / 2;
      if (region.piece != step.piece || z < step.low || z > step.high) continue;
      for (const Polygon& line : region.area)
        for (std::size_t i = 0; i < line.size(); i += 3) corners.emplace_back(toMm(line[i]).x(), toMm(line[i]).y(), z);
    }
  return corners;
}

double deepestOf(const PlacedPart& part, const std::vector<Vec3>& corners, const HandPath& path) {
  constexpr double fine = 0.4, begun = 0.35;  // mm
  double deepest = 0;
  for (std::size_t k = 0; k + 1 < path.poses.size(); ++k)
    for (const Vec3& p : corners) {
      const Vec3 from = path.poses[k] * p, way = path.poses[k + 1] * p - from;
      for (double gone = 0; gone <= way.norm(); gone += fine) {
        const Vec3 at = from + way.normalized() * gone;
        if ((at - p).norm() < begun) continue;
        if (gone > 0 && !part.box().contains(at) && k + 2 == path.poses.size()) break;  // out on its last pull
        deepest = std::max(deepest, part.depthOf(at));
      }
    }
  return deepest;
}

class RemovalSweep : public testing::TestWithParam<std::tuple<const char*, const char*>> {};

TEST_P(RemovalSweep, NothingThatMovesEntersThePart) {
  const auto [name, structure] = GetParam();
  const MeshPtr mesh = std::string(name) == "snail" ? demoPart(name) : packageMesh(name, 45);
  const BuildPtr built = build(projectOf(mesh, {{"support.structure", structure}}));
  const PlacedPart part(*built->parts[0].placed);
  ASSERT_FALSE(built->removal->steps.empty());
  std::size_t moved = 0;
  for (const RemovalStep& step : built->removal->steps) {
    if (step.path.poses.size() < 2) continue;
    ++moved;
    EXPECT_LE(deepestOf(part, cornersOf(*built->support, step), step.path), outline)
        << name << ", " << structure << ", piece " << step.piece << " by " << nameOf(step.move);
  }
  EXPECT_GT(moved, 0u);
  // Each piece goes once, or in bits that do not overlap, or stays.
  for (std::size_t p = 0; p < built->pieces.size(); ++p) {
    double sum = 0;
    for (const RemovalStep& step : built->removal->steps)
      if (step.piece == p) sum += step.high - step.low;
    const Piece& piece = built->support->pieces[p];
    EXPECT_LE(sum, piece.highest - piece.lowest + 1e-6);
    const bool stays = std::binary_search(built->removal->trapped.begin(), built->removal->trapped.end(), p);
    EXPECT_EQ(built->pieces[p].grade == Grade::trapped, stays);
    EXPECT_TRUE(stays || sum > 0);
  }
}

INSTANTIATE_TEST_SUITE_P(Meshes, RemovalSweep,
                         testing::Combine(testing::Values("snail", "bunny00", "cow", "elephant"),
                                          testing::Values("normal", "tree")));

}  // namespace
}  // namespace trellis::test
