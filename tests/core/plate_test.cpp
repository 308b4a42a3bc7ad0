// SPDX-License-Identifier: GPL-3.0-or-later
// Where parts stand, and how a height is divided into layers.
#include "core/document/placement.hpp"
#include "core/slice/layer_plan.hpp"
#include "tests/shapes.hpp"

namespace trellis::test {
namespace {

const MeshPtr brick = box({3, 4, 5}, {13, 24, 35});  // 10 × 20 × 30, its middle at (8, 14, 20)

Placement placedAt(const Vec3& position, const Vec3& turn = Vec3::Zero(), const Vec3& scale = Vec3::Ones()) {
  return {position, turn, scale};
}

TEST(Placement, PutsTheBoxsMiddleAtItsPosition) {
  const Box3 box = placedBounds(placedAt({100, 50, 15}), *brick);
  EXPECT_TRUE(box.min().isApprox(Vec3(95, 40, 0), 1e-9));
  EXPECT_TRUE(box.max().isApprox(Vec3(105, 60, 30), 1e-9));
}

TEST(Placement, TurnsAboutXThenYThenZ) {
  EXPECT_TRUE(placedBounds(placedAt({0, 0, 0}, {90, 0, 0}), *brick).sizes().isApprox(Vec3(10, 30, 20), 1e-9));
  EXPECT_TRUE(placedBounds(placedAt({0, 0, 0}, {90, 90, 0}), *brick).sizes().isApprox(Vec3(20, 30, 10), 1e-9));
  EXPECT_TRUE(placedBounds(placedAt({0, 0, 0}, {90, 90, 90}), *brick).sizes().isApprox(Vec3(30, 20, 10), 1e-9));
  // A quarter turn about z takes +x to +y, as right-handed axes have it.
  const Affine turned = transformOf(placedAt({0, 0, 0}, {0, 0, 90}), *brick);
  EXPECT_TRUE((turned.linear() * Vec3(1, 0, 0)).isApprox(Vec3(0, 1, 0), 1e-9));
}

TEST(Placement, ScalesBeforeTurning) {
  EXPECT_TRUE(
      placedBounds(placedAt({0, 0, 0}, {0, 0, 90}, {2, 1, 1}), *brick).sizes().isApprox(Vec3(20, 20, 30), 1e-9));
}

TEST(Placement, MirroringKeepsTheOutsideOutside) {
  const MeshPtr mirrored = transformed(*brick, transformOf(placedAt({0, 0, 0}, {10, 20, 30}, {-1, 1, 1}), *brick));
  const MeshFigures figures = inspect(*mirrored);
  EXPECT_NEAR(figures.volume, 6000, 0.01);
  EXPECT_TRUE(figures.sound());
}

TEST(Placement, DroppingMovesStraightDownOrUp) {
  for (const double z : {-40.0, 0.0, 77.0}) {
    const Placement dropped = droppedTo(placedAt({10, 20, z}, {33, 12, 5}), *brick, 1.5);
    EXPECT_NEAR(placedBounds(dropped, *brick).min().z(), 1.5, 1e-5);
    EXPECT_EQ(dropped.position.x(), 10);
    EXPECT_EQ(dropped.position.y(), 20);
  }
}

TEST(PartsFrom, StandInTheMiddleOfThePlateAndOnIt) {
  Settings settings;
  settings.set("machine.width", SettingValue(120.0));
  settings.set("machine.depth", SettingValue(80.0));
  const auto parts = partsFrom({{"brick", brick}}, settings);
  ASSERT_EQ(parts.size(), 1u);
  const Box3 bounds = placedBounds(parts[0]->placement, *brick);
  EXPECT_TRUE(bounds.center().head<2>().isApprox(Vec2(60, 40), 1e-9));
  EXPECT_NEAR(bounds.min().z(), 0, 1e-9);
}

TEST(PartsFrom, MeshesOfOneFileKeepTheirPlaces) {
  const MeshPtr lid = box({3, 4, 40}, {13, 24, 44});
  const auto parts = partsFrom({{"brick", brick}, {"lid", lid}}, Settings());
  ASSERT_EQ(parts.size(), 2u);
  const Vec3 apart = placedBounds(parts[1]->placement, *lid).min() - placedBounds(parts[0]->placement, *brick).min();
  EXPECT_TRUE(apart.isApprox(Vec3(0, 0, 35), 1e-5));
}

class LayersTest : public testing::TestWithParam<std::pair<double, double>> {};

TEST_P(LayersTest, FollowOneAnotherAndEndAtTheTop) {
  const auto [height, first] = GetParam();
  for (const double top : {0.5, 9.98, 10.0, 10.02, 33.333}) {
    const LayerPlan plan = planLayers(top, {height, first});
    ASSERT_FALSE(plan.spans.empty());
    EXPECT_EQ(plan.spans[0].bottom, 0);
    EXPECT_NEAR(plan.spans[0].height(), first, 1e-12);
    for (std::size_t i = 1; i < plan.count(); ++i) {
      EXPECT_NEAR(plan.spans[i].bottom, plan.spans[i - 1].top, 1e-9);
      EXPECT_NEAR(plan.spans[i].height(), height, 1e-9);
    }
    EXPECT_NEAR(plan.spans.back().top, top, height / 2 + 1e-5);  // rounded to the nearest layer
    EXPECT_EQ(plan.middles().size(), plan.count());
  }
}

INSTANTIATE_TEST_SUITE_P(Heights, LayersTest,
                         testing::Values(std::pair(0.2, 0.2), std::pair(0.12, 0.3), std::pair(0.28, 0.2)));

TEST(Layers, APartOfExactlyNLayersHasN) {
  for (int n = 1; n < 400; ++n) EXPECT_EQ(planLayers(n * 0.2, {0.2, 0.2}).count(), static_cast<std::size_t>(n)) << n;
}

}  // namespace
}  // namespace trellis::test
