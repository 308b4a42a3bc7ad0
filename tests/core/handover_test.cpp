// SPDX-License-Identifier: GPL-3.0-or-later
// Handing a print over to the bench printer, with everything that can go wrong on the way. Time is the printer's own.
#include "core/handover/sender.hpp"
#include "printer/bench_printer.hpp"
#include "tests/shapes.hpp"

#include <fmt/format.h>
#include <gmock/gmock.h>

namespace trellis::test {
namespace {

using testing::ElementsAre;
using testing::HasSubstr;

// A square spiral of so many layers: 40 mm sides, a line each.
std::string squares(int layers) {
  std::string text = "G21\nG90\nM83\nM140 S60\nM104 S210\nM190 S60\nM109 S210\nG28\nG92 E0\n";
  for (int layer = 0; layer < layers; ++layer) {
    const double z = 0.2 * (layer + 1);
    text += fmt::format("; @layer index={} z={:.4f} height=0.2000 kind=part\nG0 Z{:.4f} F720\nG0 X20 Y20 F9000\n",
                        layer, z, z);
    for (const auto& [x, y] : {std::pair(60, 20), {60, 60}, {20, 60}, {20, 20}})
      text += fmt::format("G1 X{} Y{} E1.33 F1800\n", x, y);
  }
  return text + "M104 S0\nM140 S0\n";
}

// A sender and a printer with a wire between them that can be pulled.
struct Bench {
  explicit Bench(const std::string& text, const PrinterManners& manners = {}) : printer(manners) {
    job = printJob(text, manners.acceleration, {});
    sender.emplace(job, rules());
    listen();
  }
  static SenderRules rules() { return {}; }
  void listen() {
    printer.onTaken([this](std::size_t number, const std::string& command) {
      if (number > taken.size()) taken.resize(number);
      taken[number - 1] = command;
      ++count;
    });
  }
  void step() {
    constexpr double tick = 0.01;  // s
    now += tick;
    if (plugged) {
      printer.receive(sender->toWrite(now));
      printer.advance(tick);
      sender->read(printer.take(), now);
    } else {
      printer.advance(tick);
      printer.take();
    }
  }
  bool until(HandoverState state, double most = 20000) {
    for (const double end = now + most; now < end && sender->status().state != state;) {
      step();
      if (sender->status().state == HandoverState::failed && state != HandoverState::failed) return false;
    }
    return sender->status().state == state;
  }
  void pass(double seconds) {
    for (const double end = now + seconds; now < end;) step();
  }
  std::vector<std::string> asSent() const {
    std::vector<std::string> commands;
    for (const JobLine& line : job->lines) commands.push_back(line.command);
    return commands;
  }

