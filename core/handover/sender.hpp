// SPDX-License-Identifier: GPL-3.0-or-later
// Hands a print over, line by line, to a printer that speaks the plain line protocol (line_protocol.hpp), and follows
// it. It knows no wire: whoever holds one asks what to write and tells what was read. Garbled, lost and doubled answers
// are survived: a printer takes no line but the next, and says which that is when it gets another.
#pragma once

#include "core/handover/line_protocol.hpp"
#include "core/handover/print_job.hpp"

#include <deque>

namespace trellis {

enum class HandoverState {
  greeting,    // asking the printer what it has, after the wire was gone
  printing,    // or heating
  pausing,     // what was sent is still printed
  paused,      // lifted, heat kept
  noFilament,  // the printer waits for somebody
  lost,        // the wire is gone
  found,       // it is back, and the printer still knows where it is: resume() goes on
  cancelling,
  cancelled,  // heaters are off
  done,
  failed
};

struct HandoverStatus {
  HandoverState state = HandoverState::printing;
  std::string why = {};    // of failed: a sentence
  std::size_t lines = 0;   // of the job that the printer has taken
  int layer = 0;           // being printed, from 1
  double height = 0;       // mm
  double took = 0;         // s so far, but not while it stood still
  double secondsLeft = 0;  // by the machine's rules, corrected by what it really took so far
  std::optional<Heat> heat = {};
  std::size_t sentAgain = 0;  // times that the printer wanted a line again
  double silent = 0;          // s since it said anything
};

// What has to be known to follow a print that somebody else began to hand over; small enough to be kept with every
// change of it.
struct HandoverMemory {
  std::size_t extra = 0;  // lines beyond those of the job, sent so far
  bool paused = false;
};

struct SenderRules {
  std::size_t ahead = 8;       // lines that wait for their answer at most
  double patience = 5;         // s without a word before the printer is asked which line it wants
  double askHeat = 2;          // s
  double lift = 5;             // mm, for a pause
  double timeFactor = 1;       // real time over reckoned time, as bench notes tell
  double measuredAfter = 300;  // s of the print after which its own pace is known
};

class Sender {
 public:
  explicit Sender(PrintJobPtr job, const SenderRules& rules = {});
  // Of a print that is under way: the printer is asked which line it is at.
  Sender(PrintJobPtr job, const HandoverMemory& memory, const SenderRules& rules = {});

  // now: s, on any clock that only goes forward.
  std::string toWrite(double now);
  void read(std::string_view bytes, double now);
  void wireLost();
  void wireBack();

  void pause();
  void resume();     // after a pause, when the printer was found again, or when there is filament again
  void cancel();     // heaters off, lifted
  void emergency();  // stops everything at once; the printer has to be switched off and on

  const HandoverStatus& status() const { return status_; }
  HandoverMemory memory() const { return {extra_, before_ == HandoverState::paused}; }
  bool isOver() const;

 private:
  struct Line {
    std::size_t number;
    std::string command;
    std::ptrdiff_t job;  // which of the job's, or −1
  };
  struct Written {
    std::size_t number;  // 0: not numbered
    bool stale = false;  // the printer will not take it: it wanted an earlier one first
  };
  void readLine(std::string_view line);
  void resendFrom(std::size_t number);
  void doubt(std::size_t number);
  void follow(std::size_t number);
  void settle();
  void ask();
  void writePlainly(const std::string& command);
  void add(const std::string& command, std::ptrdiff_t job);
  void addLift(double mm);
  void fillAhead();
  void become(HandoverState state);
  void fail(const std::string& why);
  void refresh(double now);
  void reckon(double now, double taken);
  std::size_t numberedWaiting() const;

  PrintJobPtr job_;
  SenderRules rules_;
  HandoverStatus status_;
  HandoverState before_ = HandoverState::printing;  // the last that was no matter of the wire
  std::deque<Line> lines_;       // what the printer may still ask for, and what is still to be written, by number
  std::size_t toWrite_ = 1;      // the number of the next line to be written
  std::size_t taken_ = 0;        // the number of the last line that the printer has
  std::size_t next_ = 0;         // of the job, not yet in lines_
  std::size_t extra_ = 0;        // lines that are none of the job's
  std::deque<Written> waiting_;  // for an answer, in the order they were written
  bool following_ = false;       // a print that somebody else began, and where it is is not known yet
  bool asking_ = false;          // which line it wants, by one that it should have
  bool sure_ = false;            // that it has all that was written: an answer may come twice, this one cannot
  bool lifted_ = false;          // for the pause that is to be
  std::string plainly_;          // to be written as it is
  std::string unread_;
  std::optional<double> heard_;
  double askedHeat_ = -1e9;
  int doubts_ = 0;  // how often it wanted a line in a row that it cannot want, and which
  std::size_t doubted_ = 0;
  double printedFor_ = 0;                             // s on the clock, but not while it stood still
  std::optional<double> began_, clock_;               // s of the print it began at; when that was added to
  std::optional<std::pair<double, double>> settled_;  // both, once the printer had planned as far ahead as it does
  bool relative_ = false;                             // positions, after the last line of the job in lines_
  std::string feed_;                                  // the last F word there
};

}  // namespace trellis
