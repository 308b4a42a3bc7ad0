// SPDX-License-Identifier: GPL-3.0-or-later
// Which of a machine's two filaments something is printed from.
#pragma once

#include <array>
#include <cstddef>
#include <cstdint>

namespace trellis {

enum class Filament : std::uint8_t { first, second };

template <typename T>
using PerFilament = std::array<T, 2>;

constexpr std::size_t indexOf(Filament filament) { return static_cast<std::size_t>(filament); }
constexpr Filament otherThan(Filament filament) {
  return filament == Filament::first ? Filament::second : Filament::first;
}

}  // namespace trellis
