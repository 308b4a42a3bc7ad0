// SPDX-License-Identifier: GPL-3.0-or-later
// Sections against CGAL's mesh slicer (CGAL 5.5, Polygon_mesh_slicer), on open meshes that packages carry.
#include "core/overhang/lean.hpp"
#include "core/results/build_project.hpp"
#include "core/slice/slices.hpp"
#include "tests/package_mesh.hpp"
#include "tests/shapes.hpp"

#include <CGAL/AABB_halfedge_graph_segment_primitive.h>
#include <CGAL/AABB_traits.h>
#include <CGAL/AABB_tree.h>
#include <CGAL/Exact_predicates_inexact_constructions_kernel.h>
#include <CGAL/Polygon_mesh_processing/measure.h>
#include <CGAL/Polygon_mesh_slicer.h>
#include <CGAL/Surface_mesh.h>

#include <cmath>

namespace trellis::test {
namespace {

using Kernel = CGAL::Exact_predicates_inexact_constructions_kernel;
using Mesh = CGAL::Surface_mesh<Kernel::Point_3>;

Mesh toCgal(const TriangleMesh& mesh) {
  Mesh result;
  for (const Vec3f& v : mesh.vertices) result.add_vertex({v.x(), v.y(), v.z()});
  for (const Facet& f : mesh.facets)
    result.add_face(Mesh::Vertex_index(f[0]), Mesh::Vertex_index(f[1]), Mesh::Vertex_index(f[2]));
  return result;
}

// Signed area of closed polylines by the shoelace formula; CGAL gives them in no particular direction, so
// nesting decides the sign.
double areaOf(const std::vector<std::vector<Kernel::Point_3>>& lines) {
  Polygons outlines;
  for (const auto& line : lines) {
    Polygon outline;
    for (const auto& p : line) outline.push_back(toPoint(p.x(), p.y()));
    outlines.push_back(outline);
  }
  double sum = 0;
  for (std::size_t i = 0; i < outlines.size(); ++i) {
    int depth = 0;
    for (std::size_t j = 0; j < outlines.size(); ++j)
      if (i != j && ClipperLib::PointInPolygon(outlines[i].front(), outlines[j]) == 1) ++depth;
    sum += std::abs(ClipperLib::Area(outlines[i])) * (depth % 2 ? -1 : 1) / (unitsPerMm * unitsPerMm);
  }
  return sum;
}

class SectionsTest : public testing::TestWithParam<const char*> {};

TEST_P(SectionsTest, AreasMatchCgalsSlicer) {
  const MeshPtr mesh = packageMesh(GetParam());
  const Mesh reference = toCgal(*mesh);
  ASSERT_EQ(reference.number_of_faces(), mesh->facets.size());
  CGAL::Polygon_mesh_slicer<Mesh, Kernel> slicer(reference);
  std::vector<double> heights;
  for (double z = 0.517; z < mesh->bounds.max().z(); z += 1.0) heights.push_back(z);
  const Slices ours = slice(*mesh, heights, Progress());
  double compared = 0;
  for (std::size_t i = 0; i < heights.size(); ++i) {
    std::vector<std::vector<Kernel::Point_3>> theirs;
    slicer(Kernel::Plane_3(0, 0, 1, -heights[i]), std::back_inserter(theirs));
    const double expected = areaOf(theirs);
    compared += expected;
    EXPECT_NEAR(area(ours.sections[i]), expected, std::max(1e-4 * expected, 2e-4)) << "at " << heights[i] << " mm";
  }
  EXPECT_GT(compared, 100);
  EXPECT_TRUE(ours.gaps.empty());
}

TEST_P(SectionsTest, VolumeMatchesCgal) {
  const MeshPtr mesh = packageMesh(GetParam());
  const Mesh reference = toCgal(*mesh);
  const MeshFigures figures = inspect(*mesh);
  EXPECT_NEAR(figures.volume, CGAL::Polygon_mesh_processing::volume(reference), 1e-6 * figures.volume);
  EXPECT_NEAR(figures.area, CGAL::Polygon_mesh_processing::area(reference), 1e-6 * figures.area);
  EXPECT_EQ(figures.openEdges, 0u);
}

INSTANTIATE_TEST_SUITE_P(Package, SectionsTest, testing::Values("bunny00", "elephant", "armadillo"),
                         [](const auto& given) { return std::string(given.param); });

// Archimedes' hat-box theorem: the cap of a sphere that leans more than φ has the area 2πR²(1 − sin φ).
TEST(Sphere, HangingAreaFollowsArchimedes) {
  const double radius = 20;
  const MeshPtr mesh = sphere({0, 0, radius}, radius, 2000, 200);
  for (const double lean : {20.0, 35.0, 45.0, 60.0, 75.0}) {
    const double expected = 2 * pi * radius * radius * (1 - std::sin(toRadians(lean)));
    EXPECT_NEAR(hangingArea(*mesh, lean), expected, 0.01 * expected) << lean;
  }
}

// Its demand, layer over layer, covers the disc below: πR²cos²φ in plan.
TEST(Sphere, DemandCoversTheDiscBelow) {
  const double radius = 20;
  const MeshPtr mesh = sphere({0, 0, radius}, radius, 800, 360);
  for (const double lean : {30.0, 45.0, 60.0}) {
    const LayerPlan plan = planLayers(radius, {0.05, 0.05});
    const Slices slices = slice(*mesh, plan.middles(), Progress());
    const Overhangs overhangs = findOverhangs(plan, slices.sections, {lean, 0.45}, Progress());
    Polygons all = slices.sections.front();  // what stands on the plate hangs over nothing
    for (const Polygons& demand : overhangs.demand) all = unite(all, demand);
    const double expected = pi * radius * radius * std::pow(std::cos(toRadians(lean)), 2);
    EXPECT_NEAR(area(all), expected, 0.01 * expected) << lean;
  }
}

}  // namespace
}  // namespace trellis::test
