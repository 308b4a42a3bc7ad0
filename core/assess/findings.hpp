// SPDX-License-Identifier: GPL-3.0-or-later
// What the program noticed about a build: decisions without effect, things that cannot be printed.
#pragma once

#include "core/assess/build.hpp"
#include "core/document/project.hpp"
#include "core/settings/rules.hpp"

namespace trellis {

// By severity, worst first, then by part and height. Codes are listed in docs/findings.md.
Findings findProblems(const Project& project, const Build& build);

}  // namespace trellis
