// SPDX-License-Identifier: GPL-3.0-or-later
// A trial print as JSON and in a sentence.
#pragma once

#include "core/trial/trial_print.hpp"

#include <nlohmann/json_fwd.hpp>

namespace trellis {

// With the keys of docs/formats/report.md.
nlohmann::json reportOf(const TrialPrint& trial);

// "Nothing would print on air." or what would, and where first.
Sentence verdictOf(const TrialPrint& trial);

}  // namespace trellis
