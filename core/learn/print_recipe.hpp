// SPDX-License-Identifier: GPL-3.0-or-later
// How somebody prints, without what they print: a machine, a filament, a print, and what is set otherwise, as one file
// to give to others. Documented in docs/formats/notes.md.
#pragma once

#include "core/document/operations.hpp"

namespace trellis {

struct PrintRecipe {
  std::string name;
  ChosenSets sets = {};
  Overrides settings = {};  // of the plate, where they are not as usual with these sets
};

PrintRecipe recipeOf(const Project& project, std::string name);

nlohmann::json toJson(const PrintRecipe& recipe);
// Throw Error naming where when it is damaged or of a newer version.
PrintRecipe recipeFromJson(const nlohmann::json& json, const std::string& where);
PrintRecipe readRecipe(const std::string& path);

// What makes a project print so. Parts and their decisions stay as they are.
std::vector<Operation> stepsOf(const PrintRecipe& recipe);

}  // namespace trellis
