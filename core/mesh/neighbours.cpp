// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/mesh/neighbours.hpp"

#include "core/base/shared_by_key.hpp"
#include "core/mesh/topology.hpp"

#include <algorithm>
#include <unordered_set>

namespace trellis {

namespace {

Neighbours findNeighbours(const TriangleMesh& mesh) {
  const Topology topology = findTopology(mesh);
  using Pair = std::array<std::uint32_t, 2>;
  std::vector<Pair> sides(topology.edgeCount(), Pair{Neighbours::none, Neighbours::none});
  const auto isShared = [&](std::uint32_t edge) { return topology.forward[edge] == 1 && topology.backward[edge] == 1; };
  for (std::uint32_t f = 0; f < mesh.facets.size(); ++f)
    for (const std::uint32_t edge : topology.facetEdges[f])
      if (isShared(edge)) sides[edge][sides[edge][0] == Neighbours::none ? 0 : 1] = f;
  Neighbours result;
  result.across.resize(mesh.facets.size());
  for (std::uint32_t f = 0; f < mesh.facets.size(); ++f)
    for (std::size_t k = 0; k < 3; ++k) {
      const Pair& side = sides[topology.facetEdges[f][k]];
      result.across[f][k] = side[0] == f ? side[1] : side[0];
    }
  return result;
}

}  // namespace

NeighboursPtr neighboursOf(const MeshPtr& mesh) {
  static SharedByKey<Neighbours> known;
  return known.get(mesh->key, [&] { return std::make_shared<const Neighbours>(findNeighbours(*mesh)); });
}

std::vector<std::uint32_t> flood(const Neighbours& neighbours, const std::vector<std::uint32_t>& seeds,
                                 const std::function<bool(std::uint32_t, std::uint32_t)>& cross) {
  std::unordered_set<std::uint32_t> reached(seeds.begin(), seeds.end());
  std::vector<std::uint32_t> found(reached.begin(), reached.end());
  for (std::size_t i = 0; i < found.size(); ++i)
    for (const std::uint32_t next : neighbours.across[found[i]])
      if (next != Neighbours::none && !reached.contains(next) && cross(found[i], next)) {
        reached.insert(next);
        found.push_back(next);
      }
  std::sort(found.begin(), found.end());
  return found;
}

}  // namespace trellis
