// SPDX-License-Identifier: GPL-3.0-or-later
// The one mesh type: indexed triangles, counter-clockwise seen from outside, immutable once made.
#pragma once

#include "core/base/types.hpp"

#include <array>
#include <memory>
#include <vector>

namespace trellis {

using Facet = std::array<std::uint32_t, 3>;

// Vertices are single precision because every mesh format's are, so that they survive files bit for
// bit; all arithmetic on them is done in double precision.
struct TriangleMesh {
  std::vector<Vec3f> vertices;
  std::vector<Facet> facets;
  Box3 bounds;            // of the vertices; empty when there are none
  std::uint64_t key = 0;  // of vertices and facets; equal meshes have equal keys

  Vec3 vertex(std::uint32_t index) const { return vertices[index].cast<double>(); }
  std::array<Vec3, 3> corners(std::size_t facet) const {
    const Facet& f = facets[facet];
    return {vertex(f[0]), vertex(f[1]), vertex(f[2])};
  }
  // Unit outward normal; zero for a facet without area.
  Vec3 normal(std::size_t facet) const {
    const auto [a, b, c] = corners(facet);
    return (b - a).cross(c - a).normalized();
  }
};

using MeshPtr = std::shared_ptr<const TriangleMesh>;

// Takes ownership and fills bounds and key. Indices must be in range.
MeshPtr makeMesh(std::vector<Vec3f> vertices, std::vector<Facet> facets);

// Joins corners with identical coordinates and makes the mesh; corners holds three points a facet.
// Facets that lose a corner by joining are dropped.
MeshPtr meshFromCorners(const std::vector<Vec3f>& corners);

// The mesh moved by the transform; a mirroring transform also turns the facets, so that they stay
// counter-clockwise seen from outside.
MeshPtr transformed(const TriangleMesh& mesh, const Affine& transform);

}  // namespace trellis
