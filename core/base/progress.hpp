// SPDX-License-Identifier: GPL-3.0-or-later
// How long work tells how far it is, and learns that nobody wants it any more.
#pragma once

#include "core/base/error.hpp"

#include <atomic>
#include <chrono>
#include <functional>
#include <string_view>

namespace trellis {

// One Progress accompanies one run; any thread may ask it. A default Progress reports to nobody and
// never cancels.
class Progress {
 public:
  // fraction is 0..1 over the whole run; stage is a short phrase such as "slicing".
  using Clock = std::chrono::steady_clock;
  using Report = std::function<void(double fraction, std::string_view stage)>;

  Progress() = default;
  explicit Progress(Report report) : report_(std::move(report)) {}

  void cancel() { cancelled_ = true; }
  // Cancels when so much time has passed, unless keep() is called before.
  void cancelAfter(Clock::duration time) { until_ = (Clock::now() + time).time_since_epoch().count(); }
  void keep() { until_ = never; }
  bool cancelled() const {
    const Clock::rep until = until_;
    return cancelled_ || (until != never && Clock::now().time_since_epoch().count() >= until);
  }

  // Throws Cancelled once cancel() has been called. Cheap enough for every layer of a loop.
  void check() const {
    if (cancelled()) throw Cancelled();
  }

  void report(double fraction, std::string_view stage) const {
    check();
    if (report_) report_(fraction, stage);
  }

 private:
  Report report_;
  static constexpr Clock::rep never = 0;
  std::atomic<bool> cancelled_{false};
  std::atomic<Clock::rep> until_{never};
};

}  // namespace trellis
