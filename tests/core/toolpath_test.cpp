// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/gcode/motion.hpp"
#include "core/toolpath/centre_lines.hpp"
#include "core/toolpath/part_paths.hpp"
#include "core/toolpath/support_paths.hpp"
#include "tests/printed.hpp"
#include "tests/shapes.hpp"

#include <cmath>

namespace trellis::test {
namespace {

// Uniform acceleration from rest to rest, any mechanics handbook: v/a + d/v when the speed is reached,
// 2·√(d/a) when it is not.
TEST(MoveSeconds, FollowsTheTrapezoid) {
  EXPECT_NEAR(moveSeconds(100, 0, 0, 50, 1000), 50.0 / 1000 + 100.0 / 50, 1e-9);
  EXPECT_NEAR(moveSeconds(1, 0, 0, 50, 1000), 2 * std::sqrt(1.0 / 1000), 1e-9);
  EXPECT_NEAR(moveSeconds(10, 50, 50, 50, 1000), 10.0 / 50, 1e-9);
}

TEST(CornerSpeed, StopsAtATurnBackAndNotOnAStraightLine) {
  EXPECT_NEAR(cornerSpeed({1, 0}, {-1, 0}, 1500, 0.02), 0, 1e-9);
  EXPECT_GT(cornerSpeed({1, 0}, {1, 0}, 1500, 0.02), 1e6);
  const double s = std::sqrt(0.5);  // a right angle
  EXPECT_NEAR(cornerSpeed({1, 0}, {0, 1}, 1500, 0.02), std::sqrt(1500 * 0.02 * s / (1 - s)), 1e-9);
}

TEST(Tally, PartsSumToTheTotalAndToTheGcode) {
  const ProjectPtr project = projectOf(table(25, 9, 3));
  const auto built = build(project);
  double seconds = built->tally.travelSeconds, pieces = 0, extruded = 0;
  for (const Use& use : built->tally.features) seconds += use.seconds;
  EXPECT_NEAR(seconds, built->tally.seconds, 1e-6);
  for (const Use& use : built->tally.pieces) pieces += use.volume;
  EXPECT_NEAR(pieces, built->tally.support().volume, 1e-6);
  for (const Bead& bead : readBeads(gcodeOf(project))) extruded += bead.e;
  EXPECT_NEAR(extruded * pi * 1.75 * 1.75 / 4, built->tally.whole().volume, 0.002 * built->tally.whole().volume);
}

// A solid block takes its own volume of filament.
TEST(PartPaths, ASolidBlockIsFilled) {
  const auto built = build(projectOf(box({0, 0, 0}, {20, 20, 6}), {{"infill.density", 100}, {"skirt.loops", 0}}));
  EXPECT_NEAR(built->tally.whole().volume / 2400, 1, 0.01);
}

TEST(PartPaths, SparseInfillHasTheDensityAsked) {
  const auto infill = [](double density) {
    return build(projectOf(box({0, 0, 0}, {40, 40, 10}), {{"infill.density", density}}))
        ->tally.features[static_cast<std::size_t>(Feature::infill)]
        .volume;
  };
  EXPECT_NEAR(infill(40) / infill(20), 2, 0.06);
}

TEST(PartPaths, CoversCloseTopAndBottom) {
  const auto built = build(projectOf(box({0, 0, 0}, {20, 20, 6}), {{"cover.bottom", 2}, {"cover.top", 3}}));
  std::vector<std::size_t> skinned;
  for (std::size_t i = 0; i < built->print.layers.size(); ++i)
    if (built->print.layers[i]->use.features[static_cast<std::size_t>(Feature::cover)].volume > 20)
      skinned.push_back(i);
  EXPECT_THAT(skinned, testing::ElementsAre(0, 1, 27, 28, 29));
}

TEST(PartPaths, BridgesRunAlongTheirSpan) {
  // A roof between two walls 9 mm apart along x, without support.
  const MeshPtr tunnel =
      together({box({0, 0, 0}, {5, 20, 8}), box({14, 0, 0}, {19, 20, 8}), box({0, 0, 8}, {19, 20, 10})});
  const auto built = build(projectOf(tunnel, {{"support.on", false}}));
  double along = 0, across = 0;
  for (const auto& layer : built->print.layers)
    for (const trellis::Run& run : layer->runs)
      if (run.feature == Feature::bridge)
        for (std::size_t i = 1; i < run.points.size(); ++i) {
          along += std::abs(static_cast<double>(run.points[i].X - run.points[i - 1].X));
          across += std::abs(static_cast<double>(run.points[i].Y - run.points[i - 1].Y));
        }
  EXPECT_GT(along, 100e6);
  EXPECT_LT(across, 0.01 * along);
}

TEST(PartPaths, AThinWallGetsASingleLineOfItsWidth) {
  const PartPaths paths = partPaths({rectangle({Vec2(0, 0), Vec2(20, 0.4)})}, {{}}, 0, {}, {});
  double volume = 0, length = 0;
  for (const PathGroup& group : paths.groups)
    for (const auto& stage : group.stages)
      for (const Path& path : stage) {
        length += lengthOf(path);
        volume += beadArea(path.width, 0.2) * lengthOf(path);
      }
  EXPECT_NEAR(length, 19.6, 0.4);
  EXPECT_NEAR(volume, 20 * 0.4 * 0.2, 0.02);
  EXPECT_TRUE(paths.tooThin.empty());
  EXPECT_FALSE(partPaths({rectangle({Vec2(0, 0), Vec2(20, 0.12)})}, {{}}, 0, {}, {}).tooThin.empty());
}

TEST(SupportPaths, AnInterfaceIsCoveredUpToItsWallWhateverItsWidth) {
  const SupportPathRules rules;
  const double reach = (rules.lineWidth + rules.interfaceSpacing) / 2 + 0.03;
  for (double width = 1.5; width < 4; width += 0.17) {
    // A strip along the interface's lines.
    const Vec2 along = Vec2(-1, 1).normalized() * 10, across = Vec2(1, 1).normalized() * width;
    PieceRegion strip{0,
                      RegionKind::interfaceUpper,
                      0,
                      {{toPoint(Vec2(20, 20)), toPoint(Vec2(20, 20) + across), toPoint(Vec2(20, 20) + across + along),
                        toPoint(Vec2(20, 20) + along)}}};
    Lines lines;
    for (const Stages& island : regionPaths(strip, 1, rules))
      for (const auto& stage : island)
        for (const Path& path : stage) lines.push_back(path.closed ? asLines({path.points}).front() : path.points);
    EXPECT_LT(area(opened(subtract(strip.area, around(lines, reach)), 0.03)), 0.01 * area(strip.area)) << width;
  }
}

TEST(SupportPaths, LinesKeepTheirSpacingAndCrossTheInterface) {
  const Polygons area = rectangle({Vec2(0, 0), Vec2(30, 30)});
  SupportPathRules rules;
  rules.bodySpacing = 2.2;
  rules.bodyWalls = 1;
  rules.interfaceSpacing = 0.45;
  const auto offsets = [&](bool interface, double sign) {
    std::vector<double> all;
    const auto islands = regionPaths({0, interface ? RegionKind::interfaceUpper : RegionKind::body, 0, area}, 0, rules);
    for (const Path& path : islands.front().back())
      for (std::size_t i = 1; i < path.points.size(); ++i) {
        const Vec2 a = toMm(path.points[i - 1]), way = toMm(path.points[i]) - a;
        if (std::abs(way.y() - sign * way.x()) < 1e-4 && way.norm() > 0.3)
          all.push_back((a.y() - sign * a.x()) / std::sqrt(2.0));
      }
    std::sort(all.begin(), all.end());
    return all;
  };
  const auto body = offsets(false, 1), interface = offsets(true, -1);
  ASSERT_GT(body.size(), 10u);
  for (std::size_t i = 1; i < body.size(); ++i) EXPECT_NEAR(body[i] - body[i - 1], 2.65, 1e-4);
  for (std::size_t i = 1; i < interface.size(); ++i) EXPECT_NEAR(interface[i] - interface[i - 1], 0.9, 1e-4);
}

TEST(BeadArea, IsARectangleWithRoundEnds) {
  EXPECT_NEAR(beadArea(0.45, 0.2), 0.25 * 0.2 + pi * 0.01, 1e-12);
  EXPECT_NEAR(beadArea(0.2, 0.2), pi * 0.01, 1e-12);
}

}  // namespace
}  // namespace trellis::test
