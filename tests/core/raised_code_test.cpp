// SPDX-License-Identifier: GPL-3.0-or-later
// The version's code raised beside the print: read back from G-code.
#include "core/document/variants.hpp"
#include "core/geometry/lettering.hpp"
#include "tests/printed.hpp"
#include "tests/shapes.hpp"

#include <cmath>
#include <set>

namespace trellis::test {
namespace {

using Values = std::vector<std::pair<std::string, nlohmann::json>>;

// What beads of the skirt in a layer cover.
Polygons skirtIn(const std::string& gcode, double top) {
  Polygons bands;
  for (const Bead& bead : beadsOf(gcode, "skirt"))
    if (std::abs(bead.z - top) < 1e-6)
      for (Polygon& band : around({{toPoint(bead.x0, bead.y0), toPoint(bead.x1, bead.y1)}}, bead.width / 2))
        bands.push_back(std::move(band));
  return unite(bands);
}

// How much of the letters is covered, and how much is covered beside them, both as shares of the letters.
std::pair<double, double> legibility(const Polygons& printed, const std::string& code) {
  Polygons letters = lettered(code, 6);
  const Vec2 by = boundsOf(printed).center() - boundsOf(letters).center();
  for (Polygon& letter : letters)
    for (Point& p : letter) p = toPoint(Vec2(toMm(p) + by));
  return {area(intersect(letters, printed)) / area(letters), area(subtract(printed, letters)) / area(letters)};
}

TEST(RaisedCode, TheCodeStandsRaisedBesideThePrint) {
  for (const auto& [raft, layers] : {std::pair(0, 3u), {2, 2u}, {3, 3u}}) {
    const ProjectPtr project =
        projectOf(box({100, 100, 0}, {120, 120, 6}), {{"skirt.code", true}, {"support.raft.layers", raft}});
    const std::string gcode = gcodeOf(project);
    std::set<double> tops;
    for (const Bead& bead : beadsOf(gcode, "skirt")) tops.insert(bead.z);
    ASSERT_EQ(tops.size(), layers) << raft;  // a plaque, and letters in the layers right over it
    const Polygons raised = skirtIn(gcode, *std::next(tops.begin())), under = skirtIn(gcode, *tops.begin());
    const auto [covered, beside] = legibility(raised, codeOf(project));
    EXPECT_GT(covered, 0.85) << raft;
    EXPECT_LT(beside, 0.25) << raft;
    EXPECT_GT(legibility(raised, "ABCDEF").second, 0.35) << raft;  // other letters are told apart
    EXPECT_LT(area(subtract(raised, under)), 0.5) << raft;         // nothing of it in the air
    EXPECT_EQ(components(under).size(), 1u) << raft;               // it holds on to the skirt
  }
}

TEST(RaisedCode, WithoutASkirtTheCodeStandsApart) {
  const Values none{{"skirt.code", true}, {"skirt.loops", 0}, {"skirt.distance", 4}};
  const std::string gcode = gcodeOf(projectOf(box({0, 0, 0}, {20, 20, 6}), none));
  Box2 part;  // to the middles of its walls
  for (const Bead& bead : beadsOf(gcode, "part.wall.outer")) part.extend(Vec2(bead.x0, bead.y0));
  const Polygons plaque = skirtIn(gcode, 0.2);
  ASSERT_EQ(components(plaque).size(), 1u);
  EXPECT_NEAR(std::sqrt(part.squaredExteriorDistance(boundsOf(plaque))), 4 + 0.45 / 2, 0.3);
}

TEST(RaisedCode, OnARaftOfOneLayerTheCodeIsCutOut) {
  const Values one{{"skirt.code", true}, {"support.raft.layers", 1}, {"skirt.loops", 0}};
  const ProjectPtr project = projectOf(box({100, 100, 0}, {120, 120, 6}), one);
  const std::string gcode = gcodeOf(project);
  std::set<double> tops;
  for (const Bead& bead : beadsOf(gcode, "skirt")) tops.insert(bead.z);
  ASSERT_EQ(tops.size(), 1u);
  const Polygons plaque = skirtIn(gcode, *tops.begin());
  const Polygons holes = subtract(rectangle(boundsOf(plaque)), plaque);
  const double letters = area(lettered(codeOf(project), 6));
  EXPECT_NEAR(area(holes), letters, 0.35 * letters);
}

TEST(RaisedCode, ACodeWithoutRoomIsLeftOutAndSaid) {
  const ProjectPtr project =
      projectOf(box({0, 0, 0}, {20, 20, 4}), {{"skirt.code", true}, {"machine.width", 40}, {"machine.depth", 34}});
  const BuildPtr built = build(project);
  const auto isSaid = [](const Finding& finding) { return finding.code == "no-code-room"; };
  EXPECT_TRUE(std::any_of(built->findings.begin(), built->findings.end(), isSaid));
  std::set<double> tops;
  for (const Bead& bead : beadsOf(gcodeOf(project), "skirt")) tops.insert(bead.z);
  EXPECT_LE(tops.size(), 1u);
}

}  // namespace
}  // namespace trellis::test
