// SPDX-License-Identifier: GPL-3.0-or-later
// From marks and sections to what is wanted where.
#include "core/support/demand.hpp"
#include "core/marks/shadows.hpp"
#include "core/overhang/lean.hpp"
#include "tests/shapes.hpp"

#include <cmath>

namespace trellis::test {
namespace {

// Every facet of a mesh marked alike.
MarksPtr allMarked(const TriangleMesh& mesh, Mark mark) {
  std::vector<std::pair<std::uint32_t, MarkTree>> trees;
  for (std::uint32_t f = 0; f < mesh.facets.size(); ++f) trees.push_back({f, MarkTree(1, static_cast<char>(mark))});
  return Marks().with(trees);
}

double sum(const std::vector<Polygons>& layers) {
  double total = 0;
  for (const Polygons& layer : layers) total += area(layer);
  return total;
}

const std::vector<double> planes = planLayers(20, {0.2, 0.2}).middles();

TEST(Lean, CountsFromVertical) {
  EXPECT_NEAR(leanOf({1, 0, 0}), 0, 1e-9);
  EXPECT_NEAR(leanOf({0, 0, -1}), 90, 1e-9);
  EXPECT_NEAR(leanOf({0, 0, 1}), -90, 1e-9);
  EXPECT_NEAR(leanOf(Vec3(0, 1, -1).normalized()), 45, 1e-9);
}

TEST(HangingArea, LeavesOutWhatLiesOnThePlate) {
  EXPECT_EQ(hangingArea(*box({0, 0, 0}, {10, 10, 10}), 45), 0);
  EXPECT_NEAR(hangingArea(*box({0, 0, 1}, {10, 10, 10}), 45), 100, 1e-6);
  EXPECT_NEAR(hangingArea(*box({0, 0, 1}, {10, 10, 10}), 0), 100, 1e-6);  // walls do not lean more than 0°
}

// The shadow of a hemisphere's underside is its disc, however it is cut into layers.
TEST(CastShadows, OfABallAddUpToItsDisc) {
  const MeshPtr ball = sphere({0, 0, 10}, 8, 60, 120);
  const MarkShadows shadows =
      castShadows(*ball, Affine::Identity(), *allMarked(*ball, Mark::enforce), planes, Progress());
  const double steepest = std::cos(toRadians(wallLean));  // the belt that leans less is wall
  EXPECT_NEAR(sum(shadows.enforced), pi * 64 * steepest * steepest, 0.02 * pi * 64);
  EXPECT_EQ(sum(shadows.blocked) + sum(shadows.noLanding), 0);
  EXPECT_NEAR(shadows.enforcedWall, 2 * pi * 8 * (2 * 8 * std::sin(toRadians(wallLean))), 0.25 * 2 * pi * 64 * 0.17);
  EXPECT_NEAR(shadows.enforcedUpward, 2 * pi * 64 * (1 - std::sin(toRadians(wallLean))), 0.03 * 2 * pi * 64);
}

TEST(CastShadows, LieBetweenTheirPlanes) {
  const MeshPtr ball = sphere({0, 0, 10}, 8, 60, 120);
  const MarkShadows shadows =
      castShadows(*ball, Affine::Identity(), *allMarked(*ball, Mark::block), planes, Progress());
  for (std::size_t i = 1; i < planes.size(); ++i) {
    if (shadows.blocked[i].empty()) continue;
    const auto radiusAt = [](double z) { return std::sqrt(std::max(0.0, 64 - (10 - z) * (10 - z))); };
    const double outer = radiusAt(std::min(10.0, planes[i])), inner = radiusAt(planes[i - 1]);
    EXPECT_NEAR(area(shadows.blocked[i]), pi * (outer * outer - inner * inner), 0.6) << "plane at " << planes[i];
  }
  EXPECT_NEAR(sum(shadows.noLanding), pi * 64, 0.03 * pi * 64);  // the upper half: nothing may stand there
}

TEST(CastShadows, OfAMirroredPartFaceTheSameWay) {
  const MeshPtr ball = sphere({0, 0, 10}, 8, 20, 40);
  const MarksPtr marks = allMarked(*ball, Mark::block);
  const MarkShadows plain = castShadows(*ball, Affine::Identity(), *marks, planes, Progress());
  const MarkShadows mirrored = castShadows(*ball, Affine(Eigen::Scaling(-1.0, 1.0, 1.0)), *marks, planes, Progress());
  EXPECT_NEAR(sum(mirrored.blocked), sum(plain.blocked), 1e-3);
  EXPECT_NEAR(sum(mirrored.noLanding), sum(plain.noLanding), 1e-3);
}

// Two layers: a step of which the outer half leans too far, and a speck that floats.
struct Steps {
  Overhangs overhangs;
  MarkShadows shadows;
  Steps() {
    overhangs.layerDifference = {{}, rectangle({Vec2(0, 0), Vec2(10, 4)})};
    overhangs.demand = {{}, rectangle({Vec2(5, 0), Vec2(10, 4)})};
    overhangs.floating = {{}, rectangle({Vec2(9, 0), Vec2(10, 4)})};
    shadows.enforced.resize(2);
    shadows.blocked.resize(2);
    shadows.noLanding.resize(2);
    clean.blocked.resize(2);
  }
  double wanted(Source source) const {
    return sum(findDemand({0, planLayers(0.4, {}), overhangs, nowhere, shadows, clean, {}, source}, Progress()));
  }
  Sites nowhere;
  MarkShadows clean;
};

TEST(FindDemand, FollowsItsSource) {
  const Steps steps;
  EXPECT_NEAR(steps.wanted(Source::overhangs), 20, 1e-6);
  EXPECT_NEAR(steps.wanted(Source::floating), 4, 1e-6);
  EXPECT_EQ(steps.wanted(Source::decisions), 0);
}

TEST(FindDemand, MarksWinAndStayWithinTheStep) {
  Steps steps;
  steps.shadows.enforced[1] = rectangle({Vec2(-20, 0), Vec2(2, 4)});  // reaches far past the step
  EXPECT_NEAR(steps.wanted(Source::overhangs), 28, 0.05);
  EXPECT_NEAR(steps.wanted(Source::decisions), 8, 0.05);
  steps.shadows.blocked[1] = rectangle({Vec2(8, -1), Vec2(30, 5)});
  EXPECT_NEAR(steps.wanted(Source::overhangs), 20, 0.05);
  EXPECT_NEAR(steps.wanted(Source::floating), 8, 0.05);
}

TEST(ConnectDemand, JoinsWhatTouchesFromLayerToLayer) {
  Overhangs overhangs;
  overhangs.demand = {{}, {}, {}, {}};
  const Polygons left = rectangle({Vec2(0, 0), Vec2(5, 5)}), right = rectangle({Vec2(20, 0), Vec2(25, 5)});
  const Polygons beside = rectangle({Vec2(5, 0), Vec2(8, 5)});
  const std::vector<Polygons> demand{{}, unite(left, right), beside, right};
  const auto sites = connectDemand(3, demand, overhangs, Progress());
  ASSERT_EQ(sites.size(), 3u);  // the right one skips a layer, and so begins anew
  for (const DemandSite& site : sites) EXPECT_EQ(site.part, 3u);
  EXPECT_EQ(sites[0].lowest, 1u);
  double total = 0;
  for (const DemandSite& site : sites) total += sum(site.layers);
  EXPECT_NEAR(total, 25 + 25 + 15 + 25, 1e-6);
}

}  // namespace
}  // namespace trellis::test
