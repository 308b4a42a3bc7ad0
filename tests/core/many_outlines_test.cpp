// SPDX-License-Identifier: GPL-3.0-or-later
// Many outlines at once, which are combined group by group: against areas known on paper, and against doing it for each
// alone.
#include "tests/shapes.hpp"

#include "core/geometry/box_index.hpp"
#include "core/geometry/outline_groups.hpp"

#include <gmock/gmock.h>

#include <cmath>
#include <random>

namespace trellis::test {
namespace {

constexpr int corners = 40;
const double discShare = corners / 2.0 * std::sin(2 * pi / corners);  // area of the polygon over its radius squared

Polygon disc(const Vec2& at, double radius) {
  Polygon points;
  for (int k = 0; k < corners; ++k)
    points.push_back(toPoint(at + radius * Vec2(std::cos(2 * pi * k / corners), std::sin(2 * pi * k / corners))));
  return points;
}

// Rings of 1 mm, 1 mm apart, around one another.
Polygons nested(int rings) {
  Polygons all;
  for (int k = 0; k < 2 * rings; ++k) {
    all.push_back(disc({0, 0}, k + 1));
    if (k % 2 == 0) std::reverse(all.back().begin(), all.back().end());  // the inner border of a ring
  }
  return all;
}

double ringArea(int rings) {
  double sum = 0;
  for (int k = 0; k < rings; ++k) sum += (2 * k + 2) * (2 * k + 2) - (2 * k + 1) * (2 * k + 1);
  return sum * discShare;
}

Polygons scattered(int count) {
  Polygons all;
  for (int i = 0; i < count; ++i) all.push_back(disc({3.0 * (i % 20), 3.0 * (i / 20)}, 1));
  return all;
}

TEST(ManyOutlines, NestedRingsKeepTheirAreas) {
  const Polygons rings = nested(20);
  EXPECT_NEAR(area(unite(rings)), ringArea(20), 1e-3);
  EXPECT_EQ(components(rings).size(), 20u);
  for (const Polygons& ring : components(rings)) EXPECT_EQ(ring.size(), 2u);
  // A bar through all of them, and what of it lies between them.
  const Polygons bar = rectangle({Vec2(-50, -0.2), Vec2(50, 0.2)});
  const double within = area(intersect(bar, rings));
  EXPECT_NEAR(within, 2 * 20 * 0.4, 0.1);
  EXPECT_NEAR(area(subtract(bar, rings)), 100 * 0.4 - within, 1e-3);
  EXPECT_NEAR(area(subtract(rings, bar)), ringArea(20) - within, 1e-3);
  EXPECT_NEAR(area(unite(rings, bar)), ringArea(20) + 100 * 0.4 - within, 1e-3);
}

TEST(ManyOutlines, WhatLiesWithinAnotherCountsAsIfItWereAlone) {
  const Polygons plate = rectangle({Vec2(-10, -10), Vec2(80, 80)}), discs = scattered(200);
  EXPECT_NEAR(area(subtract(plate, discs)), 8100 - 200 * discShare, 1e-3);
  EXPECT_NEAR(area(intersect(plate, discs)), 200 * discShare, 1e-3);
  EXPECT_NEAR(area(unite(plate, discs)), 8100, 1e-3);
  EXPECT_TRUE(subtract(discs, plate).empty());
  // Pins in the holes of a plate: each is a piece of its own.
  const Polygons holes = subtract(plate, grow(discs, 0.3));
  const std::vector<Polygons> pieces = components(unite(holes, discs));
  EXPECT_EQ(pieces.size(), 201u);
  EXPECT_THAT(pieces, testing::Contains(testing::SizeIs(201)));
}

TEST(ManyOutlines, GrownRingsOfManyAreThoseOfEach) {
  Polygons alone;
  for (int k = 0; k < 12; ++k)
    for (const Polygon& outline :
         grow({disc({0, 0}, 2 * k + 2), Polygon(nested(12)[static_cast<std::size_t>(2 * k)])}, 0.3))
      alone.push_back(outline);
  EXPECT_NEAR(area(grow(nested(12), 0.3)), area(alone), 1e-3);
  EXPECT_NEAR(area(grow(nested(12), -0.3)) + area(subtract(nested(12), grow(nested(12), -0.3))), ringArea(12), 1e-3);
  // Grown by half of what lies between them they are one plate, but for the hole in the middle.
  EXPECT_EQ(grow(nested(12), 0.51).size(), 2u);
}

TEST(ManyOutlines, LinesThroughManyAreCutByEach) {
  const Lines lines{{toPoint(-5, 0), toPoint(70, 0)}, {toPoint(-5, 1.5), toPoint(70, 1.5)}};
  EXPECT_EQ(linesInside(lines, scattered(60)).size(), 20u);
  EXPECT_EQ(linesOutside(lines, scattered(60)).size(), 22u);
  EXPECT_EQ(linesInside({{toPoint(-0.2, 0), toPoint(0.2, 0)}}, unite(scattered(60))).size(), 1u);
}

// Groups are near each other by definition, whatever cells they fall into.
TEST(ManyOutlines, GroupsAreThoseThatComeNear) {
  std::mt19937 random(3);
  std::uniform_real_distribution<double> across(0, 60), size(0.2, 2);
  for (int round = 0; round < 20; ++round) {
    Polygons discs;
    std::vector<std::pair<Vec2, double>> of;
    for (int i = 0; i < 120; ++i) {
      of.emplace_back(Vec2(across(random), across(random)), size(random));
      discs.push_back(disc(of.back().first, of.back().second));
    }
    const double near = 0.5;
    std::size_t outlines = 0;
    const std::vector<OutlineGroup> groups = groupsApart(discs, true, {}, near);
    for (std::size_t g = 0; g < groups.size(); ++g) {
      outlines += groups[g].subjects.size();
      // Farther apart than near, or one around the other: then it says so.
      for (std::size_t other = 0; other < g; ++other)
        for (const Polygon& a : groups[g].subjects)
          for (const Polygon& b : groups[other].subjects) {
            const bool apart = intersect(grow({a}, near - 0.02), {b}).empty();
            const bool within = groups[g].subjectsAround > 0 || groups[other].subjectsAround > 0;
            EXPECT_TRUE(apart || within);
          }
    }
    EXPECT_EQ(outlines, discs.size());
    double sum = 0;
    for (const Polygons& piece : components(discs)) sum += area(piece);
    EXPECT_NEAR(sum, area(unite(discs)), 1e-3);
  }
}

TEST(ManyOutlines, BoxesAreFoundAsByAskingEach) {
  std::mt19937 random(5);
  std::uniform_real_distribution<double> across(0, 100), size(0, 9);
  std::vector<Box2> boxes(1);  // one that is empty
  for (int i = 0; i < 500; ++i) {
    const Vec2 low(across(random), across(random));
    boxes.emplace_back(low, low + Vec2(size(random), size(random)));
  }
  const BoxIndex index(boxes);
  for (std::size_t asked = 1; asked < boxes.size(); ++asked) {
    std::vector<std::size_t> expected;
    const Box2 wide(boxes[asked].min().array() - 0.7, boxes[asked].max().array() + 0.7);
    for (std::size_t i = 1; i < boxes.size(); ++i)
      if (wide.intersects(boxes[i])) expected.push_back(i);
    EXPECT_EQ(index.meeting(boxes[asked], 0.7), expected);
  }
  EXPECT_TRUE(index.meeting(Box2()).empty());
}

}  // namespace
}  // namespace trellis::test
