// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/settings/settings.hpp"

#include "core/base/error.hpp"

#include <fmt/format.h>
#include <fmt/ranges.h>
#include <nlohmann/json.hpp>

#include <algorithm>
#include <charconv>
#include <cmath>

namespace trellis {

namespace {

Error unfit(const SettingRow& row, const std::string& given) {
  switch (row.kind) {
    case SettingKind::number:
    case SettingKind::whole: {
      const std::string unit = row.unit.empty() ? "" : " " + row.unit;
      return Error(say("{} cannot be {}. It can be {}{:g} to {:g}{}.", row.key, given,
                       row.kind == SettingKind::whole ? "a whole number from " : "", row.low, row.high, unit));
    }
    case SettingKind::yesNo:
      return Error(say("{} cannot be {}. It can be true or false.", row.key, given));
    case SettingKind::choice:
      return Error(
          say("{} cannot be {}. It can be {}.", row.key, given, fmt::format("{}", fmt::join(row.choices, ", "))));
    case SettingKind::text:
      break;
  }
  return Error(say("{} has to be text.", row.key));
}

bool fits(const SettingRow& row, const SettingValue& value) {
  switch (row.kind) {
    case SettingKind::yesNo:
      return std::holds_alternative<bool>(value);
    case SettingKind::text:
      return std::holds_alternative<std::string>(value);
    case SettingKind::choice: {
      const auto* text = std::get_if<std::string>(&value);
      return text && std::find(row.choices.begin(), row.choices.end(), *text) != row.choices.end();
    }
    case SettingKind::number:
    case SettingKind::whole:
      break;
  }
  const auto* number = std::get_if<double>(&value);
  if (!number || !std::isfinite(*number) || *number < row.low || *number > row.high) return false;
  return row.kind == SettingKind::number || *number == std::round(*number);
}

// What a setting of an old file is called now.
std::string presentName(std::string_view key) {
  static const std::vector<std::pair<std::string, std::string>> renamed{
      {"skin.", "cover."},
      {"support.bed.", "support.raft."},
      {"speed.part.skin", "speed.part.cover"},
      {"fan.part.skin", "fan.part.cover"},
      {"speed.support.bed", "speed.support.raft"},
      {"fan.support.bed", "fan.support.raft"},
      {"filament.bed_temperature", "filament.plate_heat"},
      {"filament.nozzle_temperature", "filament.nozzle_heat"},
      {"filament2.nozzle_temperature", "filament2.nozzle_heat"}};
  for (const auto& [old, now] : renamed)
    if (key.starts_with(old)) return now + std::string(key.substr(old.size()));
  return std::string(key);
}

}  // namespace

const SettingRow& settingRow(std::string_view key) {
  static const std::map<std::string, const SettingRow*, std::less<>> rows = [] {
    std::map<std::string, const SettingRow*, std::less<>> byKey;
    for (const SettingRow& row : settingsTable()) byKey[row.key] = &row;
    return byKey;
  }();
  auto found = rows.find(key);
  if (found == rows.end()) found = rows.find(presentName(key));
  if (found == rows.end())
    throw Error(say("There is no setting called {}. meek-trellis-cli settings lists them all.", key));
  return *found->second;
}

const SettingValue& Settings::value(std::string_view key) const {
  const auto found = values_.find(key);
  return found != values_.end() ? found->second : settingRow(key).standard;
}

double Settings::number(std::string_view key) const { return std::get<double>(value(key)); }
int Settings::whole(std::string_view key) const { return static_cast<int>(std::get<double>(value(key))); }
bool Settings::yes(std::string_view key) const { return std::get<bool>(value(key)); }
const std::string& Settings::text(std::string_view key) const { return std::get<std::string>(value(key)); }

void checkSetting(std::string_view key, const SettingValue& given) {
  const SettingRow& row = settingRow(key);
  if (!fits(row, given)) throw unfit(row, toJson(given).dump());
}

SettingValue settingFrom(std::string_view key, const nlohmann::json& given) {
  const SettingRow& row = settingRow(key);
  SettingValue value;
  if (given.is_boolean())
    value = given.get<bool>();
  else if (given.is_number())
    value = given.get<double>();
  else if (given.is_string())
    value = given.get<std::string>();
  else
    throw unfit(row, given.dump().substr(0, 40));
  checkSetting(key, value);
  return value;
}

SettingValue settingFromText(std::string_view key, std::string_view given) {
  const SettingRow& row = settingRow(key);
  SettingValue value = std::string(given);
  if (row.kind == SettingKind::yesNo) {
    const bool yes = given == "true" || given == "on" || given == "yes";
    if (!yes && given != "false" && given != "off" && given != "no") throw unfit(row, std::string(given));
    value = yes;
  } else if (row.kind == SettingKind::number || row.kind == SettingKind::whole) {
    double number = 0;
    const auto [end, status] = std::from_chars(given.data(), given.data() + given.size(), number);
    if (status != std::errc{} || end != given.data() + given.size()) throw unfit(row, std::string(given));
    value = number;
  }
  checkSetting(key, value);
  return value;
}

void Settings::set(std::string_view key, const SettingValue& given) {
  checkSetting(key, given);
  if (given == settingRow(key).standard)
    reset(key);
  else
    values_.insert_or_assign(settingRow(key).key, given);
}

Settings Settings::with(const Overrides& overrides) const {
  Settings result = *this;
  for (const auto& [key, value] : overrides) result.set(key, value);
  return result;
}

void Settings::reset(std::string_view key) {
  if (const auto found = values_.find(settingRow(key).key); found != values_.end()) values_.erase(found);
}

bool Settings::isDefault(std::string_view key) const { return values_.find(key) == values_.end(); }

nlohmann::json Settings::toJson() const {
  nlohmann::json values = nlohmann::json::object();
  for (const auto& [key, value] : values_) values[key] = trellis::toJson(value);
  return values;
}

void Settings::readJson(const nlohmann::json& values) {
  if (!values.is_object()) throw Error(say("Settings have to be a JSON object of keys and values."));
  for (const auto& [key, value] : values.items()) set(key, settingFrom(key, value));
}

nlohmann::json toJson(const SettingValue& value) {
  return std::visit([](const auto& held) { return nlohmann::json(held); }, value);
}

}  // namespace trellis
