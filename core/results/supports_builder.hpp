// SPDX-License-Identifier: GPL-3.0-or-later
// From a project's parts to their supports, by way of the store.
#pragma once

#include "core/document/project.hpp"
#include "core/results/part_recipes.hpp"
#include "core/support/supports.hpp"

namespace trellis {

// Where one part stands on its way: what is known of it, with the keys that later results are made from.
struct PartResults {
  std::size_t part = 0;  // in the project
  Kept<MeshAnalysis> mesh;
  Kept<TriangleMesh> placed;
  Kept<Sections> sections;
  Kept<Overhangs> overhangs;
  Kept<Sites> sites;
};

// Up to its sites. They are known long before any support is.
PartResults sitesOfPart(Store& store, const Project& project, std::size_t part, const Progress& progress);

// Parts whose supports may meet, by their numbers in the project, ascending; every part is in one of the groups. Parts
// of different groups have nothing to do with one another: moving one makes nothing of the other anew.
std::vector<std::vector<std::size_t>> neighbourhoods(const Project& project, const std::vector<PartResults>& parts);

// The supports of one neighbourhood. Its parts, and what refers to them, are numbered from 0 within it.
Supports supportsOf(Store& store, const Project& project, const std::vector<const PartResults*>& parts,
                    const Progress& progress);

// Those of all neighbourhoods as one, numbered as the project's parts are.
Supports together(std::vector<Supports> supports, const std::vector<std::vector<std::size_t>>& neighbourhoods,
                  std::size_t partCount);

}  // namespace trellis
