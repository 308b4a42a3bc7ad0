// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/mesh/boolean.hpp"

#include "core/base/error.hpp"

#include <CGAL/Exact_predicates_inexact_constructions_kernel.h>
#include <CGAL/Polygon_mesh_processing/bbox.h>
#include <CGAL/Polygon_mesh_processing/corefinement.h>
#include <CGAL/Polygon_mesh_processing/orientation.h>
#include <CGAL/Polygon_mesh_processing/polygon_soup_to_polygon_mesh.h>
#include <CGAL/Polygon_mesh_processing/self_intersections.h>
#include <CGAL/Surface_mesh.h>

namespace trellis {

namespace {

namespace processing = CGAL::Polygon_mesh_processing;
using Kernel = CGAL::Exact_predicates_inexact_constructions_kernel;
using Surface = CGAL::Surface_mesh<Kernel::Point_3>;

Surface surfaceOf(const TriangleMesh& mesh, const std::string& what) {
  std::vector<Kernel::Point_3> points;
  std::vector<std::array<std::size_t, 3>> facets;
  for (const Vec3f& v : mesh.vertices) points.emplace_back(v.x(), v.y(), v.z());
  for (const Facet& f : mesh.facets) facets.push_back({f[0], f[1], f[2]});
  Surface surface;
  if (!processing::is_polygon_soup_a_polygon_mesh(facets))
    throw Error(say("{} has edges with more than two facets, so it cannot be cut. Mend it in Place first.", what));
  processing::polygon_soup_to_polygon_mesh(points, facets, surface);
  if (!CGAL::is_closed(surface))
    throw Error(say("{} is not closed, so it cannot be cut. Mend it in Place first.", what));
  if (!processing::does_bound_a_volume(surface))
    throw Error(say("{} has shells that are inside out, so it cannot be cut. Mend it in Place first.", what));
  return surface;
}

MeshPtr meshOf(const Surface& surface) {
  if (surface.number_of_faces() == 0) return nullptr;
  std::vector<Vec3f> corners;
  for (const auto face : surface.faces())
    for (const auto vertex : CGAL::vertices_around_face(surface.halfedge(face), surface)) {
      const auto& p = surface.point(vertex);
      corners.push_back(Vec3(p.x(), p.y(), p.z()).cast<float>());
    }
  return meshFromCorners(corners);
}

template <typename Combine>
MeshPtr combined(const TriangleMesh& a, const TriangleMesh& b, const std::string& what, const Combine& combine) {
  Surface first = surfaceOf(a, what), second = surfaceOf(b, "The cut"), result;
  bool done = false;
  try {
    done = combine(first, second, result);
  } catch (const processing::Corefinement::Self_intersection_exception&) {
    throw Error(say("{} has facets that cross one another where it is cut. Mend it in Place first.", what));
  }
  if (!done)
    throw Error(
        say("{} cannot be cut there: the result would touch itself along an edge. Move the cut a little.", what));
  return meshOf(result);
}

const auto checked = CGAL::parameters::throw_on_self_intersection(true);

}  // namespace

MeshPtr united(const TriangleMesh& a, const TriangleMesh& b, const std::string& what) {
  return combined(a, b, what, [](Surface& one, Surface& other, Surface& result) {
    return processing::corefine_and_compute_union(one, other, result, checked);
  });
}

MeshPtr common(const TriangleMesh& a, const TriangleMesh& b, const std::string& what) {
  return combined(a, b, what, [](Surface& one, Surface& other, Surface& result) {
    return processing::corefine_and_compute_intersection(one, other, result, checked);
  });
}

}  // namespace trellis
