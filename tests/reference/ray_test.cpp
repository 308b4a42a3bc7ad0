// SPDX-License-Identifier: GPL-3.0-or-later
// What the pointer and the brushes find on a mesh, against CGAL's AABB tree (CGAL 5.5).
#include "core/mesh/ray.hpp"
#include "tests/package_mesh.hpp"
#include "tests/reference/facet_tree.hpp"
#include "tests/shapes.hpp"

#include <random>

namespace trellis::test {
namespace {

class RayTest : public testing::TestWithParam<const char*> {
 protected:
  void SetUp() override {
    mesh = packageMesh(GetParam());
    triangles = trianglesOf(*mesh);
    reference.insert(triangles.cbegin(), triangles.cend());
  }
  Vec3 somewhere() {
    std::uniform_real_distribution<double> unit(0, 1);
    const Vec3 share(unit(random), unit(random), unit(random));
    return mesh->bounds.min() + mesh->bounds.sizes().cwiseProduct(share);
  }
  std::mt19937 random{4};
  MeshPtr mesh;
  Triangles triangles;
  FacetTree reference;
};

TEST_P(RayTest, FirstHitIsTheNearestOfAll) {
  const MeshTreePtr tree = treeOf(mesh);
  std::normal_distribution<double> any(0, 1);
  int hits = 0;
  for (int i = 0; i < 2000; ++i) {
    const Vec3 direction = Vec3(any(random), any(random), any(random)).normalized();
    const Vec3 origin = somewhere() - 300 * direction;
    const auto ours = tree->firstHit(origin, direction);
    const Kernel::Ray_3 ray(toCgal(origin), Kernel::Vector_3(direction.x(), direction.y(), direction.z()));
    const auto theirs = reference.first_intersection(ray);
    ASSERT_EQ(ours.has_value(), theirs.has_value()) << "ray " << i;
    if (!ours) continue;
    ++hits;
    const auto* point = boost::get<Kernel::Point_3>(&theirs->first);
    if (!point) continue;  // along a facet
    EXPECT_NEAR(ours->distance, (Vec3(point->x(), point->y(), point->z()) - origin).norm(), 0.002);
    EXPECT_NEAR(std::sqrt(CGAL::squared_distance(toCgal(ours->point), triangles[ours->facet])), 0, 0.002);
  }
  EXPECT_GT(hits, 200);
}

TEST_P(RayTest, FacetsNearLeavesNoneOut) {
  const MeshTreePtr tree = treeOf(mesh);
  for (int i = 0; i < 50; ++i) {
    const Vec3 centre = somewhere();
    const double radius = 0.5 + 0.2 * i;
    const auto found = tree->facetsNear(centre, radius);
    EXPECT_TRUE(std::is_sorted(found.begin(), found.end()));
    std::size_t within = 0;
    for (std::uint32_t f = 0; f < triangles.size(); ++f) {
      if (CGAL::squared_distance(toCgal(centre), triangles[f]) > radius * radius) continue;
      ++within;
      ASSERT_TRUE(std::binary_search(found.begin(), found.end(), f)) << "facet " << f << ", radius " << radius;
    }
    EXPECT_LE(found.size(), 4 * within + 200) << "a brush would look at far too much";
  }
}

INSTANTIATE_TEST_SUITE_P(Package, RayTest, testing::Values("bunny00", "elephant"),
                         [](const auto& given) { return std::string(given.param); });

TEST(MeshTree, IsSharedWhileSomebodyHoldsIt) {
  const MeshPtr mesh = sphere({0, 0, 0}, 5, 10, 20);
  const MeshTreePtr tree = treeOf(mesh);
  EXPECT_EQ(treeOf(mesh), tree);
  EXPECT_FALSE(tree->firstHit({0, 0, 20}, {0, 0, 1}));
  const auto hit = tree->firstHit({0, 0, 20}, {0, 0, -2});
  ASSERT_TRUE(hit);
  EXPECT_NEAR(hit->distance, 7.5, 0.01);  // in lengths of the direction
}

}  // namespace
}  // namespace trellis::test
