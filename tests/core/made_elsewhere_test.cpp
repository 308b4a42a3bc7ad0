// SPDX-License-Identifier: GPL-3.0-or-later
// Support that another program made and that comes with its part in a 3MF.
#include "core/support/made_elsewhere.hpp"
#include "core/assess/removal.hpp"
#include "core/assess/report.hpp"
#include "core/assess/support_export.hpp"
#include "core/base/files.hpp"
#include "core/document/project_file.hpp"
#include "core/gcode/reader.hpp"
#include "core/mesh/read_mesh.hpp"
#include "core/trial/trial_print.hpp"
#include "tests/shapes.hpp"

namespace trellis::test {
namespace {

// A table, and under its top a block 0.2 mm away from it.
Part tableWithBlock() {
  Part part;
  part.name = "table";
  part.mesh = table(20, 10, 2);
  part.elsewhere = box({12.5, 5, 0}, {18.5, 15, 9.8});
  part.placement.position = {100, 100, part.mesh->bounds.center().z() - part.mesh->bounds.min().z()};
  part.settings.insert_or_assign("support.source", SettingValue(std::string("decisions")));
  return part;
}

ProjectPtr projectOf(Part part) {
  Project project;
  project.parts.push_back(std::make_shared<const Part>(std::move(part)));
  return std::make_shared<const Project>(withIds(std::move(project)));
}

double volumeOf(const SupportLayers& support) {
  double sum = 0;
  for (const SupportLayer& layer : support.layers)
    for (const PieceRegion& region : layer.regions) sum += area(region.area) * (layer.top - layer.bottom);
  return sum;
}

TEST(MadeElsewhere, IsPrintedAsItIsAndPriced) {
  const ProjectPtr project = projectOf(tableWithBlock());
  const BuildPtr built = build(project);
  ASSERT_EQ(built->support->pieces.size(), 1u);
  EXPECT_NEAR(volumeOf(*built->support), 60 * 9.8, 1);  // the block's own
  EXPECT_NEAR(built->support->layers.back().top, 9.8, 1e-9);
  const Price price = priceOf(*built, {CauseKind::elsewhere, 0, 0});
  EXPECT_NEAR(price.contact, 60, 0.5);
  EXPECT_GT(grams(price.use, project->settings), 0.1);
  EXPECT_EQ(built->prices.size(), 1u);
  // Right under the part it is interface, as thick as is usual.
  double interface = 0;
  for (const SupportLayer& layer : built->support->layers)
    for (const PieceRegion& region : layer.regions)
      if (region.kind == RegionKind::interfaceUpper) interface += layer.top - layer.bottom;
  EXPECT_NEAR(interface, 3 * 0.2, 1e-6);
}

// Figures that are no whole number of layers stay what they are.
TEST(MadeElsewhere, ItsGapIsKeptExactly) {
  for (const double gap : {0.13, 0.2, 0.27, 0.41}) {
    Part part = tableWithBlock();
    part.elsewhere = box({12.5, 5, 0}, {18.5, 15, 10 - gap});
    const BuildPtr built = build(projectOf(std::move(part)));
    EXPECT_NEAR(built->support->layers.back().top, 10 - gap, 1.1e-3) << gap;
    for (const SupportLayer& layer : built->support->layers) EXPECT_GT(layer.top - layer.bottom, 0.05) << gap;
  }
}

TEST(MadeElsewhere, WhatOfItLiesInThePartIsLeftOut) {
  Part part = tableWithBlock();
  part.elsewhere = box({12.5, 5, 0}, {18.5, 15, 11});  // a millimetre into the top
  const BuildPtr built = build(projectOf(std::move(part)));
  EXPECT_LE(built->support->layers.back().top, 10.2);
  EXPECT_EQ(built->tally.pieces.size(), 1u);
}

TEST(MadeElsewhere, MovesTurnsAndGrowsWithItsPart) {
  Part part = tableWithBlock();
  part.placement.scale = {2, 2, 1};
  part.placement.turn = {0, 0, 30};
  part.placement.position.x() = 60;
  const BuildPtr built = build(projectOf(std::move(part)));
  EXPECT_NEAR(volumeOf(*built->support), 4 * 60 * 9.8, 4);
  EXPECT_NEAR(boundsOf(built->support->layers.front().regions.front().area).center().x(),
              60 + 11 * std::cos(toRadians(30)), 0.01);
}

TEST(MadeElsewhere, ATrialPrintStandsOnIt) {
  const auto onAir = [](Part part) {
    const ProjectPtr project = projectOf(std::move(part));
    return trialPrint(readGcode(gcodeOf(project), {}), TrialRules(), {}).onAir();
  };
  Part bare = tableWithBlock();
  bare.elsewhere = nullptr;
  Part carried = tableWithBlock();
  carried.elsewhere = box({0.1, 0.1, 0}, {19.9, 19.9, 9.8});
  EXPECT_LT(onAir(carried), onAir(bare) / 4);
}

TEST(MadeElsewhere, ComesBackFromAProjectFile) {
  const ProjectPtr project = projectOf(tableWithBlock());
  const OpenedProject opened = readProject(packProject(*project), "table.3mf");
  ASSERT_TRUE(opened.project->parts.front()->elsewhere);
  EXPECT_EQ(keyOf(*opened.project), keyOf(*project));
}

TEST(MadeElsewhere, WhatWeWriteComesBackAsSupportOfItsPart) {
  Project two = *projectOf(tableWithBlock());
  Part second = tableWithBlock();
  second.name = "stool";
  second.elsewhere = nullptr;
  second.settings.clear();
  second.placement.position.x() = 150;
  two.parts.push_back(std::make_shared<const Part>(std::move(second)));
  const ProjectPtr project = std::make_shared<const Project>(withIds(std::move(two)));
  const BuildPtr built = build(project);
  const ScratchFolder folder;
  writeFileAtomically(folder / "both.3mf", packWithSupports(*project, *built, false, {}));
  const OpenedProject opened = openFile(folder / "both.3mf", *project, {});
  ASSERT_EQ(opened.project->parts.size(), 2u);
  for (const PartPtr& part : opened.project->parts) {
    ASSERT_TRUE(part->elsewhere) << part->name;
    EXPECT_LT((part->elsewhere->bounds.center() - part->mesh->bounds.center()).head<2>().norm(), 8) << part->name;
  }
  // Built again, as much of it is printed.
  EXPECT_NEAR(volumeOf(*build(opened.project)->support) / volumeOf(*built->support), 1, 0.03);
}

TEST(MadeElsewhere, GoesAsAWholeAndNotByPointing) {
  const ProjectPtr project = projectOf(tableWithBlock());
  const BuildPtr built = build(project);
  EXPECT_THROW(removing(*built, {105, 100, 5}, Reach::piece, 6), Error);
  const ProjectPtr without = performed(*project, ClearDecisions{0, Clearing::elsewhere});
  EXPECT_TRUE(build(without)->support->pieces.empty());
}

}  // namespace
}  // namespace trellis::test
