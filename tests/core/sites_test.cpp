// SPDX-License-Identifier: GPL-3.0-or-later
// Sites, bridges and floating starts, on shapes whose answer is known on paper; and what they cost.
#include "tests/package_mesh.hpp"
#include "tests/shapes.hpp"

#include <cmath>
#include <set>

namespace trellis::test {
namespace {

// A block with a tunnel through it along y, its roof flat at 10 mm.
MeshPtr tunnel(double width) {
  return blocks({0, 5, 5 + width, 10 + width}, {0, 30}, {0, 10, 14},
                [](int i, int, int k) { return k == 1 || i != 1; });
}

// One closed block with a round hole along y. The roof is cut into segments.
MeshPtr blockWithHole(double radius, double middle, int segments) {
  std::vector<Vec3f> corners;
  const double half = radius + 4, top = middle + radius + 4;
  const auto ring = [&](int i) {
    const double turn = 2 * pi * (i % segments) / segments;
    return Vec2(radius * std::sin(turn), middle + radius * std::cos(turn));
  };
  const auto outer = [&](int i) {  // where a ray from the middle leaves the block
    const Vec2 d = ring(i) - Vec2(0, middle);
    const double s = std::min({half / std::max(1e-9, std::abs(d.x())), d.y() > 0 ? (top - middle) / d.y() : 1e9,
                               d.y() < 0 ? -middle / d.y() : 1e9});
    return Vec2(d.x() * s, middle + d.y() * s);
  };
  const auto add = [&](const Vec2& p, double y) { corners.push_back(Vec3(p.x(), y, p.y()).cast<float>()); };
  for (int i = 0; i < segments; ++i)
    for (const double y : {0.0, 30.0}) {
      const Vec2 a = ring(i), b = ring(i + 1), c = outer(i + 1), d = outer(i);
      for (const Vec2& p : y > 0 ? std::vector<Vec2>{a, c, b, a, d, c} : std::vector<Vec2>{a, b, c, a, c, d}) add(p, y);
    }
  for (int i = 0; i < segments; ++i) {
    const Vec2 a = ring(i), b = ring(i + 1), c = outer(i), d = outer(i + 1);
    add(a, 0), add(a, 30), add(b, 30), add(a, 0), add(b, 30), add(b, 0);
    add(c, 0), add(d, 30), add(c, 30), add(c, 0), add(d, 0), add(d, 30);
  }
  return meshFromCorners(corners);
}

const Sites& sitesOf(const BuildPtr& built) { return *built->parts[0].sites; }

const Site& largest(const BuildPtr& built) {
  const auto& list = sitesOf(built).list;
  return *std::max_element(list.begin(), list.end(), [](const Site& a, const Site& b) { return a.area < b.area; });
}

TEST(Bridges, ATunnelOfNineBridgesAndOneOfElevenDoesNot) {
  const BuildPtr nine = build(projectOf(tunnel(9))), eleven = build(projectOf(tunnel(11)));
  ASSERT_EQ(sitesOf(nine).list.size(), 1u);
  EXPECT_TRUE(largest(nine).bridge);
  EXPECT_NEAR(largest(nine).span, 9, 0.01);
  EXPECT_NEAR(largest(nine).area, 9 * 30, 0.01);
  EXPECT_TRUE(nine->support->pieces.empty());
  ASSERT_EQ(sitesOf(eleven).list.size(), 1u);
  EXPECT_FALSE(largest(eleven).bridge);
  EXPECT_NEAR(largest(eleven).span, 11, 0.01);
  EXPECT_EQ(eleven->support->pieces.size(), 1u);
}

TEST(Bridges, AMirroredTunnelIsTheSameTunnel) {
  for (const int axis : {0, 1}) {
    const BuildPtr nine = build(performed(*projectOf(tunnel(9)), MirrorPart{0, axis})),
                   eleven = build(performed(*projectOf(tunnel(11)), MirrorPart{0, axis}));
    EXPECT_TRUE(largest(nine).bridge) << "mirrored along " << axis;
    EXPECT_NEAR(largest(nine).span, 9, 0.01);
    EXPECT_NEAR(area(largest(nine).shadow), 9 * 30, 0.01);
    EXPECT_FALSE(largest(eleven).bridge);
  }
}

TEST(Bridges, TheLimitIsASetting) {
  const ProjectPtr project = projectOf(tunnel(9));
  EXPECT_EQ(build(performed(*project, ChangeSetting{"support.bridge_limit", 8.5}))->support->pieces.size(), 1u);
  EXPECT_EQ(
      build(performed(*projectOf(tunnel(11)), ChangeSetting{"support.bridge_limit", 11.0}))->support->pieces.size(),
      0u);
}

TEST(Bridges, ACantileverIsNever) {
  const BuildPtr built = build(projectOf(together({box({0, 0, 0}, {5, 20, 14}), box({5, 0, 12}, {8, 20, 14})})));
  ASSERT_EQ(sitesOf(built).list.size(), 1u);
  EXPECT_FALSE(largest(built).bridge);
  EXPECT_NEAR(largest(built).span, 3, 0.01);
  EXPECT_EQ(built->support->pieces.size(), 1u);
}

TEST(Bridges, TheRoofOfARoundHoleIsOne) {
  const BuildPtr built = build(projectOf(blockWithHole(4, 8, 72)));
  const Site& roof = largest(built);
  EXPECT_TRUE(roof.bridge);
  EXPECT_NEAR(roof.span, 2 * 4 * std::sin(toRadians(45)), 0.4);  // the arc that leans more than 45°
  const auto number = static_cast<std::size_t>(&roof - sitesOf(built).list.data());
  EXPECT_EQ(priceOf(*built, {CauseKind::site, 0, number}).contact, 0);
}

TEST(Bridges, ABallOnAStemIsNone) {
  const BuildPtr built = build(projectOf(together({sphere({0, 0, 14}, 6, 48, 96), box({-1, -1, 0}, {1, 1, 9})})));
  const Site& under = largest(built);
  EXPECT_FALSE(under.bridge);
  EXPECT_NEAR(under.area, 2 * pi * 36 * (1 - std::sin(toRadians(45))), 3);  // Archimedes' hat-box theorem
  EXPECT_NEAR(under.worstLean, 90, 3);
  EXPECT_EQ(built->support->pieces.size(), 1u);
}

TEST(Sites, EveryTipOfACombIsAFloatingStartOfItsOwn) {
  std::vector<MeshPtr> pieces{box({0, 0, 20}, {40, 10, 24}), box({18, 3, 0}, {22, 7, 20})};
  for (int i = 0; i < 8; ++i)
    if (i != 4) pieces.push_back(box({i * 5.0 + 1, 4.5, 15}, {i * 5.0 + 2, 5.5, 20}));
  const BuildPtr built = build(projectOf(together(pieces)));
  EXPECT_EQ(built->parts[0].overhangs->starts.size(), 7u);
  std::size_t tips = 0;
  for (const Site& site : sitesOf(built).list) {
    if (site.starts.empty()) continue;
    ++tips;
    EXPECT_NEAR(site.area, 1, 1e-6);
    EXPECT_NEAR(site.low, 15, 1e-6);
    EXPECT_NEAR(site.worstLean, 90, 1e-9);
    EXPECT_FALSE(site.bridge);
    EXPECT_EQ(site.openBelow, 1);
  }
  EXPECT_EQ(tips, 7u);
  const BuildPtr critical = build(projectOf(together(pieces), {{"support.source", "floating"}}));
  EXPECT_EQ(critical->demand.size(), 7u);  // and nothing under the bar
}

// A spike whose sides lean too little to hang still begins on nothing.
TEST(Sites, ASteepTipIsASiteWithoutFacets) {
  MeshPtr spike = transformed(*flaringCone(0.3, 20, 10, 60), Affine(Eigen::Translation3d(12, 0, 5)));
  const BuildPtr built =
      build(projectOf(together({spike, box({0, -2, 0}, {4, 2, 15}), box({0, -2, 15}, {20, 2, 17})})));
  const auto starts = std::count_if(sitesOf(built).list.begin(), sitesOf(built).list.end(),
                                    [](const Site& s) { return !s.starts.empty(); });
  EXPECT_EQ(starts, 1);
}

TEST(Sites, HangingAreaOfABallFollowsTheHatBoxTheorem) {
  constexpr double tolerance = 1;  // degrees
  for (const double lean : {20.0, 45.0, 65.0}) {
    const BuildPtr built =
        build(projectOf(sphere({0, 0, 12}, 10, 120, 240), {{"support.free_lean", lean}, {"support.on", false}}));
    EXPECT_NEAR(largest(built).area, 2 * pi * 100 * (1 - std::sin(toRadians(lean + tolerance))), 6)
        << "free lean " << lean;
  }
}

double supportSeconds(const Build& built) {
  double sum = 0;
  for (std::size_t f = 0; f < featureCount; ++f)
    if (isSupport(static_cast<Feature>(f))) sum += built.tally.features[f].seconds;
  return sum;
}

void expectPricesAddUp(const Build& built) {
  double volume = 0, time = 0;
  for (const Price& price : built.prices) {
    volume += price.use.volume;
    time += price.use.seconds;
  }
  EXPECT_NEAR(volume, built.tally.support().volume, 1e-3 * built.tally.support().volume);
  EXPECT_NEAR(time, supportSeconds(built), 1e-3 * supportSeconds(built));
}

TEST(Prices, AddUpToAllSupport) {
  const BuildPtr unmarked = build(projectOf(packageMesh("elephant")));
  expectPricesAddUp(*unmarked);
  for (const Price& price : unmarked->prices) EXPECT_EQ(price.cause.kind, CauseKind::site);
  expectPricesAddUp(*build(projectOf(packageMesh("lion-head", 50))));  // some of it hangs in no site
  ProjectPtr mixed =
      projectOf(together({box({0, 0, 0}, {4, 20, 30}), box({4, 0, 12}, {24, 20, 14}), box({4, 0, 26}, {24, 20, 28})}));
  const double x = mixed->parts[0]->placement.position.x() - mixed->parts[0]->mesh->bounds.center().x();
  const double y = mixed->parts[0]->placement.position.y() - mixed->parts[0]->mesh->bounds.center().y();
  mixed = performed(*mixed, LayMark{0, Mark::enforce, BallStroke{{Vec3(x, y + 10, 20)}, 3}});
  mixed = performed(*mixed, AddProp{0, Vec3(x + 20, y + 10, 26), 5});
  const BuildPtr built = build(mixed);
  expectPricesAddUp(*built);
  std::set<CauseKind> kinds;
  for (const Price& price : built->prices)
    if (price.use.volume > 0) kinds.insert(price.cause.kind);
  EXPECT_EQ(kinds, (std::set<CauseKind>{CauseKind::site, CauseKind::hold, CauseKind::prop}));
}

TEST(Prices, OfASiteThatStandsAloneIsWhatItsAbsenceSaves) {
  const MeshPtr shelves =
      together({box({0, 0, 0}, {4, 20, 40}), box({4, 0, 12}, {18, 20, 14}), box({-14, 0, 26}, {0, 20, 28})});
  const ProjectPtr project = projectOf(shelves, {{"filament.layer_time", 0}});  // or what is saved is waited for
  const BuildPtr all = build(project);
  ASSERT_EQ(sitesOf(all).list.size(), 2u);
  for (std::size_t s = 0; s < 2; ++s) {
    const BuildPtr without = build(performed(*project, DecideSite{0, sitesOf(all).list[s].at, Choice::block}));
    const Price price = priceOf(*all, {CauseKind::site, 0, s});
    const double saved = all->tally.support().volume - without->tally.support().volume;
    EXPECT_NEAR(price.use.volume, saved, 0.02 * saved);
    const double faster = supportSeconds(*all) - supportSeconds(*without);
    EXPECT_NEAR(price.use.seconds, faster, 0.02 * faster);
  }
}

}  // namespace
}  // namespace trellis::test
