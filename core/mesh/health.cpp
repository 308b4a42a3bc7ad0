// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/mesh/health.hpp"

#include "core/base/disjoint_sets.hpp"
#include "core/mesh/crossings.hpp"
#include "core/mesh/shells.hpp"

#include <algorithm>
#include <set>

namespace trellis {

namespace {

constexpr double speckSize = 0.5;        // mm across
constexpr double sheetThickness = 0.02;  // mm

MeshDefect holesOf(const TriangleMesh& mesh, const Topology& topology) {
  MeshDefect defect{DefectKind::holes, 0, {}, {}, Vec3::Zero()};
  DisjointSets chains(mesh.vertices.size());
  std::vector<std::uint32_t> ends;
  for (std::uint32_t f = 0; f < mesh.facets.size(); ++f)
    for (std::size_t k = 0; k < 3; ++k) {
      const std::uint32_t edge = topology.facetEdges[f][k];
      if (topology.forward[edge] + topology.backward[edge] != 1) continue;
      const std::uint32_t a = mesh.facets[f][k], b = mesh.facets[f][(k + 1) % 3];
      defect.openEdges.push_back({mesh.vertex(a), mesh.vertex(b)});
      chains.join(a, b);
      ends.push_back(a);
    }
  std::set<std::size_t> holes;
  for (const std::uint32_t end : ends) holes.insert(chains.find(end));
  defect.count = holes.size();
  if (defect.count > 0) defect.at = defect.openEdges.front()[0];
  return defect;
}

MeshDefect facetsOf(DefectKind kind, const TriangleMesh& mesh, std::vector<std::uint32_t> facets, std::size_t count) {
  MeshDefect defect{kind, count, std::move(facets), {}, Vec3::Zero()};
  if (!defect.facets.empty()) defect.at = mesh.vertex(mesh.facets[defect.facets.front()][0]);
  return defect;
}

bool isSheet(const Shell& shell) {
  return shell.area > 0 && (shell.closed ? 2 * shell.volume < sheetThickness * shell.area
                                         : shell.box.sizes().minCoeff() < sheetThickness);
}

MeshDefect shellsOf(DefectKind kind, const TriangleMesh& mesh, const std::vector<Shell>& shells,
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
  for (MeshDefect& defect : std::vector<MeshDefect>{
           holesOf(mesh, topology), facetsOf(DefectKind::flipped, mesh, std::move(flipped), flippedCount),
           facetsOf(DefectKind::duplicates, mesh, std::move(duplicates), duplicateCount),
           facetsOf(DefectKind::crossing, mesh, std::move(crossing), crossingCount),
           shellsOf(DefectKind::specks, mesh, shells,
                    [](const Shell&s, const Box3&whole) { return isSpeck(s.box, whole); }),
           shellsOf(DefectKind::sheets, mesh, shells,
                    [](const Shell&s, const Box3&whole) { return isSheet(s) && !isSpeck(s.box, whole); })})
    if (defect.count > 0) health.defects.push_back(std::move(defect));
  return health;
}

Sentence inWords(const MeshDefect& defect) {
  const bool one = defect.count == 1;
  const std::size_t n = defect.count;
  switch (defect.kind) {
    case DefectKind::holes:
      return one ? say("1 hole ({} open edges)", defect.openEdges.size())
                 : say("{} holes ({} open edges)", n, defect.openEdges.size());
    case DefectKind::flipped:
      return one ? say("1 facet turned inside out") : say("{} facets turned inside out", n);
    case DefectKind::duplicates:
      return one ? say("1 facet twice in one place") : say("{} facets twice in one place", n);
    case DefectKind::crossing:
      return say("{} facets that cross one another", n);
    case DefectKind::specks:
      return one ? say("1 stray speck under {} mm", speckSize) : say("{} stray specks under {} mm", n, speckSize);
    case DefectKind::sheets:
      break;
  }
  return one ? say("1 sheet without thickness") : say("{} sheets without thickness", n);
}

}  // namespace trellis
