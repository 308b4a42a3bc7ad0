// SPDX-License-Identifier: GPL-3.0-or-later
// Pieces that come out and pieces that do not, and which filament prints them.
#include "core/assess/removal.hpp"
#include "core/assess/report.hpp"
#include "core/mesh/read_mesh.hpp"
#include "core/release/drain_clearance.hpp"
#include "core/release/extraction_path.hpp"
#include "core/settings/presets.hpp"
#include "core/settings/rules.hpp"
#include "core/toolpath/prime_tower.hpp"
#include "tests/printed.hpp"
#include "tests/shapes.hpp"

#include <cmath>
#include <set>

namespace trellis::test {
namespace {

using testing::HasSubstr;

using Choices = std::vector<std::pair<std::string, nlohmann::json>>;

const Choices dissolving{{"support.filament.interface", "second"},
                         {"support.gap.above", 0},
                         {"support.gap.below", 0},
                         {"support.gap.beside", 0.1}};

Choices with(Choices choices, const Choices& more) {
  choices.insert(choices.end(), more.begin(), more.end());
  return choices;
}

// A block of 30 mm with a room inside; the room is open to one side as wide as asked, around the middle.
MeshPtr cabinet(double opening) {
  const double half = opening / 2;
  return blocks({0, 5, 25, 30}, {0, 5, 15 - half, 15 + half, 25, 30}, {0, 5, 15 - half, 15 + half, 25, 30},
                [&](int x, int y, int z) {
                  const bool room = x == 1 && y >= 1 && y <= 3 && z >= 1 && z <= 3;
                  const bool way = opening > 0 && x == 2 && y == 2 && z == 2;
                  return !room && !way;
                });
}

std::vector<Solid> solidsOf(const MeshPtr& mesh) { return {{treeOf(mesh), Affine::Identity()}}; }

TEST(ExtractionPath, OfABarInATubeIsTheTubesAxisToHalfADegree) {
  // A tube along a direction that is none of those tried first, one tenth of a millimetre wider than the bar.
  const Vec3 axis = Vec3(0.83, 0.31, 0.46).normalized();
  const Vec3 side = axis.unitOrthogonal(), other = axis.cross(side);
  std::vector<Vec3f> vertices;
  std::vector<Facet> facets;
  constexpr int n = 48;
  for (const double along : {-20.0, 20.0})
    for (int k = 0; k < n; ++k) {
      const double angle = 2 * pi * k / n;
      vertices.push_back((axis * along + 4.1 * (std::cos(angle) * side + std::sin(angle) * other)).cast<float>());
    }
  for (std::uint32_t k = 0; k < n; ++k) {
    const std::uint32_t next = (k + 1) % n;
    facets.push_back({k, next, n + k});
    facets.push_back({next, n + next, n + k});
  }
  const MeshPtr tube = makeMesh(vertices, facets);
  std::vector<Vec3> bar;
  for (double along = -8; along <= 8; along += 1)
    for (int k = 0; k < 24; ++k)
      bar.push_back(axis * along + 3.8 * (std::cos(k * pi / 12) * side + std::sin(k * pi / 12) * other));
  const ExtractionPath found = extractionPathOf(bar, solidsOf(tube));
  EXPECT_TRUE(found.free);
  EXPECT_LT(toDegrees(std::acos(std::min(1.0, std::abs(found.direction.dot(axis))))), 1.0);
}

TEST(ExtractionPath, IsNoneInAClosedRoom) {
  std::vector<Vec3> body;
  for (double x = 8; x < 22; x += 2)
    for (double y = 8; y < 22; y += 2) body.emplace_back(x, y, 10);
  EXPECT_FALSE(extractionPathOf(body, solidsOf(cabinet(0))).free);
  EXPECT_FALSE(extractionPathOf(body, solidsOf(cabinet(6))).free);  // too small an opening for a piece of 12 mm
  EXPECT_TRUE(extractionPathOf({body.front() + Vec3(0, 7, 5)}, solidsOf(cabinet(6))).free);
}

class OpeningTest : public testing::TestWithParam<double> {};

TEST_P(OpeningTest, IsAsWideAsTheNarrowestPlaceOnTheWidestWay) {
  const double opening = GetParam();
  const BuildPtr built = build(projectOf(cabinet(opening)));
  const DrainClearance openings(built->plan, *built->parts[0].sections, Progress());
  const Vec3 inside = built->parts[0].placed->bounds.center();
  EXPECT_NEAR(openings.widthAt(inside), opening, 2 * openings.cell());
  EXPECT_GT(openings.widthAt(inside + Vec3(0, 0, 40)), 1000);
  if (opening == 0) {
    EXPECT_EQ(openings.widthAt(inside), 0);
  }
}

INSTANTIATE_TEST_SUITE_P(Widths, OpeningTest, testing::Values(0.0, 4.0, 8.0));

TEST(Bond, FallsFromOneToATenthAtOneAndAHalfLayers) {
  EXPECT_DOUBLE_EQ(bondShare(0, 0.2), 1);
  EXPECT_NEAR(bondShare(0.15, 0.2), 0.55, 1e-12);
  EXPECT_NEAR(bondShare(0.3, 0.2), 0.1, 1e-12);
  EXPECT_NEAR(bondShare(1, 0.2), 0.1, 1e-12);
}

TEST(Grades, AnOpenLedgeComesAwayAndARoomHoldsFast) {
  const BuildPtr open = build(projectOf(table(30, 15, 3)));
  for (const PieceFigures& piece : open->pieces) EXPECT_TRUE(piece.extraction.free);
  const BuildPtr shut = build(projectOf(cabinet(6)));
  ASSERT_EQ(shut->pieces.size(), 1u);
  EXPECT_EQ(shut->pieces[0].grade, Grade::trapped);
  EXPECT_GT(shut->pieces[0].drainClearance, waterPasses);
  EXPECT_NEAR(shut->pieces[0].contactBelow, 19 * 19, 20);
  EXPECT_TRUE(std::any_of(shut->findings.begin(), shut->findings.end(),
                          [](const Finding& f) { return f.code == "piece-trapped"; }));
  EXPECT_EQ(build(projectOf(cabinet(6), dissolving))->pieces[0].grade, Grade::washesOut);
  EXPECT_EQ(build(projectOf(cabinet(0), dissolving))->pieces[0].grade, Grade::trapped);
}

// The demo's manifold: nothing plain may stay in its chamber, which only water clears.
TEST(TwoFilaments, NothingPlainLiesInTheManifoldsChannel) {
  const MeshPtr mesh = readMeshFile(std::string(TRELLIS_DEMO) + "/manifold.stl", Progress()).front().mesh;
  const ProjectPtr project =
      projectOf(mesh, with(dissolving, {{"layer.height", 0.3}, {"layer.first", 0.3}, {"support.gap.beside", 0.2}}));
  const BuildPtr built = build(project);
  const Vec3 moved = built->parts[0].placed->bounds.min() - mesh->bounds.min();
  const Box3 chamber(Vec3(10, -8, 8) + moved, Vec3(72, 8, 20) + moved);  // as its source has it
  std::size_t inside = 0, plainOutside = 0;
  for (const Bead& bead : readBeads(gcodeOf(project))) {
    if (!bead.feature.starts_with("support.")) continue;
    const bool within = chamber.contains(Vec3((bead.x0 + bead.x1) / 2, (bead.y0 + bead.y1) / 2, bead.z));
    inside += within;
    plainOutside += !within && bead.tool == 0;
    EXPECT_TRUE(!within || bead.tool == 1) << bead.feature << " at " << bead.x0 << " " << bead.y0 << " " << bead.z;
  }
  EXPECT_GT(inside, 500u);
  EXPECT_GT(plainOutside, 100u);  // under the inlet, where it comes out
  const std::string second = "second";
  const ProjectPtr all = performed(*project, ChangeSetting{"support.filament.body", second});
  EXPECT_GT(built->savedSeconds, 60);
  EXPECT_NEAR(built->savedSeconds, build(all)->tally.seconds - built->tally.seconds, 1);
}

TEST(TwoFilaments, ChangeAtMostOnceALayerAndArePurgedIntoATower) {
  const Choices choices = with(dissolving, {{"support.gap.above", 0.1}, {"support.filament.body", "first"}});
  const ProjectPtr project = projectOf(table(20, 6, 2), choices);
  const BuildPtr built = build(project);
  int tool = 0, changes = 0;
  std::map<std::pair<double, double>, double> prime;  // mm³ by bottom and top
  for (const Bead& bead : readBeads(gcodeOf(project))) {
    changes += bead.tool != tool;
    tool = bead.tool;
    if (bead.feature == "prime") prime[{bead.z - bead.height, bead.z}] += bead.e * pi * 1.75 * 1.75 / 4;
    EXPECT_TRUE(bead.feature == "prime" || bead.tool == (bead.feature.starts_with("support.interface") ? 1 : 0))
        << bead.feature;
  }
  EXPECT_EQ(changes, built->tally.toolChanges);
  EXPECT_GE(changes, 3);
  EXPECT_LE(changes, 12);
  const auto purged = std::count_if(prime.begin(), prime.end(), [](const auto& slab) { return slab.second > 40; });
  EXPECT_EQ(purged, changes);
  for (const auto& [slab, volume] : prime) {
    EXPECT_GE(slab.second - slab.first, 0.05 - 1e-6);
    EXPECT_LE(slab.second - slab.first, 0.32 + 1e-6);
  }
  EXPECT_NEAR(built->tally.toolSeconds, changes * 12.0, 1e-9);
}

TEST(PrimeTower, KeepsItsLanesWithinTheNozzlesReach) {
  // Parts and supports alternate by 0.02 mm, each with another filament.
  std::vector<TowerLayer> layers;
  for (int k = 1; k <= 40; ++k) {
    layers.push_back({0.2 * (k - 1) - 0.02, 0.2 * k - 0.02, true});
    layers.push_back({0.2 * (k - 1), 0.2 * k, true});
  }
  layers[0].bottom = 0;
  const PrimeTower tower = planTower(layers, {});
  EXPECT_EQ(tower.columns, 2u);
  std::vector<double> tops(tower.columns, 0);
  for (std::size_t i = 0; i < layers.size(); ++i) {
    EXPECT_EQ(
        std::count_if(tower.slabs[i].begin(), tower.slabs[i].end(), [](const TowerSlab& slab) { return slab.purged; }),
        1)
        << i;
    for (const TowerSlab& slab : tower.slabs[i]) {
      EXPECT_DOUBLE_EQ(slab.bottom, tops[slab.column]);
      EXPECT_GE(layers[i].top - slab.bottom, 0.05 - 1e-9);
      EXPECT_LE(layers[i].top - slab.bottom, 0.32 + 1e-9);
      tops[slab.column] = layers[i].top;
    }
  }
  EXPECT_EQ(planTower({{0, 0.2, false}}, {}).columns, 0u);
}

TEST(PrimeTower, StandsFreeOfEverythingOrSaysSo) {
  const auto place = freePlace({10, 10}, {Box2(Vec2(50, 50), Vec2(90, 90))}, {200, 200}, 5);
  ASSERT_TRUE(place);
  EXPECT_GE(Box2(*place, *place + Vec2(10, 10)).exteriorDistance(Box2(Vec2(50, 50), Vec2(90, 90))), 5);
  EXPECT_FALSE(freePlace({10, 10}, {Box2(Vec2(5, 5), Vec2(195, 195))}, {200, 200}, 5));
}

TEST(TwoFilaments, APiecesBodyCanBeSetByHand) {
  ProjectPtr project = projectOf(table(30, 15, 3), dissolving);
  BuildPtr built = build(project);
  ASSERT_EQ(built->pieces[0].bodyFilament, Filament::first);
  for (const Operation& operation : printingBody(*built, *project, 0, "second"))
    project = performed(*project, operation);
  built = build(project);
  EXPECT_EQ(built->pieces[0].bodyFilament, Filament::second);
  EXPECT_TRUE(built->pieces[0].chosen);
  for (const Operation& operation : printingBody(*built, *project, 0, "auto")) project = performed(*project, operation);
  EXPECT_TRUE(project->parts[0]->sites.empty());
}

TEST(TwoFilaments, GramsAndMoneyCountEachFilament) {
  Settings settings;
  const Use use{0, 0, 3000, 1000};
  EXPECT_NEAR(grams(use, settings), 2 * 1.24 + 1 * 1.22, 1e-9);
  EXPECT_NEAR(money(use, settings), 2 * 1.24 * 0.022 + 1.22 * 0.085, 1e-9);
}

TEST(Presets, SetAllTheirValuesAndAreRecognised) {
  for (const Preset& preset : presets()) {
    const ProjectPtr project =
        performed(*projectOf(table(20, 5, 2), {{"support.gap.above", 0.31}}), ApplyPreset{preset.name});
    for (const auto& [key, value] : valuesOf(preset, project->settings))
      EXPECT_EQ(project->settings.value(key), value) << preset.name << " " << key;
    ASSERT_NE(presetOf(preset.kind, project->settings), nullptr) << preset.name;
    EXPECT_EQ(presetOf(preset.kind, project->settings)->name, preset.name);
  }
  Settings tuned;
  tuned.set("support.gap.above", 0.21);
  EXPECT_EQ(presetOf(PresetKind::release, tuned), nullptr);
  EXPECT_EQ(presetOf(PresetKind::release, Settings())->name, "balanced");
}

TEST(Presets, GapsFollowTheLayerHeight) {
  Settings fine;
  fine.set("layer.height", 0.12);
  EXPECT_EQ(valuesOf(presetNamed("balanced"), fine).at("support.gap.above"), SettingValue(0.12));
  EXPECT_EQ(valuesOf(presetNamed("easy_release"), fine).at("support.gap.above"), SettingValue(0.15));
}

TEST(Presets, OfOnePartLeaveThePlateAsItIs) {
  const ProjectPtr before = projectOf(table(20, 5, 2));
  const ProjectPtr after =
      performed(*before, operationFrom({{"do", "preset"}, {"name", "best_underside"}, {"part", 0}}));
  EXPECT_EQ(after->settings, before->settings);
  EXPECT_EQ(settingsOf(*after, 0).number("support.interface.upper.spacing"), 0.15);
  EXPECT_THROW(operationFrom({{"do", "preset"}, {"name", "magic"}}), Error);
}

TEST(Advice, IsGivenOutsideCommonPracticeOnly) {
  Settings settings;
  for (const SettingRow& row : settingsTable()) EXPECT_FALSE(adviceOn(row.key, settings)) << row.key;
  settings.set("support.gap.above", 0.05);
  EXPECT_THAT(*adviceOn("support.gap.above", settings), HasSubstr("bonds"));
  const std::string second = "second";
  settings.set("support.filament.interface", second);
  EXPECT_FALSE(adviceOn("support.gap.above", settings));
  settings.set("support.body.spacing", 4.0);
  EXPECT_THAT(*adviceOn("support.body.spacing", settings), HasSubstr("sags"));
}

}  // namespace
}  // namespace trellis::test