  BenchPrinter printer;
  PrintJobPtr job;
  std::optional<Sender> sender;
  std::vector<std::string> taken;
  std::size_t count = 0;
  double now = 0;
  bool plugged = true;
};

TEST(LineProtocol, ChecksumIsTheExclusiveOrOfTheLine) {
  // Worked by hand: the bytes of "N3 T0" are 4E 33 20 54 30; their exclusive or is 0x39 = 57, as the protocol's common
  // description has it for this very line.
  EXPECT_EQ(numberedLine(3, "T0"), "N3 T0*57\n");
  const ReadLine read = readLine("N3 T0*57");
  EXPECT_TRUE(read.sound);
  EXPECT_EQ(read.number, 3u);
  EXPECT_EQ(read.command, "T0");
  EXPECT_FALSE(readLine("N3 T1*57").sound);
  EXPECT_FALSE(readLine("N3 T0").sound) << "numbered, and no checksum";
  EXPECT_TRUE(readLine("M105").sound);
}

TEST(LineProtocol, AnswersAreUnderstood) {
  const Answer heat = readAnswer("ok T:204.3 /210.0 B:59.9 /60.0 @:64");
  EXPECT_TRUE(heat.ok);
  ASSERT_TRUE(heat.heat);
  EXPECT_EQ(heat.heat->nozzle, 204.3);
  EXPECT_EQ(heat.heat->plateWanted, 60);
  EXPECT_EQ(readAnswer("Resend: 12").resend, 12u);
  EXPECT_TRUE(readAnswer("busy: waiting for filament").wantsFilament);
  EXPECT_TRUE(readAnswer("!! printer halted").stopped);
  EXPECT_FALSE(readAnswer("okay").ok);
}

TEST(PrintJob, KnowsLayersHeightsAndTimesOfItsLines) {
  const PrintJobPtr job = printJob(squares(5), 1500, {});
  EXPECT_EQ(job->layers, 5);
  EXPECT_EQ(job->lines.back().layer, 5);
  EXPECT_NEAR(job->lines.back().height, 1.0, 1e-6);
  // 20 sides of 40 mm at 30 mm/s are 26.7 s; corners and travel add a little.
  EXPECT_GT(job->seconds, 20 * 40 / 30.0);
  EXPECT_LT(job->seconds, 20 * 40 / 30.0 * 1.1);
  for (std::size_t i = 1; i < job->lines.size(); ++i) EXPECT_GE(job->lines[i].until, job->lines[i - 1].until);
}

TEST(Handover, ThePrinterGetsTheTextAndTakesTheTimeThatWasReckoned) {
  Bench bench(squares(60));
  ASSERT_TRUE(bench.until(HandoverState::printing));
  while (bench.sender->status().layer < 1) bench.step();
  const double began = bench.now;
  ASSERT_TRUE(bench.until(HandoverState::done)) << bench.sender->status().why;
  while (!bench.printer.isIdle()) bench.step();
  EXPECT_EQ(bench.taken, bench.asSent());
  EXPECT_NEAR(bench.now - began, bench.job->seconds, 0.02 * bench.job->seconds);
  EXPECT_EQ(bench.sender->status().sentAgain, 0u);
  EXPECT_EQ(bench.printer.heat().nozzleWanted, 0);
}

// Each kind of misbehaviour: the text that was taken is the text of the job, and each line was taken once.
struct Wrong {
  const char* name;
  PrinterManners manners;
};
class HandoverGoesWrong : public testing::TestWithParam<Wrong> {};

TEST_P(HandoverGoesWrong, AndTheTextArrivesAllTheSame) {
  Bench bench(squares(40), GetParam().manners);
  ASSERT_TRUE(bench.until(HandoverState::done)) << bench.sender->status().why;
  EXPECT_EQ(bench.taken, bench.asSent());
  EXPECT_EQ(bench.count, bench.job->lines.size());
}

INSTANTIATE_TEST_SUITE_P(Each, HandoverGoesWrong,
                         testing::Values(Wrong{"garbled", {.garbleEvery = 97}},
                                         Wrong{"garbledOften", {.garbleEvery = 41}},
                                         Wrong{"garbledAnswers", {.garbleAnswersEvery = 53}},
                                         Wrong{"garbledBoth", {.garbleEvery = 211, .garbleAnswersEvery = 61}},
                                         Wrong{"doubled", {.doubleEvery = 7}},
                                         Wrong{"doubledAndGarbled", {.garbleEvery = 131, .doubleEvery = 5}},
                                         Wrong{"stalled", {.stallAt = 90, .stallFor = 25}}),
                         [](const auto& what) { return std::string(what.param.name); });

TEST(Handover, APauseLiftsKeepsHeatAndGoesOnWhereItWas) {
  Bench bench(squares(30));
  while (bench.sender->status().layer < 10) bench.step();
  bench.sender->pause();
  ASSERT_TRUE(bench.until(HandoverState::paused, 60));
  while (!bench.printer.isIdle()) bench.step();
  EXPECT_LE(bench.sender->status().layer, 12) << "within a layer or so";
  EXPECT_NEAR(bench.printer.nozzle().z(), bench.sender->status().height + 5, 0.01);
  bench.pass(120);
  EXPECT_EQ(bench.sender->status().state, HandoverState::paused);
  EXPECT_GT(bench.printer.heat().nozzle, 205);
  bench.sender->resume();
  ASSERT_TRUE(bench.until(HandoverState::done)) << bench.sender->status().why;
  // Beyond the job's lines only the lifting and its undoing.
  std::vector<std::string> extra;
  std::size_t k = 0;
  for (const std::string& command : bench.taken)
    if (k < bench.job->lines.size() && command == bench.job->lines[k].command)
      ++k;
    else
      extra.push_back(command);
  EXPECT_EQ(k, bench.job->lines.size());
  EXPECT_THAT(extra, ElementsAre("G91", "G1 Z5 F600", "G90", "G91", "G1 Z-5 F600", "G90", HasSubstr("G1 F")));
}

TEST(Handover, CancellingLeavesTheHeatersOffAlsoWhileItHeats) {
  for (const double after : {20.0, 150.0}) {
    Bench bench(squares(40), {.garbleEvery = 173});
    bench.pass(after);
    bench.sender->cancel();
    ASSERT_TRUE(bench.until(HandoverState::cancelled, 120)) << after;
    EXPECT_EQ(bench.printer.heat().nozzleWanted, 0);
    EXPECT_EQ(bench.printer.heat().plateWanted, 0);
    EXPECT_LT(bench.sender->status().lines, bench.job->lines.size());
  }
}

TEST(Handover, AWireThatIsGoneForTwentySecondsCostsNothing) {
  Bench bench(squares(40));
  while (bench.sender->status().layer < 12) bench.step();
  bench.plugged = false;
  bench.sender->wireLost();
  bench.pass(20);
  EXPECT_EQ(bench.sender->status().state, HandoverState::lost);
  bench.plugged = true;
  bench.sender->wireBack();
  ASSERT_TRUE(bench.until(HandoverState::found, 30));
  bench.pass(5);
  EXPECT_EQ(bench.sender->status().state, HandoverState::found) << "somebody says when it goes on";
  bench.sender->resume();
  ASSERT_TRUE(bench.until(HandoverState::done)) << bench.sender->status().why;
  EXPECT_EQ(bench.taken, bench.asSent());
}

TEST(Handover, APrinterThatForgotIsNotGivenTheRest) {
  Bench bench(squares(40));
  while (bench.sender->status().layer < 12) bench.step();
  bench.sender->wireLost();
  bench.printer.restart();
  bench.sender->wireBack();
  EXPECT_FALSE(bench.until(HandoverState::found, 30));
  EXPECT_EQ(bench.sender->status().state, HandoverState::failed);
  EXPECT_THAT(bench.sender->status().why, HasSubstr("no longer knows where it is"));
}

// As when the window was killed in mid-print and started again: another sender with what was kept of the first.
TEST(Handover, APrintThatIsUnderWayIsFoundAgain) {
  Bench bench(squares(40));
  while (bench.sender->status().layer < 8) bench.step();
  bench.sender->pause();
  ASSERT_TRUE(bench.until(HandoverState::paused, 60));
  bench.sender->resume();
  while (bench.sender->status().layer < 20) bench.step();
  const HandoverMemory memory = bench.sender->memory();
  bench.pass(3);
  bench.sender.emplace(bench.job, memory, Bench::rules());
  ASSERT_TRUE(bench.until(HandoverState::found, 30)) << bench.sender->status().why;
  EXPECT_GE(bench.sender->status().layer, 20);
  bench.sender->resume();
  ASSERT_TRUE(bench.until(HandoverState::done)) << bench.sender->status().why;
  EXPECT_EQ(bench.count, bench.job->lines.size() + memory.extra);
}

TEST(Handover, WaitsForFilamentAndSaysSo) {
  Bench bench(squares(40), {.filamentOutAt = 60});
  ASSERT_TRUE(bench.until(HandoverState::noFilament)) << bench.sender->status().why;
  bench.pass(60);
  EXPECT_EQ(bench.sender->status().state, HandoverState::noFilament);
  bench.sender->resume();
  ASSERT_TRUE(bench.until(HandoverState::done)) << bench.sender->status().why;
  EXPECT_EQ(bench.taken, bench.asSent());
}

TEST(Handover, APrinterThatStopsByItselfIsSaid) {
  Bench bench(squares(40), {.overheatAt = 120});
  EXPECT_FALSE(bench.until(HandoverState::done));
  EXPECT_THAT(bench.sender->status().why, HasSubstr("nozzle too hot"));
  EXPECT_EQ(bench.printer.heat().nozzleWanted, 0);
}

TEST(Handover, TheTimeLeftIsRightFromTheTenthMinuteOn) {
  PrinterManners manners;
  manners.acceleration = 800;  // another machine than the one the time was reckoned for
  Bench bench(squares(300), manners);
  bench.job = printJob(squares(300), 1500, {});
  bench.sender.emplace(bench.job, Bench::rules());
  while (bench.sender->status().layer < 1) bench.step();
  const double began = bench.now;
  std::vector<std::pair<double, double>> told;  // at, s left
  while (bench.sender->status().state != HandoverState::done) {
    bench.pass(10);
    if (bench.now - began > 600) told.emplace_back(bench.now, bench.sender->status().secondsLeft);
  }
  ASSERT_GT(told.size(), 20u);
  for (const auto& [at, left] : told) EXPECT_NEAR(at + left, bench.now, 0.03 * (bench.now - began)) << at - began;
}

}  // namespace
}  // namespace trellis::test
