// SPDX-License-Identifier: GPL-3.0-or-later
// A 64-bit key of what a value was made from. For caches and change detection, not for security.
#pragma once

#include "core/base/members.hpp"

#include <Eigen/Core>
#include <Eigen/Geometry>

#include <cstdint>
#include <cstring>
#include <iterator>
#include <memory>
#include <optional>
#include <ranges>
#include <string_view>
#include <type_traits>
#include <utility>
#include <variant>

namespace trellis {

using Key = std::uint64_t;

// What carries a key of its own: a mesh, a set of marks, a kept result.
template <typename T>
concept KeyedByMember = requires(const T& value) {
  { value.key } -> std::convertible_to<Key>;
};
template <typename T>
concept KeyedByFunction = requires(const T& value) {
  { value.key() } -> std::convertible_to<Key>;
};

// Many plain values in one stretch of memory, without gaps between them.
template <typename T>
concept PackedRange = std::ranges::contiguous_range<const T> &&
    std::has_unique_object_representations_v<std::ranges::range_value_t<const T>>;

// Collects values into one key; the order of adding matters. Of a struct every member counts, without anybody listing
// them; what has a key of its own counts by that. Mixing function: the finaliser of SplitMix64 (Steele, Lea, Flood,
// "Fast splittable pseudorandom number generators", 2014).
class KeyBuilder {
 public:
  template <typename T>
  KeyBuilder& add(const T& value) {
    if constexpr (std::is_same_v<T, double> || std::is_same_v<T, float>)
      mixNumber(static_cast<double>(value));
    else if constexpr (std::is_enum_v<T> || std::is_integral_v<T>)
      mix(static_cast<std::uint64_t>(value));
    else if constexpr (std::is_convertible_v<const T&, std::string_view>)
      mixText(value);
    else if constexpr (KeyedByFunction<T>)
      mix(value.key());
    else if constexpr (KeyedByMember<T>)
      mix(value.key);
    else
      addComposed(value);
    return *this;
  }
  // Of many plain values at once.
  KeyBuilder& addBytes(const void* data, std::size_t size) {
    mixBytes(data, size);
    return *this;
  }
  Key key() const { return state_; }

 private:
  void mix(std::uint64_t word) {
    std::uint64_t z = state_ + 0x9e3779b97f4a7c15ULL + word * 0xff51afd7ed558ccdULL;
    z = (z ^ (z >> 30)) * 0xbf58476d1ce4e5b9ULL;
    z = (z ^ (z >> 27)) * 0x94d049bb133111ebULL;
    state_ = z ^ (z >> 31);
  }
  void mixNumber(double value) {
    std::uint64_t word = 0;
    std::memcpy(&word, &value, sizeof word);
    mix(word);
  }
  void mixText(std::string_view text) {
    mixBytes(text.data(), text.size());
    mix(text.size());
  }
  void mixBytes(const void* data, std::size_t size) {
    const char* at = static_cast<const char*>(data);
    for (; size >= 8; at += 8, size -= 8) {
      std::uint64_t word = 0;
      std::memcpy(&word, at, 8);
      mix(word);
    }
    if (size == 0) return;
    std::uint64_t rest = size;
    std::memcpy(&rest, at, size);
    mix(rest);
  }

  template <typename T>
  static constexpr bool isPointer = requires(const T& value) {
    static_cast<bool>(value);
    *value;
  };

  template <typename Scalar, int Rows, int Columns, int Options, int MostRows, int MostColumns>
  void addComposed(const Eigen::Matrix<Scalar, Rows, Columns, Options, MostRows, MostColumns>& matrix) {
    for (const Scalar value : matrix.reshaped()) mixNumber(static_cast<double>(value));
  }
  void addComposed(const Eigen::Affine3d& transform) { addComposed(transform.matrix()); }
  template <typename Scalar, int Size>
  void addComposed(const Eigen::AlignedBox<Scalar, Size>& box) {
    addComposed(box.min());
    addComposed(box.max());
  }
  template <typename First, typename Second>
  void addComposed(const std::pair<First, Second>& pair) {
    add(pair.first);
    add(pair.second);
  }
  template <typename... Choices>
  void addComposed(const std::variant<Choices...>& variant) {
    mix(variant.index());
    std::visit([&](const auto& value) { add(value); }, variant);
  }
  template <typename T>
  void addComposed(const T& value) {
    if constexpr (isPointer<T>) {
      mix(value ? 1 : 0);
      if (value) add(*value);
    } else if constexpr (PackedRange<T>) {
      mix(std::ranges::size(value));
      mixBytes(std::ranges::data(value), std::ranges::size(value) * sizeof(std::ranges::range_value_t<const T>));
    } else if constexpr (std::ranges::range<const T>) {
      mix(static_cast<std::uint64_t>(std::ranges::distance(value)));
      for (const auto& item : value) add(item);
    } else {
      forEachMember(value, [&](const auto& member) { add(member); });
    }
  }

  std::uint64_t state_ = 0x6d65656b;
};

// Of one value, or of several in this order.
template <typename... T>
Key keyOf(const T&... values) {
  KeyBuilder builder;
  (builder.add(values), ...);
  return builder.key();
}

}  // namespace trellis
