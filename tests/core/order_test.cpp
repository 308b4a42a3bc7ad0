// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/toolpath/order.hpp"
#include "tests/shapes.hpp"

#include <cmath>
#include <random>

namespace trellis::test {
namespace {

Path openLine(std::vector<Vec2> points, Feature feature = Feature::infill) {
  Path path{feature, 0.45, false, {}};
  for (const Vec2& p : points) path.points.push_back(toPoint(p));
  return path;
}

Path loop(const Polygon& points, Feature feature) { return {feature, 0.45, true, points}; }

TEST(OrderPaths, PrintsAGroupStageByStageBeforeTheNext) {
  const PathGroup near{
      {Owner::part, 0},
      {{openLine({{50, 50}, {60, 50}}, Feature::wallInner)}, {openLine({{1, 1}, {2, 1}}, Feature::wallOuter)}}};
  const PathGroup far{{Owner::piece, 4}, {{openLine({{70, 70}, {80, 70}}, Feature::supportBody)}}};
  const auto runs = orderPaths({far, near});
  ASSERT_EQ(runs.size(), 3u);
  EXPECT_EQ(runs[0].feature, Feature::wallInner);  // the stage, although the other line is nearer
  EXPECT_EQ(runs[1].feature, Feature::wallOuter);
  EXPECT_EQ(runs[2].feature, Feature::supportBody);
  EXPECT_EQ(runs[2].owner, (Owner{Owner::piece, 4}));
}

TEST(OrderPaths, EntersLinesAtTheirNearerEnd) {
  const auto runs =
      orderPaths({{{}, {{openLine({{0, 1}, {10, 1}}), openLine({{0, 2}, {10, 2}}), openLine({{0, 3}, {10, 3}})}}}});
  ASSERT_EQ(runs.size(), 3u);
  for (std::size_t i = 0; i < 3; ++i) EXPECT_NEAR(toMm(runs[i].points.front()).x(), i % 2 ? 10 : 0, 1e-9);
}

TEST(OrderPaths, ClosedPathsEndWhereTheyBegan) {
  const Polygon square = rectangle({Vec2(5, 5), Vec2(15, 15)}).front();
  const auto runs = orderPaths({{{}, {{loop(square, Feature::wallInner)}}}});
  ASSERT_EQ(runs.size(), 1u);
  EXPECT_EQ(runs[0].points.size(), square.size() + 1);
  EXPECT_EQ(runs[0].points.front(), runs[0].points.back());
  EXPECT_EQ(runs[0].points.front(), toPoint(5, 5));  // the nearest to the plate's origin
}

TEST(OrderPaths, HidesTheSeamInAConcaveCorner) {
  Polygon ell;  // an L whose one inner corner is at (10, 10)
  for (const Vec2& p : {Vec2(0, 0), Vec2(20, 0), Vec2(20, 10), Vec2(10, 10), Vec2(10, 20), Vec2(0, 20)})
    ell.push_back(toPoint(p));
  EXPECT_EQ(orderPaths({{{}, {{loop(ell, Feature::wallOuter)}}}})[0].points.front(), toPoint(10, 10));
  EXPECT_EQ(orderPaths({{{}, {{loop(ell, Feature::wallInner)}}}})[0].points.front(), toPoint(0, 0));
}

TEST(OrderPaths, LosesNothingAndKeepsGroupsTogether) {
  std::mt19937 random(11);
  std::uniform_real_distribution<double> across(0, 100);
  std::vector<PathGroup> groups;
  double length = 0;
  for (std::size_t g = 0; g < 12; ++g) {
    PathGroup group{{Owner::part, g}, {{}, {}}};
    for (int i = 0; i < 20; ++i) {
      group.stages[static_cast<std::size_t>(i % 2)].push_back(
          openLine({{across(random), across(random)}, {across(random), across(random)}}));
      length += lengthOf(group.stages[static_cast<std::size_t>(i % 2)].back());
    }
    groups.push_back(group);
  }
  const auto runs = orderPaths(groups);
  EXPECT_EQ(runs.size(), 240u);
  std::set<std::size_t> left;
  double run = 0;
  for (std::size_t i = 0; i < runs.size(); ++i) {
    run += (toMm(runs[i].points[1]) - toMm(runs[i].points[0])).norm();
    if (i == 0 || runs[i].owner == runs[i - 1].owner) continue;
    EXPECT_TRUE(left.insert(runs[i - 1].owner.index).second) << "a group is taken up twice";
  }
  EXPECT_NEAR(run, length, 1e-6);
  EXPECT_EQ(left.size(), 11u);
}

// Nearest first is no best tour, but must beat the order things happened to come in by far.
TEST(OrderPaths, TravelsLessThanTheOrderGiven) {
  std::mt19937 random(5);
  std::uniform_real_distribution<double> across(0, 100);
  std::vector<Path> dots;
  for (int i = 0; i < 300; ++i) {
    const Vec2 p(across(random), across(random));
    dots.push_back(openLine({p, p + Vec2(0.5, 0)}));
  }
  const auto travel = [](const auto& paths) {
    double sum = 0;
    for (std::size_t i = 1; i < paths.size(); ++i)
      sum += (toMm(paths[i].points.front()) - toMm(paths[i - 1].points.back())).norm();
    return sum;
  };
  EXPECT_LT(travel(orderPaths({{{}, {dots}}})), 0.15 * travel(dots));
}

}  // namespace
}  // namespace trellis::test
