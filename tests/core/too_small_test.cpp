// SPDX-License-Identifier: GPL-3.0-or-later
// What is too small to matter is neither proposed nor listed nor warned of one by one.
#include "core/overhang/too_small.hpp"
#include "core/assess/report.hpp"
#include "core/base/short_name.hpp"
#include "core/document/zone_places.hpp"
#include "core/mesh/measure.hpp"
#include "core/mesh/underside.hpp"
#include "tests/shapes.hpp"

#include <cmath>

namespace trellis::test {
namespace {

using testing::Contains;
using testing::Field;
using testing::Not;

auto withCode(const char* code) { return Contains(Field(&Finding::code, std::string(code))); }

// A wall with a lip as deep and as long as asked, its underside at 20 mm.
MeshPtr lip(double depth, double length) {
  return together({box({0, 0, 0}, {4, 20, 30}), box({4, 10 - length / 2, 20}, {4 + depth, 10 + length / 2, 22})});
}

const Site& firstSite(const Build& built) { return built.parts[0].sites->list.front(); }

// The line is 0.45 mm wide: w² is 0.2025 mm², half of it 0.225 mm.
TEST(TooSmall, ASiteIsListedFromALineSquaredAndHalfALineOn) {
  const BuildPtr proper = build(projectOf(lip(0.5, 1)));
  EXPECT_EQ(firstSite(*proper).siteClass, SiteClass::proper);
  EXPECT_GT(proper->tally.support().volume, 0);
  for (const auto& [depth, length] : {std::pair(0.4, 0.4), std::pair(0.2, 10.0)}) {
    const BuildPtr built = build(projectOf(lip(depth, length)));
    EXPECT_EQ(firstSite(*built).siteClass, SiteClass::speck) << depth << " × " << length;
    EXPECT_EQ(built->tally.support().volume, 0);
    const nlohmann::json report = reportOf(*built, Settings());
    EXPECT_TRUE(report["sites"].empty());
    EXPECT_EQ(report["specks"]["count"], 1);
    EXPECT_THAT(built->findings, Not(withCode("bare-overhang")));
  }
}

// A claw: a tip that points down, steeper than anything that needs support, and begins smaller than any site.
MeshPtr claw(double radius, double lean, double length) {
  const Affine hanging(Eigen::Translation3d(30, 10, 20.05 - length));
  const MeshPtr tip = transformed(*flaringCone(radius, lean, length, 24), hanging);
  return together({box({0, 0, 0}, {4, 20, 22}), box({4, 9, 20}, {32, 11, 22}), tip});
}

auto reachesUpTo(const FloatingStart& start) {
  return Contains(Field(&Piece::highest, testing::AllOf(testing::Gt(start.at.z() - 0.3), testing::Lt(start.at.z()))));
}

TEST(TooSmall, ATipThatBecomesAnIslandIsCarried) {
  const BuildPtr built = build(projectOf(claw(0.13, 8, 8), {{"support.source", "floating"}}));
  ASSERT_EQ(built->parts[0].overhangs->starts.size(), 1u);
  const FloatingStart& start = built->parts[0].overhangs->starts[0];
  EXPECT_LT(start.area, 0.45 * 0.45);
  EXPECT_EQ(startsThatMatter(*built->parts[0].sites, *built->parts[0].overhangs).size(), 1u);
  EXPECT_THAT(built->support->pieces, reachesUpTo(start));
  // One that never grows so far before it meets the bar stays a speck.
  const BuildPtr small = build(projectOf(claw(0.13, 8, 1)));
  EXPECT_TRUE(startsThatMatter(*small->parts[0].sites, *small->parts[0].overhangs).empty());
}

TEST(TooSmall, WhatIsTooThinToPrintKeepsNoSupportAway) {
  for (const char* structure : {"normal", "tree"}) {
    const BuildPtr built =
        build(projectOf(claw(0.05, 20, 8), {{"support.source", "floating"}, {"support.structure", structure}}));
    ASSERT_EQ(built->parts[0].overhangs->starts.size(), 1u);
    const FloatingStart& start = built->parts[0].overhangs->starts[0];
    ASSERT_FALSE(built->parts[0].overhangs->unprinted[start.layer - 1].empty());
    EXPECT_THAT(built->support->pieces, reachesUpTo(start)) << structure;
  }
}

// A decision brings a speck back.
TEST(TooSmall, AnEnforcerCarriesASpeckAllTheSame) {
  const ProjectPtr project = projectOf(lip(0.4, 0.4));
  const ProjectPtr enforced =
      after(project, {LayMark{0, Mark::enforce, BallStroke{{onPlate(*project, {4.2, 10, 20})}, 1}}});
  EXPECT_GT(build(enforced)->tally.support().volume, 0);
}

// By geometry a ball of radius r widens by √(2rh·1.5) − √(2rh·0.5) from the middle of the first layer to that
// of the second: 0.57 mm for 3 mm, 1.04 mm for 10 mm; one and a half lines are 0.675 mm.
TEST(TooSmall, ARoundedFootSagsOntoThePlate) {
  const BuildPtr small = build(projectOf(sphere({0, 0, 3}, 3, 90, 120)));
  EXPECT_EQ(small->parts[0].sites->count(SiteClass::roundedFoot), 1u);
  EXPECT_THAT(small->findings, withCode("rounded-foot"));
  EXPECT_EQ(small->tally.support().volume, 0);
  const BuildPtr large = build(projectOf(sphere({0, 0, 10}, 10, 180, 240)));
  EXPECT_EQ(large->parts[0].sites->count(SiteClass::roundedFoot), 0u);
}

TEST(TooSmall, WhatNoLineFitsStartsNothing) {
  const auto hanging = [](double width) {
    return together(
        {box({0, 0, 0}, {4, 20, 20}), box({0, 0, 18}, {20, 20, 20}), box({14, 9, 10}, {14 + width, 9 + width, 18})});
  };
  EXPECT_TRUE(build(projectOf(hanging(0.2)))->parts[0].overhangs->starts.empty());
  EXPECT_EQ(build(projectOf(hanging(1)))->parts[0].overhangs->starts.size(), 1u);
}

TEST(TooSmall, AlikeFindingsOfManyPartsAreOne) {
  ProjectPtr project = projectOf(box({0, 0, 0}, {10, 10, 6}));
  const ProjectPtr ball = projectOf(sphere({0, 0, 3}, 3, 60, 90));
  for (int k = 0; k < 7; ++k) project = performed(*project, AddParts{ball->parts});
  std::size_t feet = 0;
  const BuildPtr built = build(project);
  for (const Finding& finding : built->findings)
    if (finding.code == "rounded-foot") {
      ++feet;
      EXPECT_EQ(finding.places.size(), 7u);
    }
  EXPECT_EQ(feet, 1u);
}

TEST(ShortNames, KeepTheirEndsAndWholeCharacters) {
  EXPECT_EQ(shortName("finial"), "finial");
  std::string name(140, 'a');
  name += "äöü end.stl";
  const std::string cut = shortName(name, 20);
  EXPECT_TRUE(cut.ends_with("end.stl")) << cut;
  EXPECT_NE(cut.find("…"), std::string::npos);
}

// Every place lies in the zone that is to cover it.
TEST(ZonePlaces, WhatCoversThemHoldsThemAll) {
  const std::vector<Vec3> places{{0, 0, 0}, {20, 3, 1}, {4, 12, 5}, {9, 9, -2}};
  for (const ZoneShape shape : {ZoneShape::box, ZoneShape::ball, ZoneShape::cylinder}) {
    Zone zone;
    zone.shape = shape;
    zone.toMesh = zoneTransform(covering(shape, places, 0.5), shape, Affine::Identity());
    for (const Vec3& place : places) EXPECT_TRUE(isIn(zone, place)) << static_cast<int>(shape);
  }
}

TEST(ZonePlaces, ARayMeetsTheNearSide) {
  Zone ball;
  ball.shape = ZoneShape::ball;
  ball.toMesh = zoneTransform({{10, 0, 0}, {8, 8, 8}, {0, 0, 0}}, ZoneShape::ball, Affine::Identity());
  ASSERT_TRUE(firstIn(ball, {0, 0, 0}, {1, 0, 0}).has_value());
  EXPECT_NEAR(*firstIn(ball, {0, 0, 0}, {1, 0, 0}), 6, 0.15);
  EXPECT_FALSE(firstIn(ball, {0, 5, 0}, {1, 0, 0}).has_value());
}

TEST(Underside, IsFoundFromAboveAndFromThePlate) {
  const MeshPtr mesh = shelf();
  const MeshTreePtr tree = treeOf(mesh);
  const auto under = undersideOver(*tree, Affine::Identity(), {14, 10, 14});  // on the shelf
  ASSERT_TRUE(under.has_value());
  EXPECT_NEAR(under->z(), 12, 1e-5);
  EXPECT_NEAR(undersideOver(*tree, Affine::Identity(), {14, 10, 0})->z(), 12, 1e-5);  // on the plate
  EXPECT_FALSE(undersideOver(*tree, Affine::Identity(), {2, 10, 14}).has_value());    // the wall stands on the plate
}

TEST(Measure, KnowsTheWayAndTheFaces) {
  const Measured slot = measured({{0, 0, 0}, Vec3::UnitX()}, {{8, 3, 4}, -Vec3::UnitX()});
  EXPECT_NEAR(slot.distance, std::sqrt(64.0 + 9 + 16), 1e-12);
  EXPECT_EQ(slot.along, Vec3(8, 3, 4));
  ASSERT_TRUE(slot.betweenFaces.has_value());
  EXPECT_NEAR(*slot.betweenFaces, 8, 1e-12);
  EXPECT_FALSE(measured({{0, 0, 0}, Vec3::UnitX()}, {{8, 3, 4}, Vec3::UnitY()}).betweenFaces.has_value());
}

}  // namespace
}  // namespace trellis::test
