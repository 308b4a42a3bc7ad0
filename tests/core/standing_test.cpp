// SPDX-License-Identifier: GPL-3.0-or-later
// What supports and parts stand on: slender columns, the raft, settings side by side.
#include "core/support/column_descent.hpp"
#include "tests/printed.hpp"
#include "tests/shapes.hpp"

#include <cmath>
#include <set>

namespace trellis::test {
namespace {

using Choices = std::vector<std::pair<std::string, nlohmann::json>>;

// A lip of one by one millimetre high up on a wall.
MeshPtr lipAt(double height) {
  return together({box({0, 0, 0}, {4, 30, height + 6}), box({4, 14.5, height}, {5.5, 15.5, height + 2})});
}

double widthAt(const Build& build, double z) {
  for (const SupportLayer& layer : build.support->layers)
    if (layer.bottom < z && layer.top > z) {
      double low = 0, high = 20;  // the largest circle, by halving
      while (high - low > 0.02)
        (grow(layer.regions.front().area, -(low + high) / 4).empty() ? high : low) = (low + high) / 2;
      return low;
    }
  return 0;
}

TEST(Slender, ColumnsWidenDownwardUntilTheyAreSteady) {
  const BuildPtr low = build(projectOf(lipAt(12))), high = build(projectOf(lipAt(60)));
  EXPECT_NEAR(widthAt(*low, 3.1), leastColumn, 0.1);
  EXPECT_GE(widthAt(*high, 3.1), 60 * leastSteadiness - 0.1);  // 5 mm
  EXPECT_LT(widthAt(*high, 59.7), 1.3);                        // the interface stays as small as the lip
  const double rate = (widthAt(*high, 57.1) - widthAt(*high, 58.1)) / 2;
  EXPECT_LE(rate, std::tan(toRadians(wideningLean)) + 0.05);
}

TEST(Slender, AColumnWithoutRoomToWidenIsReported) {
  // The same lip in a shaft of three millimetres.
  const MeshPtr shaft =
      together({lipAt(60), box({0, 10, 0}, {8, 13, 66}), box({0, 17, 0}, {8, 20, 66}), box({7, 10, 0}, {9, 20, 66})});
  const BuildPtr built = build(projectOf(shaft));
  EXPECT_TRUE(std::any_of(built->findings.begin(), built->findings.end(),
                          [](const Finding& f) { return f.code == "slender-support"; }));
}

TEST(Raft, LiesUnderEverythingAndReachesPastIt) {
  const Choices raft{
      {"support.raft.layers", 3}, {"support.raft.reach", 5}, {"support.raft.gap", 0.15}, {"skirt.loops", 0}};
  const ProjectPtr project = projectOf(table(30, 10, 2), raft);
  Box3 raftBox, partBox, supportBox;
  double volume = 0;
  for (const Bead& bead : readBeads(gcodeOf(project))) {
    Box3& box = bead.feature == "support.raft" ? raftBox : bead.feature.starts_with("support.") ? supportBox : partBox;
    for (const Vec2& p : {Vec2(bead.x0, bead.y0), Vec2(bead.x1, bead.y1)})
      for (const double z : {bead.z, bead.z - bead.height}) box.extend(Vec3(p.x(), p.y(), z));
    if (bead.feature == "support.raft") volume += bead.e * pi * 1.75 * 1.75 / 4;
  }
  EXPECT_NEAR(raftBox.min().z(), 0, 1e-6);
  EXPECT_NEAR(raftBox.max().z(), 0.6, 1e-6);
  EXPECT_NEAR(partBox.min().z(), 0.75, 1e-6);    // the gap is exact
  EXPECT_NEAR(supportBox.min().z(), 0.6, 1e-6);  // supports stand on the raft
  EXPECT_NEAR(raftBox.min().x() - 0.225, 50 - 5, 0.05);
  EXPECT_NEAR(raftBox.max().y() + 0.225, 80 + 5, 0.05);
  const double bead = beadArea(0.45, 0.2) / (0.45 * 0.2);           // the share of its box that a bead fills
  EXPECT_NEAR(volume, bead * 40 * 40 * 0.6, 0.04 * 40 * 40 * 0.6);  // solid
  // Everything else is as it would be on the plate.
  EXPECT_NEAR(build(project)->support->pieces[0].contactAbove,
              build(projectOf(table(30, 10, 2)))->support->pieces[0].contactAbove, 0.5);
}

TEST(Raft, OfNoLayersIsNone) {
  // Behind the version's code, which knows that another setting is another.
  const auto text = [](const ProjectPtr& project) {
    const std::string all = gcodeOf(project);
    return all.substr(all.find("; @setup"));
  };
  EXPECT_TRUE(text(projectOf(table(20, 5, 2), {{"support.raft.reach", 9}})) == text(projectOf(table(20, 5, 2))));
}

// Two ledges side by side at one height, one with a body of its own.
TEST(LocalSettings, OfNeighboursNeitherCollideNorLeaveASlit) {
  const MeshPtr ledges =
      together({box({0, 0, 0}, {40, 4, 20}), box({0, 4, 12}, {20, 20, 16}), box({20, 4, 12.4}, {40, 20, 16})});
  ProjectPtr project = projectOf(ledges, {{"support.gap.slope", 0}});  // what the higher one keeps from the lower ledge
  project = performed(
      *project,
      DecideSite{0, {60, 60, 12}, std::nullopt, Overrides{{"support.body.spacing", 0.6}, {"support.gap.above", 0.3}}});
  const BuildPtr built = build(project);
  std::set<std::size_t> rules;
  double widest = 0;
  for (const SupportLayer& layer : built->support->layers) {
    Polygons all;
    double sum = 0;
    for (const PieceRegion& region : layer.regions) {
      rules.insert(region.rules);
      sum += area(region.area);
      all.insert(all.end(), region.area.begin(), region.area.end());
    }
    const Polygons together = unite(all);
    EXPECT_NEAR(area(together), sum, 0.05) << layer.top;  // no overlap
    if (layer.top < 11) widest = std::max(widest, area(closed(together, 0.3)) - area(together));
  }
  EXPECT_EQ(rules.size(), 2u);
  EXPECT_LT(widest, 0.6);  // nothing to close between them
}

TEST(Features, SteepWallsAndCoversOverSupportAreToldApart) {
  const std::string text = gcodeOf(projectOf(table(30, 10, 2)));
  bool carried = false;
  for (const Bead& bead : readBeads(text))
    if (bead.feature == "part.cover.carried") {
      carried = true;
      EXPECT_NEAR(bead.z, 10.2, 1e-6);
    }
  EXPECT_TRUE(carried);
  const auto has = [](const std::string& gcode, const char* feature) {
    return gcode.find(feature) != std::string::npos;
  };
  const Choices bare{{"support.on", false}};
  EXPECT_TRUE(has(gcodeOf(projectOf(flaringCone(4, 60, 6, 96), bare)), "@feature part.wall.steep"));
  EXPECT_FALSE(has(gcodeOf(projectOf(flaringCone(4, 30, 6, 96), bare)), "@feature part.wall.steep"));
}

// A block with one side that leans out by 60°: that side is steep, and no other.
TEST(Features, AWallIsSteepWhereItIsSteep) {
  const double out = 6 * std::tan(toRadians(60));
  const auto right = static_cast<float>(20 + out);
  const MeshPtr leaning =
      makeMesh({{0, 0, 0}, {20, 0, 0}, {20, 20, 0}, {0, 20, 0}, {0, 0, 6}, {right, 0, 6}, {right, 20, 6}, {0, 20, 6}},
               {{0, 2, 1},
                {0, 3, 2},
                {4, 5, 6},
                {4, 6, 7},
                {0, 1, 5},
                {0, 5, 4},
                {1, 2, 6},
                {1, 6, 5},
                {2, 3, 7},
                {2, 7, 6},
                {3, 0, 4},
                {3, 4, 7}});
  const ProjectPtr project = projectOf(leaning, {{"support.on", false}});
  const double left = onPlate(*project, {0, 0, 0}).x();
  double steep = 0, other = 0;
  for (const Bead& bead : readBeads(gcodeOf(project))) {
    const bool leans = bead.x0 > left + 19 && std::abs(bead.x1 - bead.x0) < 0.01;
    if (bead.feature == "part.wall.steep") {
      steep += bead.length();
      EXPECT_GT(std::min(bead.x0, bead.x1), left + 19) << "the other sides stand straight";
    } else if (bead.feature == "part.wall.outer" && bead.z > 0.3 && leans) {
      other += bead.length();
    }
  }
  EXPECT_GT(steep, 20 * 28) << "all of it, in thirty layers but the first";
  EXPECT_LT(other, 20) << "but for what turns round the corners";
}

}  // namespace
}  // namespace trellis::test
