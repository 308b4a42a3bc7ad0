// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/mesh/shells.hpp"

#include <algorithm>
#include <cmath>

namespace trellis {

namespace {

double signedVolume(const TriangleMesh& mesh, std::size_t facet) {
  const auto [a, b, c] = mesh.corners(facet);
  const Vec3 o = mesh.bounds.center();  // near the mesh, so that little precision is lost
  return (a - o).dot((b - o).cross(c - o)) / 6.0;
}

// Walks across shared edges and notes which facets are turned against the one the walk began at.
class Walk {
 public:
  Walk(const TriangleMesh& mesh, const Topology& topology)
      : mesh_(mesh), topology_(topology), facetsAt_(topology.edgeCount()), turned_(mesh.facets.size(), unseen) {
    for (std::uint32_t f = 0; f < mesh.facets.size(); ++f)
      for (const std::uint32_t edge : topology.facetEdges[f]) facetsAt_[edge].push_back(f);
  }

  bool seen(std::uint32_t facet) const { return turned_[facet] != unseen; }

  Shell from(std::uint32_t first) {
    Shell shell;
    shell.closed = true;
    turned_[first] = same;
    shell.facets.push_back(first);
    for (std::size_t at = 0; at < shell.facets.size(); ++at) visit(shell, shell.facets[at]);
    const std::size_t against = static_cast<std::size_t>(std::count_if(
        shell.facets.begin(), shell.facets.end(), [&](std::uint32_t f) { return turned_[f] == against_; }));
    majority_ = against * 2 <= shell.facets.size() ? same : against_;
    if (majority_ == against_) shell.volume = -shell.volume;
    std::sort(shell.facets.begin(), shell.facets.end());
    for (const std::uint32_t f : shell.facets)
      if (turned_[f] != majority_) shell.flipped.push_back(f);
    return shell;
  }

 private:
  enum Turn : char { unseen, same, against_ };

  void visit(Shell& shell, std::uint32_t f) {
    const double volume = signedVolume(mesh_, f);
    shell.volume += turned_[f] == same ? volume : -volume;
    const auto [a, b, c] = mesh_.corners(f);
    shell.area += (b - a).cross(c - a).norm() / 2;
    shell.box.extend(a).extend(b).extend(c);
    for (const std::uint32_t edge : topology_.facetEdges[f]) {
      if (topology_.forward[edge] + topology_.backward[edge] == 1) shell.closed = false;
      for (const std::uint32_t g : facetsAt_[edge]) {
        if (turned_[g] != unseen) continue;
        const bool agrees = runsForward(f, edge) != runsForward(g, edge);
        turned_[g] = agrees == (turned_[f] == same) ? same : against_;
        shell.facets.push_back(g);
      }
    }
  }

  bool runsForward(std::uint32_t f, std::uint32_t edge) const {
    const auto& edges = topology_.facetEdges[f];
    const std::size_t k = edges[0] == edge ? 0 : edges[1] == edge ? 1 : 2;
    return mesh_.facets[f][k] < mesh_.facets[f][(k + 1) % 3];
  }

  const TriangleMesh& mesh_;
  const Topology& topology_;
  std::vector<std::vector<std::uint32_t>> facetsAt_;
  std::vector<Turn> turned_;
  Turn majority_ = same;
};

// Whether a point lies inside a shell, by counting crossings of a slightly tilted upward ray.
bool isInside(const TriangleMesh& mesh, const Shell& shell, const Vec3& point) {
  if (!shell.box.contains(point)) return false;
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

bool isCavity(const TriangleMesh& mesh, const std::vector<Shell>& shells, const Shell& shell) {
  bool cavity = false;
  const Vec3 point = mesh.vertex(mesh.facets[shell.facets.front()][0]);
  for (const Shell& other : shells)
    if (&other != &shell && isInside(mesh, other, point)) cavity = !cavity;
  return cavity;
}

}  // namespace

std::vector<Shell> findShells(const TriangleMesh& mesh, const Topology& topology) {
  Walk walk(mesh, topology);
  std::vector<Shell> shells;
  for (std::uint32_t first = 0; first < mesh.facets.size(); ++first)
    if (!walk.seen(first)) shells.push_back(walk.from(first));
  for (Shell& shell : shells) {
    if (shell.volume >= 0) continue;
    shell.volume = -shell.volume;
    if (isCavity(mesh, shells, shell)) continue;
    std::vector<std::uint32_t> others;
    std::set_difference(shell.facets.begin(), shell.facets.end(), shell.flipped.begin(), shell.flipped.end(),
                        std::back_inserter(others));
    shell.flipped = std::move(others);
  }
  return shells;
}

}  // namespace trellis
