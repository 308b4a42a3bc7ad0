// SPDX-License-Identifier: GPL-3.0-or-later
// Where support is wanted: the proposal and the maker's decisions, brought together.
#pragma once

#include "core/assess/finding.hpp"
#include "core/marks/shadows.hpp"
#include "core/overhang/overhangs.hpp"
#include "core/support/rules.hpp"

namespace trellis {

// One connected region of demand on one part, layer over layer.
struct DemandSite {
  std::size_t part = 0;
  std::size_t lowest = 0;         // layer of layers.front()
  std::vector<Polygons> layers;   // one per layer from lowest on, none empty
  std::vector<Polygons> beyondLean;  // of each layer, what only a mark asks for; empty if that is nothing
  std::size_t highest() const { return lowest + layers.size() - 1; }
};

// Marks win over the proposal: what is enforced is wanted whatever its lean, what is blocked is not.
// Demand lies in the steps S_i \ S_{i−1} only, so it never reaches past the surface it carries.
std::vector<Polygons> findDemand(const Overhangs& overhangs, const MarkShadows& shadows, Source source,
                                 const Progress& progress);

// Splits a part's demand into sites: pieces of neighbouring layers that touch in plan belong together.
std::vector<DemandSite> findSites(std::size_t part, const std::vector<Polygons>& demand, const Overhangs& overhangs,
                                  const Progress& progress);

}  // namespace trellis
