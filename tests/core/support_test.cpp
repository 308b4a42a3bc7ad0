// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/overhang/lean.hpp"
#include "tests/shapes.hpp"

#include <cmath>

namespace trellis::test {
namespace {

using testing::Contains;
using testing::Field;

auto withCode(const char* code) { return Contains(Field(&Finding::code, std::string(code))); }

ProjectPtr marked(const ProjectPtr& project, const Vec3& at, double radius, Mark mark) {
  LayMark operation;
  operation.mark = mark;
  operation.stroke = BallStroke{{at}, radius};
  return performed(*project, operation);
}

Polygons everywhere(const Build& build) {
  Polygons all;
  for (const SupportLayer& layer : build.support->layers)
    for (const PieceRegion& region : layer.regions) all = unite(all, region.area);
  return all;
}

// Facets and layers agree within half a degree: a cone hangs just past its lean and not just before.
class ConeTest : public testing::TestWithParam<double> {};

TEST_P(ConeTest, HangsByFacetsAndByLayersAlike) {
  const double lean = GetParam();
  const MeshPtr cone = flaringCone(6, lean, 10, 360);
  const LayerPlan plan = planLayers(10, {0.2, 0.2});
  const Slices slices = slice(*cone, plan.middles(), Progress());
  for (const double off : {-0.5, 0.5}) {
    const bool hangs = off < 0;  // a free lean half a degree less than the cone's
    const Overhangs overhangs = findOverhangs(plan, slices.sections, {lean + off, 0.45}, Progress());
    double demand = 0;
    for (const Polygons& layer : overhangs.demand) demand += area(layer);
    EXPECT_EQ(demand > 1, hangs) << "free lean " << lean + off;
    EXPECT_EQ(hangingArea(*cone, lean + off) > 1, hangs);
    if (hangs) {  // the whole step is carried, not the sliver beyond the free part
      const double shadow = area(slices.sections.back()) - area(slices.sections.front());
      EXPECT_NEAR(demand, shadow, 0.01 * shadow);
    }
  }
}

INSTANTIATE_TEST_SUITE_P(Leans, ConeTest, testing::Values(20, 30, 40, 45, 50, 60, 70));

TEST(FloatingStarts, AreFoundWhereSomethingBeginsOnNothing) {
  const MeshPtr hook =
      together({box({0, 0, 0}, {5, 5, 20}), box({0, 0, 18}, {20, 5, 20}), box({16, 0, 10}, {20, 5, 18})});
  const auto built = build(projectOf(hook));
  ASSERT_EQ(built->parts[0].overhangs->starts.size(), 1u);
  EXPECT_NEAR(built->parts[0].overhangs->starts[0].at.z(), 10, 1e-6);
  EXPECT_NEAR(built->parts[0].overhangs->starts[0].area, 20, 1e-3);
  EXPECT_THAT(built->findings, Not(withCode("floating-start")));
  const auto bare = build(projectOf(hook, {{"support.on", false}}));
  EXPECT_THAT(bare->findings, withCode("floating-start"));
}

TEST(Sources, DecideWhatAsksForSupport) {
  // A shelf that hangs on a wall, and a drop that begins in mid-air.
  const MeshPtr mesh =
      together({box({0, 0, 0}, {5, 20, 30}), box({0, 0, 20}, {20, 20, 22}), box({16, 8, 12}, {20, 12, 20})});
  const auto volume = [&](const char* source) {
    return build(projectOf(mesh, {{"support.source", source}}))->tally.support().volume;
  };
  const double overhangs = volume("overhangs"), floating = volume("floating");
  EXPECT_GT(floating, 10);
  EXPECT_GT(overhangs, 3 * floating);
  EXPECT_EQ(volume("decisions"), 0);
}

TEST(Decisions, AnEnforcerGivesSupportThereAndNowhereElse) {
  const ProjectPtr bare = projectOf(table(40, 15, 3), {{"support.source", "decisions"}});
  const auto built = build(marked(bare, {60, 60, 15}, 4, Mark::enforce));
  EXPECT_GT(built->tally.support().volume, 20);
  const Box2 box = boundsOf(everywhere(*built));
  EXPECT_NEAR(box.min().x(), 56, 0.3);
  EXPECT_NEAR(box.max().x(), 64, 0.3);
  EXPECT_NEAR(box.min().y(), 56, 0.3);
  EXPECT_NEAR(box.max().y(), 64, 0.3);
}

TEST(Decisions, ABlockerRemovesExactlyTheSupportOfItsSite) {
  // Two shelves on one wall, far apart: two sites.
  const MeshPtr mesh =
      together({box({0, 0, 0}, {60, 5, 30}), box({0, 0, 10}, {15, 20, 12}), box({40, 0, 20}, {60, 20, 22})});
  const MeshPtr highOnly = together({box({0, 0, 0}, {60, 5, 30}), box({40, 0, 20}, {60, 20, 22})});
  const ProjectPtr both = projectOf(mesh);
  const auto areas = supportAreas(*build(marked(both, {57.5, 62.5, 10}, 14, Mark::block)));
  EXPECT_EQ(areas, supportAreas(*build(projectOf(highOnly))));
  EXPECT_NE(areas, supportAreas(*build(both)));
}

TEST(Decisions, WithoutEffectAreFindings) {
  const ProjectPtr project = projectOf(table(40, 15, 3));
  const ProjectPtr enforced = marked(project, {60, 60, 15}, 2.5, Mark::enforce);  // the plate is 3 mm thick
  EXPECT_THAT(build(performed(*enforced, ChangeSetting{"support.on", false}))->findings, withCode("supports-off"));
  EXPECT_THAT(build(marked(project, {60, 60, 18}, 2, Mark::enforce))->findings, withCode("enforced-upward"));
  EXPECT_THAT(build(enforced)->findings, Not(withCode("supports-off")));
}

TEST(Footing, PlateOnlyNeverStandsOnThePartAndSaysSo) {
  // A shelf over a tray that is wider than it.
  const MeshPtr mesh =
      together({box({0, 0, 0}, {40, 40, 2}), box({0, 0, 0}, {5, 40, 20}), box({0, 0, 18}, {30, 40, 20})});
  const auto onPart = build(projectOf(mesh));
  EXPECT_GT(onPart->tally.support().volume, 100);
  EXPECT_THAT(onPart->findings, Not(withCode("no-footing")));
  const auto onPlate = build(projectOf(mesh, {{"support.footing", "plate"}}));
  EXPECT_EQ(onPlate->tally.support().volume, 0);
  EXPECT_THAT(onPlate->findings, withCode("no-footing"));
}

TEST(GapBeside, IsKeptFromEveryWallAtEveryHeight) {
  const double beside = 0.7;
  const auto built = build(projectOf(threeCeilings(), {{"support.gap.beside", beside}, {"support.gap.above", 0.24}}));
  const auto& sections = *built->parts[0].sections;
  for (const SupportLayer& layer : built->support->layers)
    for (std::size_t l = 0; l < sections.size(); ++l) {
      const LayerSpan& span = built->plan.spans[l];
      if (span.top <= layer.bottom + 1e-6 || span.bottom >= layer.top - 1e-6) continue;
      for (const PieceRegion& region : layer.regions)
        EXPECT_LT(area(intersect(region.area, grow(sections[l], beside - 0.01))), 1e-6);
    }
}

TEST(Interface, CoversTheDemandAndNeverShrinksASupport) {
  const ProjectPtr with = projectOf(table(30, 12.3, 3)),
                   without = projectOf(table(30, 12.3, 3), {{"support.interface.upper.layers", 0}});
  const auto a = build(with), b = build(without);
  const auto areasA = supportAreas(*a), areasB = supportAreas(*b);
  ASSERT_EQ(areasA.size(), areasB.size());
  for (const auto& [top, value] : areasB) EXPECT_GE(areasA.at(top), value - 0.5) << "at " << top;
  EXPECT_EQ(b->tally.features[static_cast<std::size_t>(Feature::interfaceUpper)].volume, 0);
  // Within (w + spacing) / 2 of an interface line's centre lies at least 98 % of the demand.
  const SupportLayer& top = a->support->layers.back();
  Lines lines;
  for (const auto& layer : a->print.layers)
    if (std::abs(layer->top - top.top) < 1e-6)
      for (const trellis::Run& run : layer->runs)
        if (run.feature == Feature::interfaceUpper) lines.push_back(run.points);
  Polygons demand;
  for (const PieceRegion& region : top.regions) demand = unite(demand, region.area);
  EXPECT_LT(area(subtract(demand, around(lines, 0.45))), 0.02 * area(demand));
}

TEST(Columns, StandOnSlopesInsteadOfBeingEatenAway) {
  // A shelf over a ramp that rises at 40° from the plate.
  std::vector<Vec3f> v{{0, 0, 0}, {30, 0, 0}, {0, 0, 25}, {0, 20, 0}, {30, 20, 0}, {0, 20, 25}};
  const MeshPtr ramp =
      makeMesh(v, {{0, 1, 2}, {3, 5, 4}, {0, 3, 4}, {0, 4, 1}, {1, 4, 5}, {1, 5, 2}, {0, 2, 5}, {0, 5, 3}});
  const MeshPtr mesh = together({ramp, box({0, 0, 40}, {28, 20, 42}), box({-4, 0, 0}, {0, 20, 42})});
  const auto built = build(projectOf(mesh));
  EXPECT_THAT(built->findings, Not(withCode("no-footing")));
  EXPECT_NEAR(area(everywhere(*built)), 28 * 20, 0.1 * 28 * 20);
}

}  // namespace
}  // namespace trellis::test
