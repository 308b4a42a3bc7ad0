// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/mesh/topology.hpp"

#include <tbb/parallel_sort.h>

#include <algorithm>
#include <set>

namespace trellis {

namespace {

struct HalfEdge {
  std::uint64_t ends;  // lower vertex index in the high half, higher in the low half
  std::uint32_t facet;
  std::uint8_t corner;
  bool forward;
};

}  // namespace

Topology findTopology(const TriangleMesh& mesh) {
  std::vector<HalfEdge> halves;
  halves.reserve(mesh.facets.size() * 3);
  for (std::uint32_t f = 0; f < mesh.facets.size(); ++f)
    for (std::uint8_t k = 0; k < 3; ++k) {
      const std::uint64_t a = mesh.facets[f][k], b = mesh.facets[f][(k + 1) % 3];
      halves.push_back({std::min(a, b) << 32 | std::max(a, b), f, k, a < b});
    }
  tbb::parallel_sort(halves.begin(), halves.end(), [](const HalfEdge& a, const HalfEdge& b) {
    return a.ends != b.ends ? a.ends < b.ends : a.facet != b.facet ? a.facet < b.facet : a.corner < b.corner;
  });

  Topology result;
  result.facetEdges.resize(mesh.facets.size());
  result.duplicate.assign(mesh.facets.size(), false);
  std::set<Facet> seen;  // only facets at crowded edges can be duplicates
  for (std::size_t i = 0; i < halves.size();) {
    std::size_t end = i;
    std::uint16_t ways[2] = {0, 0};
    for (; end < halves.size() && halves[end].ends == halves[i].ends; ++end) {
      result.facetEdges[halves[end].facet][halves[end].corner] = static_cast<std::uint32_t>(result.edgeCount());
      ++ways[halves[end].forward ? 0 : 1];
    }
    if (end - i > 2)
      for (std::size_t k = i; k < end; ++k) {
        if (halves[k].corner != 0) continue;  // look at each facet once
        Facet sorted = mesh.facets[halves[k].facet];
        std::sort(sorted.begin(), sorted.end());
        if (!seen.insert(sorted).second) result.duplicate[halves[k].facet] = true;
      }
    result.forward.push_back(ways[0]);
    result.backward.push_back(ways[1]);
    i = end;
  }
  return result;
}

}  // namespace trellis
