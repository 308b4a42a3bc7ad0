// SPDX-License-Identifier: GPL-3.0-or-later
// Every combination of what may vary, built as far as it can win, and which of them nothing beats.
#pragma once

#include "core/assess/comparison.hpp"
#include "core/results/store.hpp"

namespace trellis {

// Values that a setting may take, for every part; or turnings of the first part, degrees about x, y, z.
struct SweepAxis {
  std::string key;                        // of a setting, or "turning"
  std::vector<SettingValue> values = {};  // of a setting
  std::vector<Vec3> turnings = {};
};
// A row of the comparison that is to be as low (or, where more is better, as high) as can be.
struct SweepWant {
  std::string row;
  double weight = 1;
};
// A row that may not be more than this, or less where more is better: "trapped" 0.
struct SweepLimit {
  std::string row;
  double most = 0;
};
struct SweepSpec {
  std::vector<SweepAxis> vary;
  std::vector<SweepWant> want;
  std::vector<SweepLimit> limits = {};
};

// From words as on a command line: "support.gap.above=0.18,0.2", "turning=0/0/0,90/0/0"; "g", "removal_min:2"; and
// "trapped<=0". Throw Error in a sentence.
SweepAxis axisFromText(const std::string& text);
SweepWant wantFromText(const std::string& text);
SweepLimit limitFromText(const std::string& text);

// The turnings of the first part that want least support by an estimate; no values without a part.
SweepAxis bestTurnings(const Project& project, std::size_t count, const Progress& progress);

inline constexpr std::size_t mostCombinations = 5000;

// One of each axis: what was chosen, in words and as operations on the project.
struct Combination {
  std::vector<std::string> chosen;  // "0.18", as the axes
  std::vector<Operation> steps;
};
// All of them, the last axis running fastest. Throws Error when a value is out of its range or they are too many.
std::vector<Combination> combinationsOf(const Project& project, const SweepSpec& spec);
ProjectPtr projectOf(const Project& project, const Combination& combination);
// The steps as the command line's list of operations.
nlohmann::json operationsOf(const SweepSpec& spec, const Project& project, std::size_t index);

enum class SweepState { ahead, done, failed, dropped };
struct SweepResult {
  std::vector<std::string> chosen;
  // By row; of what was dropped those known before lines, of what failed none.
  std::map<std::string, double> figures = {};
  SweepState state = SweepState::ahead;
  std::string why = {};  // failed or dropped, in a sentence
  bool isBuilt() const { return state == SweepState::done; }
};
// What is said of a combination whose figures are known, wherever they were found. One that breaks a limit before any
// line is laid is dropped: only what is known then is told.
SweepResult resultOf(const Combination& combination, std::map<std::string, double> figures,
                     const std::vector<SweepLimit>& limits);
// Lines are laid only where no limit is broken before them.
SweepResult builtOf(Store& store, const Project& project, const Combination& combination,
                    const std::vector<SweepLimit>& limits, const Progress& progress);

// All of them. One that cannot be built says why, and the others go on.
std::vector<SweepResult> sweep(Store& store, const ProjectPtr& project, const SweepSpec& spec,
                               const Progress& progress);

// Whether it was built and keeps to the limits.
bool isAllowed(const SweepSpec& spec, const SweepResult& result);
// Those allowed that no other allowed one is at least as good as in all that is wanted and better in one: dominance as
// in K. Deb et al., "A fast and elitist multiobjective genetic algorithm: NSGA-II", 2002. Ascending.
std::vector<std::size_t> nonDominated(const SweepSpec& spec, const std::vector<SweepResult>& results);
// Of those the one with the least weighted sum of what is wanted, each as a share of its range; none when nothing is
// allowed.
std::optional<std::size_t> bestOf(const SweepSpec& spec, const std::vector<SweepResult>& results);

// The whole table; the same wherever it was built.
nlohmann::json sweepJson(const SweepSpec& spec, const std::vector<SweepResult>& results);
std::string sweepCsv(const SweepSpec& spec, const std::vector<SweepResult>& results);  // RFC 4180

// The project with a variant for each of some combinations, named by what was chosen.
ProjectPtr withVariants(const ProjectPtr& project, const SweepSpec& spec, const std::vector<std::size_t>& chosen);

}  // namespace trellis
