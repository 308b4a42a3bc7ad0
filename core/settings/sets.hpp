// SPDX-License-Identifier: GPL-3.0-or-later
// Machines, filaments and prints: figures that a maker keeps under a name, and what a project makes of them.
#pragma once

#include "core/settings/settings.hpp"

#include <array>
#include <optional>

namespace trellis {

enum class SetKind : std::uint8_t { machine, filament, print };
inline constexpr std::array<SetKind, 3> setKinds = {SetKind::machine, SetKind::filament, SetKind::print};

// "machine", "filament", "print", as in files and on the command line. Throws Error when a name is none of them.
std::string_view nameOf(SetKind kind);
SetKind setKindNamed(std::string_view name);

// Which of the three a setting is part of.
SetKind kindOf(std::string_view key);

// Whether a set of a kind may say a figure: its own, and any but a print may also say how far to trust it where
// nothing is under it and how far support is to keep from it.
bool mayHold(SetKind kind, std::string_view key);

struct KeptSet {
  SetKind kind = SetKind::print;
  std::string name;
  Overrides values = {};  // what it says otherwise than the table
  bool operator==(const KeptSet&) const = default;
};

// Some invented ones: three machines, six filaments, three prints. The first of each kind is as the table says.
const std::vector<KeptSet>& shippedSets();

// One of each kind: what a project was set up with, as it was then.
struct ChosenSets {
  KeptSet machine = shippedFirst(SetKind::machine), filament = shippedFirst(SetKind::filament),
          print = shippedFirst(SetKind::print);
  const KeptSet& of(SetKind kind) const;
  KeptSet& of(SetKind kind);
  bool operator==(const ChosenSets&) const = default;

 private:
  static KeptSet shippedFirst(SetKind kind);
};

// What the chosen sets say of a setting. Of two that say how far it may lean, hang or span, the more careful is heeded;
// else the filament goes before the machine, and the machine before the print.
SettingValue usualValue(const ChosenSets& chosen, std::string_view key);

// All settings as they are usual.
Settings usualSettings(const ChosenSets& chosen);

// The settings with another set chosen: whatever was as usual is as is usual now, and what was set otherwise stays.
Settings withSet(const Settings& settings, const ChosenSets& before, const KeptSet& chosen);

// The keys in which settings differ from what is usual: switches that are easily left on from last time first (supports
// off, what asks for support, what it may stand on), the others as in the table.
std::vector<std::string> unusualKeys(const Settings& settings, const ChosenSets& chosen);

// What a set of a kind would be, were it kept with the figures the settings have now.
KeptSet setFrom(SetKind kind, std::string name, const Settings& settings, const ChosenSets& chosen);

// {"kind": "filament", "name": …, "settings": {…}}, and in a file also "meek-trellis-set": 1, its version.
nlohmann::json toJson(const KeptSet& set);
// Throws Error that names where when it is damaged, of a newer version, or a figure is out of its range or no part of
// such a set.
KeptSet setFromJson(const nlohmann::json& json, const std::string& where);

}  // namespace trellis
