// SPDX-License-Identifier: GPL-3.0-or-later
// Ladders, fragments, bench notes and what follows from them.
#include "tests/package_mesh.hpp"
#include "tests/shapes.hpp"

#include "core/base/files.hpp"
#include "core/geometry/lettering.hpp"
#include "core/learn/fragment.hpp"
#include "core/learn/ladder.hpp"
#include "core/learn/learnt.hpp"
#include "core/learn/print_recipe.hpp"

#include <filesystem>

namespace trellis::test {
namespace {

TEST(Lettering, StandsAsHighAsAsked) {
  const Polygons zero = lettered("0", 4), eight = lettered("8", 4), wide = lettered("0.18", 4);
  EXPECT_NEAR(boundsOf(lettered("1", 4)).sizes().y(), 4, 0.15);
  EXPECT_EQ(zero.size(), 2u);   // one counter
  EXPECT_EQ(eight.size(), 3u);  // two
  EXPECT_GT(boundsOf(wide).sizes().x(), 2 * boundsOf(zero).sizes().x());
  EXPECT_GT(area(zero), 0);
  EXPECT_TRUE(lettered("", 4).empty());
}

TEST(Ladder, HasTheRungsAskedFor) {
  EXPECT_THAT(rungsOf({LadderKind::gapAbove, 0.18, 0.24, 0.02}), testing::ElementsAre(0.18, 0.2, 0.22, 0.24));
  EXPECT_THAT(rungsOf({LadderKind::lean, 20, 80, 20}), testing::ElementsAre(20, 40, 60, 80));
  EXPECT_THROW(rungsOf({LadderKind::gapAbove, 0.2, 0.1, 0.02}), Error);
  EXPECT_THROW(rungsOf({LadderKind::gapAbove, 0.1, 0.2, 0}), Error);
  EXPECT_THROW(rungsOf({LadderKind::gapAbove, 0.1, 0.9, 0.001}), Error);
  EXPECT_THROW(rungsOf({LadderKind::lean, 20, 120, 10}), Error);
  EXPECT_EQ(figureOf({LadderKind::gapAbove}, 0.2), "0.20");
  EXPECT_EQ(figureOf({LadderKind::gapAbove}, 0.225), "0.225");
  EXPECT_EQ(figureOf({LadderKind::lean}, 45), "45");
}

class LadderKinds : public testing::TestWithParam<std::tuple<LadderKind, Ceiling>> {};

TEST_P(LadderKinds, AreSoundPartsThatPrint) {
  const auto [kind, ceiling] = GetParam();
  LadderSpec spec = usualLadder(kind);
  spec.ceiling = ceiling;
  const Settings settings;
  const std::vector<PartPtr> parts = ladderParts(spec, settings);
  ASSERT_EQ(parts.size(), rungsOf(spec).size());
  Project project;
  const ProjectPtr laid = performed(project, AddParts{parts});
  for (const PartPtr& part : laid->parts) {
    const MeshFigures figures = inspect(*part->mesh);
    EXPECT_EQ(figures.openEdges, 0u) << part->name;
    EXPECT_EQ(figures.flippedFacets, 0u) << part->name;
    EXPECT_EQ(figures.shells, 1u) << part->name;
    EXPECT_GE(placedBounds(part->placement, *part->mesh).min().z(), -1e-6);
  }
  EXPECT_EQ(ladderIn(*laid)->kind, kind);
  EXPECT_NEAR(ladderIn(*laid)->step, spec.step, 1e-6);
  const BuildPtr built = build(laid);
  for (const Finding& finding : built->findings) EXPECT_NE(finding.severity, Severity::problem) << finding.message;
  if (kind == LadderKind::gapAbove && ceiling == Ceiling::flat) {
    EXPECT_LT(built->tally.seconds, 25 * 60);
  }
}

INSTANTIATE_TEST_SUITE_P(
    All, LadderKinds,
    testing::Values(std::tuple(LadderKind::gapAbove, Ceiling::flat), std::tuple(LadderKind::gapAbove, Ceiling::sloping),
                    std::tuple(LadderKind::gapAbove, Ceiling::tips), std::tuple(LadderKind::gapBelow, Ceiling::flat),
                    std::tuple(LadderKind::gapBeside, Ceiling::flat), std::tuple(LadderKind::spacing, Ceiling::flat),
                    std::tuple(LadderKind::lean, Ceiling::flat), std::tuple(LadderKind::bridge, Ceiling::flat),
                    std::tuple(LadderKind::column, Ceiling::flat)),
    [](const auto& given) { return std::string(nameOf(std::get<0>(given.param))) + nameOf(std::get<1>(given.param)); });

TEST(Ladder, ThatDoesNotFitThePlateIsRefused) {
  Settings small;
  small.set("machine.width", 60.0);
  small.set("machine.depth", 60.0);
  EXPECT_THROW(ladderParts({LadderKind::gapAbove, 0.05, 0.5, 0.02}, small), Error);
}

TEST(Fragment, IsClosedAndKeepsItsMarks) {
  ProjectPtr project = projectOf(shelf());
  project = performed(*project, LayMark{0, Mark::enforce, FaceStroke{onPlate(*project, {14, 10, 12})}});
  const Vec3 low = onPlate(*project, {6, 2, 2}), high = onPlate(*project, {20, 18, 30});
  const Part fragment = fragmentOf(*project->parts[0], {low, high}, Progress());
  const MeshFigures figures = inspect(*fragment.mesh);
  EXPECT_EQ(figures.openEdges, 0u);
  const Affine placed = transformOf(fragment.placement, *fragment.mesh);
  EXPECT_NEAR(markedArea(*fragment.mesh, placed, *fragment.marks, Mark::enforce), 14 * 16, 0.02 * 14 * 16);
  EXPECT_NEAR(placedBounds(fragment.placement, *fragment.mesh).min().z(), 0, 1e-6);
}

TEST(Fragment, MissedOrCutInTwoIsRefused) {
  const ProjectPtr project =
      projectOf(blocks({0, 5, 20, 25}, {0, 10}, {0, 3, 20}, [](int x, int, int z) { return z == 0 || x != 1; }));
  const auto cut = [&](const Vec3& low, const Vec3& high) {
    fragmentOf(*project->parts[0], {onPlate(*project, low), onPlate(*project, high)}, Progress());
  };
  EXPECT_THROW(cut({40, 40, 0}, {50, 50, 10}), Error);
  EXPECT_THROW(cut({-1, -1, 5}, {26, 11, 10}), Error);
  EXPECT_NO_THROW(cut({-1, -1, 1}, {26, 11, 10}));
}

BenchNote ladderNote() {
  BenchNote note{"K7RMRA", "2026-11-28", "bench", "plain", "usual", "snail.3mf"};
  note.ladder = usualLadder(LadderKind::gapAbove);
  const std::tuple<double, CameOff, Scar> rungs[] = {{0.18, CameOff::pliers, Scar::smooth},
                                                     {0.2, CameOff::byHand, Scar::striped},
                                                     {0.22, CameOff::byHand, Scar::smooth},
                                                     {0.24, CameOff::byHand, Scar::rough}};
  for (const auto& [figure, came, left] : rungs) {
    Outcome outcome{"gap above " + figureOf(*note.ladder, figure), figure};
    outcome.came = came;
    outcome.underside = left;
    note.outcomes.push_back(outcome);
  }
  return note;
}

TEST(BenchNotes, ComeBackAsTheyWere) {
  const ScratchFolder folder;
  BenchNote note = ladderNote();
  note.failures.push_back({FailureKind::cameOffPlate, 12.5});
  note.seconds = 1200;
  note.expectedSeconds = 1000;
  note.text = "stringy";
  note.learnt.push_back({"support.gap.above", 0.22});
  {
    BenchNotes notes(folder / "notes");
    note.pictures.push_back(notes.takePicture(note, "\x89PNG\r\n", "photo.png"));
    notes.keep(note);
  }
  const BenchNotes again(folder / "notes");
  ASSERT_EQ(again.all().size(), 1u);
  EXPECT_EQ(toJson(again.all()[0]), toJson(note));
  EXPECT_TRUE(again.damaged().empty());
  // To another home folder.
  again.writeTo(folder / "notes.zip", "bench", "plain");
  BenchNotes other(folder / "elsewhere");
  EXPECT_EQ(other.takeFrom(folder / "notes.zip"), 1u);
  EXPECT_EQ(other.takeFrom(folder / "notes.zip"), 0u);
  EXPECT_EQ(toJson(other.all()[0]), toJson(note));
  EXPECT_TRUE(std::filesystem::exists(other.folderOf(note) / other.all()[0].pictures[0]));
  EXPECT_THROW(again.writeTo(folder / "none.zip", "bench", "other"), Error);
}

TEST(BenchNotes, DamagedNewerAndHugeOnesAreSaidAndTheRestGoesOn) {
  const ScratchFolder folder;
  BenchNotes notes(folder / "notes");
  notes.keep(ladderNote());
  const std::filesystem::path place = notes.folderOf(ladderNote());
  writeFileAtomically(place / "broken.json", "{\"meek-trellis-note\": 1, ");
  writeFileAtomically(place / "newer.json", "{\"meek-trellis-note\": 99}");
  writeFileAtomically(place / "huge.json", std::string(2 << 20, ' '));
  writeFileAtomically(place / "escape.json",
                      R"({"meek-trellis-note":1,"version":"A","outcomes":[],"pictures":["../../secret.png"]})");
  const BenchNotes read(folder / "notes");
  EXPECT_EQ(read.all().size(), 1u);
  EXPECT_EQ(read.damaged().size(), 4u);
  EXPECT_THROW(notes.takePicture(ladderNote(), "not a picture", "x.png"), Error);
  EXPECT_THROW(notes.takePicture(ladderNote(), "\x89PNG" + std::string(BenchNotes::largestPicture, ' '), "x.png"),
               Error);
  EXPECT_THROW(notes.takeFrom(folder / "missing.zip"), Error);
}

TEST(Learnt, TheBestRungIsTheSmoothestThatComesOffByHand) {
  EXPECT_EQ(bestRung(ladderNote()), 0.22);
  BenchNote stuck = ladderNote();
  for (Outcome& outcome : stuck.outcomes) outcome.came = CameOff::stayed;
  EXPECT_EQ(bestRung(stuck), std::nullopt);
  BenchNote lean{"AAAAAA", "2026-11-28", "bench", "plain", "usual", ""};
  lean.ladder = usualLadder(LadderKind::lean);
  for (const double degrees : {40.0, 50.0, 60.0}) {
    Outcome outcome{"lean", degrees};
    outcome.underside = degrees > 55 ? Scar::rough : Scar::smooth;
    lean.outcomes.push_back(outcome);
  }
  EXPECT_EQ(bestRung(lean), 50);
  EXPECT_EQ(settingLearnt(LadderKind::lean), "support.free_lean");
}

TEST(Learnt, SaysWhereAFigureComesFrom) {
  BenchNote note = ladderNote();
  note.learnt.push_back({"support.gap.above", 0.22});
  const auto from = learntFrom({note}, "support.gap.above", 0.22);
  ASSERT_TRUE(from);
  EXPECT_EQ(wordsOf(*from), "learnt on 28 November from ladder K7RMRA");
  EXPECT_FALSE(learntFrom({note}, "support.gap.above", 0.2));
}

// By hand: ratios 1.1, 1.2 and 1.0 have the mean 1.1 and, by n − 1, the deviation 0.1.
TEST(Learnt, HoursAreCorrectedByTwoPrintsOrMore) {
  const auto note = [](double real, double expected) {
    BenchNote one = ladderNote();
    one.seconds = real;
    one.expectedSeconds = expected;
    return one;
  };
  EXPECT_FALSE(timeCorrection({note(11, 10)}));
  const auto correction = timeCorrection({note(1100, 1000), note(2400, 2000), note(500, 500)});
  ASSERT_TRUE(correction);
  EXPECT_NEAR(correction->factor, 1.1, 1e-9);
  EXPECT_NEAR(correction->spread, 0.1, 1e-9);
  EXPECT_EQ(correction->prints, 3u);
}

// k = Σ(r·e) ÷ Σ(e²), from the normal equation of Σ(r − k·e)²; here
// (10·12 + 20·22 + 30·40 + 40·44 + 50·60) ÷ 5500.
TEST(Learnt, RemovalIsRefittedFromFiveNotes) {
  std::vector<BenchNote> notes;
  const std::pair<double, double> pairs[] = {{10, 12}, {20, 22}, {30, 40}, {40, 44}, {50, 60}};
  for (const auto& [expected, real] : pairs) {
    EXPECT_FALSE(removalFactor(notes));
    BenchNote note = ladderNote();
    note.expectedRemoval = expected;
    note.removal = real;
    notes.push_back(note);
  }
  ASSERT_TRUE(removalFactor(notes));
  EXPECT_NEAR(*removalFactor(notes), (10 * 12 + 20 * 22 + 30 * 40 + 40 * 44 + 50 * 60) / 5500.0, 1e-12);
}

TEST(PrintRecipe, MakesAnotherProjectPrintTheSameWay) {
  ProjectPtr giver = projectOf(shelf(), {{"support.gap.above", 0.26}, {"support.structure", "tree"}});
  for (const KeptSet& set : shippedSets())
    if (set.kind == SetKind::filament) giver = performed(*giver, ChooseSet{set});  // the last of them
  const nlohmann::json json = toJson(recipeOf(*giver, "club"));
  const PrintRecipe recipe = recipeFromJson(nlohmann::json::parse(json.dump()), "club.json");
  ProjectPtr taker = projectOf(threeCeilings(), {{"support.gap.beside", 0.9}});
  const MeshPtr mesh = taker->parts[0]->mesh;
  taker = after(taker, stepsOf(recipe));
  EXPECT_EQ(taker->settings, giver->settings);
  EXPECT_EQ(taker->sets, giver->sets);
  EXPECT_EQ(taker->parts[0]->mesh, mesh);
  EXPECT_THROW(recipeFromJson({{"meek-trellis-recipe", 9}}, "x"), Error);
  EXPECT_THROW(recipeFromJson({{"name", "x"}}, "x"), Error);
}

}  // namespace
}  // namespace trellis::test
