// SPDX-License-Identifier: GPL-3.0-or-later
// Changes one thing of a value after the other.
#pragma once

#include "core/document/part.hpp"
#include "core/results/store.hpp"

#include <string>

namespace trellis::test {

template <typename T, typename Visit>
int forEachChange(T& value, const Visit& visit, const std::string& where = "");

namespace changing {

// Replaced by another and put back.
template <typename T, typename Visit>
int replaced(T& value, T other, const Visit& visit, const std::string& where) {
  std::swap(value, other);
  visit(where);
  std::swap(value, other);
  return 1;
}

template <typename T>
constexpr bool isKept = false;
template <typename T>
constexpr bool isKept<Kept<T>> = true;
template <typename T>
constexpr bool isShared = false;
template <typename T>
constexpr bool isShared<std::shared_ptr<T>> = true;

// A value unlike any that comes out of nothing.
template <typename T>
T other() {
  return T{};
}
template <>
inline MeshPtr other<MeshPtr>() {
  return makeMesh({Vec3f(0, 0, 0), Vec3f(1, 0, 0), Vec3f(0, 1, 0)}, {{0, 1, 2}});
}
template <>
inline MarksPtr other<MarksPtr>() {
  return Marks().with({{0, MarkTree(1, '\1')}});
}
template <>
inline std::shared_ptr<const PieceRegion> other<std::shared_ptr<const PieceRegion>>() {
  return std::make_shared<const PieceRegion>(PieceRegion{0, RegionKind::body, 0, {}, 5, {}});
}

}  // namespace changing

// Visits with value changed in one place, for each place there is, down to single figures; afterwards it is as it was.
// Returns how many places there were.
template <typename T, typename Visit>
int forEachChange(T& value, const Visit& visit, const std::string& where) {
  using namespace changing;
  if constexpr (std::is_same_v<T, bool>) {
    return replaced(value, !value, visit, where);
  } else if constexpr (std::is_enum_v<T>) {
    return replaced(value, static_cast<T>(static_cast<int>(value) + 1), visit, where);
  } else if constexpr (std::is_arithmetic_v<T>) {
    return replaced(value, static_cast<T>(value + 1), visit, where);
  } else if constexpr (isKept<T>) {
    return replaced(value, T{value.key + 1, value.value}, visit, where + " (kept)");
  } else if constexpr (isShared<T>) {
    return replaced(value, other<T>(), visit, where + " (shared)");
  } else if constexpr (std::is_same_v<T, std::string>) {
    return replaced(value, value + "x", visit, where);
  } else if constexpr (std::is_same_v<T, Overrides>) {
    return replaced(value, Overrides{{"walls", SettingValue(3.0)}}, visit, where);
  } else if constexpr (std::is_same_v<T, Affine>) {
    return replaced(value, Affine(Eigen::Translation3d(1, 2, 3) * value), visit, where);
  } else if constexpr (std::is_same_v<T, Vec2> || std::is_same_v<T, Vec3>) {
    return replaced(value, T(value + T::Ones()), visit, where);
  } else if constexpr (std::is_same_v<T, Box2>) {
    return replaced(value, Box2(Vec2(0, 0), Vec2(3, 4)), visit, where);
  } else if constexpr (std::is_same_v<T, Point>) {
    return replaced(value, Point(value.X + 1, value.Y), visit, where) +
           replaced(value, Point(value.X, value.Y + 1), visit, where);
  } else if constexpr (requires {
                         value.first;
                         value.second;
                       }) {
    return forEachChange(value.first, visit, where + ".first") + forEachChange(value.second, visit, where + ".second");
  } else if constexpr (requires { typename T::mapped_type; }) {
    T more = value;
    more[typename T::key_type(7)] = {};
    return replaced(value, more, visit, where + " (one more)");
  } else if constexpr (requires { value.emplace_back(); }) {
    value.emplace_back();
    visit(where + " (one more)");
    value.pop_back();
    return 1;
  } else if constexpr (std::ranges::range<T>) {
    int count = 0;
    for (auto& item : value) count += forEachChange(item, visit, where + "[]");
    return count;
  } else {
    int count = 0, number = 0;
    forEachMember(value,
                  [&](auto& member) { count += forEachChange(member, visit, where + "." + std::to_string(number++)); });
    return count;
  }
}

}  // namespace trellis::test
