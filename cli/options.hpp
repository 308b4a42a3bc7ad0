// SPDX-License-Identifier: GPL-3.0-or-later
// What a command line may say, and the project it says it of.
#pragma once

#include "cli/learn.hpp"
#include "core/document/project.hpp"
#include "core/results/store.hpp"
#include "core/trial/trial_print.hpp"

#include <CLI/CLI.hpp>

#include <optional>

namespace trellis {

// One bar on a terminal's standard error, nothing elsewhere.
class Bar {
 public:
  Bar();
  ~Bar();
  const Progress& progress() const { return progress_; }

 private:
  void draw(double fraction, std::string_view stage);
  bool shown_, drawn_ = false;
  Progress progress_;
};

struct Options {
  std::string file, out, settings, ops, gcode, project, report, svg, journal;
  std::vector<std::string> sets;
  std::string machine, filament, print, recipe;  // names of sets; a file
  double layerHeight = 0;
  TrialRules trial;
  std::vector<std::string> files, vary, want, limits;
  std::size_t turnings = 0;
  SweepPlaces sweep;
  std::string kind, ceiling = "flat", what = "parts", csv;
  std::optional<double> from, to, step;
  std::vector<double> box;
  std::size_t part = 0;
  bool json = false, remedies = false;
};

// The sets that were named, as the maker keeps them.
std::vector<KeptSet> chosenSets(const Options& options);
void applySettings(Settings& settings, const Options& options);
// The file as a project with the settings and operations of the command line.
ProjectPtr loaded(Store& store, const Options& options, const Progress& progress);

void addSetOptions(CLI::App* command, Options& options);
void addProjectOptions(CLI::App* command, Options& options);  // the same, and the file

}  // namespace trellis
