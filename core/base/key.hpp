// SPDX-License-Identifier: GPL-3.0-or-later
// A 64-bit key of what a value was made from. For caches and change detection, not for security.
#pragma once

#include <cstdint>
#include <cstring>
#include <string_view>
#include <type_traits>

namespace trellis {

// Collects values into one key; the order of adding matters. Mixing function: the finaliser of
// SplitMix64 (Steele, Lea, Flood, "Fast splittable pseudorandom number generators", 2014).
class KeyBuilder {
 public:
  KeyBuilder& add(std::uint64_t word) {
    std::uint64_t z = state_ + 0x9e3779b97f4a7c15ULL + word * 0xff51afd7ed558ccdULL;
    z = (z ^ (z >> 30)) * 0xbf58476d1ce4e5b9ULL;
    z = (z ^ (z >> 27)) * 0x94d049bb133111ebULL;
    state_ = z ^ (z >> 31);
    return *this;
  }
  template <typename T>
  requires(std::is_enum_v<T> || (std::is_integral_v<T> && !std::is_same_v<T, std::uint64_t>)) KeyBuilder& add(T value) {
    return add(static_cast<std::uint64_t>(value));
  }
  KeyBuilder& add(double value) {
    std::uint64_t word = 0;
    std::memcpy(&word, &value, sizeof word);
    return add(word);
  }
  KeyBuilder& add(std::string_view text) { return addBytes(text.data(), text.size()).add(text.size()); }
  KeyBuilder& addBytes(const void* data, std::size_t size) {
    const char* at = static_cast<const char*>(data);
    for (; size >= 8; at += 8, size -= 8) {
      std::uint64_t word = 0;
      std::memcpy(&word, at, 8);
      add(word);
    }
    if (size == 0) return *this;
    std::uint64_t rest = size;
    std::memcpy(&rest, at, size);
    return add(rest);
  }
  std::uint64_t key() const { return state_; }

 private:
  std::uint64_t state_ = 0x6d65656b;
};

}  // namespace trellis
