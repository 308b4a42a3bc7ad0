// SPDX-License-Identifier: GPL-3.0-or-later
// Sets of values that belong together, and what the trade thinks of single ones.
#pragma once

#include "core/base/sentence.hpp"
#include "core/settings/settings.hpp"

#include <optional>

namespace trellis {

// release: how support lets go; filament: what the second filament is and whether the interface is made of it.
enum class PresetKind { release, filament };

struct Preset {
  std::string name;  // as in files and on the command line
  PresetKind kind;
  std::string label;  // on screen
  std::string help;   // what it is for and what it costs
};

const std::vector<Preset>& presets();

// Throws Error listing them all when there is no such preset.
const Preset& presetNamed(std::string_view name);

// The values a preset gives; gaps follow the layer height of the settings they go into.
Overrides valuesOf(const Preset& preset, const Settings& settings);

// The preset of a kind whose values the settings have; nullptr when they have been tuned by hand.
const Preset* presetOf(PresetKind kind, const Settings& settings);

// Why a value lies outside what is common practice, and what to expect of it; nothing when it does not.
std::optional<Sentence> adviceOn(std::string_view key, const Settings& settings);

}  // namespace trellis
