// SPDX-License-Identifier: GPL-3.0-or-later
// Along which way whole built pieces leave their part: shapes whose answer is plain.
#include "tests/shapes.hpp"

#include <cmath>

namespace trellis::test {
namespace {

// The one piece of support of a part whose overhangs are all supported, bridges too.
PieceFigures onlyPieceOf(const MeshPtr& mesh) {
  const BuildPtr built = build(projectOf(mesh, {{"support.bridge_limit", 0}}));
  EXPECT_EQ(built->pieces.size(), 1u);
  return built->pieces.empty() ? PieceFigures() : built->pieces.front();
}

double angleTo(const Vec3& direction, const Vec3& way) {
  return toDegrees(std::acos(std::clamp(direction.dot(way), -1.0, 1.0)));
}

// A hole of 10 × 10 mm and 24 mm deep in a block's side, closed at its end. With half a millimetre of air on either
// side and two tenths above and below, its plug can tilt by about two degrees and no more.
TEST(WayOut, OfAPlugInABlindHoleIsStraightOut) {
  const PieceFigures plug = onlyPieceOf(blocks({0, 5, 29}, {0, 5, 15, 20}, {0, 5, 15, 20},
                                               [](int x, int y, int z) { return x == 0 || y != 1 || z != 1; }));
  EXPECT_TRUE(plug.extraction.free);
  EXPECT_LT(angleTo(plug.extraction.direction, Vec3::UnitX()), 3);
}

TEST(WayOut, IsNoneFromAClosedBall) {
  const MeshPtr outer = sphere({20, 20, 14}, 14, 40, 80), inner = sphere({20, 20, 14}, 11, 40, 80);
  std::vector<Facet> turned = inner->facets;
  for (Facet& f : turned) std::swap(f[1], f[2]);
  const BuildPtr built =
      build(projectOf(together({outer, makeMesh(inner->vertices, turned)}), {{"support.bridge_limit", 0}}));
  std::size_t within = 0;
  for (std::size_t i = 0; i < built->pieces.size(); ++i) {
    if (built->pieces[i].contactBelow <= 0) continue;  // what stands in the ball; the rest stands on the plate under it
    ++within;
    EXPECT_EQ(built->pieces[i].grade, Grade::trapped);
    EXPECT_FALSE(built->pieces[i].extraction.free);
    EXPECT_EQ(built->pieces[i].drainClearance, 0);
  }
  EXPECT_GE(within, 1u);
}

// A horseshoe in plan, with a floor and a lid, so that nothing leaves up or down.
TEST(WayOut, OfAHorseshoesFillingIsItsOpening) {
  const PieceFigures filling = onlyPieceOf(blocks({0, 5, 25}, {0, 5, 20, 25}, {0, 4, 14, 18},
                                                  [](int x, int y, int z) { return z != 1 || x == 0 || y != 1; }));
  EXPECT_TRUE(filling.extraction.free);
  EXPECT_LT(angleTo(filling.extraction.direction, Vec3::UnitX()), 4);
}

// Under a flat table on a post at its edge support leaves to every open side and down, never up.
TEST(WayOut, UnderATableIsSidewaysOrDown) {
  const PieceFigures open =
      onlyPieceOf(blocks({0, 4, 30}, {0, 20}, {0, 12, 15}, [](int x, int, int z) { return x == 0 || z == 1; }));
  EXPECT_TRUE(open.extraction.free);
  EXPECT_LE(open.extraction.direction.z(), 0.02);
  // With walls on three sides and a floor it is the fourth, and with walls all round, a box upside down, only down.
  const PieceFigures fourth = onlyPieceOf(blocks({0, 4, 30}, {0, 4, 20, 24}, {0, 2, 12, 15},
                                                 [](int x, int y, int z) { return z != 1 || x == 0 || y != 1; }));
  EXPECT_LT(angleTo(fourth.extraction.direction, Vec3::UnitX()), 4);
  const PieceFigures down = onlyPieceOf(blocks({0, 4, 26, 30}, {0, 4, 20, 24}, {0, 12, 15},
                                               [](int x, int y, int z) { return z == 1 || x != 1 || y != 1; }));
  EXPECT_TRUE(down.extraction.free);
  EXPECT_LT(angleTo(down.extraction.direction, -Vec3::UnitZ()), 6);
}

}  // namespace
}  // namespace trellis::test
