// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/slice/slices.hpp"

#include "core/base/parallel.hpp"
#include "core/mesh/topology.hpp"
#include "core/slice/outlines.hpp"

#include <tbb/enumerable_thread_specific.h>

#include <algorithm>
#include <span>

namespace trellis {

namespace {

// Facets by the planes they cross, packed: plane i is crossed by facets[first[i] … first[i+1]).
struct Crossings {
  std::vector<std::size_t> first;
  std::vector<std::uint32_t> facets;
};

// Plane p crosses a facet when lowest < p ≤ highest: a vertex on the plane counts as above it.
Crossings findCrossings(const TriangleMesh& mesh, const Topology& topology, const std::vector<double>& heights) {
  std::vector<std::pair<std::uint32_t, std::uint32_t>> ranges(mesh.facets.size());
  Crossings crossings;
  crossings.first.assign(heights.size() + 1, 0);
  for (std::size_t f = 0; f < mesh.facets.size(); ++f) {
    if (topology.duplicate[f]) continue;
    const auto& [a, b, c] = mesh.facets[f];
    const auto [low, high] = std::minmax({mesh.vertices[a].z(), mesh.vertices[b].z(), mesh.vertices[c].z()});
    const auto from = std::upper_bound(heights.begin(), heights.end(), static_cast<double>(low));
    const auto to = std::upper_bound(from, heights.end(), static_cast<double>(high));
    ranges[f] = {static_cast<std::uint32_t>(from - heights.begin()), static_cast<std::uint32_t>(to - heights.begin())};
    for (std::uint32_t i = ranges[f].first; i < ranges[f].second; ++i) ++crossings.first[i + 1];
  }
  for (std::size_t i = 0; i < heights.size(); ++i) crossings.first[i + 1] += crossings.first[i];
  crossings.facets.resize(crossings.first.back());
  std::vector<std::size_t> next(crossings.first.begin(), crossings.first.end() - 1);
  for (std::uint32_t f = 0; f < ranges.size(); ++f)
    for (std::uint32_t i = ranges[f].first; i < ranges[f].second; ++i) crossings.facets[next[i]++] = f;
  return crossings;
}

struct Segment {
  std::uint32_t fromEdge, toEdge;
  Point from;
  std::int32_t sameStart;  // another segment that starts on the same edge, or −1
  bool used;
};

// What one thread needs to chain a section, kept from section to section.
struct Workspace {
  std::vector<Segment> segments;
  std::vector<std::int32_t> startingAt;  // by edge: a segment, or −1
};

// Both facets at an edge must find the same point, so the edge is walked from its lower vertex index.
Point crossingPoint(const TriangleMesh& mesh, std::uint32_t u, std::uint32_t v, double height) {
  const Vec3 a = mesh.vertex(std::min(u, v)), b = mesh.vertex(std::max(u, v));
  const double t = (height - a.z()) / (b.z() - a.z());
  return toPoint(a.x() + t * (b.x() - a.x()), a.y() + t * (b.y() - a.y()));
}

// A segment runs so that the part is on its left, given facets that are counter-clockwise from outside.
Segment segmentOf(const TriangleMesh& mesh, const Topology& topology, std::uint32_t facet, double height) {
  const Facet& f = mesh.facets[facet];
  const auto above = [&](std::size_t k) { return static_cast<double>(mesh.vertices[f[k]].z()) >= height; };
  std::size_t lone = 0;  // the corner that is alone on its side of the plane
  for (std::size_t k = 0; k < 3; ++k)
    if (above(k) != above((k + 1) % 3) && above(k) != above((k + 2) % 3)) lone = k;
  const std::size_t before = (lone + 2) % 3;
  const std::size_t fromCorner = above(lone) ? lone : before, toCorner = above(lone) ? before : lone;
  const auto& edges = topology.facetEdges[facet];
  return {edges[fromCorner], edges[toCorner], crossingPoint(mesh, f[fromCorner], f[(fromCorner + 1) % 3], height), -1,
          false};
}

// A plane and the facets it crosses.
struct Crossed {
  double height;
  std::span<const std::uint32_t> facets;
};

// The end of an open chain has to be computed from the last segment's own facet.
Polygons chainSection(const TriangleMesh& mesh, const Topology& topology, const Crossed& plane, Workspace& work,
                      std::vector<OpenEnd>& open) {
  const auto& [height, facets] = plane;
  work.startingAt.resize(topology.edgeCount(), -1);
  work.segments.clear();
  for (std::size_t i = 0; i < facets.size(); ++i) {
    Segment segment = segmentOf(mesh, topology, facets[i], height);
    std::int32_t& slot = work.startingAt[segment.fromEdge];
    segment.sameStart = slot;
    slot = static_cast<std::int32_t>(i);
    work.segments.push_back(segment);
  }
  const auto take = [&](std::uint32_t edge) {
    std::int32_t& slot = work.startingAt[edge];
    while (slot >= 0 && work.segments[static_cast<std::size_t>(slot)].used)
      slot = work.segments[static_cast<std::size_t>(slot)].sameStart;
    return slot;
  };
  const auto endPoint = [&](std::size_t i) {
    const Facet& f = mesh.facets[facets[i]];
    const auto& edges = topology.facetEdges[facets[i]];
    const std::size_t k = edges[0] == work.segments[i].toEdge ? 0 : edges[1] == work.segments[i].toEdge ? 1 : 2;
    return crossingPoint(mesh, f[k], f[(k + 1) % 3], height);
  };
  Polygons outlines;
  std::vector<Chain> chains;
  for (std::size_t start = 0; start < facets.size(); ++start) {
    if (work.segments[start].used) continue;
    Polygon points;
    for (std::size_t at = start;;) {
      Segment& segment = work.segments[at];
      segment.used = true;
      points.push_back(segment.from);
      if (segment.toEdge == work.segments[start].fromEdge) {
        if (points.size() > 2) outlines.push_back(std::move(points));
        break;
      }
      const std::int32_t next = take(segment.toEdge);
      if (next < 0) {
        points.push_back(endPoint(at));
        chains.push_back({std::move(points)});
        break;
      }
      at = static_cast<std::size_t>(next);
    }
  }
  for (const Segment& segment : work.segments) work.startingAt[segment.fromEdge] = -1;
  if (chains.empty()) return outlines;
  Polygons joined = joinChains(std::move(chains), open);
  outlines.insert(outlines.end(), joined.begin(), joined.end());
  return outlines;
}

Slices sliceWith(const TriangleMesh& mesh, const std::vector<double>& heights, const Progress& progress, bool nested) {
  const Topology topology = findTopology(mesh);
  progress.check();
  const Crossings crossings = findCrossings(mesh, topology, heights);
  Slices slices;
  slices.sections.resize(heights.size());
  std::vector<std::vector<OpenEnd>> open(heights.size());
  tbb::enumerable_thread_specific<Workspace> workspaces;
  parallelLayers(heights.size(), progress, [&](std::size_t i) {
    const std::size_t first = crossings.first[i];
    const Crossed plane{heights[i], {crossings.facets.data() + first, crossings.first[i + 1] - first}};
    Polygons outlines = chainSection(mesh, topology, plane, workspaces.local(), open[i]);
    slices.sections[i] = nested ? unite(outlines) : std::move(outlines);
  });
  for (std::size_t i = 0; i < heights.size(); ++i)
    for (const OpenEnd& end : open[i]) {
      const Vec2 at = toMm(end.at);
      slices.gaps.push_back({{at.x(), at.y(), heights[i]}, end.length});
    }
  return slices;
}

}  // namespace

Slices slice(const TriangleMesh& mesh, const std::vector<double>& heights, const Progress& progress) {
  return sliceWith(mesh, heights, progress, true);
}

Slices sliceBare(const TriangleMesh& mesh, const std::vector<double>& heights, const Progress& progress) {
  return sliceWith(mesh, heights, progress, false);
}

}  // namespace trellis
