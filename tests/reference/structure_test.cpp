// SPDX-License-Identifier: GPL-3.0-or-later
// What a normal support is made of, measured from the beads of the G-code alone.
#include "core/toolpath/support_paths.hpp"
#include "tests/printed.hpp"
#include "tests/shapes.hpp"

#include <cmath>
#include <set>

namespace trellis::test {
namespace {

using Choices = std::vector<std::pair<std::string, nlohmann::json>>;

// Direction of a bead in degrees, 0 to 180.
double angleOf(const Bead& b) {
  const double angle = toDegrees(std::atan2(b.y1 - b.y0, b.x1 - b.x0));
  return std::fmod(angle + 360, 180);
}

bool runsAt(const Bead& b, double angle) {
  const double off = std::abs(angleOf(b) - angle);
  return std::min(off, 180 - off) < 1 && b.length() > 2;
}

// Distances between the neighbouring lines of one direction, in one layer.
std::vector<double> pitches(const std::vector<Bead>& beads, double angle) {
  std::set<long> offsets;  // µm across
  const double c = std::cos(toRadians(angle)), s = std::sin(toRadians(angle));
  for (const Bead& b : beads)
    if (runsAt(b, angle)) offsets.insert(std::lround((b.y0 * c - b.x0 * s) * 1000));
  std::vector<double> result;
  long last = -1000000;
  for (const long offset : offsets) {
    if (last > -1000000 && offset - last > 20) result.push_back(static_cast<double>(offset - last) / 1000);
    if (offset - last > 20 || last == -1000000) last = offset;
  }
  return result;
}

struct Layers {
  std::map<long, std::vector<Bead>> byTop;  // µm
  Layers(const std::string& gcode, const std::string& feature) {
    for (const Bead& b : readBeads(gcode))
      if (b.feature == feature && b.e > 0) byTop[std::lround(b.z * 1000)].push_back(b);
  }
  const std::vector<Bead>& at(double z) const {
    static const std::vector<Bead> none;
    const auto found = byTop.find(std::lround(z * 1000));
    return found == byTop.end() ? none : found->second;
  }
};

std::string printed(const Choices& choices) { return gcodeOf(projectOf(table(40, 15, 3), choices)); }

// Figures that are common practice in the trade.
struct Spacing {
  double body, interface;
  int layers;
};
class SpacingTest : public testing::TestWithParam<Spacing> {};

TEST_P(SpacingTest, LinesLieAWidthAndTheSpacingApart) {
  const auto [body, interface, layers] = GetParam();
  const std::string gcode = printed({{"support.body.spacing", body},
                                     {"support.interface.upper.spacing", interface},
                                     {"support.interface.upper.layers", layers}});
  const Layers bodies(gcode, "support.body"), interfaces(gcode, "support.interface.upper");
  ASSERT_EQ(interfaces.byTop.size(), static_cast<std::size_t>(layers));
  EXPECT_EQ(interfaces.byTop.rbegin()->first, 14800);
  for (const double pitch : pitches(bodies.at(8), 45)) EXPECT_NEAR(pitch, 0.45 + body, 0.01);
  for (const double pitch : pitches(interfaces.at(14.8), 135)) EXPECT_NEAR(pitch, 0.45 + interface, 0.01);
  EXPECT_GT(pitches(bodies.at(8), 45).size(), 5u);
  EXPECT_GT(pitches(interfaces.at(14.8), 135).size(), 10u);
}

INSTANTIATE_TEST_SUITE_P(Figures, SpacingTest,
                         testing::Values(Spacing{2.2, 0.45, 3}, Spacing{2.8, 0.45, 4}, Spacing{2.0, 0.4, 2},
                                         Spacing{2.5, 0.5, 3}));

TEST(Density, AndSpacingAreOneFigure) {
  for (const double share : {0.18, 0.25, 0.45, 0.65, 1.0})
    EXPECT_NEAR(densityOf(0.45, spacingOf(0.45, share)), share, 1e-12);
  EXPECT_NEAR(spacingOf(0.45, 0.18), 2.05, 1e-9);
}

TEST(Graded, LayersLieUnderTheInterfaceAsDenseAsAsked) {
  const std::string gcode = printed(
      {{"support.graded.layers", 6}, {"support.graded.density", 65}, {"support.body.spacing", spacingOf(0.45, 0.18)}});
  const Layers graded(gcode, "support.graded"), bodies(gcode, "support.body");
  ASSERT_EQ(graded.byTop.size(), 6u);
  EXPECT_EQ(graded.byTop.rbegin()->first, 14200);  // right under three layers of interface
  EXPECT_EQ(graded.byTop.begin()->first, 13200);
  for (const auto& [top, beads] : graded.byTop)
    for (const double pitch : pitches(beads, 135)) EXPECT_NEAR(pitch, 0.45 / 0.65, 0.01) << top;
  for (const double pitch : pitches(bodies.at(8), 45)) EXPECT_NEAR(pitch, 0.45 / 0.18, 0.01);
  EXPECT_EQ(bodies.byTop.rbegin()->first, 13000);
}

TEST(LowerInterface, LiesOnlyWhereSupportStandsOnThePart) {
  const MeshPtr tray =
      together({box({0, 0, 0}, {30, 20, 3}), box({0, 0, 3}, {4, 20, 14}), box({4, 0, 12}, {44, 20, 14})});
  const std::string gcode = gcodeOf(projectOf(
      tray,
      {{"support.interface.lower.layers", 2}, {"support.interface.lower.spacing", 1.35}, {"support.gap.below", 0.25}}));
  const Layers lower(gcode, "support.interface.lower");
  ASSERT_EQ(lower.byTop.size(), 2u);
  const double w = 0.45;
  for (const auto& [top, beads] : lower.byTop) {
    for (const double pitch : pitches(beads, 135)) EXPECT_NEAR(pitch, w + 1.35, 0.01);
    for (const Bead& b : beads) EXPECT_LT(std::max(b.x0, b.x1), 50 + 30 + w);  // over the tray, not over the plate
  }
  const Bead& first = lower.byTop.begin()->second.front();
  EXPECT_NEAR(first.z - first.height, 3.25, 0.005);
}

TEST(Body, CrossedLinesTurnFromLayerToLayer) {
  const Layers bodies(printed({{"support.body.pattern", "crossed"}}), "support.body");
  for (const double z : {6.0, 6.4, 8.0}) {
    const auto count = [&](double top, double angle) {
      return std::count_if(bodies.at(top).begin(), bodies.at(top).end(),
                           [&](const Bead& b) { return runsAt(b, angle); });
    };
    const bool even = count(z, 45) > 5;
    EXPECT_GT(count(z, even ? 45 : 135), 5);
    EXPECT_GT(count(z + 0.2, even ? 135 : 45), 5);
    EXPECT_LT(count(z + 0.2, even ? 45 : 135), 5);
  }
}

// The nozzle runs on from line to line without a travel, whatever the pattern.
TEST(Body, IsDrawnInOne) {
  const auto runs = [](const char* pattern) {
    const Layers bodies(printed({{"support.body.pattern", pattern}, {"support.body.walls", 0}}), "support.body");
    std::size_t count = 1;
    const std::vector<Bead>& beads = bodies.at(8);
    for (std::size_t i = 1; i < beads.size(); ++i)
      count += std::hypot(beads[i].x0 - beads[i - 1].x1, beads[i].y0 - beads[i - 1].y1) > 1e-3;
    return count;
  };
  for (const char* pattern : {"lines", "crossed", "zigzag"}) EXPECT_LE(runs(pattern), 6u) << pattern;
}

// A column of 20 × 20 mm: not one travel in its body.
TEST(Body, AZigzagOfASquareColumnIsUnbroken) {
  const MeshPtr lip = together({box({0, 0, 0}, {4, 20, 30}), box({4, 0, 28}, {24.5, 20, 30})});
  const Layers bodies(
      gcodeOf(
          projectOf(lip, {{"support.body.pattern", "zigzag"}, {"support.body.walls", 0}, {"support.gap.beside", 0.5}})),
      "support.body");
  ASSERT_GT(bodies.byTop.size(), 100u);
  for (const auto& [top, beads] : bodies.byTop)
    for (std::size_t i = 1; i < beads.size(); ++i)
      EXPECT_LT(std::hypot(beads[i].x0 - beads[i - 1].x1, beads[i].y0 - beads[i - 1].y1), 1e-3) << "at " << top;
}

TEST(Body, ConcentricLoopsKeepTheirDistance) {
  const std::string gcode = printed({{"support.body.pattern", "concentric"}, {"support.body.walls", 1}});
  const Layers bodies(gcode, "support.body");
  // Straight stretches along x at the table's near side, one behind the other.
  std::set<long> rows;
  for (const Bead& b : bodies.at(8))
    // Farther in are those round the post.
    if (std::abs(b.y0 - b.y1) < 1e-3 && b.length() > 3 && std::max(b.y0, b.y1) < 59)
      rows.insert(std::lround(b.y0 * 1000));
  ASSERT_GE(rows.size(), 3u);
  long last = *rows.begin();
  for (auto row = std::next(rows.begin()); row != rows.end(); ++row) {
    EXPECT_NEAR(static_cast<double>(*row - last) / 1000, 0.45 + 2.2, 0.03);
    last = *row;
  }
}

TEST(Foot, SpreadsOnThePlateAndNarrowsUpward) {
  const MeshPtr lip = together({box({0, 0, 0}, {4, 20, 30}), box({4, 8, 28}, {8, 12, 30})});
  const auto reach = [&](double z, double spread) {
    const BuildPtr built =
        build(projectOf(lip, {{"support.foot.layers", spread > 0 ? 5 : 0}, {"support.foot.spread", spread}}));
    for (const SupportLayer& layer : built->support->layers)
      if (layer.bottom < z && layer.top > z) return boundsOf(layer.regions.front().area);
    return Box2();
  };
  const Box2 plain = reach(0.1, 0), spread = reach(0.1, 2), above = reach(0.7, 2), top = reach(2.1, 2);
  EXPECT_NEAR(spread.max().x() - plain.max().x(), 2, 0.02);
  EXPECT_NEAR(spread.sizes().y() - plain.sizes().y(), 4, 0.04);
  EXPECT_NEAR(spread.min().x(), plain.min().x(), 0.02);  // the gap beside the part stays
  EXPECT_LT(above.max().x(), spread.max().x() - 0.5);
  EXPECT_NEAR(top.max().x(), plain.max().x(), 0.02);
}

class SquaredTest : public testing::TestWithParam<double> {};

TEST_P(SquaredTest, ColumnsAreWholeCells) {
  const double size = GetParam();
  const ProjectPtr project =
      projectOf(table(40, 15, 3), {{"support.normal.outline", "squared"}, {"support.normal.column", size}});
  const BuildPtr built = build(project);
  // Columns lie a line apart on a grid that begins in the part's middle, half a line from its lines.
  const double pitch = size + 0.45;
  const Vec2 middle = project->parts[0]->placement.position.head<2>();
  for (const SupportLayer& layer : built->support->layers) {
    if (layer.top > 14.9) continue;
    Box2 box;
    for (const PieceRegion& region : layer.regions) box.extend(boundsOf(region.area));
    for (int axis = 0; axis < 2; ++axis) {
      const double low = (box.min()[axis] - middle[axis] - 0.225) / pitch,
                   high = (box.max()[axis] - middle[axis] + 0.225) / pitch;
      EXPECT_NEAR(low, std::round(low), 0.06 / size);
      EXPECT_NEAR(high, std::round(high), 0.06 / size);
    }
  }
}

INSTANTIATE_TEST_SUITE_P(Columns, SquaredTest, testing::Values(1.2, 2.5, 5.0, 9.0));

TEST(Brim, LiesAroundThePartAndStaysClearOfSupports) {
  const MeshPtr lip = together({box({0, 0, 0}, {20, 20, 30}), box({20, 0, 18}, {30, 20, 30})});
  const std::string gcode = gcodeOf(projectOf(lip, {{"brim.width", 4}, {"brim.gap", 0.15}, {"skirt.loops", 0}}));
  const Layers brim(gcode, "brim"), support(gcode, "support.body");
  ASSERT_EQ(brim.byTop.size(), 1u);
  double nearest = 1e9, farthest = 0;
  for (const Bead& b : brim.byTop.begin()->second)
    for (const Vec2& p : {Vec2(b.x0, b.y0), Vec2(b.x1, b.y1)}) {
      const Box2 part(Vec2(50, 50), Vec2(70, 70));
      nearest = std::min(nearest, part.exteriorDistance(p));
      farthest = std::max(farthest, part.exteriorDistance(p));
      for (const Bead& s : support.at(0.2))
        for (double t = 0; t <= 1; t += 0.05)
          EXPECT_GT((p - Vec2(s.x0 + t * (s.x1 - s.x0), s.y0 + t * (s.y1 - s.y0))).norm(), 0.44);
    }
  EXPECT_NEAR(nearest, 0.15 + 0.45 / 2, 0.01);
  EXPECT_NEAR(farthest, 0.15 + 4 - 0.45 / 2, 0.3);
  EXPECT_GT(support.byTop.size(), 10u);
}

}  // namespace
}  // namespace trellis::test
