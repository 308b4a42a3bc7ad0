// SPDX-License-Identifier: GPL-3.0-or-later
// The facets of a mesh in CGAL's AABB tree (CGAL 5.5).
#pragma once

#include "core/mesh/triangle_mesh.hpp"

#include <CGAL/AABB_traits.h>
#include <CGAL/AABB_tree.h>
#include <CGAL/AABB_triangle_primitive.h>
#include <CGAL/Simple_cartesian.h>

#include <vector>

namespace trellis::test {

using Kernel = CGAL::Simple_cartesian<double>;
using Triangles = std::vector<Kernel::Triangle_3>;
using FacetTree =
    CGAL::AABB_tree<CGAL::AABB_traits<Kernel, CGAL::AABB_triangle_primitive<Kernel, Triangles::const_iterator>>>;

inline Kernel::Point_3 toCgal(const Vec3& p) { return {p.x(), p.y(), p.z()}; }

// In the order of its facets.
inline Triangles trianglesOf(const TriangleMesh& mesh) {
  Triangles triangles;
  for (std::size_t f = 0; f < mesh.facets.size(); ++f) {
    const auto [a, b, c] = mesh.corners(f);
    triangles.emplace_back(toCgal(a), toCgal(b), toCgal(c));
  }
  return triangles;
}

}  // namespace trellis::test
