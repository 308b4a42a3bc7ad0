// SPDX-License-Identifier: GPL-3.0-or-later
// How long work tells how far it is, and learns that nobody wants it any more.
#pragma once

#include "core/base/error.hpp"

#include <atomic>
#include <functional>
#include <string_view>

namespace trellis {

// One Progress accompanies one run; any thread may ask it. A default Progress reports to nobody and
// never cancels.
class Progress {
 public:
  // fraction is 0..1 over the whole run; stage is a short phrase such as "slicing".
  using Report = std::function<void(double fraction, std::string_view stage)>;

  Progress() = default;
  explicit Progress(Report report) : report_(std::move(report)) {}

  void cancel() { cancelled_ = true; }
  bool cancelled() const { return cancelled_; }

  // Throws Cancelled once cancel() has been called. Cheap enough for every layer of a loop.
  void check() const {
    if (cancelled_) throw Cancelled();
  }

  void report(double fraction, std::string_view stage) const {
    check();
    if (report_) report_(fraction, stage);
  }

 private:
  Report report_;
  std::atomic<bool> cancelled_{false};
};

}  // namespace trellis
