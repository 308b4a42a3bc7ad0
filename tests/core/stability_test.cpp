// SPDX-License-Identifier: GPL-3.0-or-later
// How half-printed bodies give way: against the beam formulas of any mechanics handbook.
#include "core/assess/hold_advice.hpp"
#include "core/slice/slices.hpp"
#include "tests/package_mesh.hpp"
#include "tests/shapes.hpp"

#include <cmath>

namespace trellis::test {
namespace {

LayerPlan planOf(double height, double layer = 0.2) { return planLayers(height, {layer, layer}); }

Polygons square(double side, const Vec2& middle = {50, 50}) {
  return {rectangle({middle - Vec2::Constant(side / 2), middle + Vec2::Constant(side / 2)}).front()};
}

Polygons circle(double radius) {
  Polygon outline;
  for (int k = 0; k < 720; ++k)
    outline.push_back(toPoint(Vec2(50, 50) + radius * Vec2(std::cos(k * pi / 360), std::sin(k * pi / 360))));
  return {outline};
}

double giveAt(const Stability& stability, double z) {
  for (const StandingLevel& level : stability.levels)
    if (std::abs(level.z - z) < 1e-6) return level.deflection;
  return -1;
}

const StabilityRules rules{.stiffness = 2000, .adhesion = 0.5, .lineWidth = 0.45};

// I = bh³/12 of a rectangle, whose corner has the stress 6M/bh² and 6M/b²h under a moment about either axis and no
// more than both at right angles under any other; I = πr⁴/4 and W = πr³/4 of a circle.
TEST(Section, HasTheMomentsOfTheHandbook) {
  const SectionFigures slab = figuresOf(Polygons{rectangle({Vec2(10, 20), Vec2(18, 23)}).front()});
  EXPECT_NEAR(slab.least, 8 * 27.0 / 12, 1e-6);
  EXPECT_NEAR(slab.modulus, 1 / std::hypot(6 / (8 * 9.0), 6 / (64 * 3.0)), 1e-6);
  EXPECT_NEAR((slab.centre - Vec2(14, 21.5)).norm(), 0, 1e-9);
  EXPECT_NEAR(figuresOf(circle(3)).least, pi * 81 / 4, 0.01);
  EXPECT_NEAR(figuresOf(circle(3)).modulus, pi * 27 / 4, 0.01);
}

TEST(Section, TurnedItBendsAsEasily) {
  Polygon turned;
  for (const Vec2& p : {Vec2(-4, -1.5), Vec2(4, -1.5), Vec2(4, 1.5), Vec2(-4, 1.5)})
    turned.push_back(toPoint(Vec2(30, 30) + Eigen::Rotation2Dd(0.6) * p));
  EXPECT_NEAR(figuresOf(Polygons{turned}).least, 8 * 27.0 / 12, 1e-4);
}

TEST(Stability, AUniformBarBendsByFL3Over3EI) {
  const LayerPlan plan = planOf(100);
  const Stability stability = stabilityOf(plan, std::vector<Polygons>(plan.count(), square(4)), {}, rules, Progress());
  const double second = std::pow(4, 4) / 12;
  for (const double z : {20.0, 60.0, 100.0}) {
    const double expected = z * z * z / (3 * 2000 * second);
    EXPECT_NEAR(giveAt(stability, z), expected, 0.01 * expected) << z;
  }
}

// A square bar whose side falls from a to b over L: δ = F/E ∫ x²/I dx with I = s(x)⁴/12, x from the top, which is
// 12F/E · L³/(3a³b) for a taper that is straight.
TEST(Stability, ATaperedBarBendsByItsClosedForm) {
  const double a = 6, b = 2, height = 80;
  const LayerPlan plan = planOf(height);
  std::vector<Polygons> sections;
  for (const LayerSpan& span : plan.spans) sections.push_back(square(a + (b - a) * span.middle() / height));
  const double expected = 12.0 / 2000 * std::pow(height, 3) / (3 * a * a * a * b);
  EXPECT_NEAR(giveAt(stabilityOf(plan, sections, {}, rules, Progress()), height), expected, 0.01 * expected);
}

// Propped at half its height a bar pushed at the top bends by 7FL³/96EI over L: the propped cantilever with an
// overhang, from the method of forces: a = L/2, δ = Fa³/3EI + Fa²·(L−a)/4EI.
TEST(Stability, AHoldAtHalfTheHeightStiffensAsAProp) {
  const double height = 100, overhang = 50;
  const LayerPlan plan = planOf(height);
  std::vector<Polygons> holds(plan.count());
  holds[plan.count() / 2 - 1] = square(4, {53.9, 50});
  const Stability stability =
      stabilityOf(plan, std::vector<Polygons>(plan.count(), square(4)), holds, rules, Progress());
  const double stiffness = 2000 * std::pow(4, 4) / 12;
  const double expected = std::pow(overhang, 3) / (3 * stiffness) + overhang * overhang * overhang / (4 * stiffness);
  EXPECT_NEAR(giveAt(stability, height), expected, 0.01 * expected);
  EXPECT_NEAR(giveAt(stability, 50), 0, 1e-9);
  EXPECT_TRUE(stability.levels[plan.count() / 2 - 1].held);
}

// Two bars that a bridge joins at the top share the push and cannot turn there: stiffer than twice one bar.
TEST(Stability, SeparateBodiesStandAloneUntilTheyMeet) {
  const LayerPlan plan = planOf(60);
  Polygons two = square(3, {40, 50});
  two.push_back(square(3, {60, 50}).front());
  std::vector<Polygons> sections(plan.count(), two);
  sections.back() = {rectangle({Vec2(38.5, 48.5), Vec2(61.5, 51.5)}).front()};
  const Stability stability = stabilityOf(plan, sections, {}, rules, Progress());
  const double alone = std::pow(59.8, 3) / (3 * 2000 * std::pow(3, 4) / 12);
  EXPECT_NEAR(giveAt(stability, 59.8), alone, 0.01 * alone);
  EXPECT_LT(giveAt(stability, 60), alone / 1.9);
}

// The moment 1 N at height L over what the plate holds: adhesion × W.
TEST(Stability, OverturnsWhenThePlateHoldsLessThanTheMoment) {
  const LayerPlan plan = planOf(50);
  const std::vector<Polygons> sections(plan.count(), square(6));
  const double holds = 0.5 * 216 / (6 * std::sqrt(2));  // across its corners: a³/6√2
  const Stability bare = stabilityOf(plan, sections, {}, rules, Progress());
  EXPECT_NEAR(bare.leastHeld()->safetyFactor, holds / 50, 0.01 * holds / 50);
  EXPECT_NEAR(bare.leastHeld()->z, 50, 1e-9);
  StabilityRules brim = rules;
  brim.spread = 5;
  EXPECT_GT(stabilityOf(plan, sections, {}, brim, Progress()).leastHeld()->safetyFactor, 10 * holds / 50);
  EXPECT_FALSE(standsWell(bare, rules));
}

// What hangs from support beside a minimumFootprint bar is no cantilever of its own.
TEST(Stability, WhatBeganOnSupportDoesNotCountUntilItStands) {
  const LayerPlan plan = planOf(40);
  std::vector<Polygons> sections(plan.count(), square(10));
  for (std::size_t l = plan.count() / 2; l < plan.count(); ++l) sections[l].push_back(square(1, {70, 50}).front());
  EXPECT_LT(stabilityOf(plan, sections, {}, rules, Progress()).mostDeflected()->deflection, 0.05);
}

TEST(HoldAdvice, CutsTheFinialsGiveToAQuarterWhenItIsTaken) {
  const ProjectPtr bare = projectOf(demoPart("finial"));
  const BuildPtr before = build(bare);
  const auto unstable = std::find_if(before->findings.begin(), before->findings.end(),
                                     [](const Finding& f) { return f.code == "unstable"; });
  ASSERT_NE(unstable, before->findings.end());
  ASSERT_FALSE(unstable->remedies.empty());
  ProjectPtr held = bare;
  for (const Operation& step : unstable->remedies.front().steps) held = performed(*held, step);
  const BuildPtr after = build(held);
  EXPECT_LE(after->judged[0].stability->mostDeflected()->deflection,
            before->judged[0].stability->mostDeflected()->deflection / 4);
  std::size_t heldLayers = 0;
  for (const StandingLevel& level : after->judged[0].stability->levels) heldLayers += level.held;
  EXPECT_GT(heldLayers, 20u);
}

}  // namespace
}  // namespace trellis::test
