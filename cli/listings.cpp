// SPDX-License-Identifier: GPL-3.0-or-later
#include "cli/listings.hpp"

#include "core/document/set_library.hpp"

#include <fmt/format.h>
#include <fmt/ranges.h>
#include <nlohmann/json.hpp>

#include <cstdio>
#include <iostream>

namespace trellis {

using Json = nlohmann::json;

void listSettings(bool json) {
  Json rows = Json::array();
  for (const SettingRow& row : settingsTable()) {
    Json entry{{"key", row.key},
               {"label", row.label},
               {"unit", row.unit},
               {"default", toJson(row.standard)},
               {"help", row.help}};
    if (row.kind == SettingKind::number || row.kind == SettingKind::whole) entry["range"] = {row.low, row.high};
    if (row.kind == SettingKind::choice) entry["choices"] = row.choices;
    if (!json) {
      const std::string range = entry.contains("range") ? fmt::format("{:g} to {:g} {}", row.low, row.high, row.unit)
                                : entry.contains("choices") ? fmt::format("{}", fmt::join(row.choices, " | "))
                                                            : "";
      fmt::print("{:<32} {:<28} default {}\n    {}\n", row.key, range, entry["default"].dump(), row.help);
    }
    rows.push_back(std::move(entry));
  }
  if (json) std::cout << Json{{"settings", rows}}.dump(2) << "\n";
}

void listSets(bool json) {
  const SetLibrary library;
  Json sets = Json::array();
  for (const SetKind kind : setKinds)
    for (const KeptSet& set : library.all(kind)) {
      sets.push_back(toJson(set));
      sets.back()["kept"] = library.isKept(kind, set.name);
      if (!json) fmt::print("{:<9} {:<24} {}\n", nameOf(kind), set.name, library.isKept(kind, set.name) ? "yours" : "");
    }
  for (const std::string& damaged : library.damaged()) fmt::print(stderr, "{}\n", damaged);
  if (json) std::cout << Json{{"sets", sets}}.dump(2) << "\n";
}

}  // namespace trellis
