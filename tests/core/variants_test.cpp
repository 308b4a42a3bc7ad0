// SPDX-License-Identifier: GPL-3.0-or-later
// Variants and versions of a project.
#include "tests/shapes.hpp"

#include "core/assess/comparison.hpp"
#include "core/document/history.hpp"
#include "core/document/project_file.hpp"

namespace trellis::test {
namespace {

// As the window has it: everything has its id.
ProjectPtr standing(const MeshPtr& mesh) { return std::make_shared<const Project>(withIds(*projectOf(mesh))); }

ProjectPtr withTwo() {
  return after(standing(shelf()), {AddVariant{"loose"}, ChangeSetting{"support.gap.above", 0.3}});
}

VariantId idOf(const Project& project, const std::string& name) {
  if (project.shelf.name == name) return project.shelf.inHand;
  for (const Variant& variant : project.shelf.variants)
    if (variant.name == name) return variant.id;
  return {};
}

TEST(Variants, BeginAsACopyAndAreTakenInHand) {
  const ProjectPtr project = withTwo();
  ASSERT_EQ(variantsOf(project).size(), 2u);
  EXPECT_EQ(project->shelf.name, "loose");
  EXPECT_EQ(project->settings.number("support.gap.above"), 0.3);
  const ProjectPtr back = performed(*project, TakeVariant{idOf(*project, "first")});
  EXPECT_EQ(back->settings.number("support.gap.above"), 0.2);
  EXPECT_EQ(back->shelf.name, "first");
  const ProjectPtr again = performed(*back, TakeVariant{idOf(*back, "loose")});
  EXPECT_EQ(again->settings.number("support.gap.above"), 0.3);
  EXPECT_EQ(variantsOf(again).size(), 2u);
}

TEST(Variants, APinStaysAsItWas) {
  ProjectPtr project = after(standing(shelf()), {AddVariant{"pin 1", false}, ChangeSetting{"support.on", false}});
  EXPECT_FALSE(project->settings.yes("support.on"));
  ASSERT_EQ(project->shelf.variants.size(), 1u);
  EXPECT_TRUE(project->shelf.variants[0].project->settings.yes("support.on"));
  EXPECT_EQ(project->shelf.variants[0].name, "pin 1");
}

TEST(Variants, AreRenamedRemovedAndUndone) {
  History history(withTwo());
  history.perform(RenameVariant{idOf(*history.now(), "loose"), "wide"});
  EXPECT_EQ(history.now()->shelf.name, "wide");
  history.perform(RemoveVariant{idOf(*history.now(), "wide")});  // the one in hand: the other is taken
  EXPECT_EQ(history.now()->shelf.name, "first");
  EXPECT_TRUE(history.now()->shelf.variants.empty());
  EXPECT_THROW(history.perform(RemoveVariant{history.now()->shelf.inHand}), Error);
  history.undo();
  EXPECT_EQ(history.now()->shelf.name, "wide");
  EXPECT_EQ(history.now()->shelf.variants.size(), 1u);
}

TEST(Variants, GiveDecisionsOver) {
  ProjectPtr project = standing(shelf());
  const Vec3 under = onPlate(*project, {14, 10, 12});
  project = after(project, {AddVariant{"blocked"}, LayMark{0, Mark::block, FaceStroke{under}},
                            ChangeSetting{"support.gap.above", 0.3}, ChangeSetting{"support.gap.beside", 0.9}});
  const VariantId from = project->shelf.inHand;
  project = performed(*project, TakeVariant{idOf(*project, "first")});
  EXPECT_TRUE(project->parts[0]->marks->empty());
  const ProjectPtr one = performed(*project, TakeOver{from, {}, {}, "support.gap.above"});
  EXPECT_EQ(one->settings.number("support.gap.above"), 0.3);
  EXPECT_NE(one->settings.number("support.gap.beside"), 0.9);
  EXPECT_TRUE(one->parts[0]->marks->empty());
  const ProjectPtr marks = performed(*project, TakeOver{from, project->parts[0]->id, Clearing::block});
  EXPECT_FALSE(marks->parts[0]->marks->empty());
  EXPECT_NE(marks->settings.number("support.gap.above"), 0.3);
  const ProjectPtr all = performed(*project, TakeOver{from});
  EXPECT_EQ(all->settings.number("support.gap.beside"), 0.9);
  EXPECT_EQ(all->shelf.name, "first");
  EXPECT_THROW(performed(*project, TakeOver{VariantId{999}}), Error);
  EXPECT_THROW(performed(*project, TakeOver{from, PartId{999}}), Error);
}

TEST(Variants, AreKeptInFilesOnceEach) {
  ProjectPtr project = standing(sphere({0, 0, 12}, 10, 60, 90));
  const std::size_t alone = packProject(*project).size();
  for (int k = 0; k < 5; ++k)
    project =
        after(project, {AddVariant{"way " + std::to_string(k)}, ChangeSetting{"support.gap.above", 0.2 + 0.02 * k}});
  project = performed(*project, KeepVersion{"2026-11-28", "sphere.gcode"});
  const std::string bytes = packProject(*project);
  EXPECT_LT(static_cast<double>(bytes.size()), 1.5 * static_cast<double>(alone));
  const ProjectPtr read = readProject(bytes, "six.3mf").project;
  ASSERT_EQ(variantsOf(read).size(), 6u);
  for (std::size_t i = 0; i < 6; ++i) {
    EXPECT_EQ(variantsOf(read)[i].name, variantsOf(project)[i].name);
    EXPECT_EQ(variantsOf(read)[i].id, variantsOf(project)[i].id);
    EXPECT_EQ(codeOf(variantsOf(read)[i].project), codeOf(variantsOf(project)[i].project));
  }
  ASSERT_EQ(read->shelf.versions.size(), 1u);
  EXPECT_EQ(read->shelf.versions[0].code, codeOf(project));
  EXPECT_TRUE(packProject(*read) == bytes);
}

TEST(Versions, BearACodeOfWhatIsPrinted) {
  const ProjectPtr project = standing(shelf());
  const std::string code = codeOf(project);
  EXPECT_EQ(code.size(), 6u);
  EXPECT_EQ(code.find_first_of("IOQ0123456789"), std::string::npos);
  EXPECT_EQ(codeOf(performed(*project, AddVariant{"other"})), code);
  EXPECT_EQ(codeOf(performed(*project, KeepVersion{"2026-11-28"})), code);
  EXPECT_NE(codeOf(performed(*project, ChangeSetting{"support.gap.above", 0.21})), code);
  EXPECT_NE(gcodeOf(project).find("; @version code=" + code + "\n"), std::string::npos);
  EXPECT_LT(gcodeOf(project).find("; @version code=" + code), 60u);
}

TEST(Versions, AreRestoredAndNotUndone) {
  History history(standing(shelf()));
  history.perform(ChangeSetting{"support.gap.above", 0.22});
  history.perform(KeepVersion{"2026-11-28"});
  history.perform(ChangeSetting{"support.gap.above", 0.3});
  history.perform(RestoreVersion{1});
  EXPECT_EQ(history.now()->settings.number("support.gap.above"), 0.22);
  for (int k = 0; k < 4; ++k) history.undo();
  EXPECT_EQ(history.now()->settings.number("support.gap.above"), 0.2);
  EXPECT_EQ(history.now()->shelf.versions.size(), 1u);  // what was printed was printed
  history.perform(KeepVersion{"2026-11-29"});
  history.perform(KeepVersion{"2026-11-30"});  // the same again
  ASSERT_EQ(history.now()->shelf.versions.size(), 2u);
  EXPECT_EQ(history.now()->shelf.versions[1].number, 2u);
  EXPECT_EQ(history.now()->shelf.versions[1].date, "2026-11-30");
  EXPECT_THROW(history.perform(RestoreVersion{9}), Error);
}

TEST(Variants, ShareWhatIsTheSameInTheStore) {
  const ProjectPtr plain = standing(threeCeilings());
  Store store;
  const BuildPtr first = buildProject(store, plain, Progress());
  const auto before = store.counts();
  const Vec3 under = first->parts[0].sites->list[0].at;
  const ProjectPtr other = after(plain, {AddVariant{"one less"}, DecideSite{0, under, Choice::block}});
  const BuildPtr second = buildProject(store, other, Progress());
  const auto now = store.counts();
  EXPECT_EQ(now.at("sections").made, before.at("sections").made);
  EXPECT_EQ(now.at("overhangs").made, before.at("overhangs").made);
  EXPECT_EQ(now.at("column").made, before.at("column").made);  // the others are as they were
  EXPECT_LT(second->columns.size(), first->columns.size());
  // Equal variants are one build.
  EXPECT_EQ(buildProject(store, variantsOf(other)[0].project, Progress()), first);
}

// Against two builds of their own.
TEST(Comparison, TellsWhatIsOtherwise) {
  const ProjectPtr plain = standing(threeCeilings());
  const BuildPtr before = build(plain);
  const Site& site = before->parts[0].sites->list[1];
  const ProjectPtr other =
      after(plain, {DecideSite{0, site.at, Choice::block}, ChangeSetting{"support.gap.above", 0.24}});
  const BuildPtr now = build(other);
  EXPECT_THAT(differencesInWords(*plain, *other),
              testing::UnorderedElementsAre(testing::HasSubstr("gap above 0.2 → 0.24 mm"),
                                            testing::HasSubstr("part: sites blocked 0 → 1")));
  const std::vector<ChangedPlace> places = changedPlaces(*plain, *before, *other, *now);
  ASSERT_FALSE(places.empty());
  EXPECT_FALSE(places[0].gained());
  EXPECT_EQ(places[0].now, 0);
  EXPECT_LT((places[0].at - site.at).norm(), 1e-6);
  double lost = 0;
  for (const ChangedPlace& place : places) lost += place.now - place.before;
  const VariantFigures a = figuresOf(plain->settings, *before), b = figuresOf(other->settings, *now);
  EXPECT_NEAR(lost, (b.body + b.interface) - (a.body + a.interface), 0.03);
  EXPECT_NEAR(a.all, a.part + a.body + a.interface + a.rest, 1e-9);
  const nlohmann::json table = comparisonOf({{"plain", plain, before}, {"other", other, now}});
  EXPECT_EQ(table["variants"].size(), 2u);
  EXPECT_NEAR(table["variants"][1]["figures"]["time_min"].get<double>(), now->tally.seconds / 60, 1e-3);
  EXPECT_EQ(differencesInWords(*plain, *plain).size(), 0u);
  EXPECT_TRUE(changedPlaces(*plain, *before, *plain, *before).empty());
}

// Turned the other way, a site is still the same place of the mesh.
TEST(Comparison, KnowsSitesOfATurnedPart) {
  const ProjectPtr plain = standing(shelf());
  PlacePart turn;
  turn.turn = Vec3(0, 0, 90);
  const ProjectPtr turned = performed(*plain, turn);
  const std::vector<ChangedPlace> places = changedPlaces(*plain, *build(plain), *turned, *build(turned));
  for (const ChangedPlace& place : places) EXPECT_LT(std::abs(place.now - place.before), 0.1) << place.name;
}

TEST(Copies, AreNumbered) {
  const ProjectPtr three = after(standing(shelf()), {CopyPart{0}, CopyPart{0}});
  const std::string base = standing(shelf())->parts[0]->name;
  EXPECT_EQ(three->parts[0]->name, base + " 1");
  EXPECT_EQ(three->parts[1]->name, base + " 2");
  EXPECT_EQ(three->parts[2]->name, base + " 3");
}

}  // namespace
}  // namespace trellis::test
