// SPDX-License-Identifier: GPL-3.0-or-later
// Decisions on one side of a symmetrical part, laid on the other.
#include "tests/shapes.hpp"

namespace trellis::test {
namespace {

using testing::Contains;
using testing::Field;
using testing::Not;

const auto leftOut = Contains(Field(&Finding::code, std::string("twin-left-out")));

double marked(const Project& project, const Marks& marks, Mark mark) {
  const auto areas = markedAreas(*project.parts[0]->mesh, Affine::Identity(), marks);
  const auto found = areas.find(mark);
  return found == areas.end() ? 0 : found->second;
}

// The shelf is the same on both sides of y = 10.
ProjectPtr decidedOnOneSide() {
  const ProjectPtr project = projectOf(shelf());
  LayMark clean{0, Mark::block, BallStroke{{onPlate(*project, {0, 4, 7})}, 2}};
  clean.coat = Coat::clean;
  AddZone zone{0, {}, {onPlate(*project, {20, 4, 12}), {6, 5, 4}, {0, 0, 20}}};
  zone.zone.as = ZoneAs::block;
  return after(project, {LayMark{0, enforceAs(4), BallStroke{{onPlate(*project, {9, 4, 12})}, 2}}, clean, zone,
                         AddProp{0, onPlate(*project, {14, 3, 12}), 2}});
}

TEST(Twin, OfEveryDecisionIsLaid) {
  const ProjectPtr one = decidedOnOneSide();
  const ProjectPtr both = performed(*one, LayTwin{0});
  const Part &was = *one->parts[0], &is = *both->parts[0];
  EXPECT_NEAR(marked(*both, *is.marks, enforceAs(4)), 2 * marked(*one, *was.marks, enforceAs(4)), 0.3);
  EXPECT_NEAR(marked(*both, *is.clean, Mark::block), 2 * marked(*one, *was.clean, Mark::block), 0.3);
  ASSERT_EQ(is.props.size(), 2u);
  EXPECT_LT((is.props[1].at - Vec3(14, 17, 12)).norm(), 0.01);
  ASSERT_EQ(is.zones.size(), 2u);
  const ZoneFigures figures = figuresOf(is.zones[1], Affine::Identity());
  EXPECT_LT((figures.centre - Vec3(20, 16, 12)).norm(), 0.01);
  EXPECT_NEAR(figures.turn.z(), -20, 0.01);
  EXPECT_NE(is.zones[1].id, is.zones[0].id);
  EXPECT_GT(is.zones[1].toMesh.linear().determinant(), 0);
  const ProjectPtr again = performed(*both, LayTwin{0});
  EXPECT_EQ(again->parts[0]->props.size(), 2u);
  EXPECT_EQ(again->parts[0]->zones.size(), 2u);
  EXPECT_NEAR(marked(*again, *again->parts[0]->marks, enforceAs(4)), marked(*both, *is.marks, enforceAs(4)), 0.3);
}

TEST(Twin, LeftOutIsToldUntilItIsLaid) {
  const ProjectPtr one = decidedOnOneSide();
  const BuildPtr built = build(one);
  EXPECT_THAT(built->findings, leftOut);
  for (const Finding& finding : built->findings) {
    if (finding.code != "twin-left-out") continue;
    EXPECT_EQ(finding.severity, Severity::note);
    ASSERT_FALSE(finding.remedies.empty());
    EXPECT_THAT(build(after(one, finding.remedies.front().steps))->findings, Not(leftOut));
  }
}

TEST(Twin, OfWhatLiesOnThePlaneOrOnPartsWithoutOneIsNotMissed) {
  ProjectPtr project = projectOf(shelf());
  const LayMark across{0, Mark::block, BallStroke{{onPlate(*project, {14, 10, 12})}, 3}};
  EXPECT_THAT(build(performed(*project, across))->findings, Not(leftOut));
  project = projectOf(together({shelf(), box({18, 1, 14}, {23, 7, 22}), box({4, 12, 14}, {7, 19, 30})}));
  const LayMark aside{0, Mark::block, BallStroke{{onPlate(*project, {14, 4, 12})}, 2}};
  EXPECT_THAT(build(performed(*project, aside))->findings, Not(leftOut));
}

TEST(Marks, LiedOverOthersKeepTheirOwn) {
  const MeshPtr square = twoTriangleSquare(20);
  const Canvas canvas{square, treeOf(square)};
  const MarksPtr top = paint(canvas, Marks(), BallStroke{{{8, 8, 0}}, 4}, Mark::block, {}),
                 below = paint(canvas, Marks(), BallStroke{{{12, 12, 0}}, 4}, enforceAs(2), {}),
                 both = top->over(*below);
  EXPECT_NEAR(markedArea(*square, Affine::Identity(), *both, Mark::block),
              markedArea(*square, Affine::Identity(), *top, Mark::block), 1e-9);
  // The lens two circles have in common, for equal radii r at distance d:
  // 2 r² acos(d / 2r) − d / 2 √(4 r² − d²).
  const double r = 4, d = std::sqrt(32.0),
               lens = 2 * r * r * std::acos(d / (2 * r)) - d / 2 * std::sqrt(4 * r * r - d * d);
  EXPECT_NEAR(markedArea(*square, Affine::Identity(), *both, Mark::enforce), pi * r * r - lens, 0.5);
  both->forEachTree([](std::uint32_t, std::string_view tree) { EXPECT_TRUE(isMarkTree(tree)); });
}

}  // namespace
}  // namespace trellis::test
