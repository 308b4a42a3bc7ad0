// SPDX-License-Identifier: GPL-3.0-or-later
// Which facets share which edges.
#pragma once

#include "core/mesh/triangle_mesh.hpp"

namespace trellis {

struct Topology {
  // Edge k of facet f runs from its corner k to corner k+1 (mod 3); edges are numbered from 0.
  std::vector<std::array<std::uint32_t, 3>> facetEdges;
  // For each edge, how many facets run along it from the lower to the higher vertex index, and how
  // many the other way. A sound edge has one of each.
  std::vector<std::uint16_t> forward, backward;
  // Facets on the same three vertices as an earlier facet: slicing leaves them out.
  std::vector<bool> duplicate;

  std::size_t edgeCount() const { return forward.size(); }
};

// O(n log n), on all threads.
Topology findTopology(const TriangleMesh& mesh);

}  // namespace trellis
