// SPDX-License-Identifier: GPL-3.0-or-later
// Costly values made once per key and shared while anybody holds them.
#pragma once

#include <cstdint>
#include <map>
#include <memory>
#include <mutex>

namespace trellis {

template <typename T>
class SharedByKey {
 public:
  // Safe from several threads; whoever comes second waits for the first.
  template <typename Make>
  std::shared_ptr<const T> get(std::uint64_t key, const Make& make) {
    const std::lock_guard lock(guard_);
    std::shared_ptr<const T> value = values_[key].lock();
    if (!value) values_[key] = value = make();
    std::erase_if(values_, [](const auto& entry) { return entry.second.expired(); });
    return value;
  }

 private:
  std::mutex guard_;
  std::map<std::uint64_t, std::weak_ptr<const T>> values_;
};

}  // namespace trellis
