// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/results/store.hpp"

#include <unistd.h>

#include <algorithm>
#include <vector>

namespace trellis {

namespace {

using std::chrono::milliseconds;
constexpr milliseconds looking{5};  // how often whoever waits looks whether it is still wanted

std::size_t quarterOfMemory() {
  return static_cast<std::size_t>(::sysconf(_SC_PHYS_PAGES)) * static_cast<std::size_t>(::sysconf(_SC_PAGE_SIZE)) / 4;
}

}  // namespace

Store::Store(std::size_t budget) : budget_(budget == wholeMemory ? quarterOfMemory() : budget) {}

Store::~Store() {
  std::unique_lock lock(guard_);
  for (auto& [key, entry] : entries_)
    if (entry.progress) entry.progress->cancel();
  changed_.wait(lock, [&] { return running_.empty(); });
  lock.unlock();
  joinEnded();
}

// What a thread holds is let go at its very end, after its work: nobody may outlive the store, or even the program.
void Store::joinEnded() {
  std::vector<std::thread> ended;
  {
    const std::lock_guard lock(guard_);
    ended.swap(ended_);
  }
  for (std::thread& thread : ended) thread.join();
}

Store::Value Store::begin(const char* name, Key key, const Progress& progress) {
  std::unique_lock lock(guard_);
  for (;;) {
    Entry& entry = entries_[key];
    if (entry.value) {
      ++counts_[name].found;
      entry.used = ++clock_;
      return entry.value;
    }
    if (!entry.inWork) {
      entry.inWork = true;
      return nullptr;
    }
    changed_.wait_for(lock, looking);
    progress.check();
  }
}

Store::Value Store::finish(const char* name, Key key, Sized made) {
  const std::lock_guard lock(guard_);
  Entry& entry = entries_[key];
  entry.inWork = false;
  entry.progress.reset();
  entry.value = std::move(made.first);
  entry.name = name;
  entry.bytes = made.second;
  entry.used = ++clock_;
  bytes_ += entry.bytes;
  ++counts_[name].made;
  const Value value = entry.value;
  shrink();
  changed_.notify_all();
  return value;
}

void Store::drop(Key key) {
  const std::lock_guard lock(guard_);
  entries_.erase(key);
  changed_.notify_all();
}

Store::Value Store::aside(const Order& order, const Progress& progress, std::function<Sized(const Progress&)> make) {
  joinEnded();
  const Key key = order.key;
  std::unique_lock lock(guard_);
  bool waiting = false;
  for (;;) {
    Entry& entry = entries_[key];
    if (entry.value) {
      if (!waiting) ++counts_[order.name].found;
      entry.waiting -= waiting;
      entry.used = ++clock_;
      return entry.value;
    }
    if (const auto failed = failed_.find(key); waiting && failed != failed_.end()) {
      const std::exception_ptr error = failed->second;
      if (--entry.waiting == 0) failed_.erase(failed), entries_.erase(key);
      std::rethrow_exception(error);
    }
    if (!waiting) {
      ++entry.waiting;
      waiting = true;
    }
    if (!entry.inWork) {
      failed_.erase(key);
      entry.inWork = true;
      entry.told = std::make_shared<Told>();
      entry.progress = std::make_shared<Progress>([told = entry.told](double fraction, std::string_view stage) {
        const std::lock_guard telling(told->guard);
        told->fraction = fraction;
        told->stage = stage;
      });
      std::thread thread([this, order, own = entry.progress, make] { work(order, own, make); });
      running_.emplace(thread.get_id(), std::move(thread));  // it ends under the guard, so not before this
    } else if (entry.progress) {
      entry.progress->keep();
    }
    const std::shared_ptr<Told> told = entry.told;
    changed_.wait_for(lock, looking);
    if (told && order.grace.count() == 0) {
      lock.unlock();  // whoever is told may ask the store for something
      passOn(*told, progress);
      lock.lock();
    }
    if (progress.cancelled()) {
      Entry& left = entries_[key];
      if (--left.waiting <= 0 && left.progress) left.progress->cancelAfter(order.grace);
      throw Cancelled();
    }
  }
}

void Store::passOn(Told& told, const Progress& progress) {
  double fraction = -1;
  std::string stage;
  {
    const std::lock_guard telling(told.guard);
    std::swap(fraction, told.fraction);
    stage = told.stage;
  }
  if (fraction < 0) return;
  try {
    progress.report(fraction, stage);
  } catch (const Cancelled&) {  // whoever waits sees it for himself
  }
}

void Store::work(const Order& order, const std::shared_ptr<Progress>& own,
                 const std::function<Sized(const Progress&)>& make) {
  const Key key = order.key;
  try {
    finish(order.name, key, make(*own));
  } catch (const Cancelled&) {
    const std::lock_guard lock(guard_);
    Entry& entry = entries_[key];  // whoever came back for it in the last moment begins it again
    entry.inWork = false;
    entry.progress.reset();
    if (entry.waiting == 0) entries_.erase(key);
  } catch (...) {
    const std::lock_guard lock(guard_);
    Entry& entry = entries_[key];
    if (entry.waiting > 0) {
      failed_[key] = std::current_exception();
      entry.inWork = false;
      entry.progress.reset();
    } else {
      entries_.erase(key);
    }
  }
  const std::lock_guard lock(guard_);
  ended_.push_back(std::move(running_.extract(std::this_thread::get_id()).mapped()));
  changed_.notify_all();
}

// Weak: it looks at every entry, so it goes a tenth below the budget to be called seldom. What only an idle value holds
// becomes idle when that goes, hence the rounds.
void Store::shrink() {
  while (bytes_ > budget_) {
    std::vector<std::pair<std::uint64_t, Key>> idle;
    for (const auto& [key, entry] : entries_)
      if (entry.value && entry.value.use_count() == 1 && entry.waiting <= 0 && entry.used != clock_)
        idle.emplace_back(entry.used, key);
    if (idle.empty()) return;
    std::sort(idle.begin(), idle.end());
    for (const auto& [used, key] : idle) {
      if (bytes_ <= budget_ - budget_ / 10) break;
      bytes_ -= entries_[key].bytes;
      entries_.erase(key);
    }
  }
}

std::size_t Store::bytes() const {
  const std::lock_guard lock(guard_);
  return bytes_;
}

std::map<std::string_view, StoreCount> Store::counts() const {
  const std::lock_guard lock(guard_);
  std::map<std::string_view, StoreCount> counts = counts_;
  for (const auto& [key, entry] : entries_)
    if (entry.value) ++counts[entry.name].kept;
  return counts;
}

}  // namespace trellis
