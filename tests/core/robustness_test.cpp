// SPDX-License-Identifier: GPL-3.0-or-later
// Faults that were found by use, each with the smallest case that showed it.
#include "core/assess/report.hpp"
#include "core/base/parallel.hpp"
#include "core/document/history.hpp"
#include "core/geometry/clipper_door.hpp"
#include "core/marks/carry.hpp"
#include "core/mesh/mend.hpp"
#include "core/overhang/overhangs.hpp"
#include "core/slice/slices.hpp"
#include "core/trial/height_field.hpp"
#include "tests/shapes.hpp"

#include <future>
#include <random>

namespace trellis::test {
namespace {

using testing::HasSubstr;

TEST(ClipperDoor, AFailedAnswerIsAnErrorAndNeverAnEmptyRegion) {
  // Beyond what Clipper multiplies with, 4.6·10¹⁸ units, it refuses.
  constexpr ClipperLib::cInt far = 6'000'000'000'000'000'000;
  const Polygons wide{{{-far, 0}, {far, 0}, {0, far}}}, small = rectangle({Vec2(0, 0), Vec2(1, 1)});
  EXPECT_THROW(unite(wide), GeometryError);
  EXPECT_THROW(unite(small, wide), GeometryError);
  EXPECT_THROW(clipped({ClipperLib::ctDifference, small, wide}), GeometryError);
  EXPECT_NEAR(area(unite(small)), 1, 1e-9);
}

TEST(ClipperDoor, TheErrorNamesTheLayer) {
  try {
    parallelLayers(9, Progress(), [](std::size_t i) {
      if (i == 6) throw GeometryError("Outlines cannot be combined.");
    });
    FAIL();
  } catch (const Error& error) {
    EXPECT_STREQ(error.what(), "Layer 7: Outlines cannot be combined.");
  }
}

// A cube of which one side's facets are turned inside out, with a small dab off the middle of that side.
TEST(CarriedMarks, StayWhereTheyWereOnFacetsThatMendingTurns) {
  const MeshPtr sound = box({0, 0, 0}, {20, 20, 20});
  std::vector<Facet> facets = sound->facets;
  std::vector<std::uint32_t> turned;
  for (std::uint32_t f = 0; f < facets.size(); ++f)
    if (sound->normal(f).x() > 0.9) {
      std::swap(facets[f][1], facets[f][2]);
      turned.push_back(f);
    }
  ASSERT_EQ(turned.size(), 2u);
  const MeshPtr damaged = makeMesh(sound->vertices, facets);
  const Vec3 dab(20, 4, 13);
  const Canvas canvas{damaged, treeOf(damaged)};
  const MarksPtr marks = paint(canvas, Marks(), BallStroke{{dab}, 2}, Mark::enforce, {});
  const auto middleOf = [](const TriangleMesh& mesh, const Marks& all) {
    Vec3 sum = Vec3::Zero();
    double whole = 0;
    all.forEachTree([&](std::uint32_t f, std::string_view tree) {
      forEachLeaf(mesh.corners(f), tree, [&](const Corners& c, Mark) {
        const double size = (c[1] - c[0]).cross(c[2] - c[0]).norm() / 2;
        sum += size * (c[0] + c[1] + c[2]) / 3;
        whole += size;
      });
    });
    return Vec3(sum / whole);
  };
  ASSERT_LT((middleOf(*damaged, *marks) - dab).norm(), 0.2);
  const Mended mended = mend(*damaged, MendBy::repair, Progress());
  const Carried carried = carryMarks(damaged, *marks, mended.mesh, Progress());
  EXPECT_LT((middleOf(*mended.mesh, *carried.marks) - dab).norm(), 0.2);
  EXPECT_NEAR(markedArea(*mended.mesh, Affine::Identity(), *carried.marks, Mark::enforce), pi * 4, 0.6);
}

// A branch that leans little still gets round what is below it, and where the plate is so large that the lattice grows
// coarse, too.
class LeanTest : public testing::TestWithParam<double> {};

TEST_P(LeanTest, BranchesMoveAsideAtAnyLean) {
  // A small ceiling over a wide shelf: straight down it would stand on the shelf.
  const MeshPtr shelf =
      together({box({0, 0, 0}, {4, 20, 120}), box({4, 0, 117}, {16, 20, 120}), box({4, 6, 40}, {10, 14, 42})});
  const BuildPtr built = build(projectOf(
      shelf, {{"support.structure", "tree"}, {"support.footing", "plate"}, {"support.tree.branch_lean", GetParam()}}));
  double wanted = 0, bare = 0;
  for (const auto& column : built->columns) {
    wanted += column->wanted;
    bare += column->withoutFooting;
  }
  ASSERT_GT(wanted, 100);
  EXPECT_LT(bare, 0.1 * wanted);
  double aside = 0;
  for (const auto& tree : built->trees)
    if (tree)
      for (const BranchNode& node : tree->nodes)
        if (node.below != BranchNode::none)
          aside = std::max(aside, (node.at - tree->nodes[node.below].at).head<2>().norm());
  EXPECT_GT(aside, 0.05);
}

INSTANTIATE_TEST_SUITE_P(Degrees, LeanTest, testing::Values(15, 18, 25, 40));

// Two boxes that meet in one edge, however the vertices are ordered and whichever quarter they are turned by.
TEST(FloatingStarts, DoNotDependOnTheOrderOfVertices) {
  std::set<std::size_t> found;
  for (int quarter = 0; quarter < 4; ++quarter)
    for (int shift = 0; shift < 4; ++shift) {
      const Affine turn(Eigen::AngleAxisd(quarter * pi / 2, Vec3::UnitZ()));
      Polygons lower = rectangle({Vec2(0, 0), Vec2(10, 10)}), upper = rectangle({Vec2(10, 0), Vec2(20, 10)});
      for (Polygons* region : {&lower, &upper})
        for (Point& p : region->front()) {
          const Vec3 turned = turn * Vec3(toMm(p).x(), toMm(p).y(), 0);
          p = toPoint(turned.x(), turned.y());
        }
      std::rotate(lower.front().begin(), lower.front().begin() + shift, lower.front().end());
      std::rotate(upper.front().begin(), upper.front().begin() + shift, upper.front().end());
      const LayerPlan plan = planLayers(0.4, {0.2, 0.2});
      found.insert(findOverhangs(plan, {lower, upper}, {45, 0.45}, Progress()).starts.size());
    }
  EXPECT_EQ(found, std::set<std::size_t>{0}) << "they touch";
}

TEST(FloatingStarts, BeginWhereNothingTouches) {
  const LayerPlan plan = planLayers(0.4, {0.2, 0.2});
  const Polygons lower = rectangle({Vec2(0, 0), Vec2(10, 10)}), upper = rectangle({Vec2(10.1, 0), Vec2(20, 10)});
  EXPECT_EQ(findOverhangs(plan, {lower, upper}, {45, 0.45}, Progress()).starts.size(), 1u);
}

// Stability reads the line width, so a build that differs in it alone must weigh anew.
TEST(Stability, IsWeighedAnewWhenOnlyTheLineWidthChanged) {
  const ProjectPtr thin = projectOf(box({0, 0, 0}, {0.5, 20, 60}), {{"line.width", 0.4}});
  Store store;
  const double before = buildProject(store, thin, Progress())->judged[0].stability->mostDeflected()->deflection;
  const ProjectPtr wide = performed(*thin, ChangeSetting{"line.width", 0.8});
  const double after = buildProject(store, wide, Progress())->judged[0].stability->mostDeflected()->deflection;
  EXPECT_DOUBLE_EQ(after, build(wide)->judged[0].stability->mostDeflected()->deflection);
  EXPECT_NE(before, after);
}

TEST(Health, IsNeverKeptHalfExamined) {
  const ProjectPtr project = projectOf(together({box({0, 0, 0}, {10, 10, 10}), box({5, 5, 5}, {15, 15, 15})}));
  Store store;
  for (int i = 0; i < 6; ++i) {  // given up at once, and a little later each time
    Progress given;
    auto run = std::async(std::launch::async, [&] { buildProject(store, project, given); });
    std::this_thread::sleep_for(std::chrono::milliseconds(3 * i));
    given.cancel();
    try {
      run.get();
    } catch (const Cancelled&) {
    }
  }
  EXPECT_EQ(buildProject(store, project, Progress())->judged[0].health->defects.size(),
            build(project)->judged[0].health->defects.size());
  EXPECT_FALSE(build(project)->judged[0].health->sound());
}

TEST(History, ADragThatFailsAtOnceReplacesNoUnrelatedStep) {
  History history(projectOf(box({0, 0, 0}, {10, 10, 10})));
  history.perform(ChangeSetting{"walls", 3.0});
  PlacePart far;
  far.position = Vec3(0, 0, 1e6);
  EXPECT_THROW(history.perform(far), Error);  // the first movement of a drag
  PlacePart near;
  near.position = Vec3(60, 60, 5);
  history.perform(near, true);  // the next
  near.position = Vec3(61, 60, 5);
  history.perform(near, true);
  EXPECT_EQ(history.undoName(), "move");
  history.undo();
  EXPECT_EQ(history.undoName(), "walls 3");
  EXPECT_EQ(history.now()->settings.whole("walls"), 3);
  history.perform(near, true);  // after an undo a drag begins anew
  history.undo();
  EXPECT_EQ(history.now()->settings.whole("walls"), 3);
}

TEST(History, ForgetsTheOldestOverItsBudgetAndSaysSo) {
  History history(projectOf(sphere({0, 0, 20}, 20, 40, 40)), 200'000);
  EXPECT_FALSE(history.hasForgotten());
  for (int i = 0; i < 200; ++i) {
    LayMark lay;
    lay.stroke = BallStroke{{Vec3(50 + 19 * std::cos(0.3 * i), 50 + 19 * std::sin(0.3 * i), 20)}, 3};
    history.perform(lay);
  }
  EXPECT_TRUE(history.hasForgotten());
  EXPECT_LE(history.bytes(), 200'000u);
  EXPECT_EQ(history.steps(), 200u);
  int back = 0;
  for (; !history.undoName().empty(); ++back) history.undo();
  EXPECT_GT(back, 3);
  EXPECT_LT(back, 199);
}

TEST(Report, CallsTreesTrees) {
  const auto structures = [](const char* structure) {
    const ProjectPtr project = projectOf(table(30, 10, 2), {{"support.structure", structure}});
    const nlohmann::json report = reportOf(*build(project), project->settings);
    std::set<std::string> all;
    for (const auto& piece : report["pieces"]) all.insert(piece["structure"].get<std::string>());
    return all;
  };
  EXPECT_EQ(structures("tree"), std::set<std::string>{"tree"});
  EXPECT_EQ(structures("normal"), std::set<std::string>{"normal"});
}

TEST(HeightField, TakesMemoryOnlyWhereSomethingIsPrinted) {
  HeightField field({Vec2(0, 0), Vec2(380, 380)});
  EXPECT_LT(field.bytes(), 1u << 20);
  field.lay({10, 10}, {30, 10}, {0.4, 0, 0.2, Stuff::part});
  EXPECT_LT(field.bytes(), 2u << 20);
  EXPECT_NEAR(static_cast<double>(field.under({20, 10}, 0.2, 0.4).top), 0.2, 1e-6);
  EXPECT_EQ(field.under({200, 200}, 0.2, 0.4).stuff, Stuff::none);
  const HeightField large({Vec2(0, 0), Vec2(1000, 1000)});
  EXPECT_LE(1e6 / (large.cell() * large.cell()), 1.6e7);
}

// Counted by the store: of eight parts that stand far apart one is moved, and nothing of the others is made anew.
TEST(Neighbourhoods, MovingOnePartMakesNothingOfTheOthersAnew) {
  auto project = std::make_shared<Project>(*projectOf(table(12, 6, 2)));
  project->settings.set("machine.width", SettingValue(400.0));
  project->settings.set("machine.depth", SettingValue(400.0));
  const Part part = *project->parts[0];
  project->parts.clear();
  for (int i = 0; i < 8; ++i) {
    Part copy = part;
    copy.placement.position = Vec3(40 + 80 * (i % 4), 60 + 120 * (i / 4), 4);
    project->parts.push_back(std::make_shared<const Part>(std::move(copy)));
  }
  const ProjectPtr eight = std::make_shared<const Project>(withIds(*project));
  Store store;
  buildProject(store, eight, Progress());
  const auto before = store.counts();
  PlacePart move;
  move.part = 3;
  move.position = eight->parts[3]->placement.position + Vec3(3.3, 2.1, 0);
  const BuildPtr moved = buildProject(store, performed(*eight, move), Progress());
  const auto after = store.counts();
  for (const char* recipe : {"placed mesh", "sections", "overhangs", "sites", "decisions", "demand", "obstacles",
                             "support layers", "buried", "stability"})
    EXPECT_EQ(after.at(recipe).made - before.at(recipe).made, 1u) << recipe;
  EXPECT_EQ(after.at("mesh analysis").made, 1u);
  EXPECT_EQ(after.at("shadows").made - before.at("shadows").made, 1u);  // of marks and of clean faces, both none
  const std::size_t columns = after.at("column").made - before.at("column").made;
  EXPECT_GE(columns, 1u);
  EXPECT_LE(columns, moved->demand.size() / 8 + 1);
  EXPECT_LE(after.at("part lines").made - before.at("part lines").made, before.at("part lines").made / 8 + 1);
  // Ten steps back and forth make nothing.
  for (int i = 0; i < 5; ++i) {
    buildProject(store, eight, Progress());
    buildProject(store, performed(*eight, move), Progress());
  }
  for (const auto& [recipe, count] : store.counts()) EXPECT_EQ(count.made, after.at(recipe).made) << recipe;
}

TEST(Names, LastThroughUndoSavingAndRemovingOthers) {
  auto three = std::make_shared<Project>(*projectOf(box({0, 0, 0}, {10, 10, 10})));
  three->parts = {three->parts[0], three->parts[0], three->parts[0]};
  History history(std::make_shared<const Project>(withIds(*three)));
  const PartId last = history.now()->parts[2]->id;
  std::set<PartId> distinct;
  for (const PartPtr& part : history.now()->parts) distinct.insert(part->id);
  EXPECT_EQ(distinct.size(), 3u);
  history.perform(RemovePart{0});
  EXPECT_EQ(history.now()->parts[1]->id, last);
  history.perform(CopyPart{1});
  EXPECT_NE(history.now()->parts[2]->id, last) << "a copy has a name of its own";
  history.undo();
  EXPECT_EQ(history.now()->parts[1]->id, last);
  // Operations take the id, the name or the number.
  Part named = *history.now()->parts[1];
  named.name = "wing";
  auto project = std::make_shared<Project>(*history.now());
  project->parts[1] = std::make_shared<const Part>(named);
  for (const nlohmann::json& part : {nlohmann::json(textOf(last)), nlohmann::json("wing"), nlohmann::json(1)}) {
    const auto lifted = performed(*project, operationFrom({{"do", "place"}, {"part", part}, {"lift", 4}}, *project));
    EXPECT_NEAR(lifted->parts[1]->placement.position.z(), 9, 1e-9) << part;
  }
  EXPECT_THROW(operationFrom({{"do", "place"}, {"part", "tail"}}, *project), Error);
}

}  // namespace
}  // namespace trellis::test
