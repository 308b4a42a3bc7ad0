// SPDX-License-Identifier: GPL-3.0-or-later
// G-code against the grammar of RS-274 (NIST RS274/NGC interpreter, version 3) and the figures of a
// handbook, reading nothing but its text.
#include "core/assess/report.hpp"
#include "core/gcode/writer.hpp"
#include "tests/printed.hpp"
#include "tests/shapes.hpp"

#include <cmath>
#include <regex>
#include <sstream>

namespace trellis::test {
namespace {

using testing::HasSubstr;

ProjectPtr tableProject() { return projectOf(table(30, 12.1, 3), {{"support.gap.above", 0.24}}); }

TEST(Gcode, EveryLineIsWordsOrAComment) {
  const std::regex words(R"(^([GMT][0-9]+(\.[0-9])?( [XYZEFS](-?[0-9]+(\.[0-9]+)?)?)*)?( *;.*)?$)");
  std::istringstream text(gcodeOf(tableProject()));
  std::string line;
  while (std::getline(text, line)) ASSERT_TRUE(std::regex_match(line, words)) << line;
}

TEST(Gcode, CommentsFollowOurGrammar) {
  const std::regex grammar(
      R"(^; (meek-trellis [0-9.]+|@version code=[A-Z]{6}|@setup machine=".*" filament=".*" print=".*"|)"
      R"(@layer index=[0-9]+ z=[0-9.]+ height=[0-9.]+ kind=(part|support)|@feature [a-z.]+ width=[0-9.]+|)"
      R"(@part ".*"|@piece [0-9]+|@summary \{.*\})$)");
  std::istringstream text(gcodeOf(tableProject()));
  std::string line;
  std::size_t layers = 0;
  while (std::getline(text, line)) {
    if (line.empty() || line[0] != ';') continue;
    ASSERT_TRUE(std::regex_match(line, grammar)) << line;
    if (line.starts_with("; @layer")) {
      ASSERT_THAT(line, HasSubstr("index=" + std::to_string(layers)));
      ++layers;
    }
  }
  EXPECT_GT(layers, 75u);  // support has layers of its own besides the part's
}

TEST(Gcode, TheNozzleNeverGoesDownWhilePrinting) {
  double highest = 0;
  for (const Bead& bead : readBeads(gcodeOf(tableProject()))) {
    ASSERT_GE(bead.z, highest - 1e-9);
    highest = std::max(highest, bead.z);
  }
}

TEST(Gcode, SpeedsAndFanAreThoseOfTheFeature) {
  const std::string gcode = gcodeOf(projectOf(box({0, 0, 0}, {20, 20, 4}), {{"speed.part.infill", 77},
                                                                            {"fan.part.infill", 40},
                                                                            {"filament.fan.least", 100},
                                                                            {"filament.layer_time", 0},
                                                                            {"speed.first", 11}}));
  std::istringstream text(gcode);
  std::string line, feature;
  int layer = -1;
  double fan = -1, fastest = 0;
  bool seen = false;
  while (std::getline(text, line)) {
    if (line.starts_with("; @layer")) ++layer;
    if (line.starts_with("; @feature")) feature = line.substr(11, line.find(" width") - 11);
    if (line.starts_with("M106 S")) fan = std::stod(line.substr(6));
    const std::size_t f = line.find(" F");
    if (!line.starts_with("G1 X") || f == std::string::npos) continue;
    const double speed = std::stod(line.substr(f + 2)) / 60;
    if (layer == 0) {
      fastest = std::max(fastest, speed);
      EXPECT_EQ(fan, 0);
    } else if (feature == "part.infill") {
      seen = true;
      EXPECT_NEAR(speed, 77, 0.1);
      EXPECT_NEAR(fan, 102, 1);
    }
  }
  EXPECT_TRUE(seen);
  EXPECT_NEAR(fastest, 11, 0.1);
}

TEST(Gcode, RetractsBeforeLongTravelsAndPushesAsMuchAgain) {
  double pulled = 0, deepest = 0;
  std::istringstream text(gcodeOf(tableProject()));
  std::string line;
  while (std::getline(text, line)) {
    if (!line.starts_with("G1 E")) continue;
    pulled += std::stod(line.substr(4));
    deepest = std::min(deepest, pulled);
  }
  EXPECT_NEAR(pulled, 0, 1e-6);
  EXPECT_NEAR(deepest, -0.8, 1e-6);
}

TEST(Gcode, NamesInTheMachinesTextAreFilledIn) {
  EXPECT_EQ(filledIn("M104 S{t}\n{a}{t}", {{"t", "210"}, {"a", "x"}}), "M104 S210\nx210");
  try {
    filledIn("M104 S{heat}", {});
    FAIL();
  } catch (const Error& error) {
    EXPECT_THAT(error.what(), HasSubstr("{heat}"));
  }
}

TEST(Gcode, APartsNameCannotBreakOutOfItsComment) {
  ProjectPtr project = tableProject();
  auto renamed = std::make_shared<Project>(*project);
  Part part = *renamed->parts[0];
  part.name = "leaf\"\nG1 X999 E99 \\";
  renamed->parts[0] = std::make_shared<const Part>(part);
  for (const Bead& bead : readBeads(gcodeOf(renamed))) ASSERT_LT(bead.x1, 200);
}

// Mass of filament, any handbook: ρ·πd²/4·L. The density (1.24 g/cm³) is from memory.
TEST(Filament, MassFollowsFromLengthOnTheSpool) {
  const ProjectPtr project = tableProject();
  const auto built = build(project);
  const nlohmann::json report = reportOf(*built, project->settings);
  double length = 0;
  for (const Bead& bead : readBeads(gcodeOf(project))) length += bead.e;
  const double mass = 1.24e-3 * pi * 1.75 * 1.75 / 4 * length;
  EXPECT_NEAR(report["filament"]["total"]["g"].get<double>(), mass, 0.003 * mass);
  EXPECT_NEAR(report["filament"]["total"]["mm"].get<double>(), length, 0.003 * length);
  double sum = 0;
  for (const auto& [feature, use] : report["filament"].items())
    if (feature != "total") sum += use["g"].get<double>();
  EXPECT_NEAR(sum, mass, 0.003 * mass);
}

// The time of every bead at its own speed is a floor for the total; stops and travel come on top.
TEST(Time, IsNoLessThanLengthOverSpeed) {
  const ProjectPtr project = tableProject();
  const auto built = build(project);
  const MotionRules rules = motionRules(project->settings);
  double floor = 0;
  for (std::size_t i = 0; i < featureCount; ++i) floor += built->tally.features[i].length / rules.speed[i];
  EXPECT_GT(built->tally.seconds, floor);
  EXPECT_LT(built->tally.seconds, 6 * floor);
}

}  // namespace
}  // namespace trellis::test
