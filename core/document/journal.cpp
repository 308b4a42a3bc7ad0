// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/document/journal.hpp"

#include "core/base/user_folder.hpp"
#include "core/document/journal_file.hpp"

#include <algorithm>
#include <chrono>
#include <condition_variable>
#include <ctime>
#include <mutex>
#include <thread>
#include <utility>

namespace trellis {

namespace {

using Clock = std::chrono::steady_clock;
constexpr auto syncEvery = std::chrono::milliseconds(300);

}  // namespace

std::filesystem::path journalFolder() { return userFolder("XDG_STATE_HOME", ".local/state") / "journals"; }

class Journal::Writer {
 public:
  explicit Writer(std::filesystem::path folder) : folder_(std::move(folder)), thread_([this] { work(); }) {}

  ~Writer() {
    {
      const std::lock_guard lock(guard_);
      closing_ = true;
    }
    wake_.notify_all();
    thread_.join();
  }

  // A state that waits to be written gives way to the next: each is whole.
  void record(JournalState state) {
    {
      const std::lock_guard lock(guard_);
      waiting_ = std::move(state);
      dropping_ = false;
    }
    wake_.notify_all();
  }

  void drop() {
    {
      const std::lock_guard lock(guard_);
      waiting_.reset();
      dropping_ = true;
    }
    wake_.notify_all();
    flush();
  }

  void flush() {
    std::unique_lock lock(guard_);
    hurry_ = true;
    wake_.notify_all();
    done_.wait(lock, [&] { return !waiting_ && !dropping_ && !busy_ && !unsynced_; });
    hurry_ = false;
  }

  std::optional<Sentence> problem() {
    const std::lock_guard lock(guard_);
    return std::exchange(problem_, std::nullopt);
  }

 private:
  void work() {
    std::unique_lock lock(guard_);
    for (;;) {
      const auto wanted = [&] { return closing_ || waiting_ || dropping_ || (hurry_ && unsynced_); };
      if (unsynced_)
        wake_.wait_until(lock, lastSync_ + syncEvery, wanted);
      else
        wake_.wait(lock, wanted);
      busy_ = true;
      const std::optional<JournalState> state = std::exchange(waiting_, std::nullopt);
      const bool dropping = std::exchange(dropping_, false), closing = closing_, hurry = hurry_;
      lock.unlock();
      std::optional<Sentence> said;
      try {
        step(state, dropping, closing || hurry);
      } catch (const std::exception& error) {
        said = sentenceOf(error);
        file_.reset();  // the next state begins a new one
      }
      lock.lock();
      if (said) problem_ = say("What you do is not kept safe against a crash: {}", *said);
      if (!file_) unsynced_ = false;
      busy_ = false;
      done_.notify_all();
      if (closing && !waiting_) return;
    }
  }

  void step(const std::optional<JournalState>& state, bool dropping, bool now) {
    if (dropping && file_) {
      file_->remove();
      file_.reset();
      unsynced_ = false;
    }
    if (state) {
      if (file_ && file_->isGone()) file_.reset();  // its folder vanished
      if (!file_) file_ = std::make_unique<JournalFile>(folder_);
      file_->append(*state);
      unsynced_ = true;
    }
    if (!file_ || !unsynced_ || !(now || Clock::now() >= lastSync_ + syncEvery)) return;
    file_->sync();
    lastSync_ = Clock::now();
    unsynced_ = false;
  }

  const std::filesystem::path folder_;
  std::mutex guard_;
  std::condition_variable wake_, done_;
  std::optional<JournalState> waiting_;
  std::optional<Sentence> problem_;
  bool dropping_ = false, closing_ = false, busy_ = false, hurry_ = false, unsynced_ = false;
  Clock::time_point lastSync_ = Clock::now() - syncEvery;
  std::unique_ptr<JournalFile> file_;  // of the thread alone
  std::thread thread_;
};

Journal::Journal(std::filesystem::path folder) : writer_(std::make_unique<Writer>(std::move(folder))) {}
Journal::~Journal() = default;

void Journal::record(ProjectPtr project, std::string step, std::size_t steps, std::string file) {
  writer_->record({std::move(project), std::move(step), steps, std::move(file), std::time(nullptr)});
}
void Journal::drop() { writer_->drop(); }
void Journal::flush() { writer_->flush(); }
std::optional<Sentence> Journal::problem() { return writer_->problem(); }

std::vector<LeftJournal> leftJournals(const std::filesystem::path& folder) {
  std::vector<LeftJournal> all;
  std::error_code none;
  for (const auto& entry : std::filesystem::directory_iterator(folder, none)) {
    if (entry.path().extension() != journalExtension || isBeingWritten(entry.path())) continue;
    try {
      all.push_back(recover(entry.path()).journal);
    } catch (const std::exception&) {  // nothing in it to offer
    }
  }
  std::sort(all.begin(), all.end(), [](const LeftJournal& a, const LeftJournal& b) {
    return std::pair(b.time, a.id) < std::pair(a.time, b.id);
  });
  return all;
}

Recovered recover(const std::filesystem::path& path) {
  const ReadJournal read = readJournal(path);
  Recovered recovered{{path, path.stem().string(), read.state.file, read.state.step, read.state.steps, read.state.time},
                      read.state.project,
                      read.cutOff};
  return recovered;
}

}  // namespace trellis
