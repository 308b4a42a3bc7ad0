// SPDX-License-Identifier: GPL-3.0-or-later
// Something the program noticed: what, where, why it matters, what to do.
#pragma once

#include "core/document/operations.hpp"

#include <string>
#include <vector>

namespace trellis {

enum class Severity { note, warning, problem };

// What a remedy would cost, once it was tried.
struct RemedyCost {
  double grams = 0, seconds = 0;  // more of the print; less where negative
};

// Operations that clear a finding, or most of it, done together as one step.
struct Remedy {
  Sentence name;  // for the button: "supports on"
  std::vector<Operation> steps;
  int family = 0;                        // of several of one family, other than 0, the first that helps is enough
  bool isRival = false;                  // of several rivals only that which takes least filament is offered
  std::optional<RemedyCost> cost = {};   // once it was tried and helps
  std::vector<Sentence> overrules = {};  // decisions of the maker that it would undo: "your blocker over 12 mm²"
  template <typename One>
  requires std::constructible_from<Operation, One> Remedy(One operation) : steps{Operation(std::move(operation))} {
    name = nameOf(steps.front());
  }
  Remedy(Sentence words, std::vector<Operation> operations);
};

struct Finding {
  std::string code;  // stable, for programs: "supports-off", "gap-too-large", …
  Severity severity = Severity::warning;
  Sentence message;        // one short sentence: which part, what, how much
  Sentence detail;         // why it matters and what to do
  Vec3 at = Vec3::Zero();  // the most serious place
  int part = -1;           // index in the project, −1 for the plate
  std::vector<Remedy> remedies = {};
  std::vector<Vec3> places = {};             // all of them where there are several, the most serious first
  std::optional<std::string> accepted = {};  // the note with which the maker lets it be; such findings come last
};

using Findings = std::vector<Finding>;

// Whether a finding says of a decision that it changes nothing.
bool isAboutDecision(std::string_view code);

}  // namespace trellis
