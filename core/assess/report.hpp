// SPDX-License-Identifier: GPL-3.0-or-later
// A build as JSON, with the keys of docs/formats/report.md, for the command line and the G-code's summary.
#pragma once

#include "core/assess/build.hpp"
#include "core/document/project.hpp"

#include <nlohmann/json_fwd.hpp>

namespace trellis {

// Totals by feature: length and mass of filament, money.
nlohmann::json totalsOf(const Build& build, const Settings& settings);

// Totals, pieces, findings, and how long each stage of the computation took. findings are the build's, with their
// remedies where those were tried; remedies that were not are left out.
nlohmann::json reportOf(const Build& build, const Settings& settings, const Findings& findings);
nlohmann::json reportOf(const Build& build, const Settings& settings);

// Sites with their figures and prices, and floating starts.
nlohmann::json sitesOf(const Build& build, const Settings& settings);

const char* nameOf(Severity severity);
const char* nameOf(CauseKind kind);

// Mass in g of a volume of filament in mm³: ρ·V. Money from it, in the currency of the price.
double grams(const Use& use, const Settings& settings);
double money(const Use& use, const Settings& settings);

}  // namespace trellis
