// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/document/marks_file.hpp"
#include "core/marks/brush.hpp"
#include "tests/shapes.hpp"

#include <cmath>
#include <random>

namespace trellis::test {
namespace {

double distanceToSegment(const Vec3& p, const Vec3& a, const Vec3& b) {
  const double t = std::clamp((p - a).dot(b - a) / std::max(1e-12, (b - a).squaredNorm()), 0.0, 1.0);
  return (p - a - t * (b - a)).norm();
}

MarksPtr strokeOn(const MeshPtr& mesh, const Marks& before, const std::vector<Vec3>& path, double radius, Mark mark,
                  const PaintRules& rules = {}) {
  return paint({mesh, treeOf(mesh)}, before, BallStroke{path, radius}, mark, rules);
}

struct LeafCount {
  std::size_t all = 0;
  double worst = 0;  // mm by which a leaf is on the wrong side of the exact border
};

LeafCount leavesOf(const TriangleMesh& mesh, const Marks& marks, const Vec3& a, const Vec3& b, double radius) {
  LeafCount count;
  marks.forEachTree([&](std::uint32_t facet, std::string_view tree) {
    count.all +=
        static_cast<std::size_t>(std::count_if(tree.begin(), tree.end(), [](char node) { return node != markSplit; }));
    forEachLeaf(mesh.corners(facet), tree, [&](const Corners& leaf, Mark) {
      for (const Vec3& corner : leaf) count.worst = std::max(count.worst, distanceToSegment(corner, a, b) - radius);
    });
  });
  return count;
}

class BallStrokeTest : public testing::TestWithParam<double> {};

// Random points all over the square tell whether mark and exact capsule agree but for half a leaf edge.
TEST_P(BallStrokeTest, BorderIsExactToHalfALeaf) {
  const double radius = GetParam();
  const MeshPtr square = twoTriangleSquare(200);
  const Vec3 a(25, 90, 0), b(175, 110, 0);
  const MarksPtr marks = strokeOn(square, Marks(), {a, b}, radius, Mark::enforce);
  std::mt19937 random(7);
  std::uniform_real_distribution<double> across(0, 200);
  for (int i = 0; i < 100000; ++i) {
    const Vec3 p(across(random), across(random), 0);
    const double beyond = distanceToSegment(p, a, b) - radius;
    if (std::abs(beyond) < leafEdge(radius) / 2) continue;
    const std::uint32_t facet = p.y() > p.x() ? 1 : 0;  // the square's diagonal
    const Mark mark = markAt(square->corners(facet), marks->tree(facet), p);
    ASSERT_EQ(mark == Mark::enforce, beyond < 0) << p.transpose() << ", " << beyond << " mm beyond the border";
  }
  EXPECT_LE(leavesOf(*square, *marks, a, b, radius).worst, leafEdge(radius) / 2);
}

TEST_P(BallStrokeTest, LeavesGrowWithTheBorderAndNotWithTheArea) {
  const double radius = GetParam();
  const MeshPtr square = twoTriangleSquare(200);
  std::vector<double> perMillimetre;
  for (const double length : {50.0, 100.0, 150.0}) {
    const Vec3 a(25, 90, 0), b(25 + length, 97, 0);
    const MarksPtr marks = strokeOn(square, Marks(), {a, b}, radius, Mark::enforce);
    perMillimetre.push_back(static_cast<double>(leavesOf(*square, *marks, a, b, radius).all) /
                            (2 * length + 2 * pi * radius));
  }
  EXPECT_NEAR(perMillimetre[1] / perMillimetre[0], 1, 0.3);
  EXPECT_NEAR(perMillimetre[2] / perMillimetre[0], 1, 0.3);
}

INSTANTIATE_TEST_SUITE_P(Radii, BallStrokeTest, testing::Values(1.0, 4.0, 12.0));

TEST(Marks, ClearingLeavesNothingBehind) {
  const MeshPtr square = twoTriangleSquare(50);
  const MarksPtr laid = strokeOn(square, Marks(), {{20, 20, 0}}, 5, Mark::block);
  EXPECT_FALSE(laid->empty());
  const MarksPtr cleared = strokeOn(square, *laid, {{20, 20, 0}}, 6, Mark::none);
  EXPECT_TRUE(cleared->empty());
  EXPECT_EQ(cleared->key(), Marks().key());
}

TEST(Marks, TheSameStrokeTwiceChangesNothing) {
  const MeshPtr square = twoTriangleSquare(50);
  const MarksPtr once = strokeOn(square, Marks(), {{20, 20, 0}, {30, 24, 0}}, 3, Mark::enforce);
  EXPECT_EQ(strokeOn(square, *once, {{20, 20, 0}, {30, 24, 0}}, 3, Mark::enforce)->key(), once->key());
  EXPECT_TRUE(once->without(Mark::enforce)->empty());
  EXPECT_EQ(once->without(Mark::block)->key(), once->key());
}

TEST(Marks, KeepToOverhangsLeavesWallsBare) {
  const MeshPtr cube = box({0, 0, 5}, {20, 20, 25});
  const MarksPtr marks = strokeOn(cube, Marks(), {{10, 0, 5}}, 4, Mark::enforce, {.keepToOverhangs = true});
  EXPECT_GT(markedArea(*cube, Affine::Identity(), *marks, Mark::enforce), 20);  // half a disc of radius 4 is 25.1
  EXPECT_LT(markedArea(*cube, Affine::Identity(), *marks, Mark::enforce), 26);
}

TEST(Marks, ABallMarksInPlateMillimetresOnAScaledPart) {
  const MeshPtr square = twoTriangleSquare(20);
  const Affine threefold(Eigen::Scaling(3.0));
  const MarksPtr marks =
      paint({square, treeOf(square), threefold}, Marks(), BallStroke{{{30, 30, 0}}, 5}, Mark::enforce, {});
  EXPECT_NEAR(markedArea(*square, threefold, *marks, Mark::enforce), pi * 25, 0.02 * pi * 25);
}

class MarksFile : public testing::TestWithParam<int> {};

TEST_P(MarksFile, ComesBackTheSameAndRefusesDamage) {
  const MeshPtr ball = sphere({0, 0, 10}, 10, 30, 60);
  MarksPtr marks = strokeOn(ball, Marks(), {{0, 0, 0}, {6, 0, 2}}, 4, enforceAs(GetParam()));
  marks = strokeOn(ball, *marks, {{-8, 0, 10}}, 5, Mark::block);
  const std::string bytes = packMarks(*marks);
  EXPECT_EQ(unpackMarks(bytes, ball->facets.size(), "marks")->key(), marks->key());
  EXPECT_LT(bytes.size(), 40000u);
  std::mt19937 random(3);
  for (int i = 0; i < rounds(3000); ++i) {  // no damage crashes; what is accepted is a tree
    std::string hurt = bytes.substr(0, random() % (bytes.size() + 1));
    for (int k = 0; k < 3 && !hurt.empty(); ++k) hurt[random() % hurt.size()] = static_cast<char>(random());
    try {
      unpackMarks(hurt, ball->facets.size(), "marks")->forEachTree([](std::uint32_t, std::string_view tree) {
        ASSERT_TRUE(isMarkTree(tree));
      });
    } catch (const Error& error) {
      EXPECT_THAT(error.what(), testing::HasSubstr("marks"));
    }
  }
  EXPECT_THROW(unpackMarks(bytes, 10, "marks"), Error);
}

INSTANTIATE_TEST_SUITE_P(Tints, MarksFile, testing::Values(0, 1, 15));

}  // namespace
}  // namespace trellis::test
