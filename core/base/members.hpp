// SPDX-License-Identifier: GPL-3.0-or-later
// The members of a plain struct, one after the other, without anybody listing them: what keys and sizes are made from.
#pragma once

#include <cstddef>
#include <type_traits>
#include <utility>

namespace trellis {

namespace members {

// Turns into whatever a member wants to be made from. Only ever named, never made.
struct Anything {
  template <typename T>
  operator T() const;
};

template <typename T, std::size_t... I>
constexpr bool takes(std::index_sequence<I...>) {
  return requires { T{((void)I, Anything{})...}; };
}

inline constexpr std::size_t most = 36;

template <typename T, std::size_t Count = most>
constexpr std::size_t count() {
  if constexpr (takes<T>(std::make_index_sequence<Count>{}))
    return Count;
  else
    return count<T, Count - 1>();
}

}  // namespace members

// How many members a plain struct has. Weak: it counts by trying how many values the struct can be made from, so it
// wants no plain C arrays and no base classes, and a struct of more than members::most does not compile.
template <typename T>
inline constexpr std::size_t memberCount = members::count<std::remove_cv_t<T>>();

// Calls visit with each member of a plain struct, in the order they are declared. Binding by number of members is the
// only way to name them all before C++26 brings reflection.
template <typename T, typename Visit>
void forEachMember(T& value, const Visit& visit) {
  constexpr std::size_t count = memberCount<T>;
  static_assert(!members::takes<std::remove_cv_t<T>>(std::make_index_sequence<members::most + 1>{}),
                "too many members to name: raise members::most");
  const auto all = [&visit](auto&... member) { (visit(member), ...); };
  if constexpr (count == 1) {
    auto& [m1] = value;
    all(m1);
  } else if constexpr (count == 2) {
    auto& [m1, m2] = value;
    all(m1, m2);
  } else if constexpr (count == 3) {
    auto& [m1, m2, m3] = value;
    all(m1, m2, m3);
  } else if constexpr (count == 4) {
    auto& [m1, m2, m3, m4] = value;
    all(m1, m2, m3, m4);
  } else if constexpr (count == 5) {
    auto& [m1, m2, m3, m4, m5] = value;
    all(m1, m2, m3, m4, m5);
  } else if constexpr (count == 6) {
    auto& [m1, m2, m3, m4, m5, m6] = value;
    all(m1, m2, m3, m4, m5, m6);
  } else if constexpr (count == 7) {
    auto& [m1, m2, m3, m4, m5, m6, m7] = value;
    all(m1, m2, m3, m4, m5, m6, m7);
  } else if constexpr (count == 8) {
    auto& [m1, m2, m3, m4, m5, m6, m7, m8] = value;
    all(m1, m2, m3, m4, m5, m6, m7, m8);
  } else if constexpr (count == 9) {
    auto& [m1, m2, m3, m4, m5, m6, m7, m8, m9] = value;
    all(m1, m2, m3, m4, m5, m6, m7, m8, m9);
  } else if constexpr (count == 10) {
    auto& [m1, m2, m3, m4, m5, m6, m7, m8, m9, m10] = value;
    all(m1, m2, m3, m4, m5, m6, m7, m8, m9, m10);
  } else if constexpr (count == 11) {
    auto& [m1, m2, m3, m4, m5, m6, m7, m8, m9, m10, m11] = value;
    all(m1, m2, m3, m4, m5, m6, m7, m8, m9, m10, m11);
  } else if constexpr (count == 12) {
    auto& [m1, m2, m3, m4, m5, m6, m7, m8, m9, m10, m11, m12] = value;
    all(m1, m2, m3, m4, m5, m6, m7, m8, m9, m10, m11, m12);
  } else if constexpr (count == 13) {
    auto& [m1, m2, m3, m4, m5, m6, m7, m8, m9, m10, m11, m12, m13] = value;
    all(m1, m2, m3, m4, m5, m6, m7, m8, m9, m10, m11, m12, m13);
  } else if constexpr (count == 14) {
    auto& [m1, m2, m3, m4, m5, m6, m7, m8, m9, m10, m11, m12, m13, m14] = value;
    all(m1, m2, m3, m4, m5, m6, m7, m8, m9, m10, m11, m12, m13, m14);
  } else if constexpr (count == 15) {
    auto& [m1, m2, m3, m4, m5, m6, m7, m8, m9, m10, m11, m12, m13, m14, m15] = value;
    all(m1, m2, m3, m4, m5, m6, m7, m8, m9, m10, m11, m12, m13, m14, m15);
  } else if constexpr (count == 16) {
    auto& [m1, m2, m3, m4, m5, m6, m7, m8, m9, m10, m11, m12, m13, m14, m15, m16] = value;
    all(m1, m2, m3, m4, m5, m6, m7, m8, m9, m10, m11, m12, m13, m14, m15, m16);
  } else if constexpr (count == 17) {
    auto& [m1, m2, m3, m4, m5, m6, m7, m8, m9, m10, m11, m12, m13, m14, m15, m16, m17] = value;
    all(m1, m2, m3, m4, m5, m6, m7, m8, m9, m10, m11, m12, m13, m14, m15, m16, m17);
  } else if constexpr (count == 18) {
    auto& [m1, m2, m3, m4, m5, m6, m7, m8, m9, m10, m11, m12, m13, m14, m15, m16, m17, m18] = value;
    all(m1, m2, m3, m4, m5, m6, m7, m8, m9, m10, m11, m12, m13, m14, m15, m16, m17, m18);
  } else if constexpr (count == 19) {
    auto& [m1, m2, m3, m4, m5, m6, m7, m8, m9, m10, m11, m12, m13, m14, m15, m16, m17, m18, m19] = value;
    all(m1, m2, m3, m4, m5, m6, m7, m8, m9, m10, m11, m12, m13, m14, m15, m16, m17, m18, m19);
  } else if constexpr (count == 20) {
    auto& [m1, m2, m3, m4, m5, m6, m7, m8, m9, m10, m11, m12, m13, m14, m15, m16, m17, m18, m19, m20] = value;
    all(m1, m2, m3, m4, m5, m6, m7, m8, m9, m10, m11, m12, m13, m14, m15, m16, m17, m18, m19, m20);
  } else if constexpr (count == 21) {
    auto& [m1, m2, m3, m4, m5, m6, m7, m8, m9, m10, m11, m12, m13, m14, m15, m16, m17, m18, m19, m20, m21] = value;
    all(m1, m2, m3, m4, m5, m6, m7, m8, m9, m10, m11, m12, m13, m14, m15, m16, m17, m18, m19, m20, m21);
  } else if constexpr (count == 22) {
    auto& [m1, m2, m3, m4, m5, m6, m7, m8, m9, m10, m11, m12, m13, m14, m15, m16, m17, m18, m19, m20, m21, m22] = value;
    all(m1, m2, m3, m4, m5, m6, m7, m8, m9, m10, m11, m12, m13, m14, m15, m16, m17, m18, m19, m20, m21, m22);
  } else if constexpr (count == 23) {
    auto& [m1, m2, m3, m4, m5, m6, m7, m8, m9, m10, m11, m12, m13, m14, m15, m16, m17, m18, m19, m20, m21, m22, m23] =
        value;
    all(m1, m2, m3, m4, m5, m6, m7, m8, m9, m10, m11, m12, m13, m14, m15, m16, m17, m18, m19, m20, m21, m22, m23);
  } else if constexpr (count == 24) {
    auto& [m1, m2, m3, m4, m5, m6, m7, m8, m9, m10, m11, m12, m13, m14, m15, m16, m17, m18, m19, m20, m21, m22, m23,
           m24] = value;
    all(m1, m2, m3, m4, m5, m6, m7, m8, m9, m10, m11, m12, m13, m14, m15, m16, m17, m18, m19, m20, m21, m22, m23, m24);
  } else if constexpr (count == 25) {
    auto& [m1, m2, m3, m4, m5, m6, m7, m8, m9, m10, m11, m12, m13, m14, m15, m16, m17, m18, m19, m20, m21, m22, m23,
           m24, m25] = value;
    all(m1, m2, m3, m4, m5, m6, m7, m8, m9, m10, m11, m12, m13, m14, m15, m16, m17, m18, m19, m20, m21, m22, m23, m24,
        m25);
  } else if constexpr (count == 26) {
    auto& [m1, m2, m3, m4, m5, m6, m7, m8, m9, m10, m11, m12, m13, m14, m15, m16, m17, m18, m19, m20, m21, m22, m23,
           m24, m25, m26] = value;
    all(m1, m2, m3, m4, m5, m6, m7, m8, m9, m10, m11, m12, m13, m14, m15, m16, m17, m18, m19, m20, m21, m22, m23, m24,
        m25, m26);
  } else if constexpr (count == 27) {
    auto& [m1, m2, m3, m4, m5, m6, m7, m8, m9, m10, m11, m12, m13, m14, m15, m16, m17, m18, m19, m20, m21, m22, m23,
           m24, m25, m26, m27] = value;
    all(m1, m2, m3, m4, m5, m6, m7, m8, m9, m10, m11, m12, m13, m14, m15, m16, m17, m18, m19, m20, m21, m22, m23, m24,
        m25, m26, m27);
  } else if constexpr (count == 28) {
    auto& [m1, m2, m3, m4, m5, m6, m7, m8, m9, m10, m11, m12, m13, m14, m15, m16, m17, m18, m19, m20, m21, m22, m23,
           m24, m25, m26, m27, m28] = value;
    all(m1, m2, m3, m4, m5, m6, m7, m8, m9, m10, m11, m12, m13, m14, m15, m16, m17, m18, m19, m20, m21, m22, m23, m24,
        m25, m26, m27, m28);
  } else if constexpr (count == 29) {
    auto& [m1, m2, m3, m4, m5, m6, m7, m8, m9, m10, m11, m12, m13, m14, m15, m16, m17, m18, m19, m20, m21, m22, m23,
           m24, m25, m26, m27, m28, m29] = value;
    all(m1, m2, m3, m4, m5, m6, m7, m8, m9, m10, m11, m12, m13, m14, m15, m16, m17, m18, m19, m20, m21, m22, m23, m24,
        m25, m26, m27, m28, m29);
  } else if constexpr (count == 30) {
    auto& [m1, m2, m3, m4, m5, m6, m7, m8, m9, m10, m11, m12, m13, m14, m15, m16, m17, m18, m19, m20, m21, m22, m23,
           m24, m25, m26, m27, m28, m29, m30] = value;
    all(m1, m2, m3, m4, m5, m6, m7, m8, m9, m10, m11, m12, m13, m14, m15, m16, m17, m18, m19, m20, m21, m22, m23, m24,
        m25, m26, m27, m28, m29, m30);
  } else if constexpr (count == 31) {
    auto& [m1, m2, m3, m4, m5, m6, m7, m8, m9, m10, m11, m12, m13, m14, m15, m16, m17, m18, m19, m20, m21, m22, m23,
           m24, m25, m26, m27, m28, m29, m30, m31] = value;
    all(m1, m2, m3, m4, m5, m6, m7, m8, m9, m10, m11, m12, m13, m14, m15, m16, m17, m18, m19, m20, m21, m22, m23, m24,
        m25, m26, m27, m28, m29, m30, m31);
  } else if constexpr (count == 32) {
    auto& [m1, m2, m3, m4, m5, m6, m7, m8, m9, m10, m11, m12, m13, m14, m15, m16, m17, m18, m19, m20, m21, m22, m23,
           m24, m25, m26, m27, m28, m29, m30, m31, m32] = value;
    all(m1, m2, m3, m4, m5, m6, m7, m8, m9, m10, m11, m12, m13, m14, m15, m16, m17, m18, m19, m20, m21, m22, m23, m24,
        m25, m26, m27, m28, m29, m30, m31, m32);
  } else if constexpr (count == 33) {
    auto& [m1, m2, m3, m4, m5, m6, m7, m8, m9, m10, m11, m12, m13, m14, m15, m16, m17, m18, m19, m20, m21, m22, m23,
           m24, m25, m26, m27, m28, m29, m30, m31, m32, m33] = value;
    all(m1, m2, m3, m4, m5, m6, m7, m8, m9, m10, m11, m12, m13, m14, m15, m16, m17, m18, m19, m20, m21, m22, m23, m24,
        m25, m26, m27, m28, m29, m30, m31, m32, m33);
  } else if constexpr (count == 34) {
    auto& [m1, m2, m3, m4, m5, m6, m7, m8, m9, m10, m11, m12, m13, m14, m15, m16, m17, m18, m19, m20, m21, m22, m23,
           m24, m25, m26, m27, m28, m29, m30, m31, m32, m33, m34] = value;
    all(m1, m2, m3, m4, m5, m6, m7, m8, m9, m10, m11, m12, m13, m14, m15, m16, m17, m18, m19, m20, m21, m22, m23, m24,
        m25, m26, m27, m28, m29, m30, m31, m32, m33, m34);
  } else if constexpr (count == 35) {
    auto& [m1, m2, m3, m4, m5, m6, m7, m8, m9, m10, m11, m12, m13, m14, m15, m16, m17, m18, m19, m20, m21, m22, m23,
           m24, m25, m26, m27, m28, m29, m30, m31, m32, m33, m34, m35] = value;
    all(m1, m2, m3, m4, m5, m6, m7, m8, m9, m10, m11, m12, m13, m14, m15, m16, m17, m18, m19, m20, m21, m22, m23, m24,
        m25, m26, m27, m28, m29, m30, m31, m32, m33, m34, m35);
  } else if constexpr (count == 36) {
    auto& [m1, m2, m3, m4, m5, m6, m7, m8, m9, m10, m11, m12, m13, m14, m15, m16, m17, m18, m19, m20, m21, m22, m23,
           m24, m25, m26, m27, m28, m29, m30, m31, m32, m33, m34, m35, m36] = value;
    all(m1, m2, m3, m4, m5, m6, m7, m8, m9, m10, m11, m12, m13, m14, m15, m16, m17, m18, m19, m20, m21, m22, m23, m24,
        m25, m26, m27, m28, m29, m30, m31, m32, m33, m34, m35, m36);
  }
}

}  // namespace trellis
