// SPDX-License-Identifier: GPL-3.0-or-later
// A built project as G-code.
#pragma once

#include "core/assess/build.hpp"
#include "core/document/project.hpp"

namespace trellis {

// Of what was built from the project; the same text for the same project, whatever the number of threads. Throws Error
// naming a {field} of the machine's texts that is not known.
std::string gcodeOf(const Project& project, const Build& build, const Progress& progress);

}  // namespace trellis
