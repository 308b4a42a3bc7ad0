// SPDX-License-Identifier: GPL-3.0-or-later
// Remedies are tried before they are offered.
#pragma once

#include "core/assess/build.hpp"
#include "core/document/project.hpp"
#include "core/results/store.hpp"

namespace trellis {

// The build's findings with those of their remedies that help, each with what it costs and which decisions it would
// overrule. A remedy helps when there is less of the finding after it, in places or altogether, and no other problem
// appears. Every remedy is a build of its own, for which the store has all that it does not change. Accepted findings
// keep no remedies. Throws Cancelled.
Findings withTriedRemedies(Store& store, const ProjectPtr& project, const Build& build, const Progress& progress);

// Decisions there were before and are not any more, or that something stronger beats now, in words.
std::vector<Sentence> overruled(const Project& before, const Project& after);

}  // namespace trellis
