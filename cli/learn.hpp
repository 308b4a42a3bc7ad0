// SPDX-License-Identifier: GPL-3.0-or-later
// Comparing, sweeping and learning on the command line.
#pragma once

#include "core/learn/sweep.hpp"

namespace trellis {

// The variants of a project, or several projects, beside each other; the first is the base.
void compareProjects(Store& store, const std::vector<std::pair<std::string, ProjectPtr>>& variants, bool json,
                     const Progress& progress);

// Where a sweep's jobs lie when others build them: a folder that all of them see.
struct SweepPlaces {
  std::string out;       // JSON, or CSV by its name's end
  std::string project;   // gets the unbeaten as variants
  std::string jobsFile;  // write the jobs, one command line each, and build nothing
  std::string on;        // "slurm": hand the jobs over as one array and gather what comes back
  std::string folder;    // for jobs
  bool gather = false;   // only gather what lies in the folder
  int atOnce = 0;        // jobs of an array at once; 0: as the cluster likes
  bool asJson = false;   // print the table as JSON
};
// Returns how many combinations were not built.
std::size_t runSweep(Store& store, const ProjectPtr& project, const SweepSpec& spec, const SweepPlaces& places,
                     const Progress& progress);

}  // namespace trellis
