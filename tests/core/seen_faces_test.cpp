// SPDX-License-Identifier: GPL-3.0-or-later
// Faces that will be looked at: support goes elsewhere, and what it leaves there is told.
#include "tests/package_mesh.hpp"
#include "tests/shapes.hpp"

#include "core/assess/scar_map.hpp"
#include "core/base/parallel.hpp"
#include "core/document/project_file.hpp"
#include "core/results/tried_remedies.hpp"

namespace trellis::test {
namespace {

LayMark seen(const Stroke& stroke) {
  LayMark lay;
  lay.mark = Mark::block;
  lay.coat = Coat::seen;
  lay.stroke = stroke;
  return lay;
}

// The underside at a height, of the first part, between two places along x: seen.
ProjectPtr seenBetween(const ProjectPtr& project, double from, double to, double z) {
  const Vec3 low = onPlate(*project, {from, -100, z}), high = onPlate(*project, {to, 100, z});
  return after(project, {seen(PatchStroke{rectangle({low.head<2>(), high.head<2>()}), z - 0.5, z + 0.5})});
}

std::size_t tipsBetween(const Build& build, double from, double to) {
  std::size_t count = 0;
  for (const auto& tree : build.trees)
    for (const Tip& tip : tree->tips) count += tip.at.x() > from && tip.at.x() < to;
  return count;
}

// A strip narrower than two reaches of a tip is carried from beside it.
TEST(SeenFaces, TipsGoBesideThem) {
  const ProjectPtr plain = projectOf(table(30, 12, 3), {{"support.structure", "tree"}});
  const ProjectPtr project = seenBetween(plain, 6, 8.2, 12);
  const double from = onPlate(*project, {6.05, 0, 0}).x(), to = onPlate(*project, {8.15, 0, 0}).x();
  const BuildPtr before = build(plain), now = build(project);
  EXPECT_GT(tipsBetween(*before, from, to), 2u);
  EXPECT_EQ(tipsBetween(*now, from, to), 0u);
  EXPECT_LT(scarsOf(*now).allSeen(), 0.35 * 2.2 * 30);
  // Everything is still within reach of a tip's rim.
  const SupportRules& rules = now->rules[0].support;
  for (double x = from; x < to; x += 0.5)
    for (double y = 1; y <= 29; y += 0.5) {
      const Vec2 place(x, onPlate(*project, {0, y, 0}).y());
      double nearest = 1e9;
      for (const auto& tree : now->trees)
        for (const Tip& tip : tree->tips) nearest = std::min(nearest, (tip.at - place).norm() - tip.radius);
      ASSERT_LE(nearest, rules.tipSpacing / 2 + 0.45) << place.transpose();
    }
}

// What can be carried from nowhere else is carried from there: softer than a clean face.
TEST(SeenFaces, AreStillCarried) {
  const ProjectPtr plain = projectOf(table(30, 12, 3), {{"support.structure", "tree"}});
  const ProjectPtr project = seenBetween(plain, -16, 16, 12);
  const auto carried = [](const BuildPtr& built) {
    double sum = 0;
    for (const auto& column : built->columns) sum += column->wanted - column->withoutFooting;
    return sum;
  };
  const double before = carried(build(plain));
  EXPECT_GT(before, 500);
  EXPECT_NEAR(carried(build(project)), before, 0.02 * before);
}

// A plate over two steps of one height, one of them seen; a wall all around keeps branches from the ground.
MeshPtr twoSteps() {
  return blocks({0, 2, 12, 14, 24, 26}, {0, 2, 22, 24}, {0, 4, 20, 22}, [](int x, int y, int z) {
    const bool wall = x == 0 || x == 4 || y == 0 || y == 2;
    return z == 0 || (z == 1 && wall) || z == 2;
  });
}

TEST(SeenFaces, BranchesLandBesideThem) {
  const ProjectPtr plain = projectOf(twoSteps(), {{"support.structure", "tree"}, {"support.free_lean", 30.0}});
  LayMark lay = seen(BandStroke{3.9, 4.1});
  lay.rules.clip = {{onPlate(*plain, {9, 0, 0}), -Vec3::UnitX()}};
  const ProjectPtr project = after(plain, {lay});
  const auto landedSeen = [&](const Build& built) {
    double sum = 0;
    const double from = onPlate(*plain, {2, 0, 0}).x(), to = onPlate(*plain, {8, 0, 0}).x();
    double lowest = 1e9;
    for (const SupportLayer& layer : built.support->layers)
      if (!layer.regions.empty()) lowest = std::min(lowest, layer.bottom);
    for (const SupportLayer& layer : built.support->layers)
      if (layer.bottom < lowest + 0.01)
        for (const PieceRegion& region : layer.regions)
          sum += area(intersect(region.area, rectangle({Vec2(from, 0), Vec2(to, 200)})));
    return sum;
  };
  const double before = landedSeen(*build(plain)), now = landedSeen(*build(project));
  EXPECT_GT(before, 1);
  EXPECT_LT(now, 0.5 * before);
}

TEST(SeenFaces, ScarsOnThemAreMeasured) {
  const ProjectPtr project = seenBetween(projectOf(table(30, 12, 3)), 5, 10, 12);
  const BuildPtr built = build(project);
  const Scars scars = scarsOf(*built);
  EXPECT_NEAR(scars.allSeen(), 5 * 30, 2);
  EXPECT_NEAR(scarsOn(*built, 0).allSeen(), scars.allSeen(), 1e-9);
  double byCause = 0;
  for (const Price& price : built->prices) byCause += scarsOf(*built, price.cause).allSeen();
  EXPECT_NEAR(byCause, scars.allSeen(), 1e-6);
}

TEST(SeenFaces, WhatSpoilsThemIsFoundAndAvoided) {
  const ProjectPtr project = seenBetween(projectOf(table(30, 12, 3), {{"support.gap.above", 0.3}}), -16, 16, 12);
  const BuildPtr built = build(project);
  const auto isSeenScar = [](const Finding& finding) { return finding.code == "seen-scar"; };
  const auto found = std::find_if(built->findings.begin(), built->findings.end(), isSeenScar);
  ASSERT_NE(found, built->findings.end());
  ASSERT_GE(found->remedies.size(), 2u);
  for (const Remedy& remedy : found->remedies) {
    const BuildPtr after = build(test::after(project, remedy.steps));
    EXPECT_TRUE(std::none_of(after->findings.begin(), after->findings.end(), isSeenScar)) << remedy.name;
  }
}

TEST(SeenFaces, AreKeptInFilesAndGoWithARevisedMesh) {
  const ProjectPtr project = seenBetween(projectOf(table(30, 12, 3)), 5, 10, 12);
  const ProjectPtr read = readProject(packProject(*project), "seen.3mf").project;
  EXPECT_EQ(read->parts[0]->seen->key(), project->parts[0]->seen->key());
  EXPECT_FALSE(read->parts[0]->seen->empty());
  const ProjectPtr revised = performed(*project, ReplaceMesh{0, table(30, 12, 3)});
  EXPECT_EQ(revised->parts[0]->seen->key(), project->parts[0]->seen->key());
  EXPECT_TRUE(performed(*project, ClearDecisions{0, Clearing::seen})->parts[0]->seen->empty());
}

TEST(SeenFaces, AreLaidFromAList) {
  const ProjectPtr project = projectOf(table(30, 12, 3));
  const Vec3 at = onPlate(*project, {10, 3, 12});
  nlohmann::json json{{"do", "seen_face"}, {"at", {at.x(), at.y(), at.z()}}};
  const ProjectPtr laid = performed(*project, operationFrom(json));
  EXPECT_NEAR(markedArea(*laid->parts[0]->mesh, Affine::Identity(), *laid->parts[0]->seen, Mark::block), 30 * 30, 1);
  json["seen"] = false;
  EXPECT_TRUE(performed(*laid, operationFrom(json))->parts[0]->seen->empty());
}

// The best turning by what is scarred where it is seen is at most 5 % over the best of 500 spread evenly.
class LeastSeenTest : public testing::TestWithParam<const char*> {};

TEST_P(LeastSeenTest, IsAsGoodAsBruteForce) {
  const MeshPtr mesh = packageMesh(GetParam());
  LayMark lay = seen(BandStroke{mesh->bounds.center().z(), 1000});
  const ProjectPtr project = after(projectOf(mesh), {lay});
  const Part& part = *project->parts[0];
  const TurningSurvey survey(mesh, Vec3::Ones(), {45, 0.2}, *part.seen);
  const double found = survey.refined(survey.candidates(12, Progress()), Progress())[0].seenScarred;
  constexpr std::size_t tried = 500;
  std::vector<double> scarred(tried);
  parallelFor(tried, Progress(), [&](std::size_t i) {
    const double z = 1 - 2 * (static_cast<double>(i) + 0.5) / tried, angle = 2.4 * static_cast<double>(i);
    const double r = std::sqrt(1 - z * z);
    scarred[i] = survey.estimate({r * std::cos(angle), r * std::sin(angle), z}).seenScarred;
  });
  const double best = *std::min_element(scarred.begin(), scarred.end());
  const double seen = markedArea(*mesh, Affine::Identity(), *part.seen, Mark::block);
  EXPECT_GT(seen, 100);
  EXPECT_LE(found, 1.05 * best + 0.002 * seen);
}

INSTANTIATE_TEST_SUITE_P(Meshes, LeastSeenTest, testing::Values("elephant", "cow", "bunny00"),
                         [](const auto& given) { return std::string(given.param); });

}  // namespace
}  // namespace trellis::test
