// SPDX-License-Identifier: GPL-3.0-or-later
// One column at a time: how its height is divided, where it stands, what it keeps away from.
#include "core/support/column.hpp"
#include "core/support/support_layers.hpp"
#include "tests/shapes.hpp"

#include <cmath>
#include <tuple>

namespace trellis::test {
namespace {

constexpr double tiny = 1e-6;

bool has(const std::vector<double>& heights, double z) {
  return std::any_of(heights.begin(), heights.end(), [&](double h) { return std::abs(h - z) < tiny; });
}

// Layer height, first layer, gap above, interface layers.
class HeightsTest : public testing::TestWithParam<std::tuple<double, double, double, int>> {};

TEST_P(HeightsTest, EndExactlyUnderTheGapInPrintableLayers) {
  const auto [height, first, gap, interface] = GetParam();
  const LayerPlan plan = planLayers(30, {height, first});
  SupportRules rules;
  rules.gapAbove = gap;
  rules.interfaceLayers = interface;
  for (const std::size_t lowest : {std::size_t{30}, std::size_t{47}, plan.count() - 4}) {
    const std::vector<double> heights = planHeights(plan, lowest, lowest + 3, rules);
    ASSERT_GE(heights.size(), 2u);
    EXPECT_NEAR(heights.front(), plan.spans[lowest + 3].bottom - gap, tiny);
    EXPECT_NEAR(heights.back(), 0, tiny);
    for (std::size_t i = 1; i < heights.size(); ++i) {
      const double slab = heights[i - 1] - heights[i];
      EXPECT_GE(slab, rules.thinnest - tiny) << "under " << heights[i - 1];
      EXPECT_LE(slab, std::max({rules.thickest, height, first}) + tiny) << "under " << heights[i - 1];
    }
    for (std::size_t i = lowest; i <= lowest + 3; ++i)
      EXPECT_TRUE(has(heights, plan.spans[i].bottom - gap)) << "layer " << i;
    // Low down the support is printed with the part's own layers.
    EXPECT_TRUE(has(heights, plan.spans[0].top));
    EXPECT_TRUE(has(heights, plan.spans[1].top));
  }
}

INSTANTIATE_TEST_SUITE_P(Gaps, HeightsTest,
                         testing::Combine(testing::Values(0.08, 0.12, 0.2, 0.28), testing::Values(0.2, 0.3),
                                          testing::Values(0.0, 0.05, 0.17, 0.2, 0.24, 0.4, 1.0),
                                          testing::Values(0, 3, 5)));

// A shelf of 20 × 20 mm at 10 mm over the plate and whatever stands under it, cut at 0.2 mm.
class ColumnTest : public testing::Test {
 protected:
  static constexpr std::size_t shelfLayer = 50;  // its underside is at 10 mm

  Column columnOver(const std::vector<std::pair<double, Polygons>>& lower, const SupportRules& rules) {
    LayerPlan plan = planLayers(12, {0.2, 0.2});
    std::vector<Polygons> sections(plan.count()), hanging(plan.count());
    const Polygons shelf = rectangle({Vec2(0, 0), Vec2(20, 20)});
    for (std::size_t i = 0; i < plan.count(); ++i) {
      if (i >= shelfLayer) sections[i] = shelf;
      for (const auto& [top, area] : lower)
        if (plan.spans[i].middle() < top) sections[i] = unite(sections[i], area);
    }
    hanging[shelfLayer] = shelf;
    obstacles = findObstacles(plan, {{sections, sections, hanging, {rules.gapBeside, rules.gapSlope}}}, Progress());
    DemandSite site;
    site.lowest = shelfLayer;
    site.layers = {shelf};
    return buildColumn(site, {obstacles, noLanding}, rules, nullptr, Progress());
  }

  static double lowestOver(const Column& column, const Vec2& at) {
    double low = 1e9;
    for (const ColumnSlab& slab : column.slabs)
      if (contains(slab.body, toPoint(at)) || contains(slab.interface, toPoint(at))) low = std::min(low, slab.bottom);
    return low;
  }

