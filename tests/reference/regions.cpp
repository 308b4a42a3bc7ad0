// SPDX-License-Identifier: GPL-3.0-or-later
#include "tests/reference/regions.hpp"

#include <CGAL/AABB_halfedge_graph_segment_primitive.h>
#include <CGAL/AABB_traits.h>
#include <CGAL/AABB_tree.h>
#include <CGAL/Exact_predicates_inexact_constructions_kernel.h>
#include <CGAL/Polygon_mesh_slicer.h>
#include <CGAL/Surface_mesh.h>

namespace trellis::test {

Paths offset(const Paths& paths, double by) {
  ClipperLib::ClipperOffset offset(2, 0.002 * perMm);
  offset.AddPaths(paths, ClipperLib::jtRound, ClipperLib::etClosedPolygon);
  Paths result;
  offset.Execute(result, by * perMm);
  return result;
}

Paths combined(ClipperLib::ClipType how, const Paths& a, const Paths& b) {
  ClipperLib::Clipper clipper;
  clipper.AddPaths(a, ClipperLib::ptSubject, true);
  clipper.AddPaths(b, ClipperLib::ptClip, true);
  Paths result;
  clipper.Execute(how, result, ClipperLib::pftEvenOdd, ClipperLib::pftEvenOdd);
  return result;
}

std::vector<Paths> sectionsOf(const TriangleMesh& mesh, double layer) {
  using Kernel = CGAL::Exact_predicates_inexact_constructions_kernel;
  using Surface = CGAL::Surface_mesh<Kernel::Point_3>;
  Surface surface;
  for (const Vec3f& v : mesh.vertices) surface.add_vertex({v.x(), v.y(), v.z()});
  for (const Facet& f : mesh.facets)
    surface.add_face(Surface::Vertex_index(f[0]), Surface::Vertex_index(f[1]), Surface::Vertex_index(f[2]));
  CGAL::Polygon_mesh_slicer<Surface, Kernel> slicer(surface);
  std::vector<Paths> sections;
  for (double z = layer / 2; z < mesh.bounds.max().z() - 1e-6; z += layer) {
    std::vector<std::vector<Kernel::Point_3>> lines;
    slicer(Kernel::Plane_3(0, 0, 1, -z), std::back_inserter(lines));
    Paths outlines;
    for (const auto& line : lines) {
      Path& outline = outlines.emplace_back();
      for (const auto& p : line) outline.push_back({std::llround(p.x() * perMm), std::llround(p.y() * perMm)});
    }
    sections.push_back(combined(ClipperLib::ctUnion, outlines, {}));
  }
  return sections;
}

Paths bead(const Paths& lines, double width) {
  ClipperLib::ClipperOffset offset(2, 0.002 * perMm);
  offset.AddPaths(lines, ClipperLib::jtRound, ClipperLib::etOpenRound);
  Paths result;
  offset.Execute(result, width / 2 * perMm);
  return result;
}

double areaOf(const Paths& paths) {
  double sum = 0;
  for (const Path& path : paths) sum += ClipperLib::Area(path);
  return sum / (perMm * perMm);
}

}  // namespace trellis::test
