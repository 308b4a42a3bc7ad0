// SPDX-License-Identifier: GPL-3.0-or-later
// What makes supports worth standing: bodies that stand with few lines, smooth, within the part's outline, and clear of
// the walls beside them.
#include "core/toolpath/stretches.hpp"
#include "core/toolpath/support_paths.hpp"
#include "tests/printed.hpp"
#include "tests/shapes.hpp"

#include <algorithm>
#include <cmath>

namespace trellis::test {
namespace {

std::size_t loopsIn(const std::vector<Stages>& islands) {
  std::size_t loops = 0;
  for (const Stages& stages : islands)
    for (const auto& stage : stages)
      loops += static_cast<std::size_t>(
          std::count_if(stage.begin(), stage.end(), [](const Path& path) { return path.closed; }));
  return loops;
}

TEST(Bodies, HaveWallsOnlyWhereTheyWouldNotStandWithout) {
  SupportPathRules rules;
  rules.body = Pattern::zigzag;
  const auto of = [&](double across) {
    return regionPaths({0, RegionKind::body, 0, rectangle({Vec2(0, 0), Vec2(30, across)})}, 0, rules);
  };
  EXPECT_EQ(loopsIn(of(30)), 0u);
  EXPECT_EQ(loopsIn(of(4)), 0u);
  EXPECT_EQ(loopsIn(of(3)), 1u) << "its folds would not be deep enough";
  EXPECT_EQ(loopsIn(regionPaths({0, RegionKind::body, 0, rectangle({Vec2(0, 0), Vec2(5, 5)})}, 0, rules)), 1u)
      << "it would have two folds";
  rules.bodyWalls = 1;
  EXPECT_EQ(loopsIn(of(30)), 1u);
}

// Under facets a tenth of a millimetre long, around a part that has as many: the lines of bodies have lengths that a
// nozzle keeps its speed over.
TEST(Bodies, AreSmooth) {
  const ProjectPtr project = projectOf(together({sphere({0, 0, 30}, 14, 240, 480), box({-1, -1, 0}, {1, 1, 20})}),
                                       {{"support.body.walls", 1}});
  std::vector<double> lengths;
  for (const Bead& bead : readBeads(gcodeOf(project)))
    if (bead.feature == "support.body") lengths.push_back(bead.length());
  ASSERT_GT(lengths.size(), 1000u);
  std::nth_element(lengths.begin(), lengths.begin() + static_cast<long>(lengths.size() / 2), lengths.end());
  EXPECT_GT(lengths[lengths.size() / 2], 1.0);
}

// A cube with a room in it: what its ceiling asks for stays inside, but for half a line.
TEST(Bodies, StayWithinThePartsOutline) {
  const MeshPtr room = blocks({0, 0.8, 20.2, 21}, {0, 0.8, 20.2, 21}, {0, 1, 14, 16},
                              [](int x, int y, int z) { return x != 1 || y != 1 || z != 1; });
  const ProjectPtr project = projectOf(room, {{"support.bridge_limit", 0}, {"skirt.loops", 0}});
  const Vec3 low = onPlate(*project, {0, 0, 0}), high = onPlate(*project, {21, 21, 0});
  std::size_t beads = 0;
  for (const Bead& bead : readBeads(gcodeOf(project))) {
    if (!bead.feature.starts_with("support.")) continue;
    ++beads;
    EXPECT_GT(std::min(bead.x0, bead.x1), low.x() - 0.23);
    EXPECT_LT(std::max(bead.x0, bead.x1), high.x() + 0.23);
    EXPECT_GT(std::min(bead.y0, bead.y1), low.y() - 0.23);
    EXPECT_LT(std::max(bead.y0, bead.y1), high.y() + 0.23);
  }
  EXPECT_GT(beads, 100u);
}

// Under a cone that flares by 60°, with a gap above of half a layer: no bead of support comes nearer to the cone in
// its own layer than the slope gap, whose radius there is known.
TEST(SlopeGap, IsKeptFromTheWallOfTheSameLayer) {
  for (const double slope : {0.2, 0.4}) {
    const ProjectPtr project =
        projectOf(flaringCone(6, 60, 8, 256), {{"support.gap.above", 0.1}, {"support.gap.slope", slope}});
    const Vec2 axis = onPlate(*project, {0, 0, 0}).head<2>();
    double nearest = 1e9;
    for (const Bead& bead : readBeads(gcodeOf(project))) {
      if (!bead.feature.starts_with("support.")) continue;
      for (double z = 0.1; z < 8; z += 0.2) {  // middles of the part's layers
        if (bead.z - bead.height > z + 0.1 - 1e-6 || bead.z < z - 0.1 + 1e-6) continue;
        const double wall = 6 + z * std::tan(toRadians(60));
        for (const Vec2& end : {Vec2(bead.x0, bead.y0), Vec2(bead.x1, bead.y1)})
          nearest = std::min(nearest, (end - axis).norm() - bead.width / 2 - wall);
      }
    }
    EXPECT_GT(nearest, slope - 0.02);
    EXPECT_LT(nearest, slope + 0.5) << "and no farther than a step of the slope asks for";
  }
}

TEST(Stretches, ArePlacesAlongAPath) {
  const Path square{Feature::wallOuter, 0.45, true, rectangle({Vec2(0, 0), Vec2(10, 10)}).front()};
  const Point a = toPoint(Vec2(square.points[1].X > 0 ? Vec2(3, 0) : Vec2(0, 3)));
  const Point b = toPoint(Vec2(square.points[1].X > 0 ? Vec2(5, 0) : Vec2(0, 5)));
  const Stretch along = stretchOn(square, a, b);
  EXPECT_NEAR(along.from, 3, 1e-6);
  EXPECT_NEAR(along.to, 5, 1e-6);
}

TEST(Stretches, NearOnesAreOneAndShortOnesAreNone) {
  const std::vector<Stretch> all = merged({{8, 9.5}, {1, 3}, {3.5, 4}, {6, 6.5}}, 1);
  ASSERT_EQ(all.size(), 2u);
  EXPECT_EQ(all[0].from, 1);
  EXPECT_EQ(all[0].to, 4);
  EXPECT_EQ(all[1].from, 8);
}

TEST(Stretches, ACutPathIsAsLongAsBeforeAndGoesOnFromPieceToPiece) {
  const Path square{Feature::wallOuter, 0.45, true, rectangle({Vec2(0, 0), Vec2(10, 10)}).front()};
  const std::vector<Path> pieces = cutAt(square, {{5, 12}, {30, 32}}, Feature::wallSteep);
  ASSERT_EQ(pieces.size(), 4u);
  double whole = 0, steep = 0;
  for (std::size_t i = 0; i < pieces.size(); ++i) {
    whole += lengthOf(pieces[i]);
    steep += pieces[i].feature == Feature::wallSteep ? lengthOf(pieces[i]) : 0;
    EXPECT_EQ(pieces[i].points.back(), pieces[(i + 1) % pieces.size()].points.front());
    EXPECT_NE(pieces[i].feature, pieces[(i + 1) % pieces.size()].feature);
  }
  EXPECT_NEAR(whole, 40, 1e-4);
  EXPECT_NEAR(steep, 9, 1e-4);
  EXPECT_TRUE(cutAt(square, {{0, 40}}, Feature::wallSteep).front().closed);
}

}  // namespace
}  // namespace trellis::test
