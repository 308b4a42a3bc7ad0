// SPDX-License-Identifier: GPL-3.0-or-later
#include "cli/options.hpp"

#include "core/base/files.hpp"
#include "core/document/bounds.hpp"
#include "core/document/project_file.hpp"
#include "core/document/set_library.hpp"
#include "core/learn/print_recipe.hpp"
#include "core/results/perform_all.hpp"

#include <fmt/format.h>
#include <unistd.h>
#include <nlohmann/json.hpp>

namespace trellis {

using Json = nlohmann::json;

Bar::Bar()
    : shown_(::isatty(2)), progress_([this](double fraction, std::string_view stage) { draw(fraction, stage); }) {}

Bar::~Bar() {
  if (drawn_) fmt::print(stderr, "\r{:60}\r", "");
}

void Bar::draw(double fraction, std::string_view stage) {
  if (!shown_) return;
  drawn_ = true;
  const auto full = static_cast<std::size_t>(fraction * 24);
  fmt::print(stderr, "\r[{:<24}] {:3.0f} % {:<28}", std::string(full, '='), fraction * 100, stage);
  std::fflush(stderr);
}

namespace {

Json parsed(const std::string& path) {
  try {
    return Json::parse(readFile(path));
  } catch (const Json::exception& error) {
    throw Error(fmt::format("{} is not JSON: {}", path, error.what()));
  }
}

}  // namespace

void applySettings(Settings& settings, const Options& options) {
  if (!options.settings.empty()) try {
      settings.readJson(parsed(options.settings));
    } catch (const Error& error) {
      throw Error(fmt::format("{}: {}", options.settings, error.what()));
    }
  for (const std::string& set : options.sets) {
    const std::size_t equals = set.find('=');
    if (equals == std::string::npos) throw Error(fmt::format("--set {} has no =. Write --set key=value.", set));
    const std::string key = set.substr(0, equals);
    settings.set(key, settingFromText(key, set.substr(equals + 1)));
  }
  if (options.layerHeight > 0) settings.set("layer.height", SettingValue(options.layerHeight));
}

std::vector<KeptSet> chosenSets(const Options& options) {
  std::vector<KeptSet> chosen;
  const SetLibrary library;
  for (const auto& [kind, name] :
       {std::pair(SetKind::machine, options.machine), std::pair(SetKind::filament, options.filament),
        std::pair(SetKind::print, options.print)})
    if (!name.empty()) chosen.push_back(library.named(kind, name));
  return chosen;
}

ProjectPtr loaded(Store& store, const Options& options, const Progress& progress) {
  Project asked;  // first, so that a wrong key is said before a long read
  const std::vector<KeptSet> sets = chosenSets(options);
  for (const KeptSet& set : sets) asked = *performed(asked, ChooseSet{set});
  applySettings(asked.settings, options);
  const OpenedProject opened = openFile(options.file, asked, progress);
  if (opened.fromNewerVersion)
    throw Error(
        options.file +
        " was saved by a newer Meek Trellis, and building it here could lose decisions. Install the newer version.");
  auto project = std::make_shared<Project>(*opened.project);
  if (!options.recipe.empty())
    for (const Operation& step : stepsOf(readRecipe(options.recipe))) *project = *performed(*project, step);
  for (const KeptSet& set : sets) *project = *performed(*project, ChooseSet{set});
  applySettings(project->settings, options);
  checkBounds(*project);
  if (!options.ops.empty()) try {
      return performedAll(store, *project, parsed(options.ops), progress);
    } catch (const Error& error) {
      throw Error(fmt::format("{}: {}", options.ops, error.what()));
    }
  return project;
}

void addSetOptions(CLI::App* command, Options& options) {
  command->add_option("--machine", options.machine, "a kept machine, by name");
  command->add_option("--filament", options.filament, "a kept filament, by name");
  command->add_option("--print", options.print, "a kept print, by name");
  command->add_option("--recipe", options.recipe,
                      "a recipe: machine, filament, print and settings as somebody gave them");
  command->add_option("--settings", options.settings, "a JSON object of setting keys and values");
  command->add_option("--set", options.sets, "key=value, may be given several times")->allow_extra_args(false);
}

void addProjectOptions(CLI::App* command, Options& options) {
  command->add_option("FILE", options.file, "a mesh (STL, OBJ, PLY, OFF, 3MF, AMF) or a project")->required();
  addSetOptions(command, options);
  command->add_option("--ops", options.ops, "a JSON list of operations, applied in order");
  command->add_flag("--json", options.json, "JSON on standard output");
}

}  // namespace trellis
