// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/mesh/health.hpp"

#include "core/base/disjoint_sets.hpp"
#include "core/mesh/crossings.hpp"
#include "core/mesh/shells.hpp"

#include <fmt/format.h>

#include <algorithm>
#include <set>

namespace trellis {

namespace {

constexpr double speckSize = 0.5;        // mm across
constexpr double sheetThickness = 0.02;  // mm

Trouble holesOf(const TriangleMesh& mesh, const Topology& topology) {
  Trouble trouble{Defect::holes, 0, {}, {}, Vec3::Zero()};
  DisjointSets chains(mesh.vertices.size());
  std::vector<std::uint32_t> ends;
  for (std::uint32_t f = 0; f < mesh.facets.size(); ++f)
    for (std::size_t k = 0; k < 3; ++k) {
      const std::uint32_t edge = topology.facetEdges[f][k];
      if (topology.forward[edge] + topology.backward[edge] != 1) continue;
      const std::uint32_t a = mesh.facets[f][k], b = mesh.facets[f][(k + 1) % 3];
      trouble.openEdges.push_back({mesh.vertex(a), mesh.vertex(b)});
      chains.join(a, b);
      ends.push_back(a);
    }
  std::set<std::size_t> holes;
  for (const std::uint32_t end : ends) holes.insert(chains.find(end));
  trouble.count = holes.size();
  if (trouble.count > 0) trouble.at = trouble.openEdges.front()[0];
  return trouble;
}

Trouble facetsOf(Defect kind, const TriangleMesh& mesh, std::vector<std::uint32_t> facets, std::size_t count) {
  Trouble trouble{kind, count, std::move(facets), {}, Vec3::Zero()};
  if (!trouble.facets.empty()) trouble.at = mesh.vertex(mesh.facets[trouble.facets.front()][0]);
  return trouble;
}

bool isSheet(const Shell& shell) {
  return shell.area > 0 && (shell.closed ? 2 * shell.volume < sheetThickness * shell.area
                                         : shell.box.sizes().minCoeff() < sheetThickness);
}

Trouble shellsOf(Defect kind, const TriangleMesh& mesh, const std::vector<Shell>& shells,
                 bool (*is)(const Shell&, const Box3&)) {
  std::vector<std::uint32_t> facets;
  std::size_t count = 0;
  for (const Shell& shell : shells) {
    if (!is(shell, mesh.bounds)) continue;
    ++count;
    facets.insert(facets.end(), shell.facets.begin(), shell.facets.end());
  }
  return facetsOf(kind, mesh, std::move(facets), count);
}

}  // namespace

bool isSpeck(const Box3& shell, const Box3& mesh) {
  return shell.sizes().maxCoeff() < speckSize && mesh.sizes().maxCoeff() > 2 * speckSize;
}

MeshHealth examine(const TriangleMesh& mesh, const Progress& progress) {
  const Topology topology = findTopology(mesh);
  const std::vector<Shell> shells = findShells(mesh, topology);
  std::vector<std::uint32_t> flipped, duplicates;
  for (const Shell& shell : shells) flipped.insert(flipped.end(), shell.flipped.begin(), shell.flipped.end());
  for (std::uint32_t f = 0; f < mesh.facets.size(); ++f)
    if (topology.duplicate[f]) duplicates.push_back(f);
  progress.check();
  std::vector<std::uint32_t> crossing = findCrossings(mesh, progress);
  const std::size_t flippedCount = flipped.size(), duplicateCount = duplicates.size(), crossingCount = crossing.size();
  MeshHealth health;
  for (Trouble& trouble : std::vector<Trouble>{
           holesOf(mesh, topology), facetsOf(Defect::flipped, mesh, std::move(flipped), flippedCount),
           facetsOf(Defect::duplicates, mesh, std::move(duplicates), duplicateCount),
           facetsOf(Defect::crossing, mesh, std::move(crossing), crossingCount),
           shellsOf(Defect::specks, mesh, shells,
                    [](const Shell&s, const Box3&whole) { return isSpeck(s.box, whole); }),
           shellsOf(Defect::sheets, mesh, shells,
                    [](const Shell&s, const Box3&whole) { return isSheet(s) && !isSpeck(s.box, whole); })})
    if (trouble.count > 0) health.troubles.push_back(std::move(trouble));
  return health;
}

std::string inWords(const Trouble& trouble) {
  const bool one = trouble.count == 1;
  const std::size_t n = trouble.count;
  switch (trouble.kind) {
    case Defect::holes:
      return fmt::format("{} hole{} ({} open edges)", n, one ? "" : "s", trouble.openEdges.size());
    case Defect::flipped:
      return fmt::format("{} facet{} turned inside out", n, one ? "" : "s");
    case Defect::duplicates:
      return fmt::format("{} facet{} twice in one place", n, one ? "" : "s");
    case Defect::crossing:
      return fmt::format("{} facets that cross one another", n);
    case Defect::specks:
      return fmt::format("{} stray speck{} under {} mm", n, one ? "" : "s", speckSize);
    case Defect::sheets:
      break;
  }
  return fmt::format("{} sheet{} without thickness", n, one ? "" : "s");
}

}  // namespace trellis
