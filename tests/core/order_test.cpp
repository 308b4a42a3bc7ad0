// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/toolpath/order.hpp"
#include "core/toolpath/seam.hpp"
#include "core/toolpath/tour.hpp"
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

TEST(OrderPaths, AnOuterWallBeginsAtItsSeam) {
  const Polygon square = rectangle({Vec2(5, 5), Vec2(15, 15)}).front();
  EXPECT_EQ(orderPaths({{{}, {{loop(square, Feature::wallOuter)}}}})[0].points.front(), square.front());
}

TEST(Seam, HidesInAConcaveCornerElseAtTheBackAndOffSupports) {
  Polygon ell;  // an L whose one inner corner is at (10, 10)
  for (const Vec2& p : {Vec2(0, 0), Vec2(20, 0), Vec2(20, 10), Vec2(10, 10), Vec2(10, 20), Vec2(0, 20)})
    ell.push_back(toPoint(p));
  EXPECT_EQ(beginningAtSeam(ell, {}).front(), toPoint(10, 10));
  const Polygon square = rectangle({Vec2(5, 5), Vec2(15, 15)}).front();
  EXPECT_EQ(beginningAtSeam(square, {}).front(), toPoint(15, 15));
  EXPECT_EQ(beginningAtSeam(square, rectangle({Vec2(10, 10), Vec2(20, 20)})).front(), toPoint(5, 15));
  EXPECT_EQ(beginningAtSeam(ell, rectangle({Vec2(8, 8), Vec2(12, 12)})).front(), toPoint(10, 20));
  EXPECT_EQ(beginningAtSeam(square, rectangle({Vec2(0, 0), Vec2(20, 20)})).front(), toPoint(15, 15));
}

// Against the cheapest of all orders of eight places, tried one by one.
TEST(Tour, IsNearTheShortestThereIs) {
  std::mt19937 random(7);
  std::uniform_real_distribution<double> across(0, 50);
  double found = 0, shortest = 0;
  for (int round = 0; round < 40; ++round) {
    std::vector<Vec2> places;
    for (int i = 0; i < 8; ++i) places.emplace_back(across(random), across(random));
    const auto lengthOf = [&](const std::vector<std::size_t>& order) {
      double length = places[order.front()].norm();
      for (std::size_t i = 1; i < order.size(); ++i) length += (places[order[i]] - places[order[i - 1]]).norm();
      return length;
    };
    std::vector<std::size_t> order{0, 1, 2, 3, 4, 5, 6, 7};
    const std::vector<std::size_t> tour = tourOf(places, Vec2::Zero());
    EXPECT_TRUE(std::is_permutation(tour.begin(), tour.end(), order.begin(), order.end()));
    double best = 1e9;
    do best = std::min(best, lengthOf(order));
    while (std::next_permutation(order.begin(), order.end()));
    found += lengthOf(tour);
    shortest += best;
  }
  EXPECT_LT(found, 1.08 * shortest);
}

// A random uniform tour of n places in an area A is about 0.7124 √(n·A) long (J. Beardwood, J. H. Halton, J. M.
// Hammersley, "The shortest path through many points", 1959; the constant from memory): 2-opt and or-opt come within a
// tenth of it.
TEST(Tour, OfThousandsIsNearTheKnownLength) {
  std::mt19937 random(3);
  std::uniform_real_distribution<double> across(0, 200);
  std::vector<Vec2> places;
  for (int i = 0; i < 4000; ++i) places.emplace_back(across(random), across(random));
  const std::vector<std::size_t> tour = tourOf(places, Vec2::Zero());
  ASSERT_EQ(std::set<std::size_t>(tour.begin(), tour.end()).size(), places.size());
  double length = 0;
  for (std::size_t i = 1; i < tour.size(); ++i) length += (places[tour[i]] - places[tour[i - 1]]).norm();
  EXPECT_LT(length, 1.12 * 0.7124 * std::sqrt(4000.0 * 200 * 200));
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
