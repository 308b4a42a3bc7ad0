// SPDX-License-Identifier: GPL-3.0-or-later
// The text a machine gets: read line by line, with nothing of the generator but its rules.
#include "core/assess/report.hpp"
#include "core/gcode/pace.hpp"
#include "core/gcode/writer.hpp"
#include "core/settings/rules.hpp"
#include "tests/printed.hpp"
#include "tests/shapes.hpp"

#include <cmath>
#include <sstream>

namespace trellis::test {
namespace {

using nlohmann::json;
using testing::HasSubstr;

std::vector<std::string> linesOf(const std::string& text) {
  std::vector<std::string> lines;
  std::istringstream stream(text);
  for (std::string line; std::getline(stream, line);) lines.push_back(line);
  return lines;
}

// The number after a letter in a move, or nothing.
std::optional<double> word(const std::string& line, char letter) {
  const std::size_t at = line.substr(0, line.find(';')).find(letter, 1);
  return at == std::string::npos ? std::nullopt : std::optional(std::stod(line.substr(at + 1)));
}

bool isMove(const std::string& line) { return line.starts_with("G0 ") || line.starts_with("G1 "); }

class GcodeText : public testing::Test {
 protected:
  const ProjectPtr project = projectOf(table(25, 9.1, 3), {{"support.gap.above", 0.24}});
  const BuildPtr built = build(project);
  const std::vector<std::string> lines = linesOf(gcodeOf(project));
  // The moves between the machine's own start and end.
  std::vector<std::string> printed() const {
    const auto first =
        std::find_if(lines.begin(), lines.end(), [](const std::string& l) { return l.starts_with("; @layer"); });
    const auto last = std::find(first, lines.end(), "M104 S0");
    return {first, last};
  }
};

TEST_F(GcodeText, BeginsAndEndsAsTheMachineAsks) {
  EXPECT_THAT(lines.front(), testing::StartsWith("; meek-trellis "));
  for (const char* needed : {"M140 S60", "M109 S210", "G21", "G90", "M83", "M84"})
    EXPECT_THAT(lines, testing::Contains(needed));
  for (const std::string& line : lines) EXPECT_THAT(line.substr(0, line.find(';')), Not(HasSubstr("{")));
}

TEST_F(GcodeText, LayersAreNamedInOrderWithoutAGapBetweenPartLayers) {
  double top = 0, partTop = 0;
  int index = 0;
  for (const std::string& line : printed()) {
    if (!line.starts_with("; @layer")) continue;
    int named = -1;
    double z = 0, height = 0;
    char kind[16] = "";
    ASSERT_EQ(std::sscanf(line.c_str(), "; @layer index=%d z=%lf height=%lf kind=%15s", &named, &z, &height, kind), 4)
        << line;
    EXPECT_EQ(named, index++);
    EXPECT_GT(z, top - 1e-9);
    if (std::string(kind) == "part") {
      EXPECT_NEAR(z - height, partTop, 1e-6);
      partTop = z;
    } else {
      EXPECT_STREQ(kind, "support");
    }
    top = z;
  }
  EXPECT_EQ(static_cast<std::size_t>(index), built->print.layers.size());
  EXPECT_NEAR(top, 12.1, 0.1 + 1e-6);
}

// But to where it was before it was lifted.
TEST_F(GcodeText, TheNozzleNeverGoesDown) {
  double drawn = 0, z = 0;
  for (const std::string& line : printed()) {
    if (!isMove(line)) continue;
    z = word(line, 'Z').value_or(z);
    EXPECT_GE(z, drawn - 1e-9) << line;
    if (word(line, 'X') && word(line, 'E')) drawn = z;
  }
  EXPECT_NEAR(z, built->print.layers.back()->top, 1e-4);
}

// Whatever is pulled back is pushed again before it is printed with, and no long way from one part or piece to another
// is gone without.
TEST_F(GcodeText, WaysToAnotherPieceAreRetracted) {
  const MotionRules rules = motionRules(project->settings);
  double x = 0, y = 0, pulled = 0, way = 0;
  bool any = false, pulledOnWay = false;
  std::string owner, before;
  for (const std::string& line : printed()) {
    if (line.starts_with("; @part") || line.starts_with("; @piece")) owner = line;
    if (!isMove(line)) continue;
    const double toX = word(line, 'X').value_or(x), toY = word(line, 'Y').value_or(y);
    const double e = word(line, 'E').value_or(0), length = std::hypot(toX - x, toY - y);
    x = toX;
    y = toY;
    if (!word(line, 'X')) {
      pulled += e;
      pulledOnWay = pulledOnWay || e < 0;
    } else if (e > 0) {
      EXPECT_NEAR(pulled, 0, 1e-9) << "prints with the filament pulled back: " << line;
      if (any && owner != before && way > rules.retractOver + 0.5) {
        EXPECT_TRUE(pulledOnWay) << line;
      }
      before = owner;
      any = true;
      way = 0;
      pulledOnWay = false;
    } else {
      way += length;
    }
  }
  EXPECT_NEAR(pulled, 0, 1e-9);
}

TEST_F(GcodeText, SpeedAndFanFollowTheFeature) {
  const MotionRules rules = motionRules(project->settings);
  std::string feature;
  double feed = 0, fan = -1;
  int layer = -1;
  std::map<std::string, double> fastest;
  for (const std::string& line : printed()) {
    if (line.starts_with("; @layer")) ++layer;
    if (line.starts_with("; @feature ")) std::istringstream(line.substr(11)) >> feature;
    if (line.starts_with("M106")) fan = *word(line, 'S');
    if (!isMove(line)) continue;
    feed = word(line, 'F').value_or(feed);
    if (!word(line, 'X') || !word(line, 'E')) continue;
    const auto which =
        static_cast<std::size_t>(std::find(featureNames.begin(), featureNames.end(), feature) - featureNames.begin());
    ASSERT_LT(which, featureCount) << feature;
    EXPECT_LE(feed / 60, (layer == 0 ? std::min(rules.firstSpeed, rules.speed[which]) : rules.speed[which]) + 0.01);
    fastest[feature] = std::max(fastest[feature], feed / 60);
    const bool hangs = feature == "part.bridge" || feature == "part.wall.steep" || feature == "part.cover.carried";
    const double asked = 255 * rules.fan[which] * (hangs ? rules.fanMost : rules.fanLeast);
    EXPECT_TRUE(layer == 0 ? fan == 0 : fan > asked - 1) << feature << " has " << fan << " of " << asked;
  }
  EXPECT_GE(fastest.size(), 6u);
  EXPECT_NEAR(fastest["part.wall.outer"], rules.speed[0], 0.01);
}

// A fan takes seconds to follow.
TEST_F(GcodeText, TheFanChangesAtMostTwiceALayer) {
  std::map<int, int> changes;
  std::set<std::string> speeds;
  int layer = -1;
  for (const std::string& line : printed()) {
    if (line.starts_with("; @layer")) ++layer;
    if (!line.starts_with("M106")) continue;
    speeds.insert(line);
    EXPECT_LE(++changes[layer], 2) << layer;
  }
  EXPECT_GE(speeds.size(), 3u) << "off on the first layer, and at least two besides";
}

TEST_F(GcodeText, TheSummaryIsTheReport) {
  ASSERT_TRUE(lines.back().starts_with("; @summary "));
  const json summary = json::parse(lines.back().substr(11)), report = reportOf(*built, project->settings);
  for (const char* key : {"time_s", "layers", "filament"}) EXPECT_EQ(summary.at(key), report.at(key)) << key;
}

// Time by our planner against a plain count of length over speed: never less, and at these short moves and
// this acceleration well under twice that.
TEST_F(GcodeText, TimeIsAtLeastLengthOverSpeed) {
  double least = 0, x = 0, y = 0, feed = 1;
  for (const std::string& line : printed()) {
    if (!isMove(line)) continue;
    feed = word(line, 'F').value_or(feed);
    const double toX = word(line, 'X').value_or(x), toY = word(line, 'Y').value_or(y);
    least += std::hypot(toX - x, toY - y) / (feed / 60);
    x = toX;
    y = toY;
  }
  EXPECT_GT(built->tally.seconds, 0.99 * least);
  EXPECT_LT(built->tally.seconds, 2 * least);
}

TEST(Gcode, ANameCannotEndItsCommentEarly) {
  auto project = std::make_shared<Project>(*projectOf(box({0, 0, 0}, {10, 10, 2})));
  Part part = *project->parts[0];
  part.name = "a \"leaf\"\nG1 X0";
  project->parts = {std::make_shared<const Part>(part)};
  const std::string text = gcodeOf(project);
  EXPECT_THAT(text, HasSubstr("; @part \"a 'leaf''G1 X0\"\n"));
}

TEST(FilledIn, PutsValuesInAndNamesWhatNobodyKnows) {
  const std::map<std::string, std::string> values{{"height", "12.5"}, {"raft", "60"}};
  EXPECT_EQ(filledIn("M140 S{raft}\n; {height} mm", values), "M140 S60\n; 12.5 mm");
  EXPECT_EQ(filledIn("", values), "");
  EXPECT_THROW(filledIn("G1 Z{lift}", values), Error);
  EXPECT_THROW(filledIn("G1 Z{}", values), Error);
  EXPECT_THROW(filledIn("G1 Z{height", values), Error);
}

TEST(Gcode, AnEmptyPlateIsAHeadAndAnEnd) {
  const std::string text = gcodeOf(std::make_shared<Project>());
  EXPECT_TRUE(readBeads(text).empty());
  EXPECT_THAT(text, HasSubstr("\"layers\":0"));
}

PrintLayer layerOf(std::vector<trellis::Run> runs) {
  PrintLayer layer;
  layer.top = 0.2;
  layer.runs = std::move(runs);
  return layer;
}

trellis::Run lineOf(std::vector<Vec2> points) {
  trellis::Run run;
  run.feature = Feature::infill;
  run.width = 0.45;
  for (const Vec2& p : points) run.points.push_back(toPoint(p));
  return run;
}

constexpr auto infill = static_cast<std::size_t>(Feature::infill);

// A straight line from rest to rest: the planner must give the handbook's trapezoid, and two lines that
// turn back on themselves twice that.
TEST(Pace, StraightLinesTakeTheTrapezoidsTime) {
  MotionRules rules;
  rules.speed.fill(50);
  rules.acceleration = 1000;
  rules.leastLayerSeconds = 0;
  const auto useOf = [&](std::vector<Vec2> points, bool isFirst) {
    PrintLayer layer = layerOf({lineOf(points)});
    pace(layer, isFirst, rules);
    return layer.use.features[infill];
  };
  const double once = 80.0 / 50 + 50.0 / 1000;
  EXPECT_NEAR(useOf({{0, 0}, {30, 0}, {80, 0}}, false).seconds, once, 1e-6);
  EXPECT_NEAR(useOf({{0, 0}, {30, 0}, {80, 0}}, false).volume, 80 * beadArea(0.45, 0.2), 1e-6);
  EXPECT_NEAR(useOf({{0, 0}, {80, 0}, {0, 0}}, false).seconds, 2 * once, 1e-6);
  rules.firstSpeed = 20;
  EXPECT_NEAR(useOf({{0, 0}, {80, 0}}, true).seconds, 80.0 / 20 + 20.0 / 1000, 1e-6);
}

TEST(Pace, NoLineIsFasterThanTheFilamentMelts) {
  MotionRules rules;
  rules.speed.fill(500);
  rules.leastLayerSeconds = 0;
  rules.flow = {4, 2};
  PrintLayer layer = layerOf({lineOf({{0, 0}, {80, 0}}), lineOf({{0, 1}, {80, 1}})});
  layer.runs[1].filament = Filament::second;
  rules.secondSpeed = 500;
  pace(layer, false, rules);
  for (const auto& run : layer.runs)
    EXPECT_NEAR(run.speed * beadArea(run.width, 0.2), rules.flow[indexOf(run.filament)], 1e-9);
}

TEST(Pace, SmallWallsAreSlowedInProportionToTheirRadius) {
  MotionRules rules;
  rules.speed.fill(50);
  rules.leastLayerSeconds = 0;
  for (const double radius : {1.0, 3.0, 8.0}) {
    trellis::Run run;
    run.feature = Feature::wallOuter;
    run.width = 0.45;
    for (int i = 0; i <= 360; ++i)
      run.points.push_back(toPoint(radius * std::cos(i * pi / 180), radius * std::sin(i * pi / 180)));
    run.points.back() = run.points.front();
    EXPECT_NEAR(usualSpeed(run, 0.2, false, rules), 50 * std::min(1.0, radius / 5), 0.1) << radius;
  }
}

// A layer that would be over too soon takes its time: others than outer walls first, and what the least speed leaves is
// waited for.
TEST(Pace, EveryLayerTakesItsLeastTime) {
  MotionRules rules;
  rules.speed.fill(50);
  rules.leastLayerSeconds = 6;
  rules.leastSpeed = 8;
  const auto paced = [&](double length) {
    PrintLayer layer = layerOf({lineOf({{0, 0}, {length, 0}}), lineOf({{0, 0.4}, {length, 0.4}})});
    layer.runs[1].feature = Feature::wallOuter;
    pace(layer, false, rules);
    return layer;
  };
  const PrintLayer some = paced(60), many = paced(200), few = paced(5);
  EXPECT_NEAR(some.use.seconds(), 6, 0.02);
  EXPECT_LT(some.runs[0].speed, 50);
  EXPECT_EQ(some.runs[1].speed, 50) << "the outer wall last";
  EXPECT_EQ(some.waits, 0);
  EXPECT_EQ(many.runs[0].speed, 50);
  EXPECT_EQ(few.runs[0].speed, 8);
  EXPECT_EQ(few.runs[1].speed, 8);
  EXPECT_NEAR(few.use.seconds() + few.waits, 6, 1e-6);
}

}  // namespace
}  // namespace trellis::test
