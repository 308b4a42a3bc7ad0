// SPDX-License-Identifier: GPL-3.0-or-later
// What a build will take, before it begins.
#pragma once

#include "core/document/project.hpp"

namespace trellis {

struct BuildEstimate {
  std::size_t layers = 0;  // of the highest part
  std::size_t facets = 0;  // of all parts
  double bytes = 0;        // of memory at most, about
  double seconds = 0;      // on two cores, about
};

// From how many facets the layers will cut, on a sample of each mesh. The factors were measured on the demo project and
// open meshes (docs/benchmarks.md); what supports take can double them either way.
BuildEstimate estimateBuild(const Project& project);

// Throws Error with the figures and a remedy when the project cannot fit into so many bytes of memory.
void checkFits(const Project& project, double memory);

// What the machine has.
double machineMemory();

}  // namespace trellis
