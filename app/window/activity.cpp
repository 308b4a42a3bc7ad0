// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/window/activity.hpp"

#include "app/theme/spoken.hpp"

#include <algorithm>

namespace trellis {

Activity::Activity(QObject* parent) : QObject(parent) { errands_ = std::make_unique<Worker>(reports()); }

Activity::~Activity() = default;

void Activity::here(std::function<void()> call) {
  QMetaObject::invokeMethod(this, std::move(call), Qt::QueuedConnection);
}

Worker::Reports Activity::reports() {
  const int worker = workers_++;
  return {[this, worker](double fraction, std::string stage) {
            here([=, this] { report(worker, fraction, QString::fromStdString(stage)); });
          },
          [this](const Sentence& sentence) { here([=, this] { fail(spoken(sentence)); }); }};
}

void Activity::write(const std::function<void(const Progress&)>& work, const Done& done,
                     const std::function<void()>& after) {
  errands_->doNext([=, this](const Progress& progress) {
    QString problem;
    try {
      work(progress);
    } catch (const Cancelled&) {
      problem = tr("Writing was given up. Nothing was changed.");
    } catch (const std::exception& error) {
      problem = spoken(error);
    }
    here([=, this] {
      if (!problem.isEmpty())
        fail(problem);
      else if (after)
        after();
      if (done) done(problem.isEmpty());
    });
  });
}

// Of several the one that has most left to do is shown.
void Activity::report(int worker, double fraction, const QString& stage) {
  if (fraction < 1)
    busy_[worker] = {fraction, stage};
  else
    busy_.erase(worker);
  if (busy_.empty()) return Q_EMIT progressed(1, "");
  const auto least = std::min_element(busy_.begin(), busy_.end(),
                                      [](const auto& a, const auto& b) { return a.second.first < b.second.first; });
  Q_EMIT progressed(least->second.first, least->second.second);
}

}  // namespace trellis
