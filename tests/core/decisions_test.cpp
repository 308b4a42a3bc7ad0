// SPDX-License-Identifier: GPL-3.0-or-later
// Who wins between marks, props, site choices, zones and the proposal; and what each decision builds.
#include "core/assess/removal.hpp"
#include "core/assess/why.hpp"
#include "core/document/project_file.hpp"
#include "core/support/obstacles.hpp"
#include "tests/shapes.hpp"

#include <fmt/format.h>

#include <set>

namespace trellis::test {
namespace {

using testing::Contains;
using testing::Field;
using testing::HasSubstr;
using testing::Not;

auto withCode(const char* code) { return Contains(Field(&Finding::code, std::string(code))); }

const Vec3 middle(14, 10, 12);

double wanted(const Build& built) {
  double sum = 0;
  for (const DemandSitePtr& site : built.demand)
    for (const Polygons& layer : site->layers) sum += area(layer);
  return sum;
}

Operation zoneOver(const Project& project, ZoneAs as, double lean = 30) {
  AddZone add{0, {}, {onPlate(project, middle), {8, 8, 4}, {0, 0, 0}}};
  add.zone.as = as;
  add.zone.lean = lean;
  return add;
}

// Every decision there is about the middle of the shelf(), or none.
struct Says {
  enum class As { nothing, enforce, block } mark, prop, choice;
  std::vector<ZoneAs> zones;
  bool proposed;
};

// The rule, as it is written: the first that says something decides.
bool isCarried(const Says& says) {
  using As = Says::As;
  if (says.mark != As::nothing) return says.mark == As::enforce;
  if (says.prop != As::nothing) return true;
  if (says.choice != As::nothing) return says.choice == As::enforce;
  const auto zoned = [&](ZoneAs as) { return std::find(says.zones.begin(), says.zones.end(), as) != says.zones.end(); };
  if (zoned(ZoneAs::keepClear) || zoned(ZoneAs::block)) return false;
  return zoned(ZoneAs::enforce) || says.proposed;
}

TEST(Precedence, HoldsInEveryCombination) {
  using As = Says::As;
  const std::vector<std::vector<ZoneAs>> zonings{{},
                                                 {ZoneAs::enforce},
                                                 {ZoneAs::block},
                                                 {ZoneAs::keepClear},
                                                 {ZoneAs::enforce, ZoneAs::block},
                                                 {ZoneAs::enforce, ZoneAs::keepClear},
                                                 {ZoneAs::block, ZoneAs::keepClear},
                                                 {ZoneAs::keepClear, ZoneAs::block, ZoneAs::enforce}};
  for (const As mark : {As::nothing, As::enforce, As::block})
    for (const As prop : {As::nothing, As::enforce})
      for (const As choice : {As::nothing, As::enforce, As::block})
        for (const auto& zones : zonings)
          for (const bool proposed : {true, false}) {
            const Says says{mark, prop, choice, zones, proposed};
            ProjectPtr project = projectOf(shelf(), {{"support.source", proposed ? "overhangs" : "decisions"},
                                                     {"layer.height", 0.4},
                                                     {"layer.first", 0.4}});
            if (mark != As::nothing)
              project = performed(*project, LayMark{0, mark == As::enforce ? Mark::enforce : Mark::block,
                                                    BallStroke{{onPlate(*project, middle)}, 3}});
            if (prop != As::nothing) project = performed(*project, AddProp{0, onPlate(*project, middle), 4});
            if (choice != As::nothing)
              project = performed(*project, DecideSite{0, onPlate(*project, middle),
                                                       choice == As::enforce ? Choice::enforce : Choice::block});
            for (const ZoneAs as : zones) project = performed(*project, zoneOver(*project, as));
            const BuildPtr built = build(project);
            const Vec3 at = onPlate(*project, middle);
            bool carried = false;
            for (const SupportLayer& layer : built->support->layers)
              if (layer.top > 11 && layer.top < 12)
                for (const PieceRegion& region : layer.regions)
                  carried = carried || contains(region.area, toPoint(at.x() + 0.3, at.y() + 0.2));
            EXPECT_EQ(carried, isCarried(says))
                << fmt::format("mark {}, prop {}, choice {}, {} zones, proposed {}", static_cast<int>(mark),
                               static_cast<int>(prop), static_cast<int>(choice), zones.size(), proposed);
          }
}

TEST(Zones, EnforceOnlyWhatLeansMoreThanTheirOwnLean) {
  // A flank that leans 35° less than the free lean of 45°.
  const ProjectPtr cone = projectOf(flaringCone(4, 35, 12, 180));
  const auto zoned = [&](double lean) {
    AddZone add{0, {}, {onPlate(*cone, {0, 0, 6}), {40, 40, 8}, {0, 0, 0}}};
    add.zone.lean = lean;
    return build(performed(*cone, add));
  };
  EXPECT_EQ(wanted(*build(cone)), 0);
  EXPECT_GT(wanted(*zoned(30)), 100);
  EXPECT_EQ(wanted(*zoned(40)), 0);
  EXPECT_THAT(zoned(40)->findings, withCode("zone-idle"));
}

TEST(Zones, KeepClearLetsNothingPass) {
  const ProjectPtr project = projectOf(shelf());
  AddZone add{0, {}, {onPlate(*project, {14, 10, 5}), {18, 18, 2}, {0, 0, 0}}};
  add.zone.as = ZoneAs::keepClear;
  const BuildPtr built = build(performed(*project, add));
  for (const SupportLayer& layer : built->support->layers) {
    if (layer.top < 4.05 || layer.bottom > 5.95) continue;
    for (const PieceRegion& region : layer.regions)
      EXPECT_LT(area(intersect(region.area, rectangle({Vec2(add.figures.centre.head<2>() - Vec2(9, 9)),
                                                       Vec2(add.figures.centre.head<2>() + Vec2(9, 9))}))),
                1e-3);
  }
  EXPECT_THAT(built->findings, withCode("no-footing"));  // what hung over the zone is said
  add.zone.as = ZoneAs::block;
  EXPECT_EQ(wanted(*build(performed(*project, add))),
            wanted(*build(project)));  // blocking down there takes nothing away
}

TEST(Zones, OfEveryShapeHaveTheSectionsOfTheirSolid) {
  const std::vector<double> heights{-4.5, 0.5, 4.5};
  const auto areaAt = [&](ZoneShape shape, const Vec3& turn, std::size_t i) {
    Zone zone;
    zone.shape = shape;
    if (shape == ZoneShape::mesh) zone.solid = scaledToUnit(*sphere({7, 8, 9}, 3, 40, 80));
    zone.toMesh = zoneTransform({Vec3::Zero(), Vec3(10, 10, 10), turn}, shape, Affine::Identity());
    return area(zoneSections(zone, Affine::Identity(), heights, Progress())[i]);
  };
  EXPECT_NEAR(areaAt(ZoneShape::box, {0, 0, 30}, 1), 100, 1e-3);
  EXPECT_NEAR(areaAt(ZoneShape::cylinder, {0, 0, 0}, 0), pi * 25, 0.1);
  EXPECT_NEAR(areaAt(ZoneShape::cylinder, {90, 0, 0}, 1), 10 * 2 * std::sqrt(25 - 0.25), 0.1);
  EXPECT_NEAR(areaAt(ZoneShape::ball, {0, 0, 0}, 2), pi * (25 - 4.5 * 4.5), 0.3);
  EXPECT_NEAR(areaAt(ZoneShape::mesh, {0, 0, 0}, 1), pi * (25 - 0.25), 0.5);
  EXPECT_GT(areaAt(ZoneShape::slab, {0, 0, 0}, 1), 1e6);
}

TEST(Zones, TurnedFiguresComeBackAsTyped) {
  Zone zone;
  const Affine toPlate = Eigen::Translation3d(50, 60, 5) * Affine(Eigen::AngleAxisd(0.4, Vec3(1, 2, 3).normalized()));
  for (const Vec3& turn : {Vec3(0, 0, 0), Vec3(10, -20, 130), Vec3(-75, 40, 5), Vec3(0, 0, 90)}) {
    const ZoneFigures typed{{12, 13, 14}, {3, 5, 7}, turn};
    zone.toMesh = zoneTransform(typed, ZoneShape::box, toPlate);
    const ZoneFigures read = figuresOf(zone, toPlate);
    EXPECT_TRUE(read.centre.isApprox(typed.centre, 1e-9));
    EXPECT_TRUE(read.size.isApprox(typed.size, 1e-9));
    EXPECT_LT((read.turn - typed.turn).norm(), 1e-6) << turn.transpose();
  }
}

TEST(Props, StandUnderTheirPlaceAsWideAsAsked) {
  for (const double width : {0.8, 3.0, 8.0}) {
    ProjectPtr project = projectOf(shelf(), {{"support.source", "decisions"}});
    project = performed(*project, AddProp{0, onPlate(*project, middle), width});
    const BuildPtr built = build(project);
    ASSERT_EQ(built->support->pieces.size(), 1u) << width;
    for (const SupportLayer& layer : built->support->layers) {
      const Vec2 size = boundsOf(layer.regions.front().area).sizes();
      EXPECT_NEAR(size.x(), std::max(width, 0.9), 0.15 + (width < 1 ? 0.6 : 0)) << layer.top;  // two lines at least
    }
    ASSERT_EQ(built->prices.size(), 1u);
    EXPECT_EQ(built->prices[0].cause.kind, CauseKind::prop);
  }
}

TEST(Props, TwoThatOverlapMakeAThickerOne) {
  ProjectPtr project = projectOf(shelf(), {{"support.source", "decisions"}});
  project = performed(*project, AddProp{0, onPlate(*project, middle), 3});
  project = performed(*project, AddProp{0, onPlate(*project, middle + Vec3(2, 0, 0)), 3});
  const BuildPtr built = build(project);
  EXPECT_EQ(built->support->pieces.size(), 1u);
  EXPECT_NEAR(boundsOf(built->support->layers.front().regions.front().area).sizes().x(), 5, 0.2);
}

TEST(Props, OneAgainstNothingIsAFinding) {
  ProjectPtr project = projectOf(shelf());
  project = performed(*project, AddProp{0, onPlate(*project, {14, 10, 14}), 3});  // on the upper face
  const Findings findings = build(project)->findings;
  ASSERT_THAT(findings, withCode("prop-idle"));
  for (const Finding& finding : findings)
    if (finding.code == "prop-idle") project = performed(*project, finding.remedies.at(0).steps.front());
  EXPECT_THAT(build(project)->findings, Not(withCode("prop-idle")));
  EXPECT_THROW(performed(*project, AddProp{0, onPlate(*project, {14, 10, 40}), 3}), Error);
}

// A tall wall with a band enforced half way up: a column beside it, tied every so much height.
TEST(Holds, StandAtTheHoldGapAndAreTied) {
  ProjectPtr project =
      projectOf(box({0, 0, 0}, {4, 20, 40}), {{"support.gap.hold", 0.15}, {"support.hold.tie_spacing", 4}});
  const Vec3 wall = onPlate(*project, {4, 10, 25});
  LayMark lay{0, Mark::enforce, BandStroke{20, 30}};
  lay.rules.clip = {Plane{wall - Vec3(0.5, 0, 0), Vec3::UnitX()}, Plane{wall - Vec3(0, 3, 0), Vec3::UnitY()},
                    Plane{wall + Vec3(0, 3, 0), -Vec3::UnitY()}};
  project = performed(*project, lay);
  const BuildPtr built = build(project);
  ASSERT_EQ(built->support->pieces.size(), 1u);
  EXPECT_NEAR(built->support->pieces[0].highest, 30, 0.25);
  std::set<long> tied;
  for (const SupportLayer& layer : built->support->layers) {
    const Box2 bounds = boundsOf(layer.regions.front().area);
    const bool beside = layer.bottom > 20.2 && layer.top < 29.8;
    if (beside || layer.top < 19.8) {
      EXPECT_NEAR(bounds.min().x() - wall.x(), beside ? 0.15 : 0.5 + outlineSlack, 0.02) << layer.top;
    }
    EXPECT_GE(bounds.max().x() - std::max(bounds.min().x(), wall.x() + 0.5), 0.9 - 0.02);  // two lines thick
    for (const TieGroup& ties : layer.ties) {
      tied.insert(std::lround(layer.top * 1000));
      for (const Polygon& line : ties.lines)
        EXPECT_LT(std::min(toMm(line.front()).x(), toMm(line.back()).x()) - wall.x(), 0.45 / 2);
    }
  }
  EXPECT_EQ(tied.size(), 3u);  // at 28, 24 and 20 mm, ten millimetres apart over all
  EXPECT_GT(built->tally.features[static_cast<std::size_t>(Feature::hold)].volume, 0);
  EXPECT_THAT(gcodeOf(project), HasSubstr("support.hold"));
  ASSERT_EQ(built->prices.size(), 1u);
  EXPECT_EQ(built->prices[0].cause.kind, CauseKind::hold);
}

// The column moves out beside a foot that flares, and still stands on the plate two lines thick.
TEST(Holds, StandBesideAFlaringFoot) {
  MeshPtr stem = transformed(*flaringCone(4, 25, 12, 120),
                             Affine(Eigen::Translation3d(0, 0, 12)) * Affine(Eigen::Scaling(1.0, 1.0, -1.0)));
  ProjectPtr project = projectOf(together({stem, sphere({0, 0, 12}, 0.5, 8, 16), box({-2, -2, 11}, {2, 2, 40})}),
                                 {{"support.source", "decisions"}});
  const Vec3 wall = onPlate(*project, {2, 0, 30});
  LayMark lay{0, Mark::enforce, BallStroke{{wall}, 1.5}};
  project = performed(*project, lay);
  const BuildPtr built = build(project);
  ASSERT_EQ(built->support->pieces.size(), 1u);
  EXPECT_NEAR(built->support->pieces[0].lowest, 0, 1e-9);
  EXPECT_THAT(built->findings, Not(withCode("no-footing")));
  for (const SupportLayer& layer : built->support->layers) {
    const std::size_t l =
        std::min(static_cast<std::size_t>((layer.top + layer.bottom) / 2 / 0.2), built->parts[0].sections->size() - 1);
    const bool beside = layer.bottom > 28.9 && layer.top < 31.1;
    if (!beside && layer.top > 28.1) continue;  // the ragged ends of the mark
    EXPECT_LT(area(intersect(layer.regions.front().area, grow((*built->parts[0].sections)[l], beside ? 0.08 : 0.48))),
              0.02)
        << layer.top;
  }
}

TEST(CleanFaces, AreTouchedByNothing) {
  ProjectPtr project = projectOf(shelf());
  project = performed(*project, keepClean(onPlate(*project, middle)));
  const BuildPtr built = build(project);
  EXPECT_EQ(wanted(*built), 0);
  EXPECT_THAT(built->findings, withCode("clean-face-bare"));
  const ProjectPtr struck = performed(*project, LayMark{0, Mark::enforce, BallStroke{{onPlate(*project, middle)}, 1}});
  EXPECT_TRUE(struck->parts[0]->marks->empty());  // brushes skip it
  EXPECT_GT(wanted(*build(performed(*project, ClearDecisions{0, Clearing::clean}))), 399);
}

TEST(CleanFaces, HaveBrushes) {
  ProjectPtr project = projectOf(shelf());
  const double before = wanted(*build(project));
  LayMark keep{0, Mark::block, BallStroke{{onPlate(*project, middle)}, 3}};
  keep.coat = Coat::clean;
  project = after(project, {LayMark{0, Mark::enforce, BallStroke{{onPlate(*project, middle)}, 4}}, keep});
  EXPECT_NEAR(wanted(*build(project)), before - pi * 9, 0.5);  // what was enforced there is not any more
  keep.mark = Mark::none;
  EXPECT_NEAR(wanted(*build(performed(*project, keep))), before, 0.1);
}

TEST(CleanFaces, AreNotStoodOn) {
  const MeshPtr tray =
      together({box({0, 0, 0}, {30, 20, 2}), box({0, 0, 2}, {4, 20, 14}), box({4, 0, 12}, {24, 20, 14})});
  ProjectPtr project = projectOf(tray);
  EXPECT_FALSE(build(project)->support->pieces.empty());
  project = performed(*project, keepClean(onPlate(*project, {15, 10, 2})));
  EXPECT_THAT(build(project)->findings, withCode("no-footing"));
}

TEST(Decisions, FollowThePartWhereverItGoes) {
  ProjectPtr project = projectOf(shelf(), {{"support.source", "decisions"}});
  project = performed(*project, AddProp{0, onPlate(*project, {20, 10, 12}), 3});
  project = performed(*project, zoneOver(*project, ZoneAs::enforce));
  const double before = wanted(*build(project));
  ASSERT_GT(before, 60);
  PlacePart turned{0, Vec3(120, 90, 7), Vec3(0, 0, 37), {}};
  EXPECT_NEAR(wanted(*build(performed(*project, turned))), before, 0.05);
  EXPECT_NEAR(wanted(*build(performed(*project, MirrorPart{0, 0}))), before, 0.05);
  const ProjectPtr copied = performed(*project, CopyPart{0});
  EXPECT_NEAR(wanted(*build(performed(*copied, RemovePart{0}))), before, 0.05);
  PlacePart larger{0, {}, {}, Vec3(2, 2, 2)};
  EXPECT_NEAR(wanted(*build(performed(*project, larger))), 64 * 4 + pi * 2.25,
              1);  // a zone grows with the part, a prop's width is the plate's
}

TEST(Decisions, WhoseSurfaceIsGoneAreListed) {
  ProjectPtr project = projectOf(shelf());
  project = performed(*project, AddProp{0, onPlate(*project, {20, 10, 12}), 3});
  project = performed(*project, AddProp{0, onPlate(*project, {8, 10, 12}), 3});
  project = performed(*project, keepClean(onPlate(*project, {2, 20, 5})));
  const MeshPtr shorter = together({box({0, 0, 0}, {4, 20, 14}), box({4, 0, 12}, {12, 20, 14})});
  const ProjectPtr revised = performed(*project, ReplaceMesh{0, shorter});
  EXPECT_EQ(revised->parts[0]->props.size(), 1u);
  EXPECT_FALSE(revised->parts[0]->clean->empty());
  EXPECT_THAT(build(revised)->findings, withCode("marks-lost"));
}

TEST(ProjectFile, KeepsEveryDecisionToTheBit) {
  ProjectPtr project = projectOf(shelf());
  AddZone odd{0, {}, {onPlate(*project, middle), {3.3, 4.7, 5.1}, {11, 22, 33}}};
  odd.zone.shape = ZoneShape::mesh;
  odd.zone.solid = scaledToUnit(*sphere({0, 0, 0}, 3, 12, 24));
  odd.zone.settings = {{"support.gap.above", 0.33}};
  project = performed(*project, odd);
  project = performed(*project, zoneOver(*project, ZoneAs::keepClear));
  project = performed(*project, AddProp{0, onPlate(*project, {20.1, 10.3, 12}), 2.7, {{"support.body.spacing", 0.7}}});
  project = performed(*project, DecideSite{0, onPlate(*project, middle), Choice::block});
  project = performed(*project, keepClean(onPlate(*project, {2, 20, 5})));
  const OpenedProject again = readProject(packProject(*project), "kept.3mf");
  const Part &before = *project->parts[0], &after = *again.project->parts[0];
  ASSERT_EQ(after.zones.size(), 2u);
  for (std::size_t z = 0; z < 2; ++z) {
    EXPECT_EQ(after.zones[z].toMesh.matrix(), before.zones[z].toMesh.matrix());
    EXPECT_EQ(after.zones[z].as, before.zones[z].as);
    EXPECT_EQ(after.zones[z].settings, before.zones[z].settings);
  }
  EXPECT_EQ(after.zones[0].solid->key, before.zones[0].solid->key);
  ASSERT_EQ(after.props.size(), 1u);
  EXPECT_EQ(after.props[0].at, before.props[0].at);
  EXPECT_EQ(after.props[0].settings, before.props[0].settings);
  EXPECT_EQ(after.sites.front().choice, Choice::block);
  EXPECT_EQ(after.clean->key(), before.clean->key());
  EXPECT_EQ(gcodeOf(again.project), gcodeOf(project));
}

TEST(Why, NamesTheDecisionThatDecides) {
  ProjectPtr project = projectOf(shelf());
  const MeshTreePtr tree = treeOf(shelf());
  const auto why = [&](const ProjectPtr& now, const Vec3& from, const Vec3& direction) {
    const auto hit = tree->firstHit(from, direction);
    return whyAt(*now, *build(now), 0, hit->facet, hit->point);
  };
  const auto under = [&](const ProjectPtr& now) { return why(now, middle - Vec3(0, 0, 5), Vec3::UnitZ()); };
  EXPECT_THAT(under(project), HasSubstr("as proposed"));
  EXPECT_THAT(under(performed(*project, ChangeSetting{"support.source", std::string("decisions")})),
              HasSubstr("only your decisions"));
  EXPECT_THAT(under(performed(*project, zoneOver(*project, ZoneAs::block))), HasSubstr("blocked by zone 1"));
  EXPECT_THAT(under(performed(*project, DecideSite{0, onPlate(*project, middle), Choice::block})),
              HasSubstr("blocked by your choice"));
  EXPECT_THAT(under(performed(*project, AddProp{0, onPlate(*project, middle), 3})), HasSubstr("prop 1"));
  EXPECT_THAT(under(performed(*project, LayMark{0, Mark::block, BallStroke{{onPlate(*project, middle)}, 3}})),
              HasSubstr("blocked by your mark"));
  EXPECT_THAT(under(performed(*project, keepClean(onPlate(*project, middle)))), HasSubstr("clean face"));
  EXPECT_THAT(under(performed(*project, ChangeSetting{"support.on", false})), HasSubstr("supports are off"));
  EXPECT_EQ(why(project, {2, -5, 5}, Vec3::UnitY()), "");
}

}  // namespace
}  // namespace trellis::test
