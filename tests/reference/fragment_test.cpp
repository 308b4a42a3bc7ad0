// SPDX-License-Identifier: GPL-3.0-or-later
// Fragments of open meshes, looked over by CGAL: closed, nothing crosses, marks are kept, and they print.
#include "tests/package_mesh.hpp"
#include "tests/shapes.hpp"

#include "core/learn/fragment.hpp"

#include <CGAL/Exact_predicates_inexact_constructions_kernel.h>
#include <CGAL/Polygon_mesh_processing/orientation.h>
#include <CGAL/Polygon_mesh_processing/polygon_soup_to_polygon_mesh.h>
#include <CGAL/Polygon_mesh_processing/self_intersections.h>
#include <CGAL/Surface_mesh.h>

namespace trellis::test {
namespace {

namespace processing = CGAL::Polygon_mesh_processing;
using Kernel = CGAL::Exact_predicates_inexact_constructions_kernel;
using Surface = CGAL::Surface_mesh<Kernel::Point_3>;

Surface surfaceOf(const TriangleMesh& mesh) {
  std::vector<Kernel::Point_3> points;
  std::vector<std::array<std::size_t, 3>> facets;
  for (const Vec3f& v : mesh.vertices) points.emplace_back(v.x(), v.y(), v.z());
  for (const Facet& f : mesh.facets) facets.push_back({f[0], f[1], f[2]});
  Surface surface;
  EXPECT_TRUE(processing::is_polygon_soup_a_polygon_mesh(facets));
  processing::polygon_soup_to_polygon_mesh(points, facets, surface);
  return surface;
}

class FragmentTest : public testing::TestWithParam<const char*> {};

TEST_P(FragmentTest, IsSoundKeepsItsMarksAndPrints) {
  const MeshPtr mesh = packageMesh(GetParam());
  ProjectPtr project = projectOf(mesh);
  const Box3 whole = placedBounds(project->parts[0]->placement, *mesh);
  LayMark lay;
  lay.stroke = BandStroke{-1, whole.max().z() + 1};
  project = performed(*project, lay);
  // Its upper middle, where it is one piece, by figures that no vertex has.
  const Vec3 size = whole.sizes();
  const Box3 box(whole.min() + Vec3(0.21373 * size.x(), -1, 0.51731 * size.z()),
                 whole.min() + Vec3(0.83713 * size.x(), size.y() + 1, size.z() + 1));
  const Part fragment = fragmentOf(*project->parts[0], box, Progress());
  const Surface surface = surfaceOf(*fragment.mesh);
  EXPECT_TRUE(CGAL::is_closed(surface));
  EXPECT_TRUE(processing::does_bound_a_volume(surface));
  EXPECT_FALSE(processing::does_self_intersect(surface));
  const Affine placed = transformOf(fragment.placement, *fragment.mesh);
  const double marked = markedArea(*fragment.mesh, placed, *fragment.marks, Mark::enforce);
  const Affine asItStood = transformOf(project->parts[0]->placement, *mesh);  // it was dropped onto the plate since
  const auto liesOn = [&](const std::array<Vec3, 3>& corners, Eigen::Index axis, double side) {
    return std::all_of(corners.begin(), corners.end(),
                       [&](const Vec3& c) { return std::abs((asItStood * c)[axis] - side) < 2e-3; });
  };
  double own = 0;  // all but the cut faces
  for (std::size_t f = 0; f < fragment.mesh->facets.size(); ++f) {
    const std::array<Vec3, 3> corners = fragment.mesh->corners(f);
    const auto& [a, b, c] = corners;
    const bool isCut =
        liesOn(corners, 0, box.min().x()) || liesOn(corners, 0, box.max().x()) || liesOn(corners, 2, box.min().z());
    if (!isCut) own += (b - a).cross(c - a).norm() / 2;
  }
  EXPECT_NEAR(marked, own, 0.03 * own);
  Project alone;
  const BuildPtr built = build(performed(alone, AddParts{{std::make_shared<const Part>(fragment)}}));
  EXPECT_FALSE(built->print.layers.empty());
}

INSTANTIATE_TEST_SUITE_P(Meshes, FragmentTest,
                         testing::Values("bull", "cow", "elephant", "camel", "couplingdown", "anchor", "hand",
                                         "armadillo"),
                         [](const auto& given) { return std::string(given.param); });

}  // namespace
}  // namespace trellis::test
