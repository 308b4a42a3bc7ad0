// SPDX-License-Identifier: GPL-3.0-or-later
// A thread that does one thing after another and can be told that nobody wants it any more.
#pragma once

#include "core/base/progress.hpp"

#include <condition_variable>
#include <deque>
#include <functional>
#include <memory>
#include <mutex>
#include <string>
#include <thread>

namespace trellis {

class Worker {
 public:
  // Called on the worker's own thread. A fraction of 1 says that nothing is left to do.
  struct Reports {
    std::function<void(double, std::string)> progress;
    std::function<void(const Sentence&)> failed;
  };
  using Task = std::function<void(const Progress&)>;

  explicit Worker(Reports reports);
  ~Worker();

  void doNext(Task task);  // after everything asked for before
  void doOnly(Task task);  // instead of it
  void cancel();

 private:
  void work();

  Reports reports_;
  std::mutex guard_;
  std::condition_variable wake_;
  std::deque<Task> tasks_;
  std::shared_ptr<Progress> running_;
  bool closing_ = false;
  std::thread thread_;
};

}  // namespace trellis
