// SPDX-License-Identifier: GPL-3.0-or-later
#include "cli/learn_commands.hpp"

#include "core/base/files.hpp"
#include "core/document/project_file.hpp"
#include "core/learn/fragment.hpp"
#include "core/learn/ladder.hpp"
#include "core/learn/print_recipe.hpp"

#include <fmt/format.h>
#include <nlohmann/json.hpp>

namespace trellis {

namespace {

// The variants of one project, or the projects of several files.
void runCompare(Options options) {
  const Bar bar;
  Store store;
  std::vector<std::pair<std::string, ProjectPtr>> variants;
  for (const std::string& file : options.files) {
    options.file = file;
    const ProjectPtr project = loaded(store, options, bar.progress());
    if (options.files.size() > 1)
      variants.emplace_back(std::filesystem::path(file).stem().string(), withoutShelf(project));
    else
      for (const Variant& variant : variantsOf(project)) variants.emplace_back(variant.name, variant.project);
  }
  if (variants.size() < 2) throw Error("There is one way only. Give several files, or a project with variants.");
  compareProjects(store, variants, options.json, bar.progress());
}

int runSweep(const Options& options) {
  const Bar bar;
  Store store;
  const ProjectPtr project = loaded(store, options, bar.progress());
  SweepSpec spec;
  for (const std::string& text : options.vary) spec.vary.push_back(axisFromText(text));
  if (options.turnings > 0) spec.vary.push_back(bestTurnings(*project, options.turnings, bar.progress()));
  for (const std::string& text : options.want) spec.want.push_back(wantFromText(text));
  for (const std::string& text : options.limits) spec.limits.push_back(limitFromText(text));
  SweepPlaces places = options.sweep;
  places.asJson = options.json;
  return runSweep(store, project, spec, places, bar.progress()) == 0 ? 0 : 1;
}

LadderSpec ladderAsked(const Options& options) {
  LadderSpec spec = usualLadder(ladderKindNamed(options.kind));
  spec.ceiling = ceilingNamed(options.ceiling);
  spec.from = options.from.value_or(spec.from);
  spec.to = options.to.value_or(spec.to);
  spec.step = options.step.value_or(spec.step);
  return spec;
}

// Ladders are put on an empty plate with the settings that were given; with a file, its part is the rung.
void runLadder(const Options& options) {
  Project project;
  Store store;
  std::vector<PartPtr> rungs;
  if (options.file.empty()) {
    for (const KeptSet& set : chosenSets(options)) project = *performed(project, ChooseSet{set});
    applySettings(project.settings, options);
    rungs = ladderParts(ladderAsked(options), project.settings);
  } else {
    const Bar bar;
    project = *withoutShelf(loaded(store, options, bar.progress()));
    if (options.part >= project.parts.size()) throw Error(fmt::format("There is no part {}.", options.part));
    rungs = ladderOf(ladderAsked(options), *project.parts[options.part], project.settings);
    project.parts.clear();
  }
  writeFileAtomically(options.out, packProject(*performed(project, AddParts{rungs})));
}

void runFragment(const Options& options) {
  const Bar bar;
  Store store;
  Project project = *withoutShelf(loaded(store, options, bar.progress()));
  if (options.part >= project.parts.size()) throw Error(fmt::format("There is no part {}.", options.part));
  const std::vector<double>& b = options.box;
  const Part cut =
      fragmentOf(*project.parts[options.part], {Vec3(b[0], b[1], b[2]), Vec3(b[3], b[4], b[5])}, bar.progress());
  project.parts = {std::make_shared<const Part>(cut)};
  writeFileAtomically(options.out, packProject(withIds(std::move(project))));
}

void runRecipe(const Options& options) {
  const Bar bar;
  Store store;
  const ProjectPtr project = loaded(store, options, bar.progress());
  const PrintRecipe recipe = recipeOf(*project, std::filesystem::path(options.out).stem().string());
  writeFileAtomically(options.out, toJson(recipe).dump(1) + "\n");
}

}  // namespace

LearnCommands::LearnCommands(CLI::App& app, Options& options) : options_(options) {
  compare_ = app.add_subcommand("compare", "variants, or projects, beside each other");
  compare_->add_option("FILE", options.files, "one project with variants, or several files")->required();
  addSetOptions(compare_, options);
  compare_->add_flag("--json", options.json, "JSON on standard output");
  sweep_ = app.add_subcommand("sweep", "builds every combination and says which nothing beats");
  addProjectOptions(sweep_, options);
  sweep_->add_option("--vary", options.vary, "key=value,value or turning=x/y/z,x/y/z")->allow_extra_args(false);
  sweep_->add_option("--turnings", options.turnings, "vary the first part's turning too: those that want least support")
      ->check(CLI::Range(1, 50));
  sweep_->add_option("--want", options.want, "a figure of compare, as low as can be, and its weight: g:2")
      ->required()
      ->allow_extra_args(false);
  sweep_->add_option("--limit", options.limits, "figure<=number")->allow_extra_args(false);
  sweep_->add_option("--out", options.sweep.out, "write the table here, .json or .csv");
  sweep_->add_option("--project", options.sweep.project, "write the project here, with the unbeaten as variants");
  sweep_->add_option("--jobs-file", options.sweep.jobsFile,
                     "write the jobs here, one command line each, and build nothing");
  sweep_->add_option("--on", options.sweep.on, "slurm: hand the jobs to a cluster as one array");
  sweep_->add_option("--folder", options.sweep.folder, "that all jobs see, for what goes to them and comes back");
  sweep_->add_flag("--gather", options.sweep.gather, "only gather what lies in the folder");
  sweep_->add_option("--at-once", options.sweep.atOnce, "jobs of the array at once")->check(CLI::Range(1, 100'000));
  ladder_ = app.add_subcommand("ladder", "a small print to learn one figure from");
  ladder_->add_option("KIND", options.kind, "above, below, beside, spacing, lean, bridge or column")->required();
  ladder_->add_option("OUT", options.out, "the project to write, .3mf")->required();
  ladder_->add_option("--from", options.from, "mm or degrees");
  ladder_->add_option("--to", options.to, "mm or degrees");
  ladder_->add_option("--step", options.step, "mm or degrees");
  ladder_->add_option("--ceiling", options.ceiling, "flat, sloping or tips");
  ladder_->add_option("--part-of", options.file, "a project whose part is the rung");
  ladder_->add_option("--part", options.part, "its number, from 0");
  addSetOptions(ladder_, options);
  fragment_ = app.add_subcommand("fragment", "a piece cut out of a part, with its marks");
  addProjectOptions(fragment_, options);
  fragment_->add_option("OUT", options.out, "the project to write, .3mf")->required();
  fragment_->add_option("--box", options.box, "lowest and highest corner on the plate: six figures, mm")
      ->required()
      ->expected(6);
  fragment_->add_option("--part", options.part, "its number, from 0");
  recipe_ = app.add_subcommand("recipe", "machine, filament, print and settings of a project, to give to others");
  addProjectOptions(recipe_, options);
  recipe_->add_option("OUT", options.out, "the recipe to write, .json")->required();
}

std::optional<int> LearnCommands::run() const {
  if (*compare_)
    runCompare(options_);
  else if (*sweep_)
    return runSweep(options_);
  else if (*ladder_)
    runLadder(options_);
  else if (*fragment_)
    runFragment(options_);
  else if (*recipe_)
    runRecipe(options_);
  else
    return std::nullopt;
  return 0;
}

}  // namespace trellis
