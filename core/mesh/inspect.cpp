// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/mesh/inspect.hpp"

#include "core/mesh/shells.hpp"

namespace trellis {

MeshFigures inspect(const TriangleMesh& mesh) {
  const Topology topology = findTopology(mesh);
  MeshFigures figures;
  figures.facets = mesh.facets.size();
  figures.vertices = mesh.vertices.size();
  figures.size = mesh.bounds.sizes();
  for (std::size_t f = 0; f < mesh.facets.size(); ++f) {
    const auto [a, b, c] = mesh.corners(f);
    const Vec3 o = mesh.bounds.center();  // near the mesh, so that little precision is lost
    figures.area += (b - a).cross(c - a).norm() / 2;
    figures.volume += (a - o).dot((b - o).cross(c - o)) / 6.0;
    figures.duplicateFacets += topology.duplicate[f];
  }
  for (std::size_t e = 0; e < topology.edgeCount(); ++e)
    figures.openEdges += topology.forward[e] + topology.backward[e] == 1;
  const std::vector<Shell> shells = findShells(mesh, topology);
  figures.shells = shells.size();
  for (const Shell& shell : shells) figures.flippedFacets += shell.flipped.size();
  return figures;
}

}  // namespace trellis
