// SPDX-License-Identifier: GPL-3.0-or-later
// What is wrong with a mesh, where, and in plain words.
#pragma once

#include "core/base/progress.hpp"
#include "core/mesh/triangle_mesh.hpp"

#include <string>

namespace trellis {

enum class DefectKind { holes, flipped, duplicates, crossing, specks, sheets };

struct MeshDefect {
  DefectKind kind = DefectKind::holes;
  std::size_t count = 0;                       // of holes, facets, specks or sheets
  std::vector<std::uint32_t> facets;           // to show; none for holes
  std::vector<std::array<Vec3, 2>> openEdges;  // of holes, mesh coordinates
  Vec3 at = Vec3::Zero();                      // a place where it is, mesh coordinates
};

struct MeshHealth {
  std::vector<MeshDefect> defects;  // by DefectKind, at most one of each
  bool sound() const { return defects.empty(); }
};

// A speck is a shell smaller than 0.5 mm beside a larger one. A sheet is a shell of less than 0.02 mm
// mean thickness, 2·volume/area, or an open one of no volume. Crossing facets come from findCrossings.
MeshHealth examine(const TriangleMesh& mesh, const Progress& progress);

// "2 holes (36 open edges)", "4 facets turned inside out".
Sentence inWords(const MeshDefect& defect);

bool isSpeck(const Box3& shell, const Box3& mesh);

}  // namespace trellis
