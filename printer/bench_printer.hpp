// SPDX-License-Identifier: GPL-3.0-or-later
// A stand-in for a printer: takes the plain line protocol, keeps time by the motion rules of the real one, heats along
// a curve, knows where its nozzle is, and can be told to misbehave. It knows no wire and no clock.
#pragma once

#include "core/base/types.hpp"
#include "core/handover/line_protocol.hpp"

#include <deque>
#include <functional>
#include <string>
#include <string_view>

namespace trellis {

struct PrinterManners {
  double acceleration = 1500, cornerDeviation = 0.02;  // mm/s², mm: the table's usual values
  double secondsToHeat = 60;                           // for the nozzle to come within a degree of 210 °C
  std::size_t ahead = 32;                              // moves planned at most
  // Misbehaviour; 0: none of it.
  std::size_t garbleEvery = 0;         // bytes that arrive
  std::size_t garbleAnswersEvery = 0;  // bytes that are said
  std::size_t doubleEvery = 0;         // answers
  double stallAt = 0, stallFor = 0;    // s after it was switched on
  double filamentOutAt = 0;            // mm pushed out
  double overheatAt = 0;               // s
};

class BenchPrinter {
 public:
  explicit BenchPrinter(const PrinterManners& manners = {});

  void receive(std::string_view bytes);
  void advance(double seconds);  // of its own time
  std::string take();            // what it has said since
  // Switched off and on: it knows nothing, and everything is cold.
  void restart();

  // Every command with a number that it took, in order.
  void onTaken(std::function<void(std::size_t number, const std::string& command)> tell) { tell_ = std::move(tell); }

  Vec3 nozzle() const { return at_; }  // mm
  double filament() const { return pushed_; }
  const Heat& heat() const { return heat_; }
  double seconds() const { return now_; }  // since it was switched on
  bool isIdle() const { return moves_.empty() && unread_.empty() && busyFor_ <= 0 && !waiting_; }

 private:
  struct Move {
    Vec3 to;
    Vec2 direction;        // 0 where it does not move in the plane
    double length, speed;  // mm, mm/s
    double filament;       // mm
    double seconds = -1;   // planned when it begins
  };
  void readLines();
  bool mayTake() const;
  void takeLine(const std::string& text);
  void perform(const std::string& command);
  void move(const std::string& command);
  void begin();
  void end();
  void passBusy(double seconds);
  void heatUp(double seconds);
  bool isHot() const;
  void say(const std::string& words);
  void answer(const std::string& words = "");

  PrinterManners manners_;
  std::function<void(std::size_t, const std::string&)> tell_;
  std::string unread_, said_;
  std::deque<Move> moves_;
  std::size_t last_ = 0;  // line number taken
  Vec3 at_ = Vec3::Zero(), planned_ = Vec3::Zero();
  double pushed_ = 0, feed_ = 25, enter_ = 0;  // mm, mm/s, mm/s
  bool relative_ = false, relativeFilament_ = false;
  double filamentAt_ = 0;  // where the text thinks it is
  Heat heat_{22, 0, 22, 0};
  enum Wait { none, hot, settled } waits_ = none;
  bool waiting_ = false;  // a command that takes its time has not been answered
  bool noFilament_ = false, halted_ = false;
  double busyFor_ = 0, sinceBusy_ = 0, now_ = 0;
  std::size_t bytesIn_ = 0, bytesOut_ = 0, answers_ = 0;
};

}  // namespace trellis
