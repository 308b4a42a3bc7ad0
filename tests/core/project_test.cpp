// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/assess/removal.hpp"
#include "core/base/archive.hpp"
#include "core/base/files.hpp"
#include "core/document/decisions_json.hpp"
#include "core/document/history.hpp"
#include "core/document/project_file.hpp"
#include "core/results/gcode_text.hpp"
#include "core/results/perform_all.hpp"
#include "core/support/column_descent.hpp"
#include "tests/shapes.hpp"

#include <tbb/global_control.h>

#include <filesystem>
#include <random>

namespace trellis::test {
namespace {

using nlohmann::json;
using testing::HasSubstr;

std::string refusalOf(const json& operation) {
  try {
    performed(*projectOf(box({0, 0, 0}, {10, 10, 10})), operationFrom(operation));
  } catch (const Error& error) {
    return error.what();
  }
  return "accepted";
}

LayMark ballAt(const Vec3& at, double radius, Mark mark = Mark::enforce) {
  LayMark operation;
  operation.mark = mark;
  operation.stroke = BallStroke{{at}, radius};
  return operation;
}

TEST(Operations, SayWhatDoesNotFit) {
  EXPECT_THAT(refusalOf({{"do", "dance"}}), HasSubstr("dance"));
  EXPECT_THAT(refusalOf({{"do", "mark"}, {"as", "enforce"}, {"with", "ball"}, {"at", {0, 0, 0}}}), HasSubstr("radius"));
  EXPECT_THAT(refusalOf({{"do", "mark"}, {"as", "enforce"}, {"with", "ball"}, {"at", {0, 0}}, {"radius", 2}}),
              HasSubstr("three numbers"));
  EXPECT_THAT(refusalOf({{"do", "mark"}, {"as", "paint"}, {"with", "ball"}, {"at", {0, 0, 0}}, {"radius", 2}}),
              HasSubstr("paint"));
  EXPECT_THAT(refusalOf({{"do", "place"}, {"part", 7}}), HasSubstr("no part 7"));
  EXPECT_THAT(refusalOf({{"do", "place"}, {"scale", {1, 0, 1}}}), HasSubstr("scaled"));
  EXPECT_THAT(refusalOf({{"do", "set"}, {"key", "support.gap.above"}, {"value", -1}}), HasSubstr("0 to 2 mm"));
  EXPECT_THAT(refusalOf({{"do", "set"}, {"key", "support.gap.sideways"}, {"value", 1}}), HasSubstr("no setting"));
  EXPECT_THAT(refusalOf({{"do", "set"}, {"key", "walls"}, {"value", 2.5}}), HasSubstr("whole number"));
}

TEST(Operations, PlaceTurnsScalesAndDrops) {
  const ProjectPtr project = projectOf(box({0, 0, 0}, {10, 20, 30}));
  const auto placed = performed(
      *project, operationFrom({{"do", "place"}, {"rotate", {90, 0, 0}}, {"scale", {2, 2, 2}}, {"drop", true}}));
  const Box3 bounds = placedBounds(placed->parts[0]->placement, *placed->parts[0]->mesh);
  EXPECT_NEAR(bounds.min().z(), 0, 1e-9);
  EXPECT_TRUE(bounds.sizes().isApprox(Vec3(20, 60, 40), 1e-9));
  EXPECT_EQ(project->parts[0]->placement.scale, Vec3::Ones().eval());  // the value before is untouched
}

TEST(History, UndoesAndRedoesEveryKindOfStep) {
  const ProjectPtr first = projectOf(table(30, 10, 2));
  History history(first);
  std::vector<ProjectPtr> states{first};
  PlacePart move;
  move.position = Vec3(80, 80, 6);
  const Operation steps[] = {ballAt({52, 52, 10}, 3),
                             move,
                             ChangeSetting{"support.gap.above", 0.24},
                             ClearDecisions{0, Clearing::enforce},
                             ResetSetting{"support.gap.above"},
                             AddParts{first->parts},
                             RemovePart{0}};
  for (const Operation& step : steps) {
    history.perform(step);
    states.push_back(history.now());
  }
  EXPECT_EQ(history.undoName(), "remove part");
  for (std::size_t i = states.size() - 1; i > 0; --i) {
    EXPECT_EQ(history.now(), states[i]);
    history.undo();
  }
  EXPECT_EQ(history.now(), first);
  EXPECT_EQ(history.redoName(), "enforce stroke");
  for (std::size_t i = 1; i < states.size(); ++i) history.redo();
  EXPECT_EQ(history.now(), states.back());
  EXPECT_THROW(history.perform(RemovePart{9}), Error);
  EXPECT_EQ(history.now(), states.back());
}

TEST(History, WhatIsTriedOutIsNoStepUntilItIsKeptOrWorkedOnWith) {
  const ProjectPtr first = projectOf(box({0, 0, 0}, {10, 20, 30}));
  History history(first);
  history.markSaved();
  PlacePart turn;
  turn.turn = Vec3(90, 0, 0);
  const ProjectPtr turned = performed(*first, turn);
  history.preview(say("turn"), turned);
  EXPECT_EQ(history.now(), turned);
  EXPECT_TRUE(history.isSaved());
  history.undo();  // leaves it
  EXPECT_EQ(history.now(), first);
  EXPECT_EQ(history.redoName(), "");
  history.preview(say("turn"), turned);
  history.keepPreview();
  EXPECT_FALSE(history.isPreviewing());
  EXPECT_EQ(history.undoName(), "turn");
  history.undo();
  history.preview(say("turn"), turned);
  history.perform(ballAt({55, 55, 0}, 2));
  EXPECT_EQ(history.undoName(), "enforce stroke");
  history.undo();
  EXPECT_EQ(history.now(), turned);
  history.undo();
  EXPECT_EQ(history.now(), first);
  history.performTogether({CopyPart{0}, RemovePart{0}});
  EXPECT_EQ(history.undoName(), "copy part");
  EXPECT_EQ(history.now()->parts.size(), 1u);
  history.undo();
  EXPECT_EQ(history.now(), first);
}

TEST(ProjectFile, PartsKeepTheirOwnSettingsAndWhetherTheyRest) {
  PlacePart lift;
  lift.lift = 3;
  ProjectPtr project = performed(*projectOf(box({0, 0, 0}, {10, 20, 30})), lift);
  project = performed(*project, ChangeSetting{"support.gap.above", 0.31, std::size_t{0}});
  const OpenedProject again = readProject(packProject(*project), "own.3mf");
  EXPECT_EQ(again.project->parts[0]->placement, project->parts[0]->placement);
  EXPECT_FALSE(again.project->parts[0]->placement.rests);
  EXPECT_EQ(again.project->parts[0]->settings, project->parts[0]->settings);
  EXPECT_EQ(settingsOf(*again.project, 0).number("support.gap.above"), 0.31);
  EXPECT_EQ(again.project->settings.number("support.gap.above"), 0.2);
  EXPECT_THROW(performed(*project, ChangeSetting{"layer.height", 0.1, std::size_t{0}}), Error);
}

TEST(Operations, OfPlacingComeFromAList) {
  const ProjectPtr start = projectOf(box({0, 0, 0}, {10, 20, 30}));
  const ProjectPtr result = performedAll(*std::make_unique<Store>(), *start, json::parse(R"([
    {"do":"copy","part":0}, {"do":"mirror","part":1,"axis":"y"}, {"do":"place","part":1,"size":[20,0,0]},
    {"do":"place","part":0,"lift":2.5}, {"do":"set","part":0,"key":"walls","value":4}, {"do":"arrange","gap":8},
    {"do":"mend","part":0}])"),
                                         Progress());
  ASSERT_EQ(result->parts.size(), 2u);
  EXPECT_LT(result->parts[1]->placement.scale.y(), 0);
  EXPECT_NEAR(result->parts[1]->placement.scale.z(), 2, 1e-9);
  EXPECT_NEAR(placedBounds(result->parts[0]->placement, *result->parts[0]->mesh).min().z(), 2.5, 1e-6);
  EXPECT_EQ(settingsOf(*result, 0).whole("walls"), 4);
  EXPECT_EQ(settingsOf(*result, 1).whole("walls"), 2);
  EXPECT_THAT(refusalOf({{"do", "mirror"}, {"axis", "w"}}), HasSubstr("x, y or z"));
  EXPECT_THAT(refusalOf({{"do", "place"}, {"size", {-1, 0, 0}}}), HasSubstr("size"));
  EXPECT_THAT(refusalOf({{"do", "lay_down"}, {"at", {900, 0, 0}}}), HasSubstr("no surface near"));
}

TEST(ProjectFile, BringsBackEveryVertexMarkAndSetting) {
  ProjectPtr project = projectOf(sphere({3.3333, -7.77777, 12.123}, 12, 24, 48),
                                 {{"support.gap.above", 0.24}, {"support.source", "decisions"}});
  project = performed(*project, ballAt({53.3, 42.3, 0.2}, 5));
  const OpenedProject again = readProject(packProject(*project), "ball.3mf");
  const Part &before = *project->parts[0], &after = *again.project->parts[0];
  EXPECT_EQ(after.mesh->vertices, before.mesh->vertices);
  EXPECT_EQ(after.mesh->facets, before.mesh->facets);
  EXPECT_EQ(after.marks->key(), before.marks->key());
  EXPECT_EQ(after.placement, before.placement);
  EXPECT_EQ(again.project->settings, project->settings);
  EXPECT_FALSE(again.fromNewerVersion);
  EXPECT_EQ(packProject(*again.project), packProject(*project));
}

TEST(ProjectFile, IsPlainMeshesOnAPlateForOthers) {
  const ProjectPtr project = projectOf(box({0, 0, 0}, {10, 20, 30}));
  ScratchFolder folder;
  const std::string bytes = packProject(*project);
  const ArchiveReader archive(bytes, "x");
  // The same package without what is ours: lib3mf reads the meshes where they stand.
  writeFileAtomically(folder / "plain.3mf", writeArchive({{"[Content_Types].xml", archive.read("[Content_Types].xml")},
                                                          {"_rels/.rels", archive.read("_rels/.rels")},
                                                          {"3D/3dmodel.model", archive.read("3D/3dmodel.model")}}));
  const auto meshes = readMeshFile(folder / "plain.3mf", Progress());
  ASSERT_EQ(meshes.size(), 1u);
  EXPECT_EQ(meshes[0].name, "part");
  EXPECT_TRUE(meshes[0].mesh->bounds.min().isApprox(Vec3(50, 50, 0), 1e-5));
  EXPECT_TRUE(meshes[0].mesh->bounds.max().isApprox(Vec3(60, 70, 30), 1e-5));
}

TEST(ProjectFile, ANewerVersionIsReadAndSaysSo) {
  const std::string bytes = packProject(*projectOf(box({0, 0, 0}, {10, 10, 10})));
  const ArchiveReader archive(bytes, "x");
  json decisions = json::parse(archive.read("Trellis/decisions.json"));
  decisions["format"] = projectFormat + 1;
  decisions["settings"]["support.gap.diagonal"] = 3;
  const std::string newer = writeArchive(
      {{"Trellis/decisions.json", decisions.dump()}, {"Trellis/mesh-0.bin", archive.read("Trellis/mesh-0.bin")}});
  EXPECT_TRUE(readProject(newer, "newer.3mf").fromNewerVersion);
  ScratchFolder folder;
  writeFileAtomically(folder / "newer.3mf", newer);
  const CliRun run = cli("build " + (folder / "newer.3mf"));
  EXPECT_EQ(run.code, 1);
  EXPECT_THAT(run.text, AllOf(HasSubstr("newer.3mf"), HasSubstr("newer Meek Trellis")));
}

TEST(ProjectFile, ADecisionThatCannotBeIsASentence) {
  ProjectPtr project = projectOf(table(30, 10, 2));
  project = performed(*project, AddZone{0, {}, {{60, 60, 10}, {5, 5, 5}, {0, 0, 0}}});
  project = performed(*project, AddProp{0, {55, 55, 10}, 3});
  project = performed(*project, DecideSite{0, {55, 55, 10}, Choice::block});
  const std::string bytes = packProject(*project);
  const ArchiveReader archive(bytes, "x");
  const json decisions = json::parse(archive.read("Trellis/decisions.json"));
  const auto refusal = [&](const char* pointer, const json& value) -> std::string {
    json hurt = decisions;
    hurt["parts"][0][json::json_pointer(pointer)] = value;
    try {
      readProject(writeArchive({{"Trellis/decisions.json", hurt.dump()},
                                {"Trellis/mesh-0.bin", archive.read("Trellis/mesh-0.bin")}}),
                  "hurt.3mf");
      return "accepted";
    } catch (const Error& error) {
      return error.what();
    }
  };
  for (const auto& [pointer, value] : {std::pair<const char*, json>("/zones/0/as", "shun"),
                                       {"/zones/0/shape", "cone"},
                                       {"/zones/0/to_mesh/3", 1e300},
                                       {"/zones/0/to_mesh", json::array({0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0})},
                                       {"/zones/0/to_mesh", json::array({1, 2})},
                                       {"/props/0/at/1", 1e200},
                                       {"/props/0/width", -3},
                                       {"/sites/0/choice", "maybe"},
                                       {"/sites/0/at", "there"}})
    EXPECT_THAT(refusal(pointer, value), AllOf(HasSubstr("hurt.3mf"), HasSubstr("damaged"))) << pointer;
}

TEST(ProjectFile, DamageIsASentenceAndNeverACrash) {
  ProjectPtr project = performed(*projectOf(table(20, 8, 2)), ballAt({54, 54, 8}, 3));
  const std::string bytes = packProject(*project);
  std::mt19937 random(5);
  for (int i = 0; i < rounds(400); ++i) {
    std::string hurt = bytes;
    if (i % 4 == 0) hurt.resize(random() % hurt.size());
    for (int k = 0; k < 6 && !hurt.empty(); ++k) hurt[random() % hurt.size()] = static_cast<char>(random());
    try {
      readProject(hurt, "hurt.3mf");
    } catch (const Error& error) {
      EXPECT_THAT(error.what(), HasSubstr("hurt.3mf"));
    }
  }
}

TEST(Saving, LeavesTheOldFileWhenItFails) {
  ScratchFolder folder;
  writeFileAtomically(folder / "kept.3mf", "before");
  EXPECT_THROW(writeFileAtomically("/proc/kept.3mf", "after"), Error);
  EXPECT_THROW(writeFileAtomically(folder / "no/such/folder.3mf", "after"), Error);
  EXPECT_EQ(readFile(folder / "kept.3mf"), "before");
  EXPECT_EQ(
      std::distance(std::filesystem::directory_iterator(std::filesystem::path(folder / "kept.3mf").parent_path()), {}),
      1);
}

// The same bytes on one thread and on many, after undo, and from a file in a fresh process.
TEST(Determinism, SameProjectSameGcode) {
  const ProjectPtr start = projectOf(table(30, 10.1, 2), {{"support.gap.above", 0.24}});
  const ProjectPtr project = performed(*start, ballAt({53, 53, 10.1}, 3, Mark::block));
  const std::string gcode = gcodeOf(project);
  {
    const tbb::global_control one(tbb::global_control::max_allowed_parallelism, 1);
    EXPECT_EQ(gcodeOf(project), gcode);
  }
  History history(start);
  history.perform(ballAt({53, 53, 10.1}, 3, Mark::block));
  history.perform(ballAt({70, 70, 10.1}, 4));
  history.undo();
  Store store;  // keeps what the stroke made, and must not let it show
  buildProject(store, start, Progress());
  buildProject(store, performed(*project, ballAt({70, 70, 10.1}, 4)), Progress());
  const auto again = buildProject(store, history.now(), Progress());
  EXPECT_EQ(gcodeOf(history.now()), gcode);
  EXPECT_EQ(gcodeOf(*project, *again, Progress()), gcode);
  ScratchFolder folder;
  writeFileAtomically(folder / "saved.3mf", packProject(*project));
  ASSERT_EQ(cli("build " + (folder / "saved.3mf") + " --gcode " + (folder / "a.gcode")).code, 0);
  ASSERT_EQ(cli("build " + (folder / "saved.3mf") + " --gcode " + (folder / "b.gcode") + " --project " +
                (folder / "again.3mf"))
                .code,
            0);
  EXPECT_EQ(readFile(folder / "a.gcode"), readFile(folder / "b.gcode"));
  EXPECT_EQ(readFile(folder / "again.3mf"), readFile(folder / "saved.3mf"));
  const std::string fresh = readFile(folder / "a.gcode");
  EXPECT_EQ(fresh.substr(0, fresh.find("@summary")), gcode.substr(0, gcode.find("@summary")));
}

TEST(Pipeline, ACancelledRunThrowsAndTheNextOneIsWhole) {
  const ProjectPtr project = projectOf(table(30, 10, 2));
  Store store;
  std::optional<Progress> progress;
  progress.emplace([&](double fraction, std::string_view) {
    if (fraction > 0.3) progress->cancel();
  });
  EXPECT_THROW(buildProject(store, project, *progress), Cancelled);
  EXPECT_EQ(gcodeOf(*project, *buildProject(store, project, Progress()), Progress()), gcodeOf(project));
}

TEST(CommandLine, ExitsByTheRules) {
  ScratchFolder folder;
  EXPECT_EQ(cli("").code, 2);
  EXPECT_EQ(cli("inspect").code, 2);
  EXPECT_EQ(cli("inspect /nowhere.stl").code, 1);
  const std::string latch = TRELLIS_DEMO "/latch.stl";
  EXPECT_THAT(cli("inspect --json " + latch).text, HasSubstr("\"shells\": 1"));
  EXPECT_THAT(cli("settings --json").text, HasSubstr("support.gap.above"));
  const CliRun range = cli("build " + latch + " --set support.gap.above=9");
  EXPECT_EQ(range.code, 1);
  EXPECT_THAT(range.text, AllOf(HasSubstr("support.gap.above"), HasSubstr("0 to 2 mm")));
  const CliRun large = cli("build " + latch + " --set machine.width=50");
  EXPECT_EQ(large.code, 1);
  EXPECT_THAT(large.text, AllOf(HasSubstr("latch"), HasSubstr("Scale it down")));
  EXPECT_EQ(cli("build " + latch + " --gcode /nowhere/x.gcode").code, 1);
  EXPECT_EQ(cli("slices " + latch + " --layer-height 0.5 --svg " + (folder / "svg")).code, 0);
  EXPECT_THAT(readFile(folder / "svg/layer-00040.svg"), HasSubstr("<path"));
}

TEST(Demo, PartsAreSoundAndOfTheSizePromised) {
  for (const char* name : {"frond", "finial", "snail", "latch", "manifold"}) {
    const auto parts = readMeshFile(std::string(TRELLIS_DEMO "/") + name + ".stl", Progress());
    const MeshFigures figures = inspect(*parts[0].mesh);
    EXPECT_TRUE(figures.sound()) << name;
    EXPECT_GE(figures.facets, 5000u) << name;
    EXPECT_LE(figures.facets, 150000u) << name;
    EXPECT_GE(figures.size.maxCoeff(), 20) << name;
    EXPECT_LE(figures.size.maxCoeff(), 130) << name;
  }
}

// A dab under the frond's lowest leaf tip, and nothing else asks for support.
TEST(Demo, OneEnforcerUnderTheFrondsTip) {
  const auto meshes = readMeshFile(TRELLIS_DEMO "/frond.stl", Progress());
  auto project = std::make_shared<Project>();
  project->settings.set("support.source", std::string("decisions"));
  project->parts = partsFrom(meshes, project->settings);
  const auto before = build(project);
  ASSERT_FALSE(before->parts[0].overhangs->starts.empty());
  EXPECT_TRUE(before->support->layers.empty());
  const Vec3 tip = before->parts[0].overhangs->starts.front().at;
  const auto built = build(performed(*project, ballAt(tip, 1.5)));
  ASSERT_FALSE(built->support->layers.empty());
  for (const SupportLayer& layer : built->support->layers) {
    const double steadying = layer.top > tip.z() - 1.3 ? 0
                                                       : std::max(leastColumn, tip.z() * leastSteadiness) /
                                                             2;  // slender columns widen on their way down
    for (const PieceRegion& region : layer.regions)
      for (const Polygon& outline : region.area)
        for (const Point& p : outline)
          ASSERT_LT((toMm(p) - tip.head<2>()).norm(), 1.5 + 0.65 + steadying) << layer.top << " under " << tip.z();
  }
}

}  // namespace
}  // namespace trellis::test
