// SPDX-License-Identifier: GPL-3.0-or-later
// Solid where it is solid, read from G-code alone: how much is laid over what the part's section holds, and what stays
// open between the lines. Sections are known from the shapes, by elementary geometry.
#include "core/results/gcode_text.hpp"
#include "tests/package_mesh.hpp"
#include "tests/printed.hpp"
#include "tests/shapes.hpp"

#include <cmath>
#include <set>

namespace trellis::test {
namespace {

// One layer of a print on a raster of squares.
class Raster {
 public:
  Raster(const std::vector<Bead>& beads, double top) {
    for (const Bead& bead : beads)
      if (bead.feature.starts_with("part.") && std::abs(bead.z - top) < 1e-6) beads_.push_back(bead);
    for (const Bead& bead : beads_) box_.extend(Vec2(bead.x0, bead.y0)).extend(Vec2(bead.x1, bead.y1));
    box_ = Box2(box_.min().array() - 1, box_.max().array() + 1);
    columns_ = static_cast<std::size_t>(box_.sizes().x() / cell) + 1;
    rows_ = static_cast<std::size_t>(box_.sizes().y() / cell) + 1;
    covered_.assign(columns_ * rows_, false);
    for (const Bead& bead : beads_) cover(bead);
  }

  double volume() const {  // mm³
    constexpr double diameter = 1.75;
    double sum = 0;
    for (const Bead& bead : beads_) sum += bead.e * pi * diameter * diameter / 4;
    return sum;
  }

  // mm² of the largest region that no bead reaches and that does not reach the border.
  double largestVoid() const {
    std::vector<bool> seen = covered_;
    double largest = 0;
    for (std::size_t i = 0; i < seen.size(); ++i) {
      std::size_t count = 0;
      bool open = false;
      for (std::vector<std::size_t> todo{i}; !todo.empty();) {
        const std::size_t at = todo.back(), x = at % columns_, y = at / columns_;
        todo.pop_back();
        if (seen[at]) continue;
        seen[at] = true;
        ++count;
        open = open || x == 0 || y == 0 || x + 1 == columns_ || y + 1 == rows_;
        if (x > 0) todo.push_back(at - 1);
        if (y > 0) todo.push_back(at - columns_);
        if (x + 1 < columns_) todo.push_back(at + 1);
        if (y + 1 < rows_) todo.push_back(at + columns_);
      }
      if (!open) largest = std::max(largest, static_cast<double>(count) * cell * cell);
    }
    return largest;
  }

 private:
  void cover(const Bead& bead) {
    const Vec2 a(bead.x0, bead.y0), b(bead.x1, bead.y1);
    const double r = bead.width / 2;
    const Box2 around(a.cwiseMin(b).array() - r, a.cwiseMax(b).array() + r);
    const auto index = [&](double at, double low) {
      return static_cast<std::size_t>(std::max(0.0, (at - low) / cell));
    };
    for (std::size_t y = index(around.min().y(), box_.min().y()); y <= index(around.max().y(), box_.min().y()); ++y)
      for (std::size_t x = index(around.min().x(), box_.min().x()); x <= index(around.max().x(), box_.min().x()); ++x) {
        const Vec2 p = box_.min() + cell * Vec2(static_cast<double>(x) + 0.5, static_cast<double>(y) + 0.5);
        const double t = std::clamp((p - a).dot(b - a) / std::max(1e-12, (b - a).squaredNorm()), 0.0, 1.0);
        if ((p - a - t * (b - a)).norm() <= r + cell) covered_[y * columns_ + x] = true;
      }
  }

