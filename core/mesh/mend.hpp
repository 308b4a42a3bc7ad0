// SPDX-License-Identifier: GPL-3.0-or-later
// Makes a broken mesh sound, as far as that goes.
#pragma once

#include "core/mesh/health.hpp"

namespace trellis {

enum class MendBy {
  repair,  // joins, turns, fills and drops; every sound vertex stays where it is
  wrap,    // a new closed skin around everything, up to 0.1 mm outside: the last resort
};

struct Mended {
  MeshPtr mesh;
  std::vector<Sentence> done;        // "filled 2 holes", in order
  std::vector<std::uint32_t> fresh;  // facets of the mesh that were not there before
  MeshHealth left;                   // what could not be mended
};

// Over CGAL's polygon soup repair, hole filling and alpha wrapping (P. Alliez, D. Cohen-Steiner, M. Hemmer,
// C. Portaneri, M. Rouxel-Labbé, "3D Alpha Wrapping", CGAL 5.5). Throws Error when nothing would be left.
// Repair is weak at facets that cross: it leaves them, and slicing unites what they enclose.
Mended mend(const TriangleMesh& mesh, MendBy way, const Progress& progress);

}  // namespace trellis
