// SPDX-License-Identifier: GPL-3.0-or-later
// How much memory a value takes, without anybody adding it up.
#pragma once

#include "core/base/members.hpp"

#include <memory>
#include <ranges>
#include <string>
#include <type_traits>

namespace trellis {

// A class that keeps its members to itself says how much it holds.
template <typename T>
concept SizedByFunction = requires(const T& value) {
  { value.bytes() } -> std::convertible_to<std::size_t>;
};

template <typename T>
concept CopyableRange =
    std::ranges::contiguous_range<const T> && std::is_trivially_copyable_v<std::ranges::range_value_t<const T>>;

// Bytes of a value with what it alone holds; what it shares with others by pointers is theirs. Weak: nodes of maps
// count by their values only, and classes that say nothing by what they are at least.
template <typename T>
std::size_t bytesOf(const T& value) {
  if constexpr (SizedByFunction<T>) {
    return sizeof(T) + value.bytes();
  } else if constexpr (CopyableRange<T>) {
    return sizeof(T) + std::ranges::size(value) * sizeof(std::ranges::range_value_t<const T>);
  } else if constexpr (std::ranges::forward_range<const T>) {
    std::size_t sum = sizeof(T);
    for (const auto& item : value) sum += bytesOf(item);
    return sum;
  } else if constexpr (std::is_aggregate_v<T>) {
    std::size_t sum = sizeof(T);
    forEachMember(value, [&](const auto& member) { sum += bytesOf(member) - sizeof(member); });
    return sum;
  } else {
    return sizeof(T);
  }
}

}  // namespace trellis
