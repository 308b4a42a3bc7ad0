// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/window/builder.hpp"

#include "core/pipeline/pipeline.hpp"

namespace trellis {

Builder::Builder(Reports reports) : reports_(std::move(reports)), thread_([this] { work(); }) {}

Builder::~Builder() {
  {
    const std::lock_guard lock(guard_);
    closing_ = true;
    if (running_) running_->cancel();
  }
  wake_.notify_one();
  thread_.join();
}

void Builder::want(ProjectPtr project) {
  {
    const std::lock_guard lock(guard_);
    wanted_ = std::move(project);
    if (running_ && building_) running_->cancel();
  }
  wake_.notify_one();
}

void Builder::doNext(std::function<void(const Progress&)> work) {
  {
    const std::lock_guard lock(guard_);
    errands_.push_back(std::move(work));
    if (running_ && building_) running_->cancel();
  }
  wake_.notify_one();
}

void Builder::cancel() {
  const std::lock_guard lock(guard_);
  wanted_ = nullptr;
  errands_.clear();
  if (running_) running_->cancel();
}

void Builder::work() {
  Pipeline pipeline;
  for (;;) {
    ProjectPtr project;
    std::function<void(const Progress&)> errand;
    std::shared_ptr<Progress> progress;
    {
      std::unique_lock lock(guard_);
      wake_.wait(lock, [&] { return closing_ || wanted_ || !errands_.empty(); });
      if (closing_) return;
      building_ = errands_.empty();
      if (building_) {
        project = std::exchange(wanted_, nullptr);
      } else {
        errand = std::move(errands_.front());
        errands_.pop_front();
      }
      progress = running_ = std::make_shared<Progress>(
          [this](double fraction, std::string_view stage) { reports_.progress(std::min(fraction, 0.99), std::string(stage)); });
    }
    try {
      if (errand) {
        errand(*progress);
      } else {
        Shown shown{project, pipeline.run(*project, *progress), nullptr};
        shown.supports = std::make_shared<const SupportSolid>(solidOf(*shown.build->support, *progress));
        reports_.done(shown);
      }
    } catch (const Cancelled&) {
    } catch (const std::bad_alloc&) {
      reports_.failed("There is not enough memory for this. Use a mesh with fewer facets, or thicker layers.");
    } catch (const std::exception& error) {
      reports_.failed(error.what());
    }
    const std::lock_guard lock(guard_);
    running_ = nullptr;
    if (!wanted_ && errands_.empty()) reports_.progress(1, "");
  }
}

}  // namespace trellis