  static constexpr double cell = 0.02;  // mm
  std::vector<Bead> beads_;
  Box2 box_;
  std::size_t columns_ = 0, rows_ = 0;
  std::vector<bool> covered_;
};

constexpr double layer = 0.2;     // mm
constexpr double mostVoid = 0.1;  // mm²
const std::pair<double, double> share{0.97, 1.03};

Raster middleLayer(const MeshPtr& mesh) {
  return {readBeads(gcodeOf(projectOf(mesh, {{"infill.density", 100}}))), 5.2};
}

void expectSolid(const Raster& raster, double section, const std::string& what) {
  EXPECT_GE(raster.volume(), share.first * section * layer) << what;
  EXPECT_LE(raster.volume(), share.second * section * layer) << what;
  EXPECT_LE(raster.largestVoid(), mostVoid) << what;
}

TEST(Solid, WallsOfAnyThickness) {
  for (double thickness = 0.3; thickness < 3.05; thickness += 0.1)
    expectSolid(middleLayer(box({0, 0, 0}, {30, thickness, 8})), 30 * thickness,
                "a wall of " + std::to_string(thickness) + " mm");
}

// A tube of straight sides: its section is that of two regular polygons, n/2 r² sin(2π/n) each.
TEST(Solid, TubesOfAnyThickness) {
  constexpr int sides = 90;
  constexpr double outer = 12;
  for (double thickness = 0.4; thickness < 2.5; thickness += 0.3) {
    std::vector<MeshPtr> walls;
    std::vector<Vec3f> vertices;
    std::vector<Facet> facets;
    for (int k = 0; k < sides; ++k)
      for (const double r : {outer, outer - thickness})
        for (const double z : {0.0, 8.0})
          vertices.push_back(Vec3(r * std::cos(2 * pi * k / sides), r * std::sin(2 * pi * k / sides), z).cast<float>());
    const auto at = [](int k, int inner, int up) {
      return static_cast<std::uint32_t>((k % sides) * 4 + inner * 2 + up);
    };
    const auto quad = [&](std::uint32_t a, std::uint32_t b, std::uint32_t c, std::uint32_t d) {
      facets.push_back({a, b, c});
      facets.push_back({a, c, d});
    };
    for (int k = 0; k < sides; ++k) {
      quad(at(k, 0, 0), at(k + 1, 0, 0), at(k + 1, 0, 1), at(k, 0, 1));
      quad(at(k, 1, 1), at(k + 1, 1, 1), at(k + 1, 1, 0), at(k, 1, 0));
      quad(at(k, 0, 1), at(k + 1, 0, 1), at(k + 1, 1, 1), at(k, 1, 1));
      quad(at(k, 1, 0), at(k + 1, 1, 0), at(k + 1, 0, 0), at(k, 0, 0));
    }
    const auto polygon = [](double r) { return sides / 2.0 * r * r * std::sin(2 * pi / sides); };
    const Raster raster = middleLayer(makeMesh(vertices, facets));
    const double section = polygon(outer) - polygon(outer - thickness);
    EXPECT_NEAR(raster.volume() / (section * layer), 1, 0.03) << thickness;
  }
}

// From so thick, mm, at x = 0 to 0.2 mm at its length; 8 mm high.
MeshPtr wedge(float length, float thick) {
  const float y = thick / 2;
  return makeMesh({{0, -y, 0},
                   {0, y, 0},
                   {length, 0.1f, 0},
                   {length, -0.1f, 0},
                   {0, -y, 8},
                   {0, y, 8},
                   {length, 0.1f, 8},
                   {length, -0.1f, 8}},
                  {{0, 1, 2},
                   {0, 2, 3},
                   {4, 6, 5},
                   {4, 7, 6},
                   {0, 3, 7},
                   {0, 7, 4},
                   {1, 5, 6},
                   {1, 6, 2},
                   {3, 2, 6},
                   {3, 6, 7},
                   {0, 4, 5},
                   {0, 5, 1}});
}

TEST(Solid, ATaperFromThickToNothing) { expectSolid(middleLayer(wedge(30, 3)), 30 * (3 + 0.2) / 2, "a wedge"); }

// What fills a strip by its volume is as much wider as its sides are round, h (1 - pi/4) in all, and lies over the
// outline by half of that; more would come too near to support beside it.
TEST(Solid, ShortTapersKeepToTheirOutline) {
  for (const float length : {1.5f, 2.f, 3.f, 5.f})
    for (const float thick : {1.f, 1.3f, 1.6f}) {
      const ProjectPtr project = projectOf(wedge(length, thick));
      const Vec3 tip = onPlate(*project, {length, 0, 0});
      const double slope = (thick - 0.2) / 2 / length;  // of each side
      double most = 0;
      for (const Bead& bead : readBeads(gcodeOf(project)))
        for (const Vec2& end : {Vec2(bead.x0, bead.y0), Vec2(bead.x1, bead.y1)}) {
          if (!bead.feature.starts_with("part.")) continue;
          const double beside = 0.1 + slope * (tip.x() - end.x()) - std::abs(end.y() - tip.y());
          most = std::max(most, bead.width / 2 - beside / std::hypot(1, slope));
        }
      EXPECT_LT(most, layer * (1 - pi / 4) / 2 + 0.01) << length << " long, " << thick << " thick";
    }
}

// Within the loops of a round pin room is left that is too round for a line. The outermost loop's edge lies on the
// outline, and its side is round, h (1 - pi/4) / 2 on average: that much is missing along the rim.
TEST(Solid, PinsOfAnyThickness) {
  constexpr int sides = 60;
  for (double radius = 0.4; radius < 2; radius += 0.05) {
    const double section = sides / 2.0 * radius * radius * std::sin(2 * pi / sides),
                 rim = 2 * sides * radius * std::sin(pi / sides) * layer * (1 - pi / 4) / 2;
    const Raster raster = middleLayer(flaringCone(radius, 0, 8, sides));
    const std::string what = "a pin of " + std::to_string(radius) + " mm radius";
    EXPECT_GE(raster.volume(), share.first * (section - rim) * layer) << what;
    EXPECT_LE(raster.volume(), share.second * section * layer) << what;
    EXPECT_LE(raster.largestVoid(), mostVoid) << what;
  }
}

TEST(Solid, WhereThinWallsMeet) {
  expectSolid(middleLayer(together({box({0, 0, 0}, {30, 1, 8}), box({14, 0.5, 0}, {15, 20, 8})})), 30 + 19, "a tee");
}

// Too round for a line along their middle, but with room for one of half the width: a small loop, within the outline.
TEST(Solid, DotsArePrinted) {
  for (const Vec2& size : {Vec2(0.3, 0.3), Vec2(0.45, 0.45), Vec2(0.3, 0.5), Vec2(0.6, 0.6)}) {
    const MeshPtr dot = together({box({0, 0, 0}, {10, 10, 3}), box({14, 5, 0}, {14 + size.x(), 5 + size.y(), 3})});
    const ProjectPtr project = projectOf(dot);
    const double left = onPlate(*project, {14, 5, 0}).x(), right = left + size.x();
    std::set<long> layers;
    for (const Bead& bead : readBeads(gcodeOf(project)))
      if (bead.feature.starts_with("part.") && bead.x0 > left - 1) {
        layers.insert(std::lround(bead.z / layer));
        EXPECT_GE(std::min(bead.x0, bead.x1) - bead.width / 2, left - 0.05) << size.transpose();
        EXPECT_LE(std::max(bead.x0, bead.x1) + bead.width / 2, right + 0.05) << size.transpose();
      }
    EXPECT_EQ(layers.size(), 15u) << size.transpose();
  }
}

TEST(Solid, CoversAreClosed) {
  const std::vector<Bead> beads = readBeads(gcodeOf(projectOf(box({0, 0, 0}, {20, 20, 10}))));
  for (const double top : {0.2, 0.4, 9.8, 10.0}) expectSolid(Raster(beads, top), 400, std::to_string(top));
}

class SolidPart : public testing::TestWithParam<const char*> {};

// The first layer of things that nobody made for this.
TEST_P(SolidPart, FirstLayersHaveTheirVolume) {
  const std::string name = GetParam();
  const ProjectPtr project =
      projectOf(name.starts_with("demo_") ? demoPart(name.substr(5)) : packageMesh(name), {{"support.on", false}});
  const BuildPtr built = build(project);
  const double section = area(built->parts[0].sections->front());
  if (section < 20) GTEST_SKIP() << "stands on a spot";
  const Raster raster(readBeads(gcodeOf(*project, *built, Progress())), layer);
  EXPECT_NEAR(raster.volume() / (section * layer), 1, 0.03) << name;
}

INSTANTIATE_TEST_SUITE_P(Meshes, SolidPart,
                         testing::Values("demo_latch", "demo_frond", "demo_manifold", "bunny00", "fandisk",
                                         "mushroom"));

}  // namespace
}  // namespace trellis::test
