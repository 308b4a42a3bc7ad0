// SPDX-License-Identifier: GPL-3.0-or-later
// The thread that builds. It always works on the newest project and gives up older ones.
#pragma once

#include "app/window/session.hpp"

#include <condition_variable>
#include <deque>
#include <functional>
#include <mutex>
#include <thread>

namespace trellis {

class Builder {
 public:
  // Called on the builder's own thread.
  struct Reports {
    std::function<void(const Shown&)> done;
    std::function<void(double, std::string)> progress;
    std::function<void(std::string)> failed;
  };
  explicit Builder(Reports reports);
  ~Builder();

  // Builds this next; a run for an older project is cancelled.
  void want(ProjectPtr project);
  // Other work on the same thread, such as reading a file, before any build and in the order asked;
  // cancelled by cancel() too.
  void doNext(std::function<void(const Progress&)> work);
  void cancel();

 private:
  void work();

  Reports reports_;
  std::mutex guard_;
  std::condition_variable wake_;
  ProjectPtr wanted_;
  std::deque<std::function<void(const Progress&)>> errands_;
  bool building_ = false;  // what runs is a build and no errand
  std::shared_ptr<Progress> running_;
  bool closing_ = false;
  std::thread thread_;
};

}  // namespace trellis
