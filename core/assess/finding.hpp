// SPDX-License-Identifier: GPL-3.0-or-later
// Something the program noticed: what, where, why it matters, what to do.
#pragma once

#include "core/project/operations.hpp"

#include <string>
#include <vector>

namespace trellis {

enum class Severity { note, warning, problem };

struct Finding {
  std::string code;     // stable, for programs: "supports-off", "gap-too-large", …
  Severity severity = Severity::warning;
  std::string message;  // for the maker, with the remedy
  Vec3 at = Vec3::Zero();
  int part = -1;        // index in the project, −1 for the plate
  std::vector<Operation> remedies = {};  // each clears it, or most of it
};

using Findings = std::vector<Finding>;

}  // namespace trellis
