// SPDX-License-Identifier: GPL-3.0-or-later
// Everything that was computed, by the key of what it was computed from.
#pragma once

#include "core/base/key.hpp"
#include "core/base/progress.hpp"
#include "core/base/size.hpp"

#include <tbb/task_arena.h>
#include <chrono>
#include <condition_variable>
#include <functional>

#include <map>
#include <memory>
#include <mutex>
#include <string>
#include <string_view>
#include <thread>
#include <unordered_map>
#include <vector>

namespace trellis {

// A result with the key of what it was made from. Whatever is made from it in turn is keyed by that, not by its bytes.
template <typename T>
struct Kept {
  Key key = 0;
  std::shared_ptr<const T> value = {};

  const T& operator*() const { return *value; }
  const T* operator->() const { return value.get(); }
};

// How one result is made: a pure function of its inputs, a plain struct of values. The inputs' members are the key.
template <typename Value, typename Inputs>
struct Recipe {
  const char* name;
  Value (*make)(const Inputs& inputs, const Progress& progress);
};

// How often a recipe was asked for a result and had to make it, and how many of its results are there.
struct StoreCount {
  std::size_t made = 0, found = 0, kept = 0;
};

// Safe from several threads: what one is making the others wait for, unless they give up. Finished values survive a
// request that is given up. Over the budget of bytes the values that were longest unused go first, never one that
// somebody holds.
class Store {
 public:
  static constexpr std::size_t wholeMemory = 0;  // a quarter of what the machine has
  explicit Store(std::size_t budget = wholeMemory);
  // Waits for what is still being made and nobody wants any more.
  ~Store();
  Store(const Store&) = delete;
  Store& operator=(const Store&) = delete;

  // For the many small results of a step: made on the calling thread, under the caller's progress. Throws what making
  // throws, and Cancelled when progress is given up while another thread makes it.
  template <typename Value, typename Inputs>
  Kept<Value> get(const Recipe<Value, Inputs>& recipe, const Inputs& inputs, const Progress& progress) {
    const Key key = keyOf(std::string_view(recipe.name), inputs);
    return {key, kept<Value>(recipe.name, key, progress,
                             [&] { return sized(std::make_shared<const Value>(recipe.make(inputs, progress))); })};
  }

  // For the few large ones: made on a thread of its own, which goes on for a while when the caller gives up, so that
  // the next request finds it on its way instead of beginning again. Giving up returns at once.
  template <typename Value, typename Inputs>
  Kept<Value> getAside(const Recipe<Value, Inputs>& recipe, const Inputs& inputs, const Progress& progress) {
    return getAside<Value>(recipe.name, inputs, progress, usualGrace,
                           [make = recipe.make, inputs](const Progress& own) { return make(inputs, own); });
  }
  // The same for what needs more than its inputs to be made, such as the store itself, and tells whoever waits how far
  // it is. grace is how long it goes on when nobody wants it any more.
  template <typename Value, typename Inputs, typename Make>
  Kept<Value> getAside(const char* name, const Inputs& inputs, const Progress& progress,
                       std::chrono::milliseconds grace, Make make) {
    const Key key = keyOf(std::string_view(name), inputs);
    return {key, std::static_pointer_cast<const Value>(
                     aside({name, key, grace}, progress, [make = std::move(make)](const Progress& own) {
                       return sized(std::make_shared<const Value>(make(own)));
                     }))};
  }

  std::size_t bytes() const;
  std::map<std::string_view, StoreCount> counts() const;  // by recipe, since the store was made

 private:
  // By when the next request has asked for it if it wants it too.
  static constexpr std::chrono::milliseconds usualGrace{400};

  struct Order {
    const char* name;
    Key key;
    std::chrono::milliseconds grace;
  };
  using Value = std::shared_ptr<const void>;
  using Sized = std::pair<Value, std::size_t>;  // with its bytes
  // What was reported last of what is made aside, until whoever waits has passed it on.
  struct Told {
    std::mutex guard;
    double fraction = -1;
    std::string stage;
  };
  struct Entry {
    Value value;
    std::string_view name = {};  // of its recipe
    std::size_t bytes = 0;
    std::uint64_t used = 0;  // when it was asked for last
    bool inWork = false;
    std::shared_ptr<Progress> progress;  // of what is made aside
    std::shared_ptr<Told> told;
    int waiting = 0;  // how many want what is made aside
  };

  template <typename T>
  static Sized sized(std::shared_ptr<const T> value) {
    const std::size_t bytes = bytesOf(*value);
    return {std::move(value), bytes};
  }
  template <typename T, typename Make>
  std::shared_ptr<const T> kept(const char* name, Key key, const Progress& progress, const Make& make) {
    Value value = begin(name, key, progress);
    if (!value) {
      try {
        // Else this thread, waiting for a loop within, could take up other work that waits for this very value.
        value = finish(name, key, tbb::this_task_arena::isolate(make));
      } catch (...) {
        drop(key);
        throw;
      }
    }
    return std::static_pointer_cast<const T>(value);
  }
  Value begin(const char* name, Key key, const Progress& progress);  // null: the caller is to make it
  Value finish(const char* name, Key key, Sized made);
  void drop(Key key);
  Value aside(const Order& order, const Progress& progress, std::function<Sized(const Progress&)> make);
  static void passOn(Told& told, const Progress& progress);
  void work(const Order& order, const std::shared_ptr<Progress>& own,
            const std::function<Sized(const Progress&)>& make);
  void joinEnded();
  void shrink();

  const std::size_t budget_;
  mutable std::mutex guard_;
  std::condition_variable changed_;
  std::unordered_map<Key, Entry> entries_;
  std::map<std::string_view, StoreCount> counts_;
  std::map<Key, std::exception_ptr> failed_;  // what was made aside and threw, until whoever waits has taken it
  std::size_t bytes_ = 0;
  std::uint64_t clock_ = 0;
  std::map<std::thread::id, std::thread> running_;
  std::vector<std::thread> ended_;  // until somebody waits for their very end
};

}  // namespace trellis
