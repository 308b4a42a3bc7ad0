// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/settings/settings.hpp"
#include "tests/shapes.hpp"

#include <set>

namespace trellis::test {
namespace {

using nlohmann::json;
using testing::HasSubstr;

TEST(SettingsTable, EveryRowIsWholeAndItsDefaultFits) {
  std::set<std::string> keys;
  for (const SettingRow& row : settingsTable()) {
    EXPECT_TRUE(keys.insert(row.key).second) << row.key << " is there twice";
    EXPECT_FALSE(row.label.empty()) << row.key;
    EXPECT_GT(row.help.size(), 5u) << row.key;
    Settings settings;
    EXPECT_NO_THROW(settings.set(row.key, row.standard)) << row.key;
    EXPECT_TRUE(settings.isDefault(row.key));
  }
}

// The figures of the trade that concern what is built today can all be set (common practice).
TEST(SettingsTable, TakesTheFiguresOfTheTrade) {
  Settings settings;
  for (const double gap : {0.15, 0.18, 0.20, 0.22, 0.24, 0.25, 0.4})
    EXPECT_NO_THROW(settings.set("support.gap.above", SettingValue(gap)));
  for (const double beside : {0.1, 0.3, 0.8}) EXPECT_NO_THROW(settings.set("support.gap.beside", SettingValue(beside)));
  for (const double spacing : {2.0, 2.5, 2.8, 3.0})
    EXPECT_NO_THROW(settings.set("support.body.spacing", SettingValue(spacing)));
  for (const double spacing : {0.0, 0.4, 0.5})
    EXPECT_NO_THROW(settings.set("support.interface.upper.spacing", SettingValue(spacing)));
  for (const double lean : {45.0, 60.0, 65.0, 75.0})
    EXPECT_NO_THROW(settings.set("support.free_lean", SettingValue(lean)));
  for (const double layers : {2.0, 3.0, 4.0})
    EXPECT_NO_THROW(settings.set("support.interface.upper.layers", SettingValue(layers)));
}

TEST(Settings, ReadTextAsTypedAndSayWhatDoesNotFit) {
  Settings settings;
  settings.set("support.on", settingFromText("support.on", "off"));
  settings.set("support.gap.above", settingFromText("support.gap.above", "0.22"));
  settings.set("support.footing", settingFromText("support.footing", "plate"));
  EXPECT_FALSE(settings.yes("support.on"));
  EXPECT_EQ(settings.number("support.gap.above"), 0.22);
  EXPECT_EQ(settings.text("support.footing"), "plate");
  const auto refusal = [&](const char* key, const char* text) -> std::string {
    try {
      settings.set(key, settingFromText(key, text));
    } catch (const Error& error) {
      return error.what();
    }
    return "accepted";
  };
  EXPECT_THAT(refusal("support.gap.above", "wide"), HasSubstr("wide"));
  EXPECT_THAT(refusal("support.gap.above", "0.2mm"), HasSubstr("0 to 2 mm"));
  EXPECT_THAT(refusal("support.gap.above", "nan"), HasSubstr("support.gap.above"));
  EXPECT_THAT(refusal("support.gap.above", "-0.1"), HasSubstr("0 to 2 mm"));
  EXPECT_THAT(refusal("support.on", "perhaps"), HasSubstr("true or false"));
  EXPECT_THAT(refusal("support.footing", "moon"), HasSubstr("plate, any"));
  EXPECT_THAT(refusal("no.such.key", "1"), HasSubstr("no.such.key"));
  EXPECT_EQ(settings.number("support.gap.above"), 0.22);  // a refusal changes nothing
}

TEST(Settings, KeepOnlyWhatDiffersFromTheDefaults) {
  Settings settings;
  EXPECT_TRUE(settings.toJson().empty());
  settings.readJson({{"walls", 3}, {"support.source", "floating"}});
  EXPECT_EQ(settings.toJson(), json({{"walls", 3.0}, {"support.source", "floating"}}));
  settings.reset("walls");
  settings.set("support.source", std::string("overhangs"));
  EXPECT_TRUE(settings.toJson().empty());
  EXPECT_THROW(settings.readJson(json::array()), Error);
  EXPECT_THROW(settings.readJson({{"walls", json::array()}}), Error);
}

}  // namespace
}  // namespace trellis::test
