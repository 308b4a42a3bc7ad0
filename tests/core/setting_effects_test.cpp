// SPDX-License-Identifier: GPL-3.0-or-later
// Settings whose effect no other test shows: each changes what it is meant to, by as much as it is meant to.
#include "core/assess/report.hpp"
#include "tests/printed.hpp"
#include "tests/shapes.hpp"

#include <fmt/format.h>

#include <cmath>
#include <set>
#include <sstream>

namespace trellis::test {
namespace {

using testing::HasSubstr;
using Values = std::vector<std::pair<std::string, nlohmann::json>>;

std::vector<std::string> linesWith(const std::string& gcode, const std::string& start) {
  std::vector<std::string> found;
  std::istringstream text(gcode);
  for (std::string line; std::getline(text, line);)
    if (line.starts_with(start)) found.push_back(line);
  return found;
}

double lengthOf(const std::vector<Bead>& beads) {
  double sum = 0;
  for (const Bead& bead : beads) sum += bead.length();
  return sum;
}

// Directions of a feature's longer beads, in whole degrees of a half turn.
std::set<int> directionsOf(const std::vector<Bead>& beads) {
  std::set<int> found;
  for (const Bead& bead : beads)
    if (bead.length() > 4)
      found.insert((static_cast<int>(std::lround(toDegrees(std::atan2(bead.y1 - bead.y0, bead.x1 - bead.x0)))) + 360) %
                   180);
  return found;
}

MeshPtr ceiling() { return table(30, 10, 2); }

ProjectPtr twoFilaments(Values more = {}) {
  Values values{{"support.filament.interface", "second"}};
  values.insert(values.end(), more.begin(), more.end());
  return projectOf(ceiling(), values);
}

TEST(SettingEffects, SkirtDistanceIsDaylightAroundEverything) {
  const auto width = [](double distance) {
    double low = 1e9, high = -1e9;
    for (const Bead& bead :
         beadsOf(gcodeOf(projectOf(box({0, 0, 0}, {20, 20, 4}), {{"skirt.distance", distance}})), "skirt")) {
      low = std::min(low, bead.x0);
      high = std::max(high, bead.x0);
    }
    return high - low;
  };
  EXPECT_NEAR(width(3), 20 + 2 * 3 + 0.45, 0.1);
  EXPECT_NEAR(width(8) - width(3), 10, 0.1);
}

TEST(SettingEffects, BrimSideIsOutsideInsideOrBoth) {
  const MeshPtr ring =
      blocks({0, 4, 24, 28}, {0, 4, 24, 28}, {0, 4}, [](int x, int y, int) { return x != 1 || y != 1; });
  const auto brim = [&](const char* side) {
    return lengthOf(beadsOf(gcodeOf(projectOf(ring, {{"brim.width", 3}, {"brim.side", side}})), "brim"));
  };
  const double outside = brim("outside"), inside = brim("inside");
  EXPECT_GT(outside, inside);
  EXPECT_GT(inside, 100);
  EXPECT_NEAR(brim("both"), outside + inside, 1);
}

TEST(SettingEffects, BranchLeanIsNeverExceeded) {
  for (const double lean : {20.0, 40.0}) {
    const BuildPtr built =
        build(projectOf(ceiling(), {{"support.structure", "tree"}, {"support.tree.branch_lean", lean}}));
    double steepest = 0;
    for (const auto& tree : built->trees)
      for (const BranchNode& node : tree->nodes)
        if (node.below != BranchNode::none) {
          const Vec3 along = node.at - tree->nodes[node.below].at;
          if (along.z() > 0.3) steepest = std::max(steepest, along.head<2>().norm() / along.z());
        }
    EXPECT_GT(steepest, 0.3 * std::tan(toRadians(lean)));
    EXPECT_LT(steepest, std::tan(toRadians(lean + 1))) << lean;
  }
}

TEST(SettingEffects, TipsAreAsWideAndAsFarApartAsAsked) {
  const auto tips = [](const char* key, double value) {
    std::vector<Tip> all;
    const BuildPtr built = build(projectOf(ceiling(), {{"support.structure", "tree"}, {key, value}}));
    for (const auto& tree : built->trees) all.insert(all.end(), tree->tips.begin(), tree->tips.end());
    return all;
  };
  EXPECT_GT(tips("support.tree.tip_spacing", 1).size(),
            1.4 * static_cast<double>(tips("support.tree.tip_spacing", 4).size()));
  for (const double width : {1.6, 3.0}) {
    double widest = 0;
    for (const Tip& tip : tips("support.tree.tip_width", width)) widest = std::max(widest, 2 * tip.radius);
    EXPECT_NEAR(widest, width, 0.01);
  }
}

TEST(SettingEffects, FeetAreAsWideAndAsHighAsAsked) {
  const auto areas = [](const char* key, double value) {
    return supportAreas(*build(projectOf(table(16, 20, 2), {{"support.structure", "tree"}, {key, value}})));
  };
  EXPECT_GT(areas("support.tree.foot_width", 12).begin()->second,
            2 * areas("support.tree.foot_width", 5).begin()->second);
  const auto low = areas("support.tree.foot_height", 1), high = areas("support.tree.foot_height", 6);
  const long at = 3'000;  // µm: over the low foot, within the high one
  EXPECT_GT(high.lower_bound(at)->second, low.lower_bound(at)->second);
}

TEST(SettingEffects, InterfacePatternsRunAsTheySay) {
  const MeshPtr bridge =
      together({box({0, 0, 0}, {30, 30, 4}), box({0, 0, 4}, {4, 30, 20}), box({0, 0, 18}, {30, 30, 20})});
  for (const auto& [key, feature] : {std::pair("support.interface.upper.pattern", "support.interface.upper"),
                                     {"support.interface.lower.pattern", "support.interface.lower"}}) {
    const auto directions = [&, k = key, f = feature](const char* pattern) {
      return directionsOf(beadsOf(
          gcodeOf(projectOf(
              bridge, {{k, pattern}, {"support.interface.upper.layers", 4}, {"support.interface.lower.layers", 4}})),
          f));
    };
    const auto lines = directions("lines"), crossed = directions("crossed"), rings = directions("concentric");
    EXPECT_TRUE(lines.contains(135) && !lines.contains(45)) << key;
    EXPECT_TRUE(crossed.contains(135) && crossed.contains(45)) << key;
    EXPECT_TRUE(rings.contains(0) && rings.contains(90) && !rings.contains(135)) << key;
  }
}

TEST(SettingEffects, SpeedsAreThoseOfTheText) {
  const std::string gcode = gcodeOf(projectOf(ceiling(), {{"speed.travel", 120},
                                                          {"speed.part.wall.outer", 31},
                                                          {"speed.support.body", 47},
                                                          {"fan.part.bridge", 60},
                                                          {"fan.part.wall.outer", 40}}));
  EXPECT_THAT(gcode, HasSubstr(fmt::format("F{}", 120 * 60)));
  EXPECT_THAT(gcode, HasSubstr(fmt::format("F{}", 31 * 60)));
  EXPECT_THAT(gcode, HasSubstr(fmt::format("F{}", 47 * 60)));
  EXPECT_FALSE(linesWith(gcode, fmt::format("M106 S{}", std::lround(0.4 * 255))).empty());
}

TEST(SettingEffects, TheMachinesFiguresCountInTheTime) {
  const auto seconds = [](Values values) { return build(projectOf(ceiling(), values))->tally.seconds; };
  const double usual = seconds({});
  EXPECT_GT(seconds({{"machine.acceleration", 300}}), 1.1 * usual);
  EXPECT_LT(seconds({{"machine.acceleration", 6000}}), 0.95 * usual);
  EXPECT_GT(seconds({{"machine.corner", 0.001}}), 1.01 * usual);
  EXPECT_GT(seconds({{"retract.speed", 5}}), 1.02 * usual);
  EXPECT_GT(seconds({{"retract.acceleration", 50}}), 1.02 * usual);
  EXPECT_NEAR(seconds({{"machine.heat_time", 200}}), usual + 200, 1e-6);
  EXPECT_NEAR(seconds({{"filament.time_factor", 1.2}}), 1.2 * usual, 2e-3 * usual);
}

TEST(SettingEffects, RetractionsAreAsLongAsFastAndAsRareAsAsked) {
  const std::string gcode = gcodeOf(projectOf(ceiling(), {{"retract.length", 1.3}, {"retract.speed", 22}}));
  EXPECT_FALSE(linesWith(gcode, "G1 E-1.30000 F1320").empty());
  const auto count = [](double over) {
    return linesWith(gcodeOf(projectOf(ceiling(), {{"retract.over", over}})), "G1 E-").size();
  };
  EXPECT_GT(count(1), count(60));
  EXPECT_EQ(linesWith(gcodeOf(projectOf(ceiling(), {{"retract.length", 0}})), "G1 E-").size(), 0u);
}

TEST(SettingEffects, TheNozzleIsLiftedAsFarAndAsFastAsAsked) {
  const ProjectPtr project = projectOf(together({box({0, 0, 0}, {8, 8, 2}), box({20, 0, 0}, {28, 8, 2})}),
                                       {{"retract.lift", 0.7}, {"machine.lift_speed", 9}, {"skirt.loops", 0}});
  const std::string gcode = gcodeOf(project);
  EXPECT_FALSE(linesWith(gcode, "G0 Z0.9000 F540").empty());
  const ProjectPtr flat = performed(*project, ChangeSetting{"retract.lift", 0.0});
  EXPECT_TRUE(linesWith(gcodeOf(flat), "G0 Z0.9000").empty());
}

TEST(SettingEffects, LinesOnThePlateAreAsWideAsAsked) {
  const std::vector<Bead> beads =
      readBeads(gcodeOf(projectOf(box({0, 0, 0}, {20, 20, 2}), {{"line.first_width", 0.6}})));
  for (const Bead& bead : beads) {
    if (bead.feature == "skirt" || bead.feature == "part.wall.outer") {
      EXPECT_EQ(bead.width, bead.z < 0.3 ? 0.6 : 0.45) << bead.feature << " at " << bead.z;
    }
  }
}

// The fan by how long a layer takes: a small layer at its least time has all of it, a large one the least.
TEST(SettingEffects, TheFanBlowsAsTheFilamentAsks) {
  const auto most = [](double side, Values values) {
    values.insert(values.end(), {{"infill.density", 100}, {"filament.fan.least", 20}, {"filament.fan.most", 80}});
    int fan = 0;
    for (const std::string& line : linesWith(gcodeOf(projectOf(box({0, 0, 0}, {side, side, 2}), values)), "M106 S"))
      fan = std::max(fan, std::stoi(line.substr(6)));
    return fan;
  };
  EXPECT_EQ(most(5, {}), std::lround(0.8 * 255));
  EXPECT_EQ(most(60, {}), std::lround(0.2 * 255));
  EXPECT_EQ(most(60, {{"filament.layer_time", 300}}), std::lround(0.8 * 255)) << "its least time is longer";
  EXPECT_EQ(most(5, {{"machine.fan", false}, {"filament.fan.first", 60}}), 0) << "there is none";
  EXPECT_EQ(most(60, {{"filament.fan.first", 60}}), std::lround(0.6 * 255));
}

TEST(SettingEffects, SmallLayersAreSlowedToTheLeastSpeedAndThenWaitedFor) {
  const auto gcode = [](double least) {
    return gcodeOf(projectOf(box({0, 0, 0}, {4, 4, 2}), {{"filament.layer_time", 20}, {"speed.least", least}}));
  };
  EXPECT_FALSE(linesWith(gcode(11), "G4 S").empty());
  EXPECT_THAT(gcode(11), HasSubstr(" F660\n"));
  EXPECT_THAT(gcode(11), testing::Not(HasSubstr(" F480\n")));
}

TEST(SettingEffects, NoFilamentIsPushedFasterThanItMelts) {
  const auto fastest = [](Values values, Filament filament) {
    values.insert(values.end(), {{"support.filament.interface", "second"}, {"filament2.speed", 500}});
    for (const std::string_view feature : featureNames) values.emplace_back("speed." + std::string(feature), 500);
    double most = 0;
    const BuildPtr built = build(projectOf(ceiling(), values));
    for (const auto& layer : built->print.layers)
      for (const auto& run : layer->runs)
        if (run.filament == filament)
          most =
              std::max(most, run.speed * beadArea(run.width, run.height > 0 ? run.height : layer->top - layer->bottom));
    return most;
  };
  EXPECT_NEAR(fastest({{"filament.flow", 4}}, Filament::first), 4, 1e-6);
  EXPECT_NEAR(fastest({{"filament2.flow", 1.5}}, Filament::second), 1.5, 1e-6);
}

TEST(SettingEffects, NoSupportLayerIsThickerThanTheNozzleAllows) {
  for (const double nozzle : {0.4, 0.3}) {
    double thickest = 0;
    const BuildPtr built = build(projectOf(threeCeilings(), {{"nozzle.width", nozzle}, {"layer.height", 0.24}}));
    for (const SupportLayer& layer : built->support->layers) thickest = std::max(thickest, layer.top - layer.bottom);
    EXPECT_LE(thickest, 0.8 * nozzle + 1e-9);
    EXPECT_GT(thickest, 0.5 * nozzle);
  }
}

TEST(SettingEffects, TheMachinesTextsAreInTheGcode) {
  const std::string gcode = gcodeOf(twoFilaments({{"machine.start", "M104 S{nozzle_heat}\nM140 S{plate_heat}\nG28"},
                                                  {"machine.end", "M84 ; the end"},
                                                  {"machine.tool_change", "T1 ; heats {nozzle_heat}"},
                                                  {"filament.nozzle_heat", 207},
                                                  {"filament.plate_heat", 53},
                                                  {"filament2.nozzle_heat", 191}}));
  EXPECT_THAT(gcode, HasSubstr("M104 S207\nM140 S53\nG28"));
  EXPECT_THAT(gcode, HasSubstr("M84 ; the end"));
  EXPECT_THAT(gcode, HasSubstr("heats 191"));
}

TEST(SettingEffects, ToolChangesTakeTheirTimeAndTheirPurge) {
  const BuildPtr slow = build(twoFilaments({{"machine.tool_change_time", 30}})),
                 quick = build(twoFilaments({{"machine.tool_change_time", 10}}));
  ASSERT_GT(quick->tally.toolChanges, 0);
  EXPECT_NEAR(slow->tally.toolSeconds - quick->tally.toolSeconds, 20 * quick->tally.toolChanges, 1e-6);
  const auto purged = [](double purge) {
    return build(twoFilaments({{"prime.purge", purge}}))
        ->tally.features[static_cast<std::size_t>(Feature::prime)]
        .volume;
  };
  EXPECT_EQ(purged(0), 0);
  EXPECT_GT(purged(80), 1.5 * purged(20));
}

TEST(SettingEffects, FilamentsWeighCostAndFlowByTheirFigures) {
  const auto total = [](Values values) {
    const ProjectPtr project = projectOf(ceiling(), values);
    return totalsOf(*build(project), project->settings)["filament"]["total"];
  };
  const auto usual = total({});
  const double grams = usual["g"];
  EXPECT_NEAR(total({{"filament.density", 2.48}})["g"].get<double>(), grams * 2.48 / 1.24, 0.01 * grams);
  EXPECT_NEAR(total({{"filament.price", 44}})["cost"].get<double>(), grams * 44 / 1000, 0.01);
  // The same volume through a filament of another diameter: mm of it go by the square.
  EXPECT_NEAR(total({{"filament.diameter", 2.85}})["mm"].get<double>(),
              usual["mm"].get<double>() * std::pow(1.75 / 2.85, 2), 0.5);
  const auto second = [](Values values) {
    const ProjectPtr project = twoFilaments(values);
    return totalsOf(*build(project), project->settings)["filament"]["second"];
  };
  const double mm3 = second({})["mm3"];
  ASSERT_GT(mm3, 1);
  EXPECT_NEAR(second({{"filament2.density", 2.0}})["g"].get<double>(), mm3 * 2 / 1000, 0.01);
  EXPECT_NEAR(second({{"filament2.density", 2.0}, {"filament2.price", 500}})["cost"].get<double>(), mm3 * 2 / 1e6 * 500,
              0.01);
}

TEST(SettingEffects, TheSecondFilamentIsAsSlowAsItHasToBe) {
  const auto seconds = [](double speed) {
    return build(twoFilaments({{"filament2.speed", speed}}))
        ->tally.features[static_cast<std::size_t>(Feature::interfaceUpper)]
        .seconds;
  };
  EXPECT_GT(seconds(8), 1.6 * seconds(25));
}

TEST(SettingEffects, WhatDissolvesIsSaidOfThePieces) {
  for (const bool soluble : {true, false}) {
    const BuildPtr built = build(twoFilaments({{"filament2.soluble", soluble}}));
    ASSERT_FALSE(built->pieces.empty());
    for (const PieceFigures& piece : built->pieces) EXPECT_EQ(piece.wouldDissolve, soluble);
  }
}

TEST(SettingEffects, StiffnessAndAdhesionSayHowFirmlyItStands) {
  const MeshPtr post = box({0, 0, 0}, {4, 4, 60});
  const auto standing = [&](Values values) { return build(projectOf(post, values))->judged[0].stability; };
  const auto usual = standing({{"filament.stiffness", 2000}, {"filament.adhesion", 0.5}});
  EXPECT_NEAR(standing({{"filament.stiffness", 1000}, {"filament.adhesion", 0.5}})->mostDeflected()->deflection,
              2 * usual->mostDeflected()->deflection, 1e-6);
  EXPECT_NEAR(standing({{"filament.stiffness", 2000}, {"filament.adhesion", 1.0}})->leastHeld()->safetyFactor,
              2 * usual->leastHeld()->safetyFactor, 1e-6);
}

TEST(SettingEffects, AMachineTooLowIsAFinding) {
  const auto codes = [](double height) {
    std::set<std::string> all;
    const BuildPtr built = build(projectOf(box({0, 0, 0}, {20, 20, 80}), {{"machine.height", height}}));
    for (const Finding& finding : built->findings) all.insert(finding.code);
    return all;
  };
  EXPECT_TRUE(codes(60).contains("too-large"));
  EXPECT_FALSE(codes(200).contains("too-large"));
}

}  // namespace
}  // namespace trellis::test
