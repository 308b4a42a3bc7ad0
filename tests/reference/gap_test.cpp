// SPDX-License-Identifier: GPL-3.0-or-later
// The gap above, read back from the Z words of G-code alone, and each bead's height from its E word.
#include "tests/printed.hpp"
#include "tests/shapes.hpp"

#include <cmath>
#include <set>

namespace trellis::test {
namespace {

struct Case {
  double gap, layer;
};

class GapTest : public testing::TestWithParam<Case> {};

// Everything is told from where a bead lies: the bars stand out of the wall at y > 55 (the wall is 5 mm
// thick and the part stands at (50, 50)), and under a bar's underside everything is support.
TEST_P(GapTest, IsExactUnderThreeCeilings) {
  const auto [gap, layer] = GetParam();
  const std::string gcode = gcodeOf(projectOf(threeCeilings(), {{"layer.height", layer}, {"support.gap.above", gap}}));
  const std::vector<Bead> beads = readBeads(gcode);
  const std::pair<double, double> bars[] = {{4, 7.13}, {22, 11.37}, {40, 15.91}};
  for (const auto& [left, ceiling] : bars) {
    double underside = 1e9, highest = 0;
    for (const Bead& bead : beads) {
      const double x = (bead.x0 + bead.x1) / 2 - 50, y = (bead.y0 + bead.y1) / 2 - 50;
      if (x < left + 1 || x > left + 11.5 || y < 7 || y > 19 || bead.feature == "skirt") continue;
      // A part layer belongs to the bar when its middle lies above the ceiling: no more than half a layer off.
      if (bead.z - layer / 2 > ceiling - 1e-6)
        underside = std::min(underside, bead.z - layer);
      else
        highest = std::max(highest, bead.z);
    }
    ASSERT_LT(underside, 1e8);
    ASSERT_GT(highest, 0);
    EXPECT_NEAR(underside - highest, gap, 0.005) << "under the ceiling at " << ceiling;
    EXPECT_NEAR(underside, ceiling, layer / 2 + 1e-6);
  }
}

TEST_P(GapTest, EveryBeadHasTheHeightItsExtrusionSays) {
  const auto [gap, layer] = GetParam();
  const std::string gcode = gcodeOf(projectOf(threeCeilings(), {{"layer.height", layer}, {"support.gap.above", gap}}));
  std::set<double> heights;
  for (const Bead& bead : readBeads(gcode)) {
    if (bead.length() < 0.05) continue;  // five decimals of E are too few there
    ASSERT_NEAR(heightFromExtrusion(bead, 1.75) / bead.height, 1, 0.02) << bead.feature << " at " << bead.z;
    ASSERT_GE(bead.height, 0.05 - 1e-6);
    ASSERT_LE(bead.height, 0.8 * 0.4 + 1e-6);
    heights.insert(bead.height);
  }
  const bool onGrid = std::abs(std::remainder(gap, layer)) < 1e-6 && layer == 0.2;
  EXPECT_EQ(heights.size() > 1, !onGrid);
}

std::vector<Case> everyCase() {
  std::vector<Case> cases;
  for (const double layer : {0.12, 0.20, 0.28})
    for (const double gap : {0.0, 0.15, 0.18, 0.20, 0.22, 0.24, 0.40}) cases.push_back({gap, layer});
  return cases;
}

INSTANTIATE_TEST_SUITE_P(All, GapTest, testing::ValuesIn(everyCase()), [](const auto& given) {
  return "gap" + std::to_string(std::lround(given.param.gap * 100)) + "layer" +
         std::to_string(std::lround(given.param.layer * 100));
});

// A column between two faces of the part keeps the gap below as exactly.
TEST(GapBelow, IsExactOnThePart) {
  for (const double gap : {0.0, 0.13, 0.2, 0.31}) {
    // A shelf over a broad foot whose top is at 3.1 mm.
    const MeshPtr mesh =
        together({box({0, 0, 0}, {30, 30, 3.1}), box({0, 0, 0}, {4, 30, 12}), box({0, 0, 10}, {30, 30, 12})});
    const auto built = build(projectOf(mesh, {{"support.gap.below", gap}}));
    double partTop = 0, lowest = 1e9;
    for (const LayerSpan& span : built->plan.spans)
      if (span.middle() < 3.1) partTop = span.top;
    for (const SupportLayer& layer : built->support->layers) lowest = std::min(lowest, layer.bottom);
    EXPECT_NEAR(lowest - partTop, gap, 0.005);
  }
}

}  // namespace
}  // namespace trellis::test
