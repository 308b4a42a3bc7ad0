// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/window/worker.hpp"

#include <algorithm>

namespace trellis {

Worker::Worker(Reports reports) : reports_(std::move(reports)), thread_([this] { work(); }) {}

Worker::~Worker() {
  {
    const std::lock_guard lock(guard_);
    closing_ = true;
    if (running_) running_->cancel();
  }
  wake_.notify_one();
  thread_.join();
}

void Worker::doNext(Task task) {
  {
    const std::lock_guard lock(guard_);
    tasks_.push_back(std::move(task));
  }
  wake_.notify_one();
}

void Worker::doOnly(Task task) {
  cancel();
  doNext(std::move(task));
}

void Worker::cancel() {
  const std::lock_guard lock(guard_);
  tasks_.clear();
  if (running_) running_->cancel();
}

void Worker::work() {
  for (;;) {
    Task task;
    std::shared_ptr<Progress> progress;
    {
      std::unique_lock lock(guard_);
      wake_.wait(lock, [&] { return closing_ || !tasks_.empty(); });
      if (closing_) return;
      task = std::move(tasks_.front());
      tasks_.pop_front();
      progress = running_ = std::make_shared<Progress>([this](double fraction, std::string_view stage) {
        reports_.progress(std::min(fraction, 0.99), std::string(stage));
      });
    }
    try {
      task(*progress);
    } catch (const Cancelled&) {
    } catch (const std::bad_alloc&) {
      reports_.failed(say("There is not enough memory for this. Use a mesh with fewer facets, or thicker layers."));
    } catch (const std::exception& error) {
      reports_.failed(sentenceOf(error));
    }
    const std::lock_guard lock(guard_);
    running_ = nullptr;
    if (tasks_.empty()) reports_.progress(1, "");
  }
}

}  // namespace trellis
