// SPDX-License-Identifier: GPL-3.0-or-later
// How support comes off: shapes whose only way out is plain, and the order that follows from them.
#include "tests/shapes.hpp"

#include "core/release/removal_plan.hpp"

#include <gmock/gmock.h>

#include <cmath>
#include <numeric>

namespace trellis::test {
namespace {

constexpr double far = 200;  // mm

// One piece: this outline from a height to another.
struct Standing {
  Polygons outline;
  double low, high;
};

SupportLayers layersOf(const std::vector<Standing>& pieces) {
  SupportLayers layers;
  for (const Standing& piece : pieces) layers.pieces.push_back({piece.low, piece.high, {}, 0, 0});
  for (double bottom = 0; bottom < 60; bottom += 0.2) {
    SupportLayer layer{bottom, bottom + 0.2, {}};
    for (std::size_t p = 0; p < pieces.size(); ++p)
      if (bottom > pieces[p].low - 0.01 && bottom + 0.2 < pieces[p].high + 0.01)
        layer.regions.push_back({p, RegionKind::body, 0, pieces[p].outline, 0});
    if (!layer.regions.empty()) layers.layers.push_back(std::move(layer));
  }
  return layers;
}

std::vector<Solid> solidOf(const MeshPtr& mesh) { return {{treeOf(mesh), Affine::Identity()}}; }

Polygons square(double x, double y, double toX, double toY) { return rectangle({Vec2(x, y), Vec2(toX, toY)}); }

RemovalPlan planOf(const SupportLayers& layers, const MeshPtr& part, std::vector<PieceFigures> figures = {}) {
  Supports supports;
  supports.support = std::make_shared<const SupportLayers>(layers);
  figures.resize(layers.pieces.size());
  std::vector<Bit> whole;
  for (std::size_t p = 0; p < layers.pieces.size(); ++p)
    whole.push_back(wholeMoves(layers, p, solidOf(part), far).front());
  return planRemoval(
      supports, whole, [&](std::size_t p) { return bitMoves(layers, p, solidOf(part), far); }, figures, Progress());
}

// A corner of a ring with a rectangular section.
MeshPtr sector(double inner, double outer, double toAngle, double low, double high) {
  constexpr int steps = 48;
  std::vector<Vec3f> vertices;
  std::vector<Facet> facets;
  for (int k = 0; k <= steps; ++k)
    for (const auto& [r, z] : {std::pair(inner, low), {outer, low}, {outer, high}, {inner, high}}) {
      const double angle = toRadians(toAngle) * k / steps;
      vertices.push_back(Vec3(r * std::cos(angle), r * std::sin(angle), z).cast<float>());
    }
  const auto quad = [&](std::uint32_t a, std::uint32_t b, std::uint32_t c, std::uint32_t d) {
    facets.push_back({a, b, c});
    facets.push_back({a, c, d});
  };
  for (std::uint32_t k = 0; k < steps; ++k)
    for (std::uint32_t i = 0; i < 4; ++i) quad(4 * k + i, 4 * k + (i + 1) % 4, 4 * k + 4 + (i + 1) % 4, 4 * k + 4 + i);
  quad(3, 2, 1, 0);
  quad(4 * steps, 4 * steps + 1, 4 * steps + 2, 4 * steps + 3);
  return makeMesh(vertices, facets);
}

Polygons arc(double inner, double outer, double toAngle) {
  Polygon outline;
  constexpr int steps = 48;
  for (int k = 0; k <= steps; ++k)
    outline.push_back(
        toPoint(outer * std::cos(toRadians(toAngle) * k / steps), outer * std::sin(toRadians(toAngle) * k / steps)));
  for (int k = steps; k >= 0; --k)
    outline.push_back(
        toPoint(inner * std::cos(toRadians(toAngle) * k / steps), inner * std::sin(toRadians(toAngle) * k / steps)));
  return {outline};
}

const MeshPtr blindHole =
    blocks({0, 5, 30}, {0, 5, 15, 20}, {0, 5, 15, 20}, [](int x, int y, int z) { return x == 0 || y != 1 || z != 1; });

TEST(RemovalPlan, APlugComesOutOfABlindHoleOnlyStraight) {
  const SupportLayers plug = layersOf({{square(5.5, 5.5, 29.5, 14.5), 5.2, 14.8}});
  const Bit bit = wholeMoves(plug, 0, solidOf(blindHole), far).front();
  ASSERT_FALSE(bit.paths.empty());
  for (const HandPath& path : bit.paths) EXPECT_GT(path.firstWay(bit.box.center()).x(), 0.99);
}

TEST(RemovalPlan, ARingLeavesItsPostAlongItAndNotSideways) {
  const MeshPtr post = blocks({0, 4}, {0, 4}, {0, 20}, [](int, int, int) { return true; });
  Polygons ring = square(-3, -3, 7, 7);
  for (Polygon& hole : square(-0.5, -0.5, 4.5, 4.5)) {
    std::reverse(hole.begin(), hole.end());
    ring.push_back(hole);
  }
  const SupportLayers around = layersOf({{ring, 6, 10}});
  const Bit open = wholeMoves(around, 0, solidOf(post), far).front();
  ASSERT_FALSE(open.paths.empty());
  for (const HandPath& path : open.paths) EXPECT_GT(std::abs(path.firstWay(open.box.center()).z()), 0.99);
  // With a knob on both ends nothing gets it off.
  const MeshPtr knobs = blocks({-3, 0, 4, 7}, {-3, 0, 4, 7}, {0, 4, 12, 16},
                               [](int x, int y, int z) { return z != 1 || (x == 1 && y == 1); });
  EXPECT_TRUE(wholeMoves(around, 0, solidOf(knobs), far).front().paths.empty());
  EXPECT_THAT(planOf(around, knobs).trapped, testing::ElementsAre(0u));
}

TEST(RemovalPlan, AFillingThatIsBentTurnsOutAboutItsAxis) {
  const MeshPtr channel = together(
      {sector(8, 10, 150, 0, 6), sector(15, 17, 150, 0, 6), sector(8, 17, 150, 0, 1), sector(8, 17, 150, 5, 6)});
  const SupportLayers filling = layersOf({{arc(10.6, 14.4, 148), 1.2, 4.8}});
  const Bit bit = wholeMoves(filling, 0, solidOf(channel), far).front();
  ASSERT_EQ(bit.paths.size(), 1u);
  EXPECT_EQ(bit.paths.front().move, HandMove::turn);
  // It keeps its distance from the axis for the first quarter of a turn.
  for (const Pose& pose : bit.paths.front().poses) {
    const Eigen::AngleAxisd turned(pose.rotation());
    if (std::abs(turned.angle()) > pi / 2) break;
    EXPECT_NEAR((pose * Vec3(12.5, 0, 3)).head<2>().norm(), 12.5, &pose == &bit.paths.front().poses.back() ? far : 0.7);
  }
}

// Water takes out only what a hand does not: a filling that no straight pull gets out, but a turn, stays plain.
TEST(RemovalPlan, ABodyDissolvesOnlyWhereNoHandGetsItOut) {
  const std::string second = "second";
  for (const bool isShut : {false, true}) {
    std::vector<MeshPtr> shells{sector(8, 10, 150, 0, 8), sector(15, 17, 150, 0, 8), sector(8, 17, 150, 0, 1),
                                sector(8, 17, 150, 7, 8)};
    if (isShut)
      for (const double side : {-17.0, 0.0})
        shells.push_back(box({side + 8 * (side == 0), -1, 0}, {side + 9 + 8 * (side == 0), 0.5, 8}));
    const BuildPtr built = build(
        projectOf(together(shells),
                  {{"support.filament.interface", second}, {"filament2.soluble", true}, {"support.bridge_limit", 0}}));
    std::size_t plain = 0, turned = 0;
    for (const PieceFigures& piece : built->pieces) plain += piece.bodyFilament == Filament::first;
    for (const RemovalStep& step : built->removal->steps) turned += step.move == HandMove::turn;
    EXPECT_EQ(plain > 0, !isShut);
    EXPECT_EQ(turned > 0, !isShut);
  }
}

// Nor where a hand would break the part with it, unless a straight pull is all it takes.
TEST(RemovalPlan, ByHandIsNeitherCrushedNorTrappedNorAtThePartsCost) {
  std::vector<PieceFigures> figures(5);
  figures[0].grade = Grade::inBits;
  figures[1].grade = figures[2].grade = Grade::fragile;
  figures[2].extraction.free = true;
  RemovalPlan plan;
  plan.steps.push_back({.move = HandMove::pull, .piece = 0});
  plan.steps.push_back({.move = HandMove::crush, .piece = 3});
  plan.trapped = {4};
  EXPECT_EQ(plan.byHand(figures), (std::vector<bool>{true, false, true, false, false}));
}

TEST(RemovalPlan, WhatIsInFrontGoesFirst) {
  const SupportLayers two =
      layersOf({{square(5.5, 5.5, 16, 14.5), 5.2, 14.8}, {square(17, 5.5, 29.5, 14.5), 5.2, 14.8}});
  const RemovalPlan plan = planOf(two, blindHole);
  ASSERT_EQ(plan.steps.size(), 2u);
  EXPECT_EQ(plan.steps[0].piece, 1u);
  EXPECT_EQ(plan.steps[1].piece, 0u);
  EXPECT_TRUE(plan.trapped.empty());
  // Three of them, listed in any order.
  const SupportLayers three = layersOf({{square(14, 5.5, 20, 14.5), 5.2, 14.8},
                                        {square(5.5, 5.5, 13, 14.5), 5.2, 14.8},
                                        {square(21, 5.5, 29.5, 14.5), 5.2, 14.8}});
  std::vector<std::size_t> order;
  for (const RemovalStep& step : planOf(three, blindHole).steps) order.push_back(step.piece);
  EXPECT_THAT(order, testing::ElementsAre(2u, 0u, 1u));
}

// One hooks over the other, and both lie in a groove that is open upward only.
TEST(RemovalPlan, TwoThatInterlockComeOffInTheOnlyOrder) {
  const MeshPtr groove = blocks({0, 5, 25, 30}, {0, 5, 15, 20}, {0, 5, 25},
                                [](int x, int y, int z) { return z == 0 || x != 1 || y != 1; });
  SupportLayers hooked = layersOf({{square(5.5, 5.5, 12, 14.5), 5.2, 12}, {square(13, 5.5, 24.5, 14.5), 5.2, 16}});
  for (SupportLayer& layer : hooked.layers)
    if (layer.bottom > 12.9)  // the second reaches over the first
      for (PieceRegion& region : layer.regions)
        if (region.piece == 1) region.area = square(5.5, 5.5, 24.5, 14.5);
  const RemovalPlan plan = planOf(hooked, groove);
  ASSERT_EQ(plan.steps.size(), 2u);
  EXPECT_EQ(plan.steps[0].piece, 1u);
}

TEST(RemovalPlan, NothingLeavesAClosedBox) {
  const MeshPtr closed = blocks({0, 5, 25, 30}, {0, 5, 15, 20}, {0, 5, 25, 30},
                                [](int x, int y, int z) { return x != 1 || y != 1 || z != 1; });
  const RemovalPlan plan = planOf(layersOf({{square(8, 8, 20, 12), 6, 20}}), closed);
  EXPECT_TRUE(plan.steps.empty());
  EXPECT_THAT(plan.trapped, testing::ElementsAre(0u));
}

// Two blocks above and below a plate, joined through a hole in it.
TEST(RemovalPlan, ANeckIsBrokenAndBothHalvesAreFree) {
  const MeshPtr plate =
      blocks({0, 10, 14, 24}, {0, 10, 14, 24}, {12, 15}, [](int x, int y, int) { return x != 1 || y != 1; });
  SupportLayers both = layersOf({{square(6, 6, 18, 18), 4, 24}});
  for (SupportLayer& layer : both.layers)
    if (layer.bottom > 11.1 && layer.bottom < 15.9) layer.regions[0].area = square(11, 11, 13, 13);
  std::vector<PieceFigures> figures(1);
  figures[0].weakest = 4;
  const RemovalPlan plan = planOf(both, plate, figures);
  EXPECT_TRUE(plan.trapped.empty());
  ASSERT_EQ(plan.steps.size(), 2u);
  for (const RemovalStep& step : plan.steps) {
    EXPECT_FALSE(step.isWhole);
    // Parted within the neck.
    EXPECT_TRUE((step.low > 11 && step.low < 16) || (step.high > 11 && step.high < 16));
  }
}

// The gap is what decides how firmly a flat contact holds: more of it, less force, less time, a better grade.
TEST(RemovalPlan, AWiderGapMakesItEasier) {
  double force = 1e9, seconds = 1e9;
  for (const double gap : {0.05, 0.1, 0.2, 0.3}) {
    const BuildPtr built = build(projectOf(table(24, 10, 2), {{"support.gap.above", gap}}));
    ASSERT_FALSE(built->pieces.empty());
    const double all = std::accumulate(built->pieces.begin(), built->pieces.end(), 0.0,
                                       [](double sum, const PieceFigures& piece) { return sum + piece.force; });
    EXPECT_LT(all, force) << gap;
    EXPECT_LT(built->removal->seconds(), seconds) << gap;
    force = all;
    seconds = built->removal->seconds();
    EXPECT_TRUE(built->removal->trapped.empty());
  }
}

// Each tip is rubbed off once, whichever of many branches it stands on.
TEST(RemovalPlan, EveryTipIsOfOnePiece) {
  const BuildPtr built =
      build(projectOf(threeCeilings(), {{"support.structure", "tree"}, {"support.tree.tip_spacing", 4}}));
  std::size_t tips = 0;
  for (const auto& tree : built->trees) tips += tree->tips.size();
  int counted = 0;
  for (const PieceFigures& piece : built->pieces) counted += piece.tips;
  ASSERT_GT(tips, 5u);
  EXPECT_LE(counted, static_cast<int>(tips));
  EXPECT_GE(counted, static_cast<int>(0.9 * static_cast<double>(tips)));
}

// What a decision costs in minutes of a hand sums to what the plan says.
TEST(RemovalPlan, PricesSumToThePlan) {
  const BuildPtr built = build(projectOf(threeCeilings()));
  double sum = 0;
  for (const Price& price : built->prices) sum += price.removal;
  EXPECT_GT(sum, 0);
  EXPECT_NEAR(sum, built->removal->seconds(), 1e-6);
}

}  // namespace
}  // namespace trellis::test
