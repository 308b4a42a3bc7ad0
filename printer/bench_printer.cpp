// SPDX-License-Identifier: GPL-3.0-or-later
#include "printer/bench_printer.hpp"

#include "core/gcode/motion.hpp"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <cstdlib>

namespace trellis {

namespace {

constexpr double air = 22, roomForError = 1;  // °C
constexpr double busyEvery = 2;               // s
constexpr double changeSeconds = 12, homeSeconds = 4;
constexpr double hottest = 420;  // °C the heater would come to if it were left on

double wordOf(const std::string& command, char letter, double otherwise) {
  for (std::size_t i = 1; i < command.size(); ++i)
    if (command[i] == letter && command[i - 1] == ' ') return std::atof(command.c_str() + i + 1);
  return otherwise;
}

bool has(const std::string& command, char letter) {
  return command.find(std::string(" ") + letter) != std::string::npos;
}

bool is(const std::string& command, std::string_view name) {
  return command.starts_with(name) && (command.size() == name.size() || command[name.size()] == ' ');
}

}  // namespace

BenchPrinter::BenchPrinter(const PrinterManners& manners) : manners_(manners) { say("start"); }

void BenchPrinter::restart() {
  const PrinterManners manners = manners_;
  auto tell = std::move(tell_);
  const double now = now_;
  *this = BenchPrinter(manners);
  tell_ = std::move(tell);
  now_ = now;
}

void BenchPrinter::say(const std::string& words) {
  for (const char c : words + "\n") {
    const bool garbled = manners_.garbleAnswersEvery > 0 && ++bytesOut_ % manners_.garbleAnswersEvery == 0 && c != '\n';
    said_ += garbled ? static_cast<char>(c ^ 0x04) : c;
  }
}

void BenchPrinter::answer(const std::string& words) {
  const std::string whole = words.empty() ? "ok" : "ok " + words;
  say(whole);
  if (manners_.doubleEvery > 0 && ++answers_ % manners_.doubleEvery == 0) say(whole);
}

std::string BenchPrinter::take() {
  const bool stalls = manners_.stallFor > 0 && now_ >= manners_.stallAt && now_ < manners_.stallAt + manners_.stallFor;
  return stalls ? std::string() : std::exchange(said_, {});
}

void BenchPrinter::receive(std::string_view bytes) {
  for (const char c : bytes) {
    const bool garbled = manners_.garbleEvery > 0 && ++bytesIn_ % manners_.garbleEvery == 0 && c != '\n';
    unread_ += garbled ? static_cast<char>(c ^ 0x04) : c;
  }
  readLines();
}

bool BenchPrinter::mayTake() const { return !waiting_ && !noFilament_ && moves_.size() < manners_.ahead; }

// What can be answered at once is, also while it waits for something.
void BenchPrinter::readLines() {
  std::size_t at = 0;
  std::string left;
  for (std::size_t end; (end = unread_.find('\n', at)) != std::string::npos; at = end + 1) {
    const std::string line = unread_.substr(at, end - at);
    const bool atOnce = line == "M108" || line == "M112";
    if (atOnce || (left.empty() && mayTake()))
      takeLine(line);
    else
      left += line + "\n";
  }
  unread_ = left + unread_.substr(at);
}

void BenchPrinter::takeLine(const std::string& text) {
  if (halted_) return;
  const ReadLine line = readLine(text);
  const auto again = [&](const char* why) {
    say(fmt::format("Error:{}, last line {}", why, last_));
    say(fmt::format("Resend: {}", last_ + 1));
    answer();
  };
  if (!line.sound) return again("checksum mismatch");
  if (is(line.command, "M110")) {
    const double next = wordOf(line.command, 'N', line.number ? static_cast<double>(*line.number) : 0);
    last_ = next >= 0 && next < 1e15 ? static_cast<std::size_t>(next) : 0;
    return answer();
  }
  if (line.number) {
    if (*line.number != last_ + 1) return again("line number is not the last one and one more");
    last_ = *line.number;
    if (tell_) tell_(last_, line.command);
  }
  if (line.command.empty()) return;
  perform(line.command);
}

void BenchPrinter::perform(const std::string& command) {
  const auto wait = [&](Wait what, double seconds) {
    waits_ = what;
    waiting_ = true;
    busyFor_ = seconds;
    sinceBusy_ = 0;
  };
  if (is(command, "G0") || is(command, "G1")) move(command);
  if (is(command, "G90")) relative_ = relativeFilament_ = false;
  if (is(command, "G91")) relative_ = relativeFilament_ = true;
  if (is(command, "M82")) relativeFilament_ = false;
  if (is(command, "M83")) relativeFilament_ = true;
  if (is(command, "G92")) {
    filamentAt_ = wordOf(command, 'E', filamentAt_);
    for (const int axis : {0, 1, 2}) planned_[axis] = wordOf(command, "XYZ"[axis], planned_[axis]);
  }
  if (is(command, "M104") || is(command, "M109")) heat_.nozzleWanted = wordOf(command, 'S', heat_.nozzleWanted);
  if (is(command, "M140") || is(command, "M190")) heat_.plateWanted = wordOf(command, 'S', heat_.plateWanted);
  if (is(command, "M109") || is(command, "M190")) return wait(hot, 0);
  if (is(command, "M400")) return wait(settled, 0);
  if (is(command, "G28")) {
    planned_ = Vec3::Zero();
    return wait(settled, homeSeconds);
  }
  if (is(command, "G4")) return wait(settled, wordOf(command, 'S', wordOf(command, 'P', 0) / 1000));
  if (command[0] == 'T') return wait(settled, changeSeconds);
  if (is(command, "M108")) {
    if (waits_ == hot && waiting_) heat_.nozzleWanted = heat_.nozzle, heat_.plateWanted = heat_.plate;
    noFilament_ = false;
  }
  if (is(command, "M112")) {
    halted_ = true;
    moves_.clear();
    heat_.nozzleWanted = heat_.plateWanted = 0;
    return say("Error:printer halted");
  }
  if (is(command, "M105"))
    return answer(fmt::format("T:{:.1f} /{:.1f} B:{:.1f} /{:.1f}", heat_.nozzle, heat_.nozzleWanted, heat_.plate,
                              heat_.plateWanted));
  if (is(command, "M114"))
    say(fmt::format("X:{:.3f} Y:{:.3f} Z:{:.3f} E:{:.3f}", planned_.x(), planned_.y(), planned_.z(), filamentAt_));
  answer();
}

void BenchPrinter::move(const std::string& command) {
  Move next;
  next.to = planned_;
  for (const int axis : {0, 1, 2})
    if (const char letter = "XYZ"[axis]; has(command, letter))
      next.to[axis] = wordOf(command, letter, 0) + (relative_ ? planned_[axis] : 0);
  feed_ = std::max(0.1, wordOf(command, 'F', feed_ * 60) / 60);
  next.filament = has(command, 'E') ? wordOf(command, 'E', 0) - (relativeFilament_ ? 0 : filamentAt_) : 0;
  filamentAt_ += next.filament;
  const Vec3 way = next.to - planned_;
  const double flat = way.head<2>().norm();
  next.length = flat > 1e-9 ? flat : std::max(std::abs(way.z()), std::abs(next.filament));
  next.direction = flat > 1e-9 ? Vec2(way.head<2>() / flat) : Vec2(Vec2::Zero());
  next.speed = feed_;
  planned_ = next.to;
  if (next.length > 0) moves_.push_back(next);
}

// Plans the first move against those that are known to follow: it must be able to stop at the last of them.
void BenchPrinter::begin() {
  const double a = manners_.acceleration;
  double leave = 0;
  for (std::size_t i = moves_.size(); i-- > 1;) {
    const Move &next = moves_[i], &before = moves_[i - 1];
    const bool joins = next.direction.norm() > 0 && before.direction.norm() > 0;
    const double corner = joins ? cornerSpeed(before.direction, next.direction, a, manners_.cornerDeviation) : 0;
    leave = std::min({corner, before.speed, next.speed, std::sqrt(leave * leave + 2 * a * next.length)});
  }
  Move& first = moves_.front();
  if (first.direction.norm() == 0) {
    first.seconds = first.length / first.speed;
    enter_ = 0;
    return;
  }
  leave = std::min(leave, std::sqrt(enter_ * enter_ + 2 * a * first.length));
  first.seconds = moveSeconds(first.length, std::min(enter_, first.speed), leave, first.speed, a);
  enter_ = leave;
}

void BenchPrinter::end() {
  at_ = moves_.front().to;
  pushed_ += moves_.front().filament;
  moves_.pop_front();
  if (manners_.filamentOutAt > 0 && pushed_ >= manners_.filamentOutAt) {
    manners_.filamentOutAt = 0;
    noFilament_ = true;
  }
}

void BenchPrinter::heatUp(double seconds) {
  const double rate = 5 / manners_.secondsToHeat;  // so that 63 % of the way takes a fifth of the time
  const auto approach = [&](double& is, double wanted, double power) {
    const double goal = std::max(wanted, air);
    is += (goal - is) * (1 - std::exp(-seconds * rate * power));
  };
  const bool runsAway = manners_.overheatAt > 0 && now_ >= manners_.overheatAt;
  approach(heat_.nozzle, runsAway ? hottest : heat_.nozzleWanted, 1);
  approach(heat_.plate, heat_.plateWanted, 0.5);
  if (!runsAway || heat_.nozzle < heat_.nozzleWanted + 30 || halted_) return;
  halted_ = true;
  moves_.clear();
  heat_.nozzleWanted = heat_.plateWanted = 0;
  manners_.overheatAt = 0;
  say("Error:nozzle too hot, printer halted");
}

bool BenchPrinter::isHot() const {
  return heat_.nozzle > heat_.nozzleWanted - roomForError && heat_.plate > heat_.plateWanted - roomForError;
}

// Says from time to time that it lives, while a line waits.
void BenchPrinter::passBusy(double seconds) {
  sinceBusy_ += seconds;
  if (sinceBusy_ < busyEvery) return;
  sinceBusy_ = 0;
  if (noFilament_)
    say("busy: waiting for filament");
  else if (waiting_)
    say(fmt::format("busy: T:{:.1f} /{:.1f} B:{:.1f} /{:.1f}", heat_.nozzle, heat_.nozzleWanted, heat_.plate,
                    heat_.plateWanted));
}

void BenchPrinter::advance(double seconds) {
  constexpr double slice = 0.05;  // s, so that heat and waiting are followed closely
  while (seconds > 0 && !halted_) {
    double step = std::min(seconds, slice);
    if (!moves_.empty() && !noFilament_) {
      if (moves_.front().seconds < 0) begin();
      step = std::min(step, std::max(moves_.front().seconds, 1e-9));
      moves_.front().seconds -= step;
      if (moves_.front().seconds <= 1e-9) end();
    } else if (waiting_) {
      busyFor_ -= step;
    }
    seconds -= step;
    now_ += step;
    heatUp(step);
    passBusy(step);
    if (waiting_ && moves_.empty() && (waits_ == hot ? isHot() : busyFor_ <= 0)) {
      waiting_ = false;
      if (waits_ == settled) enter_ = 0;
      answer();
    }
    if (moves_.empty()) enter_ = 0;
    readLines();
  }
}

}  // namespace trellis
