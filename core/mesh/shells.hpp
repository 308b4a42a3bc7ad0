// SPDX-License-Identifier: GPL-3.0-or-later
// A mesh's connected pieces of surface, and which of their facets are turned the wrong way.
#pragma once

#include "core/mesh/topology.hpp"

namespace trellis {

struct Shell {
  std::vector<std::uint32_t> facets;   // connected across edges
  std::vector<std::uint32_t> flipped;  // of these, ascending: turned against the others, or all of them
  double volume = 0;                   // mm³ inside, with every facet turned right; of a closed shell
  double area = 0;                     // mm²
  Box3 box;
  bool closed = false;  // no open edge
};

// A shell that is turned inward counts as flipped unless it lies inside another shell, where it is the
// wall of a cavity.
std::vector<Shell> findShells(const TriangleMesh& mesh, const Topology& topology);

}  // namespace trellis
