// SPDX-License-Identifier: GPL-3.0-or-later
// The one table of settings, and the values a project gives them. Window, command line, project file
// and manual all read this table.
#pragma once

#include "core/base/key.hpp"

#include <nlohmann/json_fwd.hpp>

#include <map>
#include <string>
#include <string_view>
#include <variant>
#include <vector>

namespace trellis {

enum class SettingKind { number, whole, yesNo, choice, text };

using SettingValue = std::variant<bool, double, std::string>;

struct SettingRow {
  std::string key;  // as in files and on the command line
  SettingKind kind;
  std::string label;         // on screen
  std::string unit;          // "mm", "°", "%", … or empty
  double low = 0, high = 0;  // permitted range of numbers, ends included
  SettingValue standard;     // the default
  std::vector<std::string> choices;
  std::string help;      // what it does, which way to turn it, what it costs
  bool perPart = false;  // a part may differ from the plate
};

// Every setting, in the order they are shown.
const std::vector<SettingRow>& settingsTable();

// Throws Error naming the key when there is no such setting.
const SettingRow& settingRow(std::string_view key);  // names of old files too

// What differs from somebody else's values, by key.
using Overrides = std::map<std::string, SettingValue, std::less<>>;

// Throws Error with the permitted range when the value does not fit the key's row, or naming the key when
// there is no such setting.
void checkSetting(std::string_view key, const SettingValue& value);
// The same from JSON or from text as typed on a command line ("0.22", "on", "plate"), as a value.
SettingValue settingFrom(std::string_view key, const nlohmann::json& value);
SettingValue settingFromText(std::string_view key, std::string_view text);

// Values for every key; those not set have their default.
class Settings {
 public:
  double number(std::string_view key) const;
  int whole(std::string_view key) const;
  bool yes(std::string_view key) const;
  const std::string& text(std::string_view key) const;  // of texts and choices

  // Throws Error with the permitted range when the value does not fit the row.
  void set(std::string_view key, const SettingValue& value);
  void reset(std::string_view key);

  const SettingValue& value(std::string_view key) const;
  bool isDefault(std::string_view key) const;

  // Only the values that differ from their default.
  nlohmann::json toJson() const;
  void readJson(const nlohmann::json& values);

  // These values with others on top.
  Settings with(const Overrides& overrides) const;

  bool operator==(const Settings&) const = default;
  Key key() const { return keyOf(values_); }  // of what differs from the defaults

 private:
  Overrides values_;  // what differs from the defaults
};

nlohmann::json toJson(const SettingValue& value);

}  // namespace trellis
