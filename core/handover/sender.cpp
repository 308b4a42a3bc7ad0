// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/handover/sender.hpp"

#include <fmt/format.h>

#include <algorithm>
#include <utility>

namespace trellis {

namespace {

constexpr std::size_t kept = 256;      // lines the printer has that it may ask for again, when an answer came twice
constexpr std::size_t longest = 4096;  // bytes of an answer; what is longer is noise

}  // namespace

Sender::Sender(PrintJobPtr job, const SenderRules& rules) : job_(std::move(job)), rules_(rules) {
  status_.secondsLeft = job_->seconds * rules_.timeFactor;
  writePlainly("M110 N0");
}

Sender::Sender(PrintJobPtr job, const HandoverMemory& memory, const SenderRules& rules)
    : job_(std::move(job)), rules_(rules), extra_(memory.extra) {
  before_ = memory.paused ? HandoverState::paused : HandoverState::printing;
  status_.state = HandoverState::greeting;
  status_.secondsLeft = job_->seconds * rules_.timeFactor;
  add(job_->lines.front().command, 0);  // what it has already: it says which it wants instead
  asking_ = following_ = true;
}

bool Sender::isOver() const {
  return status_.state == HandoverState::done || status_.state == HandoverState::cancelled ||
         status_.state == HandoverState::failed;
}

void Sender::become(HandoverState state) {
  status_.state = state;
  if (state != HandoverState::greeting && state != HandoverState::lost && state != HandoverState::found)
    before_ = state;
}

void Sender::fail(const std::string& why) {
  become(HandoverState::failed);
  status_.why = why;
  waiting_.clear();
}

void Sender::writePlainly(const std::string& command) {
  plainly_ += command + "\n";
  waiting_.push_back({0});
}

void Sender::add(const std::string& command, std::ptrdiff_t job) {
  lines_.push_back({lines_.empty() ? taken_ + 1 : lines_.back().number + 1, command, job});
  if (job < 0) ++extra_;
  sure_ = false;
}

// Relative, and then as it was, with the speed that the lines after it count on.
void Sender::addLift(double mm) {
  add("G91", -1);
  add(fmt::format("G1 Z{:g} F600", mm), -1);
  if (!relative_) add("G90", -1);
  if (mm < 0 && !feed_.empty()) add("G1 " + feed_, -1);
}

// Of the job, as much as may wait.
void Sender::fillAhead() {
  while (status_.state == HandoverState::printing && next_ < job_->lines.size() &&
         (lines_.empty() || lines_.back().number < toWrite_ + rules_.ahead)) {
    const std::string& command = job_->lines[next_].command;
    if (command.starts_with("G90")) relative_ = false;
    if (command.starts_with("G91")) relative_ = true;
    if (const std::size_t f = command.find(" F"); f != std::string::npos && command.front() == 'G')
      feed_ = command.substr(f + 1, command.find(' ', f + 1) - f - 1);
    add(command, static_cast<std::ptrdiff_t>(next_++));
  }
}

// By a line that the printer should have: it answers with the one it wants, or takes it where it was missing.
void Sender::ask() {
  waiting_.clear();
  asking_ = true;
  toWrite_ = std::max<std::size_t>(taken_, lines_.empty() ? 1 : lines_.front().number);
}

std::size_t Sender::numberedWaiting() const {
  return static_cast<std::size_t>(
      std::count_if(waiting_.begin(), waiting_.end(), [](const Written& one) { return one.number > 0; }));
}

std::string Sender::toWrite(double now) {
  if (isOver() || status_.state == HandoverState::lost) return std::exchange(plainly_, {});
  if (!heard_) heard_ = now;
  if (now - *heard_ > rules_.patience) {
    heard_ = now;
    ask();
  }
  std::string out = std::exchange(plainly_, {});
  if (now - askedHeat_ >= rules_.askHeat && !asking_) {
    askedHeat_ = now;
    out += "M105\n";
    waiting_.push_back({0});
  }
  const bool holds = status_.state == HandoverState::found;
  fillAhead();
  for (const Line& line : lines_) {
    if (line.number < toWrite_ || holds) continue;
    if (numberedWaiting() >= (asking_ ? 1 : rules_.ahead)) break;
    out += numberedLine(line.number, line.command);
    waiting_.push_back({line.number});
    toWrite_ = line.number + 1;
  }
  refresh(now);
  return out;
}

void Sender::read(std::string_view bytes, double now) {
  unread_ += bytes;
  for (std::size_t end; (end = unread_.find('\n')) != std::string::npos;) {
    const std::string line = unread_.substr(0, end);
    unread_.erase(0, end + 1);
    heard_ = now;
    if (!isOver()) readLine(line);
  }
  if (unread_.size() > longest) unread_.clear();
  refresh(now);
}

void Sender::readLine(std::string_view line) {
  const Answer answer = readAnswer(line);
  if (answer.heat) status_.heat = answer.heat;
  if (answer.stopped)
    return fail(fmt::format("The printer stopped by itself: \"{}\". Look at it before anything else.", answer.words));
  if (answer.started && (taken_ > 0 || status_.state == HandoverState::greeting))
    return fail("The printer was switched off and on and no longer knows where it is. The print cannot go on.");
  if (answer.wantsFilament && status_.state == HandoverState::printing) become(HandoverState::noFilament);
  if (answer.resend) resendFrom(*answer.resend);
  if (!answer.ok || waiting_.empty()) return;  // one that was said twice finds nothing waiting
  const Written one = waiting_.front();
  waiting_.pop_front();
  if (one.number == 0 || one.stale) return;
  if (following_) return ask();  // an answer to what somebody else wrote
  taken_ = std::max(taken_, one.number);
  asking_ = false;
  settle();
}

// The printer wants this line, and takes none of those that were written since.
void Sender::resendFrom(std::size_t number) {
  if (!waiting_.empty() && waiting_.front().stale) return;
  if (following_) return follow(number);
  const bool isOdd = lines_.empty() || number < lines_.front().number || number > lines_.back().number + 1;
  if (isOdd || number == 0) return doubt(number);
  doubts_ = 0;
  if (!asking_) ++status_.sentAgain;
  sure_ = asking_ && number == lines_.back().number + 1;
  taken_ = number - 1;
  toWrite_ = number;
  asking_ = false;
  for (Written& one : waiting_) one.stale = true;
  settle();
}

// A line that it cannot want: its answer was garbled, or it forgot all. What it says again and again is true.
void Sender::doubt(std::size_t number) {
  constexpr int often = 3;
  doubts_ = number == doubted_ ? doubts_ + 1 : 1;
  doubted_ = number;
  if (doubts_ >= often) return fail("The printer no longer knows where it is. The print cannot go on from here.");
  ask();
}

// A print that was under way: the line that the printer wants tells how much of it is printed.
void Sender::follow(std::size_t number) {
  if (std::exchange(doubted_, number) != number) return ask();  // said twice it was not garbled
  if (number < 3 || number - 1 > job_->lines.size() + extra_)
    return fail("The printer counts other lines than this print has: what it prints was begun from somewhere else.");
  taken_ = number - 1;
  toWrite_ = number;
  next_ = taken_ > extra_ ? taken_ - extra_ : 0;
  following_ = false;
  lines_.clear();
  lines_.push_back({taken_, "M105", static_cast<std::ptrdiff_t>(next_) - 1});  // stands for all that it has
  asking_ = false;
  for (Written& one : waiting_) one.stale = true;
  become(HandoverState::found);
}

// What follows once everything that was to be sent was taken.
void Sender::settle() {
  while (lines_.size() > 1 && lines_.front().number + kept < taken_) lines_.pop_front();
  if (status_.state == HandoverState::greeting) return become(HandoverState::found);
  if (status_.state == HandoverState::found || (!lines_.empty() && lines_.back().number > taken_)) return;
  if (status_.state == HandoverState::pausing && !lifted_) {
    lifted_ = true;
    addLift(rules_.lift);
  } else if (status_.state == HandoverState::pausing) {
    become(HandoverState::paused);
  } else if (status_.state == HandoverState::cancelling) {
    sure_ ? become(HandoverState::cancelled) : ask();
  } else if (status_.state == HandoverState::printing && next_ == job_->lines.size()) {
    sure_ ? become(HandoverState::done) : ask();
  }
}

void Sender::wireLost() {
  if (isOver() || status_.state == HandoverState::lost) return;
  become(HandoverState::lost);
  waiting_.clear();
  unread_.clear();
  plainly_.clear();
}

void Sender::wireBack() {
  if (status_.state != HandoverState::lost) return;
  become(HandoverState::greeting);
  heard_.reset();
  ask();
}

void Sender::pause() {
  if (status_.state != HandoverState::printing) return;
  become(HandoverState::pausing);
  lifted_ = false;
  settle();
}

void Sender::resume() {
  if (status_.state == HandoverState::paused) {
    addLift(-rules_.lift);
    become(HandoverState::printing);
  } else if (status_.state == HandoverState::found) {
    become(before_);
    settle();
  } else if (status_.state == HandoverState::noFilament) {
    writePlainly("M108");
    become(HandoverState::printing);
  }
}

void Sender::cancel() {
  if (isOver()) return;
  while (!lines_.empty() && lines_.back().number >= toWrite_ && lines_.back().number > taken_) {
    extra_ -= lines_.back().job < 0;
    lines_.pop_back();
  }
  writePlainly("M108");  // a wait for heat or for filament ends
  addLift(rules_.lift);
  for (const char* off : {"M104 S0", "M140 S0", "M107", "M84", "M105"}) add(off, -1);  // and it says that they are off
  become(HandoverState::cancelling);
}

void Sender::emergency() {
  plainly_ = "M112\n";
  fail("Stopped at once. Switch the printer off and on before the next print.");
}

void Sender::refresh(double now) {
  for (auto line = lines_.rbegin(); line != lines_.rend(); ++line)
    if (line->number <= taken_ && line->job >= 0) {
      status_.lines = static_cast<std::size_t>(line->job) + 1;
      break;
    }
  const JobLine reached = status_.lines > 0 ? job_->lines[status_.lines - 1] : JobLine();
  status_.layer = reached.layer;
  status_.height = static_cast<double>(reached.height);
  status_.silent = heard_ ? now - *heard_ : 0;
  reckon(now, reached.until);
}

// What the printer has taken is ahead of what it has printed by as much as it plans ahead, all the way alike: so its
// pace is measured from when that has settled, and what is left counts from when it began.
void Sender::reckon(double now, double taken) {
  const bool prints = status_.state == HandoverState::printing && taken > 0;
  if (prints && !began_) began_ = taken;
  if (prints && clock_) printedFor_ += now - *clock_;
  clock_ = prints ? std::optional(now) : std::nullopt;  // what stands still says nothing of the pace
  status_.took = printedFor_;
  status_.secondsLeft = std::max(0.0, (job_->seconds - taken) * rules_.timeFactor);
  if (!began_) return;
  if (!settled_ && taken - *began_ > rules_.measuredAfter / 4) settled_ = {printedFor_, taken};
  const bool isKnown = settled_ && taken - settled_->second > rules_.measuredAfter / 2;
  if (!isKnown) return;
  const double factor = (printedFor_ - settled_->first) / (taken - settled_->second);
  status_.secondsLeft = std::max(0.0, (job_->seconds - *began_) * factor - printedFor_);
}

}  // namespace trellis
