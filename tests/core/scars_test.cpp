// SPDX-License-Identifier: GPL-3.0-or-later
// What the underside is told to look like.
#include "tests/shapes.hpp"

#include "core/assess/scar_map.hpp"
#include "core/release/contact_bond.hpp"

namespace trellis::test {
namespace {

Scars leftBy(const std::vector<std::pair<std::string, nlohmann::json>>& settings) {
  return scarsOf(*build(projectOf(table(24, 10, 2), settings)));
}

// The table of docs/release.md, on printed supports of closed interface lines and layers of 0.2 mm.
TEST(Scars, AWideningGapFusesIsSmoothStripedAndRoughInThisOrder) {
  Scar before = Scar::fused;
  std::vector<Scar> seen;
  for (const double gap : {0.05, 0.1, 0.2, 0.28, 0.35}) {
    const Scars scars = leftBy({{"support.gap.above", gap}, {"support.interface.upper.spacing", 0.2}});
    for (std::size_t i = 0; i < scarCount; ++i)
      if (scars.areas[i] > 0) before = static_cast<Scar>(i);
    EXPECT_NEAR(scars.of(before), scars.all(), 1e-9) << gap;
    seen.push_back(before);
  }
  EXPECT_THAT(seen, testing::ElementsAre(Scar::fused, Scar::smooth, Scar::smooth, Scar::striped, Scar::rough));
}

TEST(Scars, DaylightAndAMissingFanMakeThemWorse) {
  EXPECT_GT(leftBy({{"support.interface.upper.spacing", 1.2}}).of(Scar::striped), 1);
  EXPECT_GT(leftBy({{"support.interface.upper.spacing", 4}}).of(Scar::rough), 1);
  const std::vector<std::pair<std::string, nlohmann::json>> wide{{"support.interface.upper.spacing", 2.6}};
  EXPECT_GT(leftBy(wide).of(Scar::striped), 1);
  EXPECT_GT(leftBy({wide[0], {"machine.fan", false}}).of(Scar::rough), 1);
  // Of another filament nothing fuses.
  EXPECT_EQ(leftBy({{"support.gap.above", 0}, {"support.filament.interface", "second"}}).of(Scar::fused), 0);
}

// Areas add up to the contacts, as sums and as the map; of trees to what their tips touch of it.
TEST(Scars, SumToTheContact) {
  for (const char* structure : {"normal", "tree"}) {
    const BuildPtr built = build(projectOf(threeCeilings(), {{"support.structure", structure}}));
    double contact = 0, byCause = 0, mapped = 0;
    for (const Price& price : built->prices) {
      contact += price.contact;
      byCause += scarsOf(*built, price.cause).all();
    }
    for (const ScarPatch& patch : scarMap(*built)) mapped += area(patch.area);
    ASSERT_GT(contact, 100);
    double touched = contact;
    if (built->trees.front()) {
      double tips = 0;
      for (const auto& tree : built->trees)
        for (const Tip& tip : tree->tips) tips += pi * tip.radius * tip.radius;
      touched = scarsOf(*built).all();
      EXPECT_LE(touched, std::min(tips, contact));
      EXPECT_GT(touched, 0.3 * std::min(tips, contact));
    }
    EXPECT_NEAR(scarsOf(*built).all(), touched, 0.01 * touched);
    EXPECT_NEAR(byCause, touched, 0.01 * touched);
    EXPECT_NEAR(mapped, touched, 0.01 * touched);
  }
}

// Patterns differ without colour: by how many lines they have.
TEST(Scars, HatchesAreToldApart) {
  const Polygons square = rectangle({Vec2(0, 0), Vec2(20, 20)});
  const auto lines = [&](Scar scar) { return hatchOf({0, 0, scar, square}).size(); };
  EXPECT_LT(lines(Scar::nicked), lines(Scar::smooth));
  EXPECT_LT(lines(Scar::smooth), lines(Scar::rough));
  EXPECT_LT(lines(Scar::rough), lines(Scar::striped));
  EXPECT_LT(lines(Scar::striped), lines(Scar::fused));
}

// The picture in Build says what a printed contact of that size is found to be.
TEST(TradeOff, SaysWhatTheBuiltContactHas) {
  const ProjectPtr project =
      projectOf(blocks({0, 4, 30}, {0, 20}, {0, 12, 15}, [](int x, int, int z) { return x == 0 || z == 1; }));
  const BuildPtr built = build(project);
  ASSERT_EQ(built->pieces.size(), 1u);
  const double contact = built->prices.front().contact;
  EXPECT_NEAR(tradeOffAt(project->settings, 0.2, contact).force, built->pieces[0].force, 0.1 * built->pieces[0].force);
  EXPECT_GT(tradeOffAt(project->settings, 0.1, contact).force, tradeOffAt(project->settings, 0.3, contact).force);
  EXPECT_LT(tradeOffAt(project->settings, 0.1, contact).sag, tradeOffAt(project->settings, 0.3, contact).sag);
}

}  // namespace
}  // namespace trellis::test
