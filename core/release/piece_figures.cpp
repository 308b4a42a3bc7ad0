// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/release/piece_figures.hpp"

#include <algorithm>
#include <array>

namespace trellis {

const char* nameOf(Grade grade) {
  constexpr std::array<const char*, 6> names{"comes away", "in bits",    "needs pliers",
                                             "fragile",    "washes out", "trapped"};
  return names[static_cast<std::size_t>(grade)];
}

double bondShare(double gap, double layerHeight) { return std::max(0.1, 1 - 0.9 * gap / (1.5 * layerHeight)); }

Filament bodyFilamentOf(const std::vector<const Settings*>& ofItsSites, bool byHand, bool& chosen) {
  const auto any = [&](const auto& asked) {
    return std::any_of(ofItsSites.begin(), ofItsSites.end(), [&](const Settings* s) { return asked(*s); });
  };
  chosen = any([](const Settings& s) { return s.text("support.filament.body") != "auto"; });
  if (any([](const Settings& s) { return s.text("support.filament.body") == "second"; })) return Filament::second;
  if (chosen) return Filament::first;
  const bool dissolves = any(
      [](const Settings& s) { return s.text("support.filament.interface") == "second" && s.yes("filament2.soluble"); });
  const bool touches = any([](const Settings& s) { return s.whole("support.interface.upper.layers") == 0; });
  return dissolves && (!byHand || touches) ? Filament::second : Filament::first;
}

}  // namespace trellis
