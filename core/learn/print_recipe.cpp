// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/learn/print_recipe.hpp"

#include "core/base/error.hpp"
#include "core/base/files.hpp"
#include "core/document/bounds.hpp"

#include <nlohmann/json.hpp>

#include <filesystem>

namespace trellis {

namespace {

using Json = nlohmann::json;
constexpr int recipeFormat = 1;

}  // namespace

PrintRecipe recipeOf(const Project& project, std::string name) {
  PrintRecipe recipe{std::move(name), project.sets};
  for (const std::string& key : unusualKeys(project.settings, project.sets))
    recipe.settings.insert_or_assign(key, project.settings.value(key));
  return recipe;
}

Json toJson(const PrintRecipe& recipe) {
  Json json{{"meek-trellis-recipe", recipeFormat}, {"name", recipe.name}, {"settings", Json::object()}};
  for (const SetKind kind : setKinds) json["sets"].push_back(toJson(recipe.sets.of(kind)));
  for (const auto& [key, value] : recipe.settings) json["settings"][key] = toJson(value);
  return json;
}

PrintRecipe recipeFromJson(const Json& json, const std::string& where) {
  try {
    if (json.at("meek-trellis-recipe").get<int>() > recipeFormat)
      throw Error(say("{} is a recipe of a newer Meek Trellis. Install the newer version to read it.", where));
    PrintRecipe recipe{json.value("name", std::string())};
    checkText(recipe.name, "The name of a recipe");
    for (const Json& one : json.at("sets")) {
      const KeptSet set = setFromJson(one, where);
      recipe.sets.of(set.kind) = set;
    }
    for (const auto& [key, value] : json.at("settings").items())
      recipe.settings.insert_or_assign(settingRow(key).key, settingFrom(key, value));
    return recipe;
  } catch (const Json::exception&) {
    throw Error(say("{} is no recipe, or it is damaged.", where));
  }
}

PrintRecipe readRecipe(const std::string& path) {
  const std::string name = std::filesystem::path(path).filename().string();
  const Json json = Json::parse(readFile(path), nullptr, false);
  if (json.is_discarded()) throw Error(say("{} is no recipe: it is no JSON.", name));
  return recipeFromJson(json, name);
}

std::vector<Operation> stepsOf(const PrintRecipe& recipe) {
  std::vector<Operation> steps;
  for (const SetKind kind : setKinds) steps.push_back(ChooseSet{recipe.sets.of(kind)});
  for (const SettingRow& row : settingsTable()) {  // whatever was set otherwise before is as usual again
    const auto own = recipe.settings.find(row.key);
    steps.push_back(
        ChangeSetting{row.key, own == recipe.settings.end() ? usualValue(recipe.sets, row.key) : own->second});
  }
  return steps;
}

}  // namespace trellis
