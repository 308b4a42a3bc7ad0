// SPDX-License-Identifier: GPL-3.0-or-later
// What goes on in the background: how far it is, what failed, and the errands that are done one after the other.
#pragma once

#include "app/window/worker.hpp"

#include <QObject>
#include <QString>

#include <map>

namespace trellis {

class Activity : public QObject {
  Q_OBJECT
 public:
  explicit Activity(QObject* parent = nullptr);
  ~Activity() override;

  // What one worker is to report to. It counts as busy from its first report until it says that nothing is left; done
  // is said when the last of all is.
  Worker::Reports reports();
  // Files, meshes, trial prints: whatever is asked for and takes a while.
  Worker& errands() { return *errands_; }
  // Gives up all errands and waits for the one in hand. After that nothing may be asked of it any more.
  void finish() { errands_.reset(); }
  using Done = std::function<void(bool)>;  // on the window's thread, whether it could be done
  // An errand that writes a file. Whatever it throws is said in a sentence; after is done on the window's thread where
  // it throws nothing, and then whoever asked is told.
  void write(const std::function<void(const Progress&)>& work, const Done& done,
             const std::function<void()>& after = {});
  void fail(const QString& sentence) { Q_EMIT failed(sentence); }
  // Runs something on the window's thread. One that arrives after this is gone is dropped.
  void here(std::function<void()> call);

 Q_SIGNALS:
  void progressed(double fraction, const QString& stage);  // fraction 1: nothing is running
  void failed(const QString& sentence);

 private:
  void report(int worker, double fraction, const QString& stage);

  std::map<int, std::pair<double, QString>> busy_;  // by worker
  int workers_ = 0;
  std::unique_ptr<Worker> errands_;  // last, so that its thread ends before anything it reports to
};

}  // namespace trellis
