// SPDX-License-Identifier: GPL-3.0-or-later
#include "reader/readers.hpp"

#include "core/base/error.hpp"

#include <CGAL/Exact_predicates_inexact_constructions_kernel.h>
#include <CGAL/IO/OFF.h>
#include <CGAL/Polygon_mesh_processing/triangulate_hole.h>

namespace trellis {

namespace {

using Kernel = CGAL::Exact_predicates_inexact_constructions_kernel;
using Point3 = Kernel::Point_3;

struct Triangle {
  std::size_t a, b, c;
  Triangle(int i, int j, int k)
      : a(static_cast<std::size_t>(i)), b(static_cast<std::size_t>(j)), c(static_cast<std::size_t>(k)) {}
};

// A polygon as triangles of its own corners; a fan would leave it where it is hollow.
std::vector<Triangle> cutUp(const std::vector<Point3>& polygon) {
  if (polygon.size() == 3) return {Triangle(0, 1, 2)};
  std::vector<Triangle> triangles;
  CGAL::Polygon_mesh_processing::triangulate_hole_polyline(polygon, std::back_inserter(triangles));
  return triangles;
}

}  // namespace

std::vector<NamedMesh> readOff(const std::string& path) {
  std::vector<Point3> points;
  std::vector<std::vector<std::size_t>> polygons;
  if (!CGAL::IO::read_OFF(path, points, polygons))
    throw Error("is not a mesh this program can read as OFF. Export it again, or as STL.");
  std::vector<Vec3f> corners;
  for (const auto& polygon : polygons) {
    std::vector<Point3> outline;
    for (const std::size_t index : polygon) {
      if (index >= points.size()) throw Error("names a vertex that it does not have. Export it again.");
      outline.push_back(points[index]);
    }
    if (outline.size() < 3) continue;
    for (const Triangle& triangle : cutUp(outline))
      for (const std::size_t k : {triangle.a, triangle.b, triangle.c})
        corners.push_back(Vec3(outline[k].x(), outline[k].y(), outline[k].z()).cast<float>());
  }
  MeshPtr mesh = meshFromCorners(corners);
  if (mesh->facets.empty()) throw Error("holds no facet, only points or lines. Export it as a mesh of facets.");
  return {{"", std::move(mesh)}};
}

}  // namespace trellis
