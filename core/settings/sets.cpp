// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/settings/sets.hpp"

#include "core/base/error.hpp"
#include "core/settings/text_fields.hpp"

#include <fmt/format.h>
#include <fmt/ranges.h>
#include <nlohmann/json.hpp>

#include <algorithm>

namespace trellis {

namespace {

constexpr int fileVersion = 1;
constexpr std::size_t longestName = 80;  // bytes
constexpr std::array<std::string_view, 3> kindNames = {"machine", "filament", "print"};
constexpr std::array<std::string_view, 6> suiting = {"support.free_lean", "support.bridge_limit", "support.gap.above",
                                                     "support.gap.below", "support.gap.beside",   "support.gap.slope"};
constexpr std::array<std::string_view, 3> easilyLeft = {"support.on", "support.source", "support.footing"};

template <typename List>
bool isAmong(const List& list, std::string_view key) {
  return std::find(list.begin(), list.end(), key) != list.end();
}

bool isSetName(std::string_view key) { return key == "machine.name" || key == "filament.name" || key == "print.name"; }

// Throws when a text asks for a field that nobody can fill in.
void checkFields(std::string_view key, const SettingValue& value) {
  const auto* text = std::get_if<std::string>(&value);
  if (!text || kindOf(key) != SetKind::machine) return;
  for (std::size_t open = text->find('{'); open != std::string::npos; open = text->find('{', open + 1)) {
    const std::size_t close = text->find('}', open);
    const std::string field = text->substr(open + 1, close == std::string::npos ? close : close - open - 1);
    if (close == std::string::npos || !isAmong(textFields, field))
      throw Error(say("{} asks for {{{}}}, which nobody knows. There are {}.", key, field.substr(0, 40),
                      fmt::format("{}", fmt::join(textFields, ", "))));
  }
}

const SettingValue* saidBy(const KeptSet& set, std::string_view key) {
  const auto found = set.values.find(key);
  return found == set.values.end() ? nullptr : &found->second;
}

}  // namespace

std::string_view nameOf(SetKind kind) { return kindNames[static_cast<std::size_t>(kind)]; }

SetKind setKindNamed(std::string_view name) {
  const auto found = std::find(kindNames.begin(), kindNames.end(), name);
  if (found == kindNames.end())
    throw Error(say("There are no sets of the kind {}. There are machine, filament and print.", name));
  return static_cast<SetKind>(found - kindNames.begin());
}

SetKind kindOf(std::string_view key) {
  if (key.starts_with("filament")) return SetKind::filament;
  const bool machines = key.starts_with("machine.") || key.starts_with("nozzle.") || key.starts_with("retract.") ||
                        key.starts_with("prime.") || key == "speed.travel";
  return machines ? SetKind::machine : SetKind::print;
}

bool mayHold(SetKind kind, std::string_view key) { return kindOf(key) == kind || isAmong(suiting, key); }

KeptSet ChosenSets::shippedFirst(SetKind kind) {
  const auto& all = shippedSets();
  return *std::find_if(all.begin(), all.end(), [&](const KeptSet& set) { return set.kind == kind; });
}

const KeptSet& ChosenSets::of(SetKind kind) const {
  return kind == SetKind::machine ? machine : kind == SetKind::filament ? filament : print;
}

KeptSet& ChosenSets::of(SetKind kind) {
  return kind == SetKind::machine ? machine : kind == SetKind::filament ? filament : print;
}

SettingValue usualValue(const ChosenSets& chosen, std::string_view key) {
  if (key == "machine.name") return chosen.machine.name;
  if (key == "filament.name") return chosen.filament.name;
  if (key == "print.name") return chosen.print.name;
  const SettingValue *byFilament = saidBy(chosen.filament, key), *byMachine = saidBy(chosen.machine, key);
  if (byFilament && byMachine) {
    const bool isLimit = key == "support.free_lean" || key == "support.bridge_limit";
    return isLimit ? std::min(*byFilament, *byMachine) : *byFilament;
  }
  if (byFilament) return *byFilament;
  if (byMachine) return *byMachine;
  const SettingValue* byPrint = saidBy(chosen.print, key);
  return byPrint ? *byPrint : settingRow(key).standard;
}

Settings usualSettings(const ChosenSets& chosen) {
  Settings settings;
  for (const SettingRow& row : settingsTable()) settings.set(row.key, usualValue(chosen, row.key));
  return settings;
}

Settings withSet(const Settings& settings, const ChosenSets& before, const KeptSet& chosen) {
  ChosenSets now = before;
  now.of(chosen.kind) = chosen;
  Settings result = settings;
  for (const SettingRow& row : settingsTable())
    if (settings.value(row.key) == usualValue(before, row.key)) result.set(row.key, usualValue(now, row.key));
  return result;
}

std::vector<std::string> unusualKeys(const Settings& settings, const ChosenSets& chosen) {
  std::vector<std::string> keys;
  for (const bool first : {true, false})
    for (const SettingRow& row : settingsTable())
      if (isAmong(easilyLeft, row.key) == first && !isSetName(row.key) &&
          settings.value(row.key) != usualValue(chosen, row.key))
        keys.push_back(row.key);
  return keys;
}

KeptSet setFrom(SetKind kind, std::string name, const Settings& settings, const ChosenSets& chosen) {
  KeptSet set{kind, std::move(name), {}};
  const KeptSet& before = chosen.of(kind);
  for (const SettingRow& row : settingsTable()) {
    if (!mayHold(kind, row.key) || isSetName(row.key)) continue;
    const SettingValue& value = settings.value(row.key);
    const bool own = kindOf(row.key) == kind;
    // What suits a filament or a machine is its own to say only where it said so before, or where it was set anew.
    const bool says = own ? value != row.standard : saidBy(before, row.key) || value != usualValue(chosen, row.key);
    if (says) set.values[row.key] = value;
  }
  return set;
}

nlohmann::json toJson(const KeptSet& set) {
  nlohmann::json json{{"meek-trellis-set", fileVersion},
                      {"kind", nameOf(set.kind)},
                      {"name", set.name},
                      {"settings", nlohmann::json::object()}};
  for (const auto& [key, value] : set.values) json["settings"][key] = toJson(value);
  return json;
}

KeptSet setFromJson(const nlohmann::json& json, const std::string& where) {
  const auto damaged = [&](const Sentence& what) { return Error(say("{}: {}", where, what)); };
  if (!json.is_object() || !json.contains("kind") || !json["kind"].is_string() || !json.contains("name") ||
      !json["name"].is_string())
    throw damaged(say("this is no machine, filament or print; it wants a kind and a name."));
  const auto version = json.find("meek-trellis-set");
  if (version != json.end() && (!version->is_number_integer() || *version > fileVersion))
    throw damaged(say("it was written by a newer version. Get that version, or write it anew from there."));
  KeptSet set;
  set.name = json["name"].get<std::string>();
  if (set.name.empty() || set.name.size() > longestName)
    throw damaged(say("a name has 1 to {} bytes; this one has {}.", longestName, set.name.size()));
  try {
    set.kind = setKindNamed(json["kind"].get<std::string>());
    const nlohmann::json none = nlohmann::json::object();
    const nlohmann::json& settings = json.contains("settings") ? json["settings"] : none;
    if (!settings.is_object()) throw Error(say("settings have to be a JSON object of keys and values."));
    for (const auto& [key, value] : settings.items()) {
      const std::string& now = settingRow(key).key;
      if (!mayHold(set.kind, now)) throw Error(say("{} is no figure of a {}.", key, nameOf(set.kind)));
      checkFields(now, set.values[now] = settingFrom(now, value));
    }
  } catch (const Error& error) {
    throw damaged(error.sentence());
  }
  return set;
}

}  // namespace trellis
