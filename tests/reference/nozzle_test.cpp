// SPDX-License-Identifier: GPL-3.0-or-later
// What a machine is given, from the text alone: how much of it draws, how long it takes, and what it crosses.
#include "tests/reference/nozzle.hpp"

#include "core/results/gcode_text.hpp"
#include "core/settings/rules.hpp"
#include "tests/package_mesh.hpp"
#include "tests/shapes.hpp"

#include <gtest/gtest.h>

namespace trellis::test {
namespace {

struct Whole {
  const char *mesh, *structure;
  double travelShare;  // of the time, at most
  double pulls;        // a metre drawn, at most
};

MeshPtr meshNamed(const std::string& name) {
  return name == "snail" || name == "frond" ? demoPart(name) : packageMesh(name);
}

class Lines : public testing::TestWithParam<Whole> {};

// The time is what the text takes, no layer is over too soon, most of the time is drawing, and no way leaves an island
// with filament pushed: of one print, as a whole one takes its time to build.
TEST_P(Lines, AreWorthGivingToAMachine) {
  const ProjectPtr project = projectOf(meshNamed(GetParam().mesh), {{"support.structure", GetParam().structure}});
  const BuildPtr built = build(project);
  const MotionRules rules = motionRules(project->settings);
  const std::vector<NozzleMove> moves = nozzleMoves(gcodeOf(*project, *built, Progress()));
  const LineFigures figures = figuresOf(moves, {rules.acceleration, rules.retractAcceleration, rules.cornerDeviation});
  EXPECT_NEAR(built->tally.seconds, figures.seconds, 0.01 * figures.seconds);
  for (const auto& [layer, seconds] : figures.layers)
    EXPECT_GT(seconds, rules.leastLayerSeconds - 0.05) << "layer " << layer;
  EXPECT_LE(figures.travelSeconds / figures.seconds, GetParam().travelShare);
  EXPECT_LE(static_cast<double>(figures.pulls) / figures.drawn * 1000, GetParam().pulls);
  EXPECT_LE(static_cast<double>(figures.tiny), 0.0005 * static_cast<double>(figures.draws));
  const auto crossings = openCrossings(moves, 3);
  EXPECT_TRUE(crossings.empty()) << "in layer " << crossings.front();
}

// Weak: far from a tenth and from six a metre, which parts with few islands a layer come near to.
INSTANTIATE_TEST_SUITE_P(Parts, Lines,
                         testing::Values(Whole{"snail", "normal", 0.28, 12}, Whole{"frond", "tree", 0.4, 24},
                                         Whole{"bunny00", "normal", 0.24, 9}, Whole{"elephant", "tree", 0.4, 34}),
                         [](const auto& one) { return std::string(one.param.mesh) + "_" + one.param.structure; });

// The reader itself: a travel over a wall is seen, one with the filament pulled back or along the wall is none.
TEST(Nozzle, SeesATravelOverAWall) {
  const std::string wall =
      "; @layer index=0\n; @feature part.wall.outer width=0.45\nG0 X0 Y0 F6000\nG1 X20 Y0 E1 F2400\n";
  EXPECT_EQ(openCrossings(nozzleMoves(wall + "G0 X10 Y5 F6000\nG0 X10 Y-5\n"), 3).size(), 1u);
  EXPECT_EQ(openCrossings(nozzleMoves(wall + "G0 X10 Y5 F6000\nG1 E-1\nG0 X10 Y-5\n"), 3).size(), 0u);
  EXPECT_EQ(openCrossings(nozzleMoves(wall + "G0 X10 Y5 F6000\nG0 X15 Y5\n"), 3).size(), 0u);
}

// Two moves in line are one trapezoid; 100 mm at 50 mm/s and 1000 mm/s² take 2.05 s.
TEST(Nozzle, TakesTheTrapezoidsTime) {
  const LineFigures figures =
      figuresOf(nozzleMoves("; @layer index=0\n; @feature part.infill width=0.45\nG1 X60 Y0 E1 F3000\nG1 X100 Y0 E1\n"),
                {1000, 1000, 0.02});
  EXPECT_NEAR(figures.seconds, 100.0 / 50 + 50.0 / 1000, 1e-9);
}

}  // namespace
}  // namespace trellis::test
