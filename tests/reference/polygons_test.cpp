// SPDX-License-Identifier: GPL-3.0-or-later
// Polygon sets against Boost.Geometry's, on random stars, and the operations built on them against what
// they promise.
#include "tests/package_mesh.hpp"
#include "tests/shapes.hpp"

#include "core/geometry/clipper_door.hpp"
#include "core/geometry/moved_outline.hpp"
#include "core/geometry/triangulated.hpp"
#include "core/slice/slices.hpp"

#include <boost/geometry.hpp>
#include <boost/geometry/geometries/multi_polygon.hpp>
#include <boost/geometry/geometries/point_xy.hpp>
#include <boost/geometry/geometries/polygon.hpp>

#include <cmath>
#include <random>

namespace trellis::test {
namespace {

namespace geometry = boost::geometry;
using Reference =
    geometry::model::multi_polygon<geometry::model::polygon<geometry::model::d2::point_xy<double>, false>>;

Polygon star(std::mt19937& random) {
  std::uniform_real_distribution<double> across(0, 30), radius(2, 9);
  const Vec2 middle(across(random), across(random));
  Polygon points;
  const int corners = 5 + static_cast<int>(random() % 20);
  for (int k = 0; k < corners; ++k) {
    const double angle = 2 * pi * k / corners, r = radius(random);
    points.push_back(toPoint(middle + r * Vec2(std::cos(angle), std::sin(angle))));
  }
  return points;
}

Reference referenceOf(const Polygons& stars) {
  Reference all;
  for (const Polygon& points : stars) {
    Reference one, sum;
    one.resize(1);
    for (const Point& p : points)
      geometry::append(one[0].outer(), geometry::model::d2::point_xy<double>(toMm(p).x(), toMm(p).y()));
    geometry::correct(one);
    geometry::union_(all, one, sum);
    all = sum;
  }
  return all;
}

class PolygonsTest : public testing::TestWithParam<unsigned> {
 protected:
  void SetUp() override {
    std::mt19937 random(GetParam());
    for (int i = 0; i < 6; ++i) {
      a.push_back(star(random));
      b.push_back(star(random));
    }
  }
  Polygons a, b;
};

TEST_P(PolygonsTest, AreasAgreeWithBoost) {
  const Reference referenceA = referenceOf(a), referenceB = referenceOf(b);
  const auto areaOf = [](const auto& operation) {
    Reference result;
    operation(result);
    return geometry::area(result);
  };
  const double tolerance = 1e-4;  // mm²; coordinates are whole nanometres here and doubles there
  EXPECT_NEAR(area(unite(a)), geometry::area(referenceA), tolerance);
  EXPECT_NEAR(area(unite(a, b)), areaOf([&](Reference& out) { geometry::union_(referenceA, referenceB, out); }),
              tolerance);
  EXPECT_NEAR(area(intersect(unite(a), unite(b))),
              areaOf([&](Reference& out) { geometry::intersection(referenceA, referenceB, out); }), tolerance);
  EXPECT_NEAR(area(subtract(unite(a), unite(b))),
              areaOf([&](Reference& out) { geometry::difference(referenceA, referenceB, out); }), tolerance);
}

TEST_P(PolygonsTest, SetsAddUp) {
  const Polygons one = unite(a), two = unite(b);
  EXPECT_NEAR(area(one) + area(two), area(unite(one, two)) + area(intersect(one, two)), 1e-4);
  EXPECT_NEAR(area(subtract(one, two)) + area(intersect(one, two)), area(one), 1e-4);
  double pieces = 0;
  for (const Polygons& piece : components(one)) {
    pieces += area(piece);
    EXPECT_GT(ClipperLib::Area(piece.front()), 0) << "the outer outline comes first";
  }
  EXPECT_NEAR(pieces, area(one), 1e-6);
}

TEST_P(PolygonsTest, TrianglesCoverWhatLiesWithin) {
  const Polygons ring = subtract(unite(a), unite(b));  // with holes
  double covered = 0;
  for (const auto& [one, two, three] : triangulated(ring)) {
    const Vec2 along = two - one, across = three - one;
    const double twice = along.x() * across.y() - along.y() * across.x();
    EXPECT_GT(twice, 0);
    covered += twice / 2;
    EXPECT_TRUE(contains(ring, toPoint(Vec2((one + two + three) / 3))) || twice < 1e-6);
  }
  EXPECT_NEAR(covered, area(ring), 1e-4);
}

TEST(Polygons, WhatHasNoAreaHasNoTriangles) {
  EXPECT_TRUE(triangulated({}).empty());
  EXPECT_TRUE(triangulated({{toPoint(0, 0), toPoint(1, 1), toPoint(2, 2)}}).empty());
}

TEST_P(PolygonsTest, MeetIsWhatDistanceSays) {
  const auto pieces = components(unite(a));
  for (const Polygon& other : b) {
    const Polygons single = unite({other});
    for (const Polygons& piece : pieces) {
      const double distance = geometry::distance(referenceOf({piece.front()}), referenceOf(single));
      if (std::abs(distance - 2) < 0.1) continue;  // rounding may decide
      EXPECT_EQ(meet(piece, single, 2), distance < 2) << distance;
    }
  }
}

TEST_P(PolygonsTest, GrowingKeepsItsDistance) {
  const Polygons shape = unite(a);
  for (const double distance : {0.2, 1.3}) {
    const Polygons outer = grow(shape, distance), inner = grow(shape, -distance);
    EXPECT_LT(area(subtract(shape, outer)), 1e-6);
    EXPECT_LT(area(subtract(inner, shape)), 1e-6);
    const Reference reference = referenceOf(shape);
    for (const Polygon& outline : outer)
      for (std::size_t i = 0; i < outline.size(); i += 7) {
        const geometry::model::d2::point_xy<double> p(toMm(outline[i]).x(), toMm(outline[i]).y());
        EXPECT_LE(geometry::distance(p, reference), distance + 0.007);
      }
  }
}

// The quick way of an offset against the sure one, on outlines as organic parts have them.
TEST(MovedOutline, WithoutTurnedEdgesIsWhatTheLoopsWindAround) {
  const MeshPtr bunny = packageMesh("bunny00", 60);
  std::vector<double> heights;
  for (double z = 0.1; z < bunny->bounds.max().z(); z += 0.7) heights.push_back(z);
  int clear = 0, all = 0;
  for (const Polygons& section : slice(*bunny, heights, Progress()).sections)
    for (const Polygon& outline : section)
      for (const double distance : {-0.45, -0.2, 0.2, 0.6}) {
        const OutlineMover mover(distance);
        const auto quick = mover.withoutTurnedEdges(outline);
        ++all;
        if (!quick || ClipperLib::Orientation(*quick) != ClipperLib::Orientation(outline)) continue;
        const bool hole = !ClipperLib::Orientation(outline);
        Polygon moved = mover.withLoops(outline), result = *quick;
        if (!isSimple(hole ? Polygons{Polygon(result.rbegin(), result.rend())} : Polygons{result})) continue;
        ++clear;
        ClipperLib::Clipper clipper;
        clipper.AddPath(moved, ClipperLib::ptSubject, true);
        Polygons sure;
        clipper.Execute(ClipperLib::ctUnion, sure, hole ? ClipperLib::pftNegative : ClipperLib::pftPositive,
                        hole ? ClipperLib::pftNegative : ClipperLib::pftPositive);
        if (hole) std::reverse(result.begin(), result.end());
        // Their arcs differ, one within and one around the true one.
        const double apart = 1.5 * arcTolerance;
        EXPECT_LT(area(opened(subtract({result}, sure), apart)) + area(opened(subtract(sure, {result}), apart)), 1e-4)
            << "moved by " << distance;
      }
  EXPECT_GT(clear, all / 3);
}

TEST(MovedOutline, SimpleMeansThatNothingMeets) {
  const Polygon square = rectangle({Vec2(0, 0), Vec2(10, 10)}).front();
  const auto reversed = [](Polygon outline) {
    std::reverse(outline.begin(), outline.end());
    return outline;
  };
  const Polygon inner = rectangle({Vec2(3, 3), Vec2(6, 6)}).front(),
                beside = rectangle({Vec2(20, 0), Vec2(25, 5)}).front();
  EXPECT_TRUE(isSimple({square, reversed(inner), beside}));
  EXPECT_FALSE(isSimple({square, inner})) << "wound around twice";
  EXPECT_FALSE(isSimple({square, reversed(beside)})) << "a hole in nothing";
  EXPECT_FALSE(isSimple({square, rectangle({Vec2(5, 5), Vec2(15, 15)}).front()})) << "they cross";
  EXPECT_FALSE(isSimple({square, rectangle({Vec2(10, 2), Vec2(15, 8)}).front()})) << "they touch";
  EXPECT_FALSE(isSimple({{toPoint(0, 0), toPoint(10, 10), toPoint(10, 0), toPoint(0, 10)}})) << "a bow";
  EXPECT_FALSE(isSimple({{toPoint(0, 0), toPoint(10, 0), toPoint(5, 0), toPoint(5, 5)}})) << "folded back";
}

TEST(Polygons, SoundIsWhatIsWoundAroundOnce) {
  const Polygons outer = rectangle({Vec2(0, 0), Vec2(10, 10)});
  Polygons hole = rectangle({Vec2(2, 2), Vec2(8, 8)});
  const auto both = [&](Polygons a, const Polygons& b) {
    a.insert(a.end(), b.begin(), b.end());
    return a;
  };
  EXPECT_FALSE(isSound(both(outer, hole))) << "an outline in an outline";
  ClipperLib::ReversePaths(hole);
  EXPECT_TRUE(isSound(both(outer, hole)));
  EXPECT_FALSE(isSound(hole)) << "a hole in nothing";
  EXPECT_FALSE(isSound(both(outer, rectangle({Vec2(9, 9), Vec2(12, 12)})))) << "two that cross";
  EXPECT_TRUE(isSound(both(outer, rectangle({Vec2(10, 0), Vec2(12, 10)})))) << "two that share a border";
  EXPECT_FALSE(isSound({{toPoint(0, 0), toPoint(10, 0), toPoint(0, 10), toPoint(10, 10)}})) << "an eight";
}

TEST_P(PolygonsTest, OpeningAndClosingOnlyTakeAndOnlyGive) {
  const Polygons shape = unite(a);
  EXPECT_LT(area(subtract(opened(shape, 0.5), shape)), 0.02);
  EXPECT_LT(area(subtract(shape, closed(shape, 0.5))), 0.02);
  const Polygons simpler = simplified(shape, 0.05);
  EXPECT_LT(area(subtract(simpler, grow(shape, 0.055))) + area(subtract(shape, grow(simpler, 0.055))), 1e-6);
}

INSTANTIATE_TEST_SUITE_P(Seeds, PolygonsTest, testing::Range(1u, 13u));

TEST(Polygons, OpeningTakesWhatIsThinAndLeavesTheRest) {
  const Polygons handle = unite(rectangle({Vec2(0, 0), Vec2(10, 10)}), rectangle({Vec2(10, 4.9), Vec2(20, 5.1)}));
  EXPECT_NEAR(area(opened(handle, 0.5)), 100, 0.5);
  EXPECT_NEAR(
      area(closed(subtract(rectangle({Vec2(0, 0), Vec2(10, 10)}), rectangle({Vec2(4.9, 0), Vec2(5.1, 10)})), 0.5)), 100,
      0.1);
}

TEST(Polygons, AroundALineIsACapsule) {
  const Polygons capsule = around({{toPoint(0, 0), toPoint(10, 0)}}, 2);
  EXPECT_NEAR(area(capsule), 40 + pi * 4, 0.05);
  EXPECT_NEAR(area(around({{toPoint(3, 3)}}, 2)), pi * 4, 0.05);
}

TEST(Polygons, LinesAreCutAtBorders) {
  const Polygons square = rectangle({Vec2(0, 0), Vec2(10, 10)});
  const Lines line{{toPoint(-5, 5), toPoint(20, 5)}};
  const auto length = [](const Lines& lines) {
    double sum = 0;
    for (const Polygon& l : lines)
      for (std::size_t i = 1; i < l.size(); ++i) sum += (toMm(l[i]) - toMm(l[i - 1])).norm();
    return sum;
  };
  EXPECT_NEAR(length(linesInside(line, square)), 10, 1e-6);
  EXPECT_NEAR(length(linesOutside(line, square)), 15, 1e-6);
  EXPECT_NEAR(length(asLines(square)), 40, 1e-6);
}

}  // namespace
}  // namespace trellis::test
