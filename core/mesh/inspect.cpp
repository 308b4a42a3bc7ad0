// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/mesh/inspect.hpp"

#include "core/mesh/topology.hpp"

#include <cmath>

namespace trellis {

namespace {

struct Shell {
  std::vector<std::uint32_t> facets;
  std::size_t turnedBack = 0;  // facets turned against the shell's first facet
  double volume = 0;           // with every facet turned like the first
};

double signedVolume(const TriangleMesh& mesh, std::size_t facet) {
  const auto [a, b, c] = mesh.corners(facet);
  const Vec3 o = mesh.bounds.center();  // near the mesh, so that little precision is lost
  return (a - o).dot((b - o).cross(c - o)) / 6.0;
}

// Walks across shared edges and notes which facets are turned against the one the walk began at.
std::vector<Shell> findShells(const TriangleMesh& mesh, const Topology& topology) {
  std::vector<std::vector<std::uint32_t>> facetsAt(topology.edgeCount());
  for (std::uint32_t f = 0; f < mesh.facets.size(); ++f)
    for (const std::uint32_t edge : topology.facetEdges[f]) facetsAt[edge].push_back(f);
  const auto runsForward = [&](std::uint32_t f, std::uint32_t edge) {
    const auto& edges = topology.facetEdges[f];
    const std::size_t k = edges[0] == edge ? 0 : edges[1] == edge ? 1 : 2;
    return mesh.facets[f][k] < mesh.facets[f][(k + 1) % 3];
  };
  enum : char { unseen, same, against };
  std::vector<char> turned(mesh.facets.size(), unseen);
  std::vector<Shell> shells;
  for (std::uint32_t first = 0; first < mesh.facets.size(); ++first) {
    if (turned[first] != unseen) continue;
    Shell shell;
    turned[first] = same;
    shell.facets.push_back(first);
    for (std::size_t at = 0; at < shell.facets.size(); ++at) {
      const std::uint32_t f = shell.facets[at];
      const double volume = signedVolume(mesh, f);
      shell.volume += turned[f] == same ? volume : -volume;
      shell.turnedBack += turned[f] == against;
      for (const std::uint32_t edge : topology.facetEdges[f])
        for (const std::uint32_t g : facetsAt[edge]) {
          if (turned[g] != unseen) continue;
          const bool agrees = runsForward(f, edge) != runsForward(g, edge);
          turned[g] = agrees == (turned[f] == same) ? same : against;
          shell.facets.push_back(g);
        }
    }
    shells.push_back(std::move(shell));
  }
  return shells;
}

// Whether a point lies inside a shell, by counting crossings of a slightly tilted upward ray.
bool isInside(const TriangleMesh& mesh, const Shell& shell, const Vec3& point) {
  const Vec3 direction(1e-4, 1.7e-4, 1.0);
  bool inside = false;
  for (const std::uint32_t f : shell.facets) {
    const auto [a, b, c] = mesh.corners(f);
    const Vec3 p = direction.cross(c - a);
    const double det = (b - a).dot(p);
    if (std::abs(det) < 1e-18) continue;
    const double u = (point - a).dot(p) / det;
    const Vec3 q = (point - a).cross(b - a);
    const double v = direction.dot(q) / det;
    if (u >= 0 && v >= 0 && u + v <= 1 && (c - a).dot(q) / det > 0) inside = !inside;
  }
  return inside;
}

std::size_t flippedIn(const TriangleMesh& mesh, const std::vector<Shell>& shells, const Shell& shell) {
  const std::size_t minority = std::min(shell.turnedBack, shell.facets.size() - shell.turnedBack);
  const bool firstIsMajority = shell.turnedBack * 2 <= shell.facets.size();
  const double volume = firstIsMajority ? shell.volume : -shell.volume;
  if (volume >= 0) return minority;
  bool cavity = false;
  const Vec3 point = mesh.vertex(mesh.facets[shell.facets.front()][0]);
  for (const Shell& other : shells)
    if (&other != &shell && isInside(mesh, other, point)) cavity = !cavity;
  return cavity ? minority : shell.facets.size() - minority;
}

}  // namespace

MeshFigures inspect(const TriangleMesh& mesh) {
  const Topology topology = findTopology(mesh);
  MeshFigures figures;
  figures.facets = mesh.facets.size();
  figures.vertices = mesh.vertices.size();
  figures.size = mesh.bounds.sizes();
  for (std::size_t f = 0; f < mesh.facets.size(); ++f) {
    const auto [a, b, c] = mesh.corners(f);
    figures.area += (b - a).cross(c - a).norm() / 2;
    figures.volume += signedVolume(mesh, f);
    figures.duplicateFacets += topology.duplicate[f];
  }
  for (std::size_t e = 0; e < topology.edgeCount(); ++e)
    figures.openEdges += topology.forward[e] + topology.backward[e] == 1;
  const std::vector<Shell> shells = findShells(mesh, topology);
  figures.shells = shells.size();
  for (const Shell& shell : shells) figures.flippedFacets += flippedIn(mesh, shells, shell);
  return figures;
}

}  // namespace trellis
