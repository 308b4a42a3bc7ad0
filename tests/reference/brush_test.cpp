// SPDX-License-Identifier: GPL-3.0-or-later
// The brushes against exact shapes and against rays that nobody here wrote (CGAL's AABB tree).
#include "core/base/files.hpp"
#include "core/document/operations.hpp"
#include "core/mesh/nearest.hpp"
#include "core/mesh/stl.hpp"
#include "tests/package_mesh.hpp"
#include "tests/shapes.hpp"

#include <CGAL/AABB_face_graph_triangle_primitive.h>
#include <CGAL/AABB_traits.h>
#include <CGAL/AABB_tree.h>
#include <CGAL/Simple_cartesian.h>
#include <CGAL/Surface_mesh.h>

#include <cmath>
#include <set>

namespace trellis::test {
namespace {

using Kernel = CGAL::Simple_cartesian<double>;
using Surface = CGAL::Surface_mesh<Kernel::Point_3>;
using Primitive = CGAL::AABB_face_graph_triangle_primitive<Surface>;
using Tree = CGAL::AABB_tree<CGAL::AABB_traits<Kernel, Primitive>>;

Kernel::Point_3 point(const Vec3& p) { return {p.x(), p.y(), p.z()}; }

struct Reference {
  Surface surface;
  Tree tree;
  explicit Reference(const TriangleMesh& mesh) {
    std::vector<Surface::Vertex_index> vertices;
    for (std::uint32_t v = 0; v < mesh.vertices.size(); ++v)
      vertices.push_back(surface.add_vertex(point(mesh.vertex(v))));
    for (const Facet& f : mesh.facets) surface.add_face(vertices[f[0]], vertices[f[1]], vertices[f[2]]);
    tree.insert(surface.faces_begin(), surface.faces_end(), surface);
    tree.accelerate_distance_queries();
  }
  bool sees(const Vec3& eye, const Vec3& p) const {
    const Vec3 near = p + (eye - p).normalized() * 0.02;
    return !tree.do_intersect(Kernel::Segment_3(point(eye), point(near)));
  }
};

double toSegment(const Vec3& p, const Vec3& a, const Vec3& b) {
  const double t = std::clamp((p - a).dot(b - a) / (b - a).squaredNorm(), 0.0, 1.0);
  return (p - a - t * (b - a)).norm();
}

class CapsuleTest : public testing::TestWithParam<double> {};

TEST_P(CapsuleTest, HasItsBorderWithinHalfALeafAndEvenlyFine) {
  const double r = GetParam();
  const MeshPtr square = twoTriangleSquare(200);
  const Vec3 from(25, 100, 0), to(175, 100, 0);
  std::vector<Vec3> path;
  for (int i = 0; i <= 30; ++i) path.push_back(from + (to - from) * i / 30);
  const MarksPtr marks = paint({square, treeOf(square)}, Marks(), BallStroke{path, r}, Mark::enforce, {});
  EXPECT_NEAR(markedArea(*square, Affine::Identity(), *marks, Mark::enforce), pi * r * r + 300 * r,
              (2 * pi * r + 300) * leafEdge(r) * 0.1);
  std::array<double, 3> leaves{};  // of the border within 10 mm of three places
  const std::array<double, 3> places{50, 100, 150};
  marks->forEachTree([&](std::uint32_t facet, std::string_view tree) {
    forEachLeaf(square->corners(facet), tree, [&](const Corners& leaf, Mark) {
      double nearest = 1e9;
      for (const Vec3& p : leaf) {
        EXPECT_LT(toSegment(p, from, to), r + leafEdge(r)) << p.transpose();
        nearest = std::min(nearest, std::abs(toSegment(p, from, to) - r));
      }
      EXPECT_LT(toSegment((leaf[0] + leaf[1] + leaf[2]) / 3, from, to), r + 1e-9);
      const Vec3 middle = (leaf[0] + leaf[1] + leaf[2]) / 3;
      for (std::size_t k = 0; k < 3; ++k)
        leaves[k] += std::abs(middle.x() - places[k]) < 10 && nearest < leafEdge(r) ? 1 : 0;
    });
  });
  for (const double count : leaves) EXPECT_NEAR(count / leaves[0], 1, 0.3);
  EXPECT_GT(leaves[0], 0);
}

INSTANTIATE_TEST_SUITE_P(Radii, CapsuleTest, testing::Values(1.0, 4.0, 12.0));

// What is marked is visible; what is visible in the circle is marked.
TEST(SightBrush, MarksWhatCgalSeesAndNothingElse) {
  const MeshPtr bunny = packageMesh("bunny00");
  const Reference reference(*bunny);
  const Vec3 eye = bunny->bounds.center() + Vec3(60, -180, 70);
  const MeshTreePtr tree = treeOf(bunny);
  const auto hit = tree->firstHit(eye, bunny->bounds.center() + Vec3(8, 0, 6) - eye);
  ASSERT_TRUE(hit);
  const double r = 9;
  const MarksPtr marks = paint({bunny, tree}, Marks(), SightStroke{{hit->point}, r, eye}, Mark::enforce, {});
  const Vec3 axis = (hit->point - eye).normalized();
  const double slope = r / (hit->point - eye).norm();
  double visible = 0, found = 0;
  std::size_t wrong = 0, samples = 0;
  for (std::uint32_t f = 0; f < bunny->facets.size(); ++f) {
    const auto c = bunny->corners(f);
    const double area = (c[1] - c[0]).cross(c[2] - c[0]).norm() / 2;
    const int steps = std::max(1, static_cast<int>(std::ceil(std::sqrt(area) / 0.3)));
    for (int i = 0; i < steps; ++i)
      for (int k = 0; k < steps; ++k) {
        double u = (i + 0.37) / steps, v = (k + 0.61) / steps;
        if (u + v > 1) u = 1 - u, v = 1 - v;
        const Vec3 p = c[0] + u * (c[1] - c[0]) + v * (c[2] - c[0]);
        const double depth = (p - eye).dot(axis), off = (p - eye - depth * axis).norm();
        const bool marked = markAt(c, marks->tree(f), p) == Mark::enforce;
        const bool facing = bunny->normal(f).dot(eye - p) > 0;
        const bool sees = facing && reference.sees(eye, p);
        if (sees && off < depth * slope - 0.15) {
          visible += area / (steps * steps);
          found += marked ? area / (steps * steps) : 0;
        }
        if (!marked) continue;
        ++samples;
        // Not visible itself: something visible has to be very near.
        if (sees && off < depth * slope + 0.15) continue;
        bool near = false;
        for (int turn = 0; turn < 24 && !near; ++turn)
          for (const double far : {0.05, 0.1, 0.15}) {
            const Vec3 one = bunny->normal(f).unitOrthogonal(), other = bunny->normal(f).cross(one);
            const Vec3 beside = p + far * (std::cos(turn * pi / 12) * one + std::sin(turn * pi / 12) * other);
            const auto on = reference.tree.closest_point(point(beside));
            near = near || reference.sees(eye, Vec3(on.x(), on.y(), on.z()));
          }
        wrong += near ? 0 : 1;
      }
  }
  EXPECT_GT(visible, 100);
  EXPECT_GT(found / visible, 0.99);
  EXPECT_EQ(wrong, 0u) << "of " << samples;
}

// Its flat faces by the drawing: horizontal ones meet everything else at 90° or so. What a click takes is compared
// with all facets in that plane that hang together by shared vertices.
TEST(FaceBrush, TakesExactlyTheLatchsFlatFaces) {
  const MeshPtr latch = readStl(readFile(std::string(TRELLIS_DEMO) + "/latch.stl"), "latch.stl");
  const Canvas canvas{latch, treeOf(latch)};
  const auto isFlat = [&](std::uint32_t f) { return std::abs(latch->normal(f).z()) > 1 - 1e-6; };
  std::set<std::uint32_t> seen;
  std::size_t faces = 0;
  for (std::uint32_t f = 0; f < latch->facets.size(); ++f) {
    if (!isFlat(f) || seen.contains(f)) continue;
    std::set<std::uint32_t> expected{f};
    for (bool grown = true; grown;) {
      grown = false;
      std::set<std::uint32_t> corners;
      for (const std::uint32_t e : expected) corners.insert(latch->facets[e].begin(), latch->facets[e].end());
      for (std::uint32_t g = 0; g < latch->facets.size(); ++g) {
        const auto shared = std::count_if(latch->facets[g].begin(), latch->facets[g].end(),
                                          [&](std::uint32_t v) { return corners.contains(v); });
        if (shared >= 2 && isFlat(g) && latch->normal(g).z() * latch->normal(f).z() > 0)
          grown = expected.insert(g).second || grown;
      }
    }
    seen.insert(expected.begin(), expected.end());
    const auto c = latch->corners(f);
    const std::vector<std::uint32_t> taken = faceAt(canvas, {(c[0] + c[1] + c[2]) / 3, 20});
    if (latch->corners(f)[0].z() > 24) continue;  // the knob's ball is smooth to its flat cap
    EXPECT_EQ(std::set<std::uint32_t>(taken.begin(), taken.end()), expected) << "at " << c[0].transpose();
    ++faces;
  }
  EXPECT_GE(faces, 4u);  // underside, groove, top, foot
}

TEST(StopAtCreases, LeavesTheFarSideOfAThinWallBare) {
  const MeshPtr wall = box({0, 0, 0}, {40, 1, 40});
  const auto far = [&](const PaintRules& rules) {
    const MarksPtr marks = paint({wall, treeOf(wall)}, Marks(), BallStroke{{{20, 0, 38}}, 5}, Mark::enforce, rules);
    double sum = 0;
    marks->forEachTree([&](std::uint32_t f, std::string_view tree) {
      if (wall->normal(f).y() < 0.5) return;
      forEachLeaf(wall->corners(f), tree,
                  [&](const Corners& c, Mark) { sum += (c[1] - c[0]).cross(c[2] - c[0]).norm() / 2; });
    });
    return sum;
  };
  EXPECT_GT(far({}), 50);
  EXPECT_EQ(far({.crease = 30}), 0);
}

TEST(BandBrush, MarksBetweenItsHeights) {
  const MeshPtr ball = sphere({0, 0, 10}, 10, 80, 160);
  const MarksPtr marks = paint({ball, treeOf(ball)}, Marks(), BandStroke{4, 9}, Mark::block, {});
  EXPECT_NEAR(markedArea(*ball, Affine::Identity(), *marks, Mark::block), 2 * pi * 10 * 5,
              3);  // Archimedes' hat-box theorem
}

TEST(LeanStroke, MarksWhatIsSteeper) {
  const MeshPtr ball = sphere({0, 0, 12}, 10, 120, 240);
  const MarksPtr marks = paint({ball, treeOf(ball)}, Marks(), LeanStroke{55}, Mark::enforce, {});
  EXPECT_NEAR(markedArea(*ball, Affine::Identity(), *marks, Mark::enforce),
              2 * pi * 100 * (1 - std::sin(toRadians(55))), 6);
}

}  // namespace
}  // namespace trellis::test
