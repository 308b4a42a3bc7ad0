// SPDX-License-Identifier: GPL-3.0-or-later
// What a mesh is and how sound it is, in figures.
#pragma once

#include "core/mesh/triangle_mesh.hpp"

namespace trellis {

struct MeshFigures {
  std::size_t facets = 0;
  std::size_t vertices = 0;
  std::size_t shells = 0;  // sets of facets connected across edges
  Vec3 size = Vec3::Zero();
  double volume = 0;              // mm³, by the divergence theorem over the facets as they are turned
  double area = 0;                // mm²
  std::size_t openEdges = 0;      // edges with a facet on one side only
  std::size_t flippedFacets = 0;  // facets turned against their neighbours, or whole shells inside out
  std::size_t duplicateFacets = 0;

  bool sound() const { return openEdges == 0 && flippedFacets == 0 && duplicateFacets == 0; }
};

MeshFigures inspect(const TriangleMesh& mesh);

}  // namespace trellis