  std::vector<Polygons> noLanding;
  Obstacles obstacles;
};

TEST_F(ColumnTest, StandsOnThePlateAndCoversWhatItCarries) {
  const Column column = columnOver({}, {});
  EXPECT_NEAR(column.wanted, 400, 1e-6);
  EXPECT_EQ(column.noRoom + column.withoutFooting, 0);
  ASSERT_FALSE(column.slabs.empty());
  EXPECT_NEAR(column.slabs.front().top, 9.8, tiny);
  EXPECT_NEAR(column.slabs.back().bottom, 0, tiny);
  for (std::size_t i = 1; i < column.slabs.size(); ++i)
    EXPECT_NEAR(column.slabs[i].top, column.slabs[i - 1].bottom, tiny);
  for (const ColumnSlab& slab : column.slabs) EXPECT_NEAR(area(slab.body) + area(slab.interface), 400, 1);
}

TEST_F(ColumnTest, TheInterfaceIsAsManyLayersAsAsked) {
  for (const int layers : {0, 1, 3, 6}) {
    SupportRules rules;
    rules.interfaceLayers = layers;
    const Column column = columnOver({}, rules);
    int found = 0;
    for (const ColumnSlab& slab : column.slabs) found += !slab.interface.empty();
    EXPECT_EQ(found, layers);
    for (int i = 0; i < layers; ++i)
      EXPECT_TRUE(column.slabs[static_cast<std::size_t>(i)].body.empty()) << "layer " << i << " from the top";
  }
}

TEST_F(ColumnTest, KeepsTheGapBelowExactlyOverALedge) {
  for (const double gap : {0.0, 0.1, 0.2, 0.25, 0.37}) {
    SupportRules rules;
    rules.gapBelow = gap;
    const Column column = columnOver({{4.0, rectangle({Vec2(10, -5), Vec2(25, 25)})}}, rules);
    EXPECT_NEAR(lowestOver(column, {15, 10}), 4 + gap, 0.005) << "gap below " << gap;
    EXPECT_NEAR(lowestOver(column, {5, 10}), 0, tiny);
  }
}

TEST_F(ColumnTest, OnThePlateOnlyItLeavesOutWhatStandsOnThePart) {
  SupportRules rules;
  rules.footing = Footing::plate;
  const Column column = columnOver({{4.0, rectangle({Vec2(10, -5), Vec2(25, 25)})}}, rules);
  EXPECT_NEAR(column.withoutFooting, 20 * (10 + rules.gapBeside), 2);
  // Beside the ledge it keeps the gap, and above it nothing leans out over the part either.
  for (const ColumnSlab& slab : column.slabs) {
    const double right = boundsOf(unite(slab.body, slab.interface)).max().x();
    EXPECT_LT(right, 10 - rules.gapBeside + (slab.bottom < 4 ? 0.005 : 0.05)) << "at " << slab.bottom;
  }
}

TEST_F(ColumnTest, DoesNotStandOnBlockedSurface) {
  noLanding.assign(planLayers(12, {0.2, 0.2}).count(), {});
  noLanding[20] = rectangle({Vec2(10, 0), Vec2(20, 20)});  // the layer over the ledge's top at 4 mm
  const Column column = columnOver({{4.0, rectangle({Vec2(10, -5), Vec2(25, 25)})}}, {});
  // Each line may stand half on the one below, so the column leans out over what is blocked: 0.225 mm for
  // every 0.2 mm, from the ledge's border on.
  for (const double x : {11.0, 13.0, 15.0})
    EXPECT_GE(lowestOver(column, {x, 10}), 4 + (x - 10) / 0.225 * 0.2 - 0.41) << "x = " << x;
  EXPECT_EQ(lowestOver(column, {17, 10}), 1e9);
  EXPECT_NEAR(column.withoutFooting, 20 * (10 - 28 * 0.225), 6);
}

TEST_F(ColumnTest, GivesUpWhereTheGapsLeaveNoLayer) {
  SupportRules rules;
  rules.gapAbove = 0.3;
  rules.gapBelow = 0.3;
  const Column column = columnOver({{9.4, rectangle({Vec2(-5, -5), Vec2(25, 25)})}}, rules);
  EXPECT_TRUE(column.slabs.empty());
  EXPECT_NEAR(column.noRoom + column.withoutFooting, 400, 1);
}

TEST_F(ColumnTest, ATinyDemandStillGetsTwoLinesOfSupport) {
  LayerPlan plan = planLayers(12, {0.2, 0.2});
  std::vector<Polygons> sections(plan.count()), hanging(plan.count());
  for (std::size_t i = shelfLayer; i < plan.count(); ++i) sections[i] = rectangle({Vec2(0, 0), Vec2(0.3, 0.3)});
  hanging[shelfLayer] = sections[shelfLayer];
  const SupportRules rules;
  obstacles = findObstacles(plan, {{sections, sections, hanging, {rules.gapBeside, rules.gapSlope}}}, Progress());
  DemandSite site;
  site.lowest = shelfLayer;
  site.layers = {sections[shelfLayer]};
  const Column column = buildColumn(site, {obstacles, {}}, rules, nullptr, Progress());
  ASSERT_FALSE(column.slabs.empty());
  for (const ColumnSlab& slab : column.slabs) {
    const Vec2 size = boundsOf(unite(slab.body, slab.interface)).sizes();
    EXPECT_GE(size.minCoeff(), 2 * rules.lineWidth - 0.02);
    EXPECT_LE(size.maxCoeff(), leastColumn + 0.3);
  }
}

TEST_F(ColumnTest, TwoColumnsOfOneHeightAreOneLayer) {
  const auto column = std::make_shared<const Column>(columnOver({}, {}));
  const SupportLayers alone = assembleSupport({column}, {0}, Progress()),
                      twice = assembleSupport({column, column}, {0, 0}, Progress());
  ASSERT_EQ(alone.layers.size(), twice.layers.size());
  EXPECT_EQ(twice.pieces.size(), 1u);
  EXPECT_EQ(twice.pieces[0].sites, (std::vector<std::size_t>{0, 1}));
  for (std::size_t i = 0; i < alone.layers.size(); ++i) {
    double a = 0, b = 0;
    for (const PieceRegion& region : alone.layers[i].regions) a += area(region.area);
    for (const PieceRegion& region : twice.layers[i].regions) b += area(region.area);
    EXPECT_NEAR(a, b, 1e-6);
  }
}

}  // namespace
}  // namespace trellis::test
