// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/window/sweeper.hpp"

#include <algorithm>

namespace trellis {

Sweeper::Sweeper(Document& document, Builder& builder, Store& store, QObject* parent)
    : QObject(parent), document_(document), builder_(builder), store_(store) {
  worker_ = std::make_unique<Worker>(Worker::Reports{[](double, const std::string&) {}, [](const std::string&) {}});
  // A stroke has the machine to itself; the sweep goes on when it is built.
  connect(&document, &Document::changed, this, [this] { worker_->cancel(); });
  connect(&builder, &Builder::shownChanged, this, [this] {
    if (running_ && !builder_.isStale()) goOn();
  });
  connect(&document, &Document::replaced, this, [this] {
    stop();
    combinations_.clear();
    results_.clear();
    Q_EMIT changed();
  });
}

Sweeper::~Sweeper() = default;

void Sweeper::start(const SweepSpec& spec) {
  std::vector<Combination> combinations = combinationsOf(*document_.project(), spec);
  worker_->cancel();
  spec_ = spec;
  project_ = withoutShelf(document_.project());
  combinations_ = std::move(combinations);
  results_.assign(combinations_.size(), {});
  ++run_;
  resume();
}

void Sweeper::stop() {
  running_ = false;
  worker_->cancel();
  Q_EMIT changed();
}

void Sweeper::resume() {
  running_ = done() < combinations_.size();
  Q_EMIT changed();
  if (running_ && !builder_.isStale()) goOn();
}

std::size_t Sweeper::count(SweepState state) const {
  return static_cast<std::size_t>(std::count_if(results_.begin(), results_.end(),
                                                [&](const SweepResult& result) { return result.state == state; }));
}

std::size_t Sweeper::done() const { return results_.size() - count(SweepState::ahead); }

void Sweeper::goOn() {
  const auto next = std::find_if(results_.begin(), results_.end(),
                                 [](const SweepResult& result) { return result.state == SweepState::ahead; });
  if (next == results_.end()) {
    running_ = false;
    return Q_EMIT changed();
  }
  const auto index = static_cast<std::size_t>(next - results_.begin());
  worker_->doOnly([this, index, run = run_, project = project_, one = combinations_[index],
                   limits = spec_.limits](const Progress& progress) {
    const SweepResult result = builtOf(store_, *project, one, limits, progress);
    QMetaObject::invokeMethod(
        this,
        [this, index, run, result] {
          if (run != run_) return;
          results_[index] = result;
          Q_EMIT changed();
          if (running_ && !builder_.isStale()) goOn();
        },
        Qt::QueuedConnection);
  });
}

}  // namespace trellis
