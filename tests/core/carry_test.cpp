// SPDX-License-Identifier: GPL-3.0-or-later
// Marks on a mesh that is replaced by a revised one.
#include "core/marks/carry.hpp"
#include "core/marks/brush.hpp"
#include "core/mesh/nearest.hpp"
#include "tests/package_mesh.hpp"
#include "tests/shapes.hpp"

#include <cmath>

namespace trellis::test {
namespace {

MarksPtr dab(const MeshPtr& mesh, const Vec3& at, double radius, Mark mark, const Marks& before = {}) {
  return paint({mesh, treeOf(mesh)}, before, BallStroke{{at}, radius}, mark, {});
}

double marked(const MeshPtr& mesh, const MarksPtr& marks, Mark kind = Mark::enforce) {
  return markedArea(*mesh, Affine::Identity(), *marks, kind);
}

TEST(CarryMarks, OntoTheSameMeshChangesNothing) {
  const MeshPtr ball = sphere({0, 0, 10}, 10, 30, 60);
  const MarksPtr marks = dab(ball, {0, 0, 0}, 4, Mark::block, *dab(ball, {10, 0, 10}, 3, Mark::enforce));
  const Carried carried = carryMarks(ball, *marks, ball, Progress());
  EXPECT_EQ(carried.marks->key(), marks->key());
  EXPECT_TRUE(carried.lost.empty());
}

TEST(CarryMarks, OntoAFinerMeshKeepsTheMarkedArea) {
  const MeshPtr coarse = sphere({0, 0, 10}, 10, 30, 60), fine = refined(*coarse);
  const MarksPtr marks = dab(coarse, {0, 0, 0}, 4, Mark::enforce);
  const Carried carried = carryMarks(coarse, *marks, fine, Progress());
  EXPECT_TRUE(carried.lost.empty());
  EXPECT_NEAR(marked(fine, carried.marks), marked(coarse, marks), 0.03 * marked(coarse, marks));
}

TEST(CarryMarks, FollowASurfaceThatMovedALittleAndListTheRest) {
  const MeshPtr before = together({box({0, 0, 5}, {20, 20, 12}), box({40, 0, 5}, {60, 20, 12})});
  MarksPtr marks = dab(before, {10, 10, 5}, 4, Mark::enforce);
  marks = dab(before, {50, 10, 5}, 4, Mark::block, *marks);
  const MeshPtr after = together({box({0, 0, 5.3}, {20, 20, 12}), box({40, 0, 7}, {60, 20, 12})});
  const Carried carried = carryMarks(before, *marks, after, Progress());
  EXPECT_NEAR(marked(after, carried.marks), pi * 16, 1.5);
  EXPECT_EQ(marked(after, carried.marks, Mark::block), 0);
  ASSERT_FALSE(carried.lost.empty());
  double lost = 0;
  for (const LostMarks& place : carried.lost) {
    EXPECT_EQ(place.kind, LostKind::block);
    EXPECT_NEAR(place.at.z(), 5, 1e-6);
    lost += place.area;
  }
  EXPECT_NEAR(lost, pi * 16, 0.5);
}

TEST(CarryMarks, DoNotSpreadOntoNewSurface) {
  const MeshPtr before = box({0, 0, 5}, {20, 20, 8});
  const MarksPtr marks = dab(before, {10, 10, 5}, 4, Mark::enforce);
  const MeshPtr after = together({before, box({8, 8, 0}, {12, 12, 4.2})});  // a peg that ends 0.8 mm below
  EXPECT_NEAR(marked(after, carryMarks(before, *marks, after, Progress()).marks), marked(before, marks), 1e-6);
}

TEST(NearestOnTriangle, IsNoFartherThanAnyPointOfIt) {
  const std::array<Vec3, 3> corners{Vec3(0, 0, 0), Vec3(4, 0, 1), Vec3(1, 3, 0)};
  for (double x = -2; x <= 6; x += 0.7)
    for (double y = -2; y <= 5; y += 0.7)
      for (const double z : {-1.0, 0.3, 2.0}) {
        const Vec3 p(x, y, z);
        const double ours = (nearestOnTriangle(corners, p) - p).norm();
        double best = 1e9;
        for (double u = 0; u <= 1; u += 0.02)
          for (double v = 0; u + v <= 1 + 1e-9; v += 0.02)
            best =
                std::min(best, (corners[0] + u * (corners[1] - corners[0]) + v * (corners[2] - corners[0]) - p).norm());
        EXPECT_LE(ours, best + 1e-9);
        EXPECT_GE(ours, best - 0.1);
      }
}

}  // namespace
}  // namespace trellis::test
