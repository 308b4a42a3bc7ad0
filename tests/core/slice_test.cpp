// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/slice/slices.hpp"
#include "core/toolpath/fill.hpp"
#include "tests/shapes.hpp"

#include <cmath>

namespace trellis::test {
namespace {

Polygons sectionAt(const MeshPtr& mesh, double z) { return slice(*mesh, {z}, Progress()).sections.front(); }

TEST(Slice, AVertexOrFacetOnThePlaneNeitherLosesNorDoublesArea) {
  const MeshPtr steps = together({box({0, 0, 0}, {10, 10, 2}), box({0, 0, 2}, {5, 10, 4})});
  EXPECT_NEAR(area(sectionAt(steps, 2)), 100, 1e-6);  // just below the ledge
  EXPECT_NEAR(area(sectionAt(steps, 2.001)), 50, 1e-6);
  EXPECT_NEAR(area(sectionAt(steps, 4)), 50, 1e-6);
  const MeshPtr ball = sphere({0, 0, 10}, 10, 20, 40);  // a ring of vertices lies at 10
  EXPECT_NEAR(area(sectionAt(ball, 10)), area(sectionAt(ball, 10 - 1e-5)), 1e-3);
}

TEST(Slice, NestsHolesAndUnitesOverlappingShells) {
  TriangleMesh hole = *box({3, 3, 0}, {7, 7, 10});
  for (Facet& f : hole.facets) std::swap(f[0], f[1]);
  const MeshPtr tube = together({box({0, 0, 0}, {10, 10, 10}), makeMesh(hole.vertices, hole.facets)});
  const Polygons ring = sectionAt(tube, 5);
  EXPECT_EQ(ring.size(), 2u);
  EXPECT_NEAR(area(ring), 84, 1e-6);
  EXPECT_NEAR(area(sectionAt(together({box({0, 0, 0}, {10, 10, 10}), box({5, 0, 0}, {15, 10, 10})}), 5)), 150, 1e-6);
}

TEST(Slice, ClosesSmallGapsAndNamesLargeOnes) {
  // Two walls of a box moved apart: an open edge all the way up.
  const auto gapped = [](float gap) {
    TriangleMesh mesh = *box({0, 0, 0}, {10, 10, 10});
    std::vector<Vec3f> corners;
    for (std::size_t f = 0; f < mesh.facets.size(); ++f)
      for (const std::uint32_t v : mesh.facets[f])
        corners.push_back(mesh.vertices[v] + (f >= 4 && f < 6 ? Vec3f(0, -gap, 0) : Vec3f(0, 0, 0)));  // the front wall
    return meshFromCorners(corners);
  };
  const Slices small = slice(*gapped(0.03f), {5}, Progress());
  EXPECT_TRUE(small.gaps.empty());
  EXPECT_NEAR(area(small.sections.front()), 100, 0.5);
  const Slices large = slice(*gapped(0.4f), {5}, Progress());
  ASSERT_FALSE(large.gaps.empty());
  EXPECT_NEAR(large.gaps.front().at.z(), 5, 1e-9);
  EXPECT_GT(area(large.sections.front()), 95);
}

TEST(Slice, IgnoresFlippedDuplicateAndFlatFacets) {
  TriangleMesh mesh = *box({0, 0, 0}, {10, 10, 10});
  mesh.facets.push_back(mesh.facets[5]);
  mesh.facets.push_back({0, 1, 1});
  std::swap(mesh.facets[7][0], mesh.facets[7][1]);
  EXPECT_NEAR(area(sectionAt(makeMesh(mesh.vertices, mesh.facets), 5)), 100, 1e-6);
}

// Against Clipper's own offset, which ours replaces for speed.
TEST(Grow, AgreesWithClippersOffset) {
  Polygons shapes;
  for (double x = 0; x < 60; x += 12) {
    Polygon star;
    for (int k = 0; k < 200; ++k) {
      const double angle = 2 * pi * k / 200, r = 4 + std::sin(angle * (3 + x / 12)) * 1.5;
      star.push_back(toPoint(x + r * std::cos(angle), r * std::sin(angle)));
    }
    shapes.push_back(star);
  }
  shapes.push_back(rectangle({Vec2(0, 20), Vec2(30, 21)}).front());
  Polygon hole = rectangle({Vec2(40, 20), Vec2(50, 30)}).front();
  shapes.push_back(rectangle({Vec2(35, 15), Vec2(55, 35)}).front());
  ClipperLib::ReversePath(hole);
  shapes.push_back(hole);
  for (const double distance : {-2.5, -0.9, -0.45, -0.1, 0.05, 0.3, 1.0, 3.0}) {
    ClipperLib::ClipperOffset reference(2, 0.001 * unitsPerMm);
    reference.AddPaths(shapes, ClipperLib::jtRound, ClipperLib::etClosedPolygon);
    Polygons expected;
    reference.Execute(expected, distance * unitsPerMm);
    const Polygons ours = grow(shapes, distance);
    const double apart = area(subtract(ours, expected)) + area(subtract(expected, ours));
    double border = 0;
    for (const Polygon& outline : asLines(expected))
      for (std::size_t i = 1; i < outline.size(); ++i) border += (toMm(outline[i]) - toMm(outline[i - 1])).norm();
    EXPECT_LT(apart, 0.006 * border + 1e-3) << "at " << distance;  // 5 µm of arc tolerance and 1 of smoothing
  }
}

TEST(FillLines, StandOnOneAnotherAndKeepTheirPitch) {
  const Polygons low = rectangle({Vec2(1, 1), Vec2(21, 13)}), high = rectangle({Vec2(4, 3), Vec2(17, 12)});
  const auto offsets = [](const Lines& lines) {
    std::vector<double> all;
    for (const Polygon& line : lines) {
      const Vec2 p = toMm(line.front());
      all.push_back((p.y() - p.x()) / std::sqrt(2.0));
    }
    std::sort(all.begin(), all.end());
    return all;
  };
  const std::vector<double> below = offsets(fillLines(low, 45, 2.65));
  for (std::size_t i = 1; i < below.size(); ++i) EXPECT_NEAR(below[i] - below[i - 1], 2.65, 1e-5);
  for (const double offset : offsets(fillLines(high, 45, 2.65))) {
    const auto nearest = std::min_element(
        below.begin(), below.end(), [&](double a, double b) { return std::abs(a - offset) < std::abs(b - offset); });
    EXPECT_NEAR(*nearest, offset, 1e-5);
  }
}

TEST(SpanAngle, RunsAcrossTheGapThatHasAnchorsOnBothSides) {
  const Polygons anchors{rectangle({Vec2(-5, 0), Vec2(0, 8)}).front(), rectangle({Vec2(12, 0), Vec2(17, 8)}).front()};
  EXPECT_NEAR(spanAngle(rectangle({Vec2(0, 0), Vec2(12, 8)}), anchors, 0.45), 0, 0.1);
}

}  // namespace
}  // namespace trellis::test
