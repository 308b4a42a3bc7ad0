// SPDX-License-Identifier: GPL-3.0-or-later
// Builds the combinations of a sweep while nothing else is built.
#pragma once

#include "app/window/builder.hpp"
#include "core/learn/sweep.hpp"

namespace trellis {

class Sweeper : public QObject {
  Q_OBJECT
 public:
  Sweeper(Document& document, Builder& builder, Store& store, QObject* parent = nullptr);
  ~Sweeper() override;

  // Throws Error when the combinations are too many or a value is out of its range. What ran before is given up.
  void start(const SweepSpec& spec);
  void stop();    // what is built stays
  void resume();  // builds what is left

  const SweepSpec& spec() const { return spec_; }
  const std::vector<Combination>& combinations() const { return combinations_; }
  const std::vector<SweepResult>& results() const { return results_; }  // as combinations
  const ProjectPtr& project() const { return project_; }                // that it is of
  std::size_t count(SweepState state) const;
  std::size_t done() const;  // built, failed or dropped
  bool isRunning() const { return running_; }

 Q_SIGNALS:
  void changed();

 private:
  void goOn();

  Document& document_;
  Builder& builder_;
  Store& store_;
  SweepSpec spec_;
  ProjectPtr project_;
  std::vector<Combination> combinations_;
  std::vector<SweepResult> results_;
  std::size_t run_ = 0;  // counts starts, so that what is late is known
  bool running_ = false;
  std::unique_ptr<Worker> worker_;  // last, so that its thread ends before anything it reports to
};

}  // namespace trellis
