// SPDX-License-Identifier: GPL-3.0-or-later
// The trial print on handmade text with known defects, each answer known on paper.
#include "core/base/files.hpp"
#include "core/trial/trial_report.hpp"
#include "tests/shapes.hpp"

#include <fmt/format.h>

#include <cmath>
#include <random>

namespace trellis::test {
namespace {

using testing::ElementsAre;
using testing::HasSubstr;

constexpr double filament = pi * 1.75 * 1.75 / 4;  // mm²
// A line of 0.45 × 0.2 mm, a rectangle with round ends.
constexpr double section = (0.45 - 0.2) * 0.2 + pi * 0.2 * 0.2 / 4;

// Writes plain moves with absolute positions and relative extrusion.
struct Text {
  std::string text = "G21\nG90\nM83\n";
  double e(double length) const { return section * length / filament; }
  Text& raw(const std::string& line) { return text += line + "\n", *this; }
  Text& go(double x, double y, double z) { return raw(fmt::format("G0 X{:.4f} Y{:.4f} Z{:.4f} F9000", x, y, z)); }
  Text& lay(double x, double y, double length) {
    return raw(fmt::format("G1 X{:.4f} Y{:.4f} E{:.6f} F1800", x, y, e(length)));
  }
  Text& bead(double x0, double x1, double y, double top) { return go(x0, y, top).lay(x1, y, x1 - x0); }
  // One line on another from the plate up to a height.
  Text& wall(double x0, double x1, double y, double height) {
    for (double z = 0.2; z < height + 1e-6; z += 0.2) bead(x0, x1, y, z);
    return *this;
  }
};

TrialPrint tried(const std::string& text, const TrialRules& rules = {}) {
  return trialPrint(readGcode(text, Progress()), rules, Progress());
}
TrialPrint tried(const Text& text, const TrialRules& rules = {}) { return tried(text.text, rules); }

struct Span {
  double from, to;  // mm along x
  ContactClass contactClass;
};

void PrintTo(const Span& span, std::ostream* out) {
  *out << span.from << " to " << span.to << " " << contactClassNames[static_cast<std::size_t>(span.contactClass)];
}

MATCHER_P3(Is, from, to, contactClass, "") {
  return std::abs(arg.from - from) <= 0.1 && std::abs(arg.to - to) <= 0.1 && arg.contactClass == contactClass;
}

// The stretches of the topmost layer along x, joined where they continue.
std::vector<Span> topmost(const TrialPrint& trial) {
  std::vector<Span> spans;
  for (const Stretch& s : trial.stretches) {
    if (std::abs(s.to.z() - trial.tops.back()) > 1e-4) continue;
    if (!spans.empty() && spans.back().contactClass == s.contactClass && std::abs(spans.back().to - s.from.x()) < 1e-4)
      spans.back().to = s.to.x();
    else
      spans.push_back({s.from.x(), s.to.x(), s.contactClass});
  }
  return spans;
}

double lengthOf(const TrialPrint& trial, ContactClass contactClass) {
  return trial.length[static_cast<std::size_t>(contactClass)];
}

TEST(TrialPrint, FindsTwelveMillimetresOnAir) {
  const TrialPrint trial = tried(Text().wall(10, 15, 20, 1).wall(27, 32, 20, 1).bead(10, 32, 20, 1.2));
  EXPECT_THAT(topmost(trial), ElementsAre(Is(10.0, 15.0, ContactClass::material), Is(15.0, 27.0, ContactClass::air),
                                          Is(27.0, 32.0, ContactClass::material)));
  EXPECT_NEAR(lengthOf(trial, ContactClass::air), 12.0, 0.1);
  EXPECT_THAT(trial.starts, testing::IsEmpty());
}

// In the same place turned by an angle that fits no lattice.
TEST(TrialPrint, FindsEndsToATenthInEveryDirection) {
  for (const double angle : {7.0, 31.0, 45.0, 77.0}) {
    const Vec2 along(std::cos(toRadians(angle)), std::sin(toRadians(angle)));
    Text text;
    const auto bead = [&](double from, double to, double z) {
      const Vec2 a = Vec2(40.03, 40.07) + along * from, b = Vec2(40.03, 40.07) + along * to;
      text.go(a.x(), a.y(), z).lay(b.x(), b.y(), to - from);
    };
    for (double z = 0.2; z < 1.1; z += 0.2) {
      bead(0, 5, z);
      bead(17, 22, z);
    }
    bead(0, 22, 1.2);
    const TrialPrint trial = tried(text);
    for (const Stretch& s : trial.stretches)
      if (s.contactClass == ContactClass::air) {
        EXPECT_NEAR((s.from.cast<double>().head<2>() - Vec2(40.03, 40.07)).norm(), 5, 0.1) << angle;
        EXPECT_NEAR((s.to.cast<double>().head<2>() - Vec2(40.03, 40.07)).norm(), 17, 0.1) << angle;
      }
    EXPECT_NEAR(lengthOf(trial, ContactClass::air), 12, 0.2) << angle;
  }
}

TEST(TrialPrint, BridgesEightMillimetresAndKnowsItsLimit) {
  const Text text = Text().wall(10, 15, 20, 1).wall(23, 28, 20, 1).bead(10, 28, 20, 1.2);
  EXPECT_THAT(topmost(tried(text)),
              ElementsAre(Is(10.0, 15.0, ContactClass::material), Is(15.0, 23.0, ContactClass::bridge),
                          Is(23.0, 28.0, ContactClass::material)));
  EXPECT_THAT(topmost(tried(text, {.bridgeLimit = 7.5})),
              ElementsAre(Is(10.0, 15.0, ContactClass::material), Is(15.0, 23.0, ContactClass::air),
                          Is(23.0, 28.0, ContactClass::material)));
}

TEST(TrialPrint, AFreeEndAndACornerOverNothingAreNoBridges) {
  const TrialPrint free = tried(Text().wall(10, 15, 20, 1).bead(10, 20, 20, 1.2));
  EXPECT_NEAR(lengthOf(free, ContactClass::air), 5, 0.1);
  const TrialPrint corner = tried(
      Text().wall(10, 15, 20, 1).wall(10, 15, 26, 1).go(15, 20, 1.2).lay(18, 20, 3).lay(18, 26, 6).lay(15, 26, 3));
  EXPECT_NEAR(lengthOf(corner, ContactClass::air), 12, 0.3);
}

TEST(TrialPrint, FindsAFloatingSquareAndNothingOfWhatStands) {
  Text text = Text().wall(10, 15, 20, 1).bead(10, 15, 20, 1.2);
  text.go(40, 40, 1.2).lay(50, 40, 10).lay(50, 50, 10).lay(40, 50, 10).lay(40, 40, 10);
  for (double y = 40.45; y < 49.8; y += 0.45)
    text.bead(40.3, 49.7, y, 1.2);  // filled: its own lines do not hold one another
  const TrialPrint trial = tried(text);
  ASSERT_EQ(trial.starts.size(), 1u);
  EXPECT_NEAR((trial.starts[0].at - Vec3(45, 45, 1.0)).norm(), 0, 0.1);
  EXPECT_EQ(trial.starts[0].layer, 5);
  EXPECT_EQ(lengthOf(trial, ContactClass::bridge), 0);
  EXPECT_NEAR(lengthOf(trial, ContactClass::air), trial.starts[0].length, 0.1);
  EXPECT_THAT(verdictOf(trial), HasSubstr("One place begins in mid-air"));
}

// Support whose top is 0.2 mm under a bead lets go of it; 0.6 mm under it, it carries nothing.
TEST(TrialPrint, KnowsWhatSupportCarriesByItsGap) {
  const auto over = [](double gap) {
    const std::string support = "; @feature support.body width=0.45 height=0.2",
                      part = "; @feature part.cover width=0.45 height=0.2";
    return tried(
        Text().raw(support).wall(10, 20, 20, 1).raw(part).wall(25, 30, 20, 1 + gap).bead(10, 20, 20, 1.2 + gap));
  };
  EXPECT_THAT(topmost(over(0.2)), ElementsAre(Is(10.0, 20.0, ContactClass::release)));
  EXPECT_THAT(topmost(over(0.3)), ElementsAre(Is(10.0, 20.0, ContactClass::release)));
  EXPECT_THAT(topmost(over(0.6)), ElementsAre(Is(10.0, 20.0, ContactClass::air)));
  EXPECT_EQ(over(0.2).starts.size(), 0u);
  EXPECT_EQ(over(0.6).starts.size(), 1u);
}

TEST(TrialPrint, LinesBetweenTwoLinesOfSupportAreCarried) {
  const std::string support = "; @feature support.interface.upper width=0.45 height=0.2",
                    part = "; @feature part.cover width=0.45 height=0.2";
  const auto between = [&](double apart) {
    return tried(Text()
                     .raw(support)
                     .wall(10, 20, 20 - apart / 2, 1)
                     .wall(10, 20, 20 + apart / 2, 1)
                     .raw(part)
                     .bead(10, 20, 20, 1.4));
  };
  EXPECT_THAT(topmost(between(1.2)),
              ElementsAre(Is(10.0, 20.0, ContactClass::release)));                     // 0.3 mm of air on either side
  EXPECT_THAT(topmost(between(2.2)), ElementsAre(Is(10.0, 20.0, ContactClass::air)));  // 0.65 mm
}

// Three tenths of a line's width over something carry it; with less it sags, where that goes on for a millimetre.
TEST(TrialPrint, ThreeTenthsOfTheWidthBear) {
  const auto shifted = [](double by) {
    const std::string part = "; @feature part.wall.outer width=0.45 height=0.2";
    return tried(Text().raw(part).wall(10, 20, 20.025, 1).bead(10, 20, 20.025 + by, 1.2));
  };
  EXPECT_THAT(topmost(shifted(0.28)), ElementsAre(Is(10.0, 20.0, ContactClass::material)));
  EXPECT_THAT(topmost(shifted(0.42)), ElementsAre(Is(10.0, 20.0, ContactClass::sagging)));
  const TrialPrint sags = shifted(0.42);
  EXPECT_THAT(verdictOf(sags), testing::HasSubstr("10 mm of the part's lines sag"));
  EXPECT_THAT(topmost(shifted(0.47)), ElementsAre(Is(10.0, 20.0, ContactClass::air)));
}

// What hangs a layer over the plate sags onto it.
TEST(TrialPrint, ALayerOverThePlateIsForgiven) {
  EXPECT_THAT(topmost(tried(Text().bead(10, 20, 20, 0.4))), ElementsAre(Is(10.0, 20.0, ContactClass::plate)));
  EXPECT_THAT(topmost(tried(Text().bead(10, 20, 20, 0.6))), ElementsAre(Is(10.0, 20.0, ContactClass::air)));
}

TEST(TrialPrint, NamesSupportOnAir) {
  const TrialPrint trial =
      tried(Text().raw("; @feature support.body width=0.45 height=0.2").wall(10, 15, 20, 1).bead(10, 30, 20, 1.2));
  EXPECT_NEAR(trial.supportOnAir, 15, 0.2);
  EXPECT_THAT(verdictOf(trial), testing::HasSubstr("mm of support print on air"));
}

TEST(TrialPrint, FollowsArcsBothWays) {
  for (const char* arc : {"G3 X20 Y20 I-5 J0", "G3 X20 Y20 R5", "G2 X20 Y20 I-5 J0", "G2 X20 Y20 R-5"}) {
    Text text;
    for (double z = 0.2; z < 1.1; z += 0.2) text.go(30, 20, z).raw(fmt::format("{} E{:.6f}", arc, text.e(5 * pi)));
    const TrialPrint trial = tried(text);
    EXPECT_NEAR(lengthOf(trial, ContactClass::plate) + lengthOf(trial, ContactClass::material), 5 * 5 * pi, 0.15)
        << arc;
    EXPECT_EQ(lengthOf(trial, ContactClass::air), 0) << arc;
    const bool above = std::string(arc).starts_with("G3");
    for (const Stretch& s : trial.stretches) EXPECT_GE((s.to.y() - 20) * (above ? 1 : -1), -1e-3) << arc;
  }
}

TEST(TrialPrint, FullCirclesFloatOrStand) {
  Text text;
  for (double z = 0.2; z < 0.7; z += 0.2) text.go(30, 20, z).raw(fmt::format("G2 I-5 E{:.6f}", text.e(10 * pi)));
  text.go(60, 20, 1.2).raw(fmt::format("G2 I-5 E{:.6f}", text.e(10 * pi)));
  const TrialPrint trial = tried(text);
  EXPECT_EQ(trial.starts.size(), 1u);
  EXPECT_NEAR(lengthOf(trial, ContactClass::air), 10 * pi, 0.1);
}

// The same print said in every way: absolute and relative, in inches, modal, numbered, spread out and in small letters.
TEST(TrialPrint, ReadsEveryManner) {
  const Text plain = Text().wall(10, 15, 20, 1).bead(10, 27, 20, 1.2);
  const TrialPrint expected = tried(plain);
  const auto same = [&](const std::string& text, const char* manner) {
    const TrialPrint got = tried(text);
    for (std::size_t i = 0; i < got.length.size(); ++i)
      EXPECT_NEAR(got.length[i], expected.length[i], 0.02) << manner << " " << contactClassNames[i];
    EXPECT_NEAR(got.seconds, expected.seconds, 0.02 * expected.seconds) << manner;
  };
  const GcodeMoves moves = readGcode(plain.text, Progress());
  const auto said = [&](const std::string& head, bool relative, bool relativeE, double unit) {
    std::string text = head;
    Vec3 at = Vec3::Zero();
    double e = 0;
    int n = 0;
    for (const Move& move : moves.moves) {
      const Vec3 to = (relative ? Vec3(move.to - at) : move.to) / unit;
      e = relativeE ? move.filament : e + move.filament;
      text +=
          fmt::format("n{} g1 x {:.6f}y{:.6f} Z+{:.6f} F{:.3f}", n++, to.x(), to.y(), to.z(), move.speed * 60 / unit);
      if (move.filament != 0) text += fmt::format(" e{:.7f}", e / unit);
      text += "*51 ; a comment\n";
      at = move.to;
      if (n % 7 == 0 && !relativeE) {  // counting anew
        text += "G92 E0\n";
        e = 0;
      }
    }
    return text;
  };
  same(said("M82\nG90\n", false, false, 1), "absolute extrusion");
  same(said("G91\nM82\n", true, false, 1), "relative positions, absolute extrusion");
  same(said("G91\n", true, true, 1), "all relative");
  same(said("G20 (inches)\nM83\n", false, true, 25.4), "inches");
  std::string shifted = plain.text;
  shifted.insert(shifted.find("G0"),
                 "G92 X100 Y100\nG92 X0 Y0\nT1\nM104 S200 T0\nM117 Layer 1 of X\nSTART_PRINT EXTRUDER=200\n%\n");
  same(shifted, "with other commands between");
  EXPECT_EQ(readGcode(shifted, Progress()).moves.back().tool, 1);
}

TEST(TrialPrint, TakesFilamentAsAVolumeAndAtAShare) {
  Text text = Text().raw("M200 D1.75").raw("M221 S50");
  text.go(10, 10, 0.2).raw(fmt::format("G1 X20 E{:.6f} F1200", 2 * section * 10));
  EXPECT_NEAR(tried(text).filament.at("unnamed").mm3, section * 10, 1e-3);
}

// A comment that says more than was pushed out is not believed: height and width then follow from the volume.
TEST(TrialPrint, BelievesCommentsOnlyWhenTheVolumeAgrees) {
  const auto heightOf = [](const std::string& comment, const TrialRules& rules = {}) {
    return tried(Text().raw(comment).bead(10, 20, 20, 0.2), rules).stretches[0];
  };
  EXPECT_NEAR(heightOf("; @feature part.cover width=0.4500 height=0.2000").height, 0.2, 1e-6);
  EXPECT_NEAR(heightOf("; @feature part.cover width=0.9000 height=0.2000").width, 0.45, 1e-6);
  EXPECT_NEAR(heightOf("; @feature part.cover width=0.9000 height=0.2000").height, 0.2, 1e-3);
  EXPECT_NEAR(heightOf("", {.layerHeight = 0.1}).width, section / 0.1 + (1 - pi / 4) * 0.1, 1e-3);
  EXPECT_NEAR(heightOf("", {.lineWidth = 0.6}).height, 0.1430, 1e-3);  // the root of (0.6 − h)·h + πh²/4 = A
}

// From rest to rest over d with speed v and acceleration a takes v/a + d/v, any mechanics handbook.
TEST(TrialPrint, TakesTheTimeOfATrapezoid) {
  const double d = 60, v = 30, a = 1000;
  EXPECT_NEAR(tried(Text().raw("M204 S1000").raw("G1 X60 E2 F1800").raw("G4 P500")).seconds, v / a + d / v + 0.5, 1e-6);
}

TEST(GcodeReader, SaysWhichLineCannotBeFollowed) {
  const auto error = [](const std::string& text) -> std::string {
    try {
      readGcode(text, Progress());
    } catch (const Error& e) {
      return e.what();
    }
    return "";
  };
  EXPECT_THAT(error("G1 X1\nG1 X2 Y?\n"), HasSubstr("Line 2"));
  EXPECT_THAT(error("G1 X99999\n"), HasSubstr("farther than ten metres"));
  EXPECT_THAT(error("G2 X5 Y5\n"), HasSubstr("neither a centre"));
  EXPECT_THAT(error("G2 X50 Y0 R5\n"), HasSubstr("no circle"));
  EXPECT_THAT(error("G18\nG2 X5 Z5 I2\n"), HasSubstr("plane"));
  EXPECT_THAT(error("G1 X" + std::string(400, '9') + "\n"), HasSubstr("Line 1"));
  EXPECT_THAT(error("solid cube\n facet normal\n"), HasSubstr("no move"));
  EXPECT_THAT(error(""), HasSubstr("no move"));
  EXPECT_THAT(readGcode("G38 Z-5\nG1 X1\n", Progress()).ignored, ElementsAre("G38"));
}

// Damage of every kind is refused with a sentence, or followed; never more.
TEST(GcodeReader, SurvivesDamage) {
  const std::string sound = gcodeOf(projectOf(table(12, 3, 1))).substr(0, 20000);
  std::mt19937 random(7);
  const auto any = [&](std::size_t below) { return std::uniform_int_distribution<std::size_t>(0, below - 1)(random); };
  for (int round = 0; round < rounds(150); ++round) {
    std::string text = sound;
    for (std::size_t k = 0; k < 1 + any(20); ++k) {
      const std::size_t at = any(text.size());
      if (any(3) == 0)
        text.erase(at, any(40));
      else if (any(2) == 0)
        text[at] = static_cast<char>(any(256));
      else
        text.insert(
            at, std::vector<std::string>{"G2 ", "-", "E9", "\n", "G91\n", "999999", "nan", "I", "G92\n", "Z"}[any(10)]);
    }
    try {
      const TrialPrint trial = tried(text);
      for (const double length : trial.length) EXPECT_TRUE(std::isfinite(length));
    } catch (const Error& error) {
      EXPECT_THAT(error.what(), HasSubstr("G-code"));
    }
  }
}

TEST(TrialReport, TheCommandLineSaysTheSame) {
  const ScratchFolder folder;
  writeFileAtomically(folder / "defect.gcode",
                      Text().wall(10, 15, 20, 1).wall(27, 32, 20, 1).bead(10, 32, 20, 1.2).text);
  const CliRun run = cli("trial " + (folder / "defect.gcode") + " --json");
  ASSERT_EQ(run.code, 0) << run.text;
  const auto json = nlohmann::json::parse(run.text);
  EXPECT_NEAR(json["length_mm"]["air"].get<double>(), 12, 0.1);
  ASSERT_EQ(json["air"].size(), 1u);
  EXPECT_NEAR(json["air"][0]["from"][0].get<double>(), 15, 0.1);
  EXPECT_NEAR(json["air"][0]["to"][0].get<double>(), 27, 0.1);
  const auto wider = nlohmann::json::parse(cli("trial " + (folder / "defect.gcode") + " --bridge 13 --json").text);
  EXPECT_NEAR(wider["length_mm"]["bridge"].get<double>(), 12, 0.1);
  EXPECT_EQ(cli("trial " + (folder / "nothing.gcode")).code, 1);
}

}  // namespace
}  // namespace trellis::test
