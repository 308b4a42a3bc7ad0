// SPDX-License-Identifier: GPL-3.0-or-later
// Each finding is provoked, and its own remedy makes it go away.
#include "tests/shapes.hpp"

namespace trellis::test {
namespace {

using testing::Contains;
using testing::Field;
using testing::HasSubstr;
using testing::Not;

auto withCode(const char* code) { return Contains(Field(&Finding::code, std::string(code))); }

Findings findingsOf(const ProjectPtr& project) { return build(project)->findings; }

TEST(Findings, APartOffThePlateIsMovedIn) {
  const ProjectPtr project = projectOf(box({0, 0, 0}, {20, 20, 10}));
  PlacePart out;
  out.position = Vec3(5, 100, 5);
  const ProjectPtr moved = performed(*project, out);
  EXPECT_THAT(findingsOf(moved), withCode("off-plate"));
  PlacePart in;
  in.position = Vec3(50, 100, 5);
  EXPECT_THAT(findingsOf(performed(*moved, in)), Not(withCode("off-plate")));
}

TEST(Findings, APartTooLargeIsScaledDown) {
  const ProjectPtr project = projectOf(box({0, 0, 0}, {300, 20, 10}));
  EXPECT_THAT(findingsOf(project), withCode("too-large"));
  PlacePart smaller;
  smaller.scale = Vec3(0.5, 0.5, 0.5);
  smaller.position = Vec3(120, 100, 5);
  EXPECT_THAT(findingsOf(performed(*project, smaller)), Not(withCode("too-large")));
}

TEST(Findings, APartSunkIntoThePlateIsDropped) {
  const ProjectPtr project = projectOf(box({0, 0, -2}, {20, 20, 10}));
  EXPECT_THAT(findingsOf(project), withCode("below-plate"));
  PlacePart drop;
  drop.drop = true;
  EXPECT_THAT(findingsOf(performed(*project, drop)), Not(withCode("below-plate")));
}

TEST(Findings, ABrokenMeshIsNamedWithItsFigures) {
  TriangleMesh open = *box({0, 0, 0}, {20, 20, 10});
  open.facets.pop_back();
  const Findings findings = findingsOf(projectOf(makeMesh(open.vertices, open.facets)));
  ASSERT_THAT(findings, withCode("broken-mesh"));
  EXPECT_THAT(findings.front().message, HasSubstr("1 hole (3 open edges)"));
}

TEST(Findings, WhatMeetsNoLayerIsMadeThicker) {
  const MeshPtr sheet = box({0, 0, 0}, {20, 20, 0.08});
  EXPECT_THAT(findingsOf(projectOf(sheet)), withCode("nothing-to-print"));
  EXPECT_THAT(findingsOf(projectOf(sheet, {{"layer.first", 0.1}})), Not(withCode("nothing-to-print")));
}

TEST(Findings, AThinFeatureIsPrintedByANarrowerLine) {
  const MeshPtr blade = box({0, 0, 0}, {20, 0.2, 5});
  EXPECT_THAT(findingsOf(projectOf(blade)), withCode("too-thin"));
  EXPECT_THAT(findingsOf(projectOf(blade, {{"line.width", 0.3}})), Not(withCode("too-thin")));
}

TEST(Findings, NoRoomUnderTheGapsIsAnsweredByNarrowerGaps) {
  const MeshPtr shelf = together({box({0, 0, 0}, {5, 20, 20}), box({0, 0, 0.4}, {25, 20, 3})});
  EXPECT_THAT(findingsOf(projectOf(shelf, {{"support.gap.above", 0.4}})), withCode("no-room"));
  EXPECT_THAT(findingsOf(projectOf(shelf, {{"support.gap.above", 0.2}})), Not(withCode("no-room")));
}

TEST(Findings, WhatHardlyTouchesThePlateIsSaidOnce) {
  const Findings onATip = findingsOf(projectOf(flaringCone(0.5, 20, 30, 24)));
  EXPECT_THAT(onATip, withCode("not-standing"));
  EXPECT_THAT(onATip, Not(withCode("unstable")));
  const Findings onAFoot = findingsOf(projectOf(flaringCone(1.5, 20, 30, 24)));
  EXPECT_THAT(onAFoot, Not(withCode("not-standing")));
  EXPECT_THAT(onAFoot, withCode("unstable"));
}

TEST(Findings, TheWorstComesFirst) {
  const ProjectPtr project = projectOf(together({box({0, 0, 0}, {300, 20, 10}), box({0, 30, 0}, {20, 30.2, 5})}));
  const Findings findings = findingsOf(project);
  ASSERT_GE(findings.size(), 2u);
  for (std::size_t i = 1; i < findings.size(); ++i) EXPECT_GE(findings[i - 1].severity, findings[i].severity);
}

}  // namespace
}  // namespace trellis::test
