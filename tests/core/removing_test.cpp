// SPDX-License-Identifier: GPL-3.0-or-later
// Taking support away where one points, and square columns: what goes is exactly what was pointed at.
#include "core/assess/removal.hpp"
#include "tests/package_mesh.hpp"
#include "tests/shapes.hpp"

#include <algorithm>
#include <random>

namespace trellis::test {
namespace {

double wanted(const Build& built) {
  double sum = 0;
  for (const DemandSitePtr& site : built.demand)
    for (const Polygons& layer : site->layers) sum += area(layer);
  return sum;
}

double supportVolume(const Build& built) { return built.tally.support().volume; }

ProjectPtr without(const ProjectPtr& project, const Vec3& at, Reach reach, double disc = usualDisc) {
  return after(project, removing(*build(project), at, reach, disc).operations);
}

// The middle of each piece's section at a height.
std::vector<Vec3> middlesAt(const Build& built, double z) {
  std::vector<Vec3> middles;
  for (const SupportLayer& layer : built.support->layers)
    if (layer.bottom <= z && z < layer.top)
      for (const PieceRegion& region : layer.regions) {
        const Vec2 middle = boundsOf(region.area).center();
        middles.emplace_back(middle.x(), middle.y(), z);
      }
  return middles;
}

TEST(Removing, BlocksExactlyWhatThePieceCarries) {
  const MeshPtr two =
      together({box({0, 0, 0}, {4, 20, 40}), box({4, 0, 12}, {18, 20, 14}), box({-14, 0, 26}, {0, 20, 28})});
  const ProjectPtr project = projectOf(two);
  const BuildPtr before = build(project);
  ASSERT_EQ(before->support->pieces.size(), 2u);
  const BuildPtr left = build(without(project, onPlate(*project, {11, 10, 6}), Reach::piece));
  ASSERT_EQ(left->support->pieces.size(), 1u);
  EXPECT_NEAR(left->support->pieces[0].highest, 25.8, 1e-6);
  EXPECT_NEAR(wanted(*left), 280, 0.5);
  const ProjectPtr kept = after(project, keepingOnly(*before, onPlate(*project, {11, 10, 6})));
  ASSERT_EQ(build(kept)->support->pieces.size(), 1u);
  EXPECT_NEAR(build(kept)->support->pieces[0].highest, 11.8, 1e-6);
  EXPECT_THROW(removing(*before, Vec3(1, 1, 1), Reach::piece), Error);
}

TEST(Removing, OfAColumnLeavesItsNeighbours) {
  const ProjectPtr project = projectOf(shelf());
  const ProjectPtr removed = without(project, onPlate(*project, {14, 10, 6}), Reach::column);
  EXPECT_NEAR(wanted(*build(removed)), 400 - pi * usualDisc * usualDisc / 4, 1);
}

TEST(Removing, TakesThePropOrTheMarkThatAHoldIsThereFor) {
  ProjectPtr project = projectOf(shelf());
  project = performed(*project, AddProp{0, onPlate(*project, {8, 10, 12}), 3});
  project = performed(*project, AddProp{0, onPlate(*project, {20, 10, 12}), 3});
  const ProjectPtr bare = without(project, onPlate(*project, {14, 10, 6}), Reach::piece);  // all of it stands together
  EXPECT_TRUE(bare->parts[0]->props.empty());
  EXPECT_TRUE(build(bare)->support->pieces.empty());
  ProjectPtr held = projectOf(box({0, 0, 0}, {4, 20, 40}), {{"support.source", "decisions"}});
  held = performed(*held, LayMark{0, Mark::enforce, BallStroke{{onPlate(*held, {4, 10, 25})}, 2}});
  held = performed(*held, LayMark{0, Mark::enforce, BallStroke{{onPlate(*held, {0, 10, 15})}, 2}});
  ASSERT_EQ(build(held)->support->pieces.size(), 2u);
  const BuildPtr left = build(without(held, onPlate(*held, {5, 10, 20}), Reach::piece));
  ASSERT_EQ(left->support->pieces.size(), 1u);
  EXPECT_NEAR(left->support->pieces[0].highest, 17, 0.3);
}

class SquareColumns : public testing::TestWithParam<double> {
 protected:
  static ProjectPtr flatTable(double column) {
    return projectOf(table(40, 12, 2), {{"support.normal.outline", "squared"}, {"support.normal.column", column}});
  }
};

TEST_P(SquareColumns, StandApartByALineAndAsWideAsAsked) {
  const BuildPtr built = build(flatTable(GetParam()));
  std::size_t whole = 0;
  for (const SupportLayer& layer : built->support->layers)
    for (const PieceRegion& region : layer.regions) {
      if (layer.bottom > 6 || layer.top < 6) continue;
      const Vec2 size = boundsOf(region.area).sizes();
      EXPECT_LE(size.maxCoeff(), GetParam() + 1e-3);
      whole += size.minCoeff() > GetParam() - 1e-3;
      for (const PieceRegion& other : layer.regions)
        EXPECT_TRUE(&other == &region || !meet(region.area, other.area, 0.45 - 1e-3));
    }
  EXPECT_GT(whole, 10u);
  EXPECT_EQ(built->support->pieces.size(), middlesAt(*built, 6).size()) << "each is a piece of its own";
}

// Each of ten columns takes exactly its own filament, and no other goes or grows.
TEST_P(SquareColumns, GoOneByOne) {
  ProjectPtr project = flatTable(GetParam());
  std::mt19937 chance(7);
  BuildPtr before = build(project);
  for (int round = 0; round < 10; ++round) {
    const std::vector<Vec3> columns = middlesAt(*before, 6);
    const Vec3 at = columns[chance() % columns.size()];
    const std::size_t piece = *pieceAt(*before, at);
    project = without(project, at, Reach::column);
    const BuildPtr left = build(project);
    const double own = before->tally.pieces[piece].volume;
    EXPECT_NEAR(supportVolume(*before) - supportVolume(*left), own, 0.01 * own) << "round " << round;
    EXPECT_EQ(left->support->pieces.size(), before->support->pieces.size() - 1);
    EXPECT_FALSE(pieceAt(*left, at).has_value());
    before = left;
  }
}

// A blocker frees what it covers, and nothing beyond half a line.
TEST_P(SquareColumns, KeepOffWhatIsBlocked) {
  ProjectPtr project = flatTable(GetParam());
  const Vec3 at = onPlate(*project, {11, 7, 12});
  AddZone zone{0, {}, {at, {9, 7, 4}, {0, 0, 25}}};
  zone.zone.as = ZoneAs::block;
  for (const auto& [name, blocked] : {std::pair("ball", after(project, {LayMark{0, Mark::block, BallStroke{{at}, 4}}})),
                                      std::pair("zone", after(project, {zone}))}) {
    const BuildPtr built = build(blocked);
    Polygons freed = intersect(around({{toPoint(at.head<2>())}}, 4), rectangle({Vec2(30, 30), Vec2(70, 70)}));
    if (std::string(name) == "zone") {
      const Eigen::Rotation2Dd turn(toRadians(25));
      freed = {Polygon{}};
      for (const Vec2& corner : {Vec2(-4.5, -3.5), Vec2(4.5, -3.5), Vec2(4.5, 3.5), Vec2(-4.5, 3.5)})
        freed.front().push_back(toPoint(Vec2(at.head<2>() + turn * corner)));
    }
    Polygons standing;
    for (const SupportLayer& layer : built->support->layers)
      if (layer.bottom < 6 && layer.top > 6)
        for (const PieceRegion& region : layer.regions)
          standing.insert(standing.end(), region.area.begin(), region.area.end());
    EXPECT_LE(area(intersect(standing, freed)), 0.05 * area(freed)) << name;
    EXPECT_LE(area(intersect(standing, grow(freed, -0.45 / 2 - 0.1))), 0.05) << name;
  }
}

INSTANTIATE_TEST_SUITE_P(Sizes, SquareColumns, testing::Values(2.0, 4.0, 8.0));

TEST(SquareColumn, GridGoesWithThePart) {
  const ProjectPtr project = projectOf(table(40, 12, 2), {{"support.normal.outline", "squared"}});
  PlacePart moved;
  moved.position = project->parts[0]->placement.position + Vec3(1.3, 2.1, 0);
  moved.turn = Vec3(0, 0, 30);
  EXPECT_NEAR(supportVolume(*build(performed(*project, moved))), supportVolume(*build(project)),
              0.02 * supportVolume(*build(project)));  // joins of lines follow the plate
}

// As wide in the G-code's beads as asked, whatever the outline and its grid.
TEST(Props, AreAsWideAsAskedUnderSquareColumnsToo) {
  const auto beadsOf = [](const Build& built) {
    Box2 beads;
    for (const auto& layer : built.print.layers) {
      if (layer->top < 8 || layer->top > 11) continue;
      for (const trellis::Run& run : layer->runs) {
        if (run.owner.kind != Owner::piece) continue;
        const Box2 box = boundsOf({run.points});
        beads.extend(Vec2(box.min().array() - run.width / 2)).extend(Vec2(box.max().array() + run.width / 2));
      }
    }
    return beads;
  };
  for (const char* outline : {"close", "squared"})
    for (const double width : {0.8, 1.0, 3.0}) {
      const ProjectPtr project = projectOf(shelf(), {{"support.source", "decisions"},
                                                     {"support.normal.outline", outline},
                                                     {"support.interface.upper.layers", 0}});
      const ProjectPtr propped = performed(*project, AddProp{0, onPlate(*project, {14, 10, 12}), width});
      const Box2 beads = beadsOf(*build(propped));
      EXPECT_NEAR(beads.sizes().x(), width, 0.05) << outline << " " << width;
      EXPECT_NEAR(beads.sizes().y(), width, 0.05) << outline << " " << width;
    }
}

// Two parts of the demo, and in a long run ten open meshes as well.
std::vector<std::string> meshesToCut() {
  std::vector<std::string> names{"snail", "latch"};
  for (const char* open : {"bunny00", "pig", "camel", "elephant", "hand", "joint", "anchor", "fandisk", "bull", "cow"})
    if (rounds(0) > 0) names.emplace_back(open);
  return names;
}

// Whatever is taken away, the support never needs more filament than before.
class NeverMore : public testing::TestWithParam<std::tuple<std::string, const char*>> {};

TEST_P(NeverMore, WhateverIsRemoved) {
  const auto [name, structure] = GetParam();
  const bool isOurs = name == "snail" || name == "latch";
  ProjectPtr project = projectOf(isOurs ? demoPart(name) : packageMesh(name), {{"support.structure", structure}});
  std::mt19937 chance(3);
  for (int round = 0; round < rounds(3); ++round) {
    const BuildPtr before = build(project);
    std::vector<Vec3> places = middlesAt(*before, 2 + static_cast<double>(chance() % 20));
    std::erase_if(places, [&](const Vec3& at) { return !pieceAt(*before, at); });
    if (places.empty()) continue;
    const Reach reach = chance() % 3 == 0 ? Reach::piece : Reach::column;
    project = after(
        project,
        removing(*before, places[chance() % places.size()], reach, 1 + static_cast<double>(chance() % 12)).operations);
    EXPECT_LE(supportVolume(*build(project)), supportVolume(*before) * (1 + 1e-9)) << name << ", round " << round;
  }
}

INSTANTIATE_TEST_SUITE_P(Meshes, NeverMore,
                         testing::Combine(testing::ValuesIn(meshesToCut()), testing::Values("normal", "tree")));

}  // namespace
}  // namespace trellis::test
