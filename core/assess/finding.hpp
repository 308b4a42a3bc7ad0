// SPDX-License-Identifier: GPL-3.0-or-later
// Something the program noticed: what, where, why it matters, what to do.
#pragma once

#include "core/document/operations.hpp"

#include <string>
#include <vector>

namespace trellis {

enum class Severity { note, warning, problem };

// Operations that clear a finding, or most of it, done together as one step.
struct Remedy {
  std::string name;  // for the button: "supports on"
  std::vector<Operation> steps;
  template <typename One>
  requires std::constructible_from<Operation, One> Remedy(One operation) : steps{Operation(std::move(operation))} {
    name = nameOf(steps.front());
  }
  Remedy(std::string words, std::vector<Operation> operations) : name(std::move(words)), steps(std::move(operations)) {}
};

struct Finding {
  std::string code;  // stable, for programs: "supports-off", "gap-too-large", …
  Severity severity = Severity::warning;
  std::string message;  // for the maker, with the remedy
  Vec3 at = Vec3::Zero();
  int part = -1;  // index in the project, −1 for the plate
  std::vector<Remedy> remedies = {};
  std::optional<std::string> accepted = {};  // the note with which the maker lets it be; such findings come last
};

using Findings = std::vector<Finding>;

}  // namespace trellis
