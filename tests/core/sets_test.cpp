// SPDX-License-Identifier: GPL-3.0-or-later
// Machines, filaments and prints: what a choice brings along, what stays, and how they are kept.
#include "core/base/files.hpp"
#include "core/document/project_file.hpp"
#include "core/document/set_library.hpp"
#include "core/mesh/stl.hpp"
#include "core/settings/rules.hpp"
#include "core/settings/text_fields.hpp"
#include "tests/shapes.hpp"

#include <filesystem>
#include <set>

namespace trellis::test {
namespace {

using testing::Contains;
using testing::HasSubstr;

KeptSet shipped(SetKind kind, std::string_view name) {
  for (const KeptSet& set : shippedSets())
    if (set.kind == kind && set.name == name) return set;
  throw Error("no such set");
}

TEST(ShippedSets, AreThreeMachinesSixFilamentsThreePrintsAllWithinTheTable) {
  std::map<SetKind, int> count;
  for (const KeptSet& set : shippedSets()) {
    ++count[set.kind];
    EXPECT_EQ(setFromJson(toJson(set), set.name), set);
  }
  EXPECT_EQ(count, (std::map<SetKind, int>{{SetKind::machine, 3}, {SetKind::filament, 6}, {SetKind::print, 3}}));
  EXPECT_EQ(usualSettings(ChosenSets()), Settings()) << "the first of each are the table";
}

TEST(ChosenSets, EverySettingBelongsToOneOfThem) {
  EXPECT_EQ(kindOf("machine.width"), SetKind::machine);
  EXPECT_EQ(kindOf("retract.length"), SetKind::machine);
  EXPECT_EQ(kindOf("filament2.price"), SetKind::filament);
  EXPECT_EQ(kindOf("support.gap.above"), SetKind::print);
  EXPECT_TRUE(mayHold(SetKind::filament, "support.gap.above"));
  EXPECT_FALSE(mayHold(SetKind::filament, "support.body.spacing"));
}

TEST(ChoosingASet, BringsItsFiguresAndKeepsWhatTheProjectSetItself) {
  ProjectPtr project = projectOf(box({0, 0, 0}, {10, 10, 4}), {{"support.gap.above", 0.31}});
  const KeptSet still = shipped(SetKind::filament, "Still Air");
  project = performed(*project, ChooseSet{still});
  EXPECT_EQ(project->settings.number("filament.fan.most"), 0);
  EXPECT_EQ(project->settings.number("support.free_lean"), 38);
  EXPECT_EQ(project->settings.number("support.gap.below"), 0.22);
  EXPECT_EQ(project->settings.number("support.gap.above"), 0.31) << "its own";
  EXPECT_EQ(project->settings.text("filament.name"), "Still Air");
  EXPECT_EQ(unusualKeys(project->settings, project->sets), std::vector<std::string>{"support.gap.above"});
  project = performed(*project, ChooseSet{shipped(SetKind::filament, "Potting PLA")});
  EXPECT_EQ(project->settings.number("support.free_lean"), 45);
  project = performed(*project, ResetSetting{"support.gap.above"});
  EXPECT_EQ(project->settings, Settings());
}

TEST(ChoosingASet, TheMoreCarefulOfMachineAndFilamentSaysHowFarItMayLean) {
  ChosenSets sets;
  sets.machine = shipped(SetKind::machine, "Cold Frame Mini");
  EXPECT_EQ(std::get<double>(usualValue(sets, "support.free_lean")), 40);
  EXPECT_EQ(motionRules(usualSettings(sets)).fanMost, 0) << "it has no fan";
  sets.filament = shipped(SetKind::filament, "Still Air");
  EXPECT_EQ(std::get<double>(usualValue(sets, "support.free_lean")), 38);
}

TEST(UnusualKeys, NameSwitchesThatWereLeftOnFirst) {
  Settings settings;
  settings.set("layer.height", 0.1);
  settings.set("support.footing", std::string("plate"));
  EXPECT_EQ(unusualKeys(settings, {}), (std::vector<std::string>{"support.footing", "layer.height"}));
}

TEST(Project, CarriesCopiesOfItsSets) {
  ProjectPtr project = projectOf(box({0, 0, 0}, {10, 10, 4}));
  KeptSet own = shipped(SetKind::machine, "Orangery Two");
  own.name = "Own bench";
  own.values["machine.acceleration"] = 2222.0;
  project = performed(*project, ChooseSet{own});
  const OpenedProject again = readProject(packProject(*project), "own.3mf");
  EXPECT_EQ(again.project->sets, project->sets);
  EXPECT_EQ(again.project->settings, project->settings);
  EXPECT_FALSE(again.fromNewerVersion);
}

class Library : public testing::Test {
 protected:
  ScratchFolder scratch;
  SetLibrary library{scratch / "sets"};
  KeptSet mine{SetKind::filament, "My \"spool\"/1", {{"filament.price", 30.0}, {"support.free_lean", 50.0}}};
};

TEST_F(Library, KeepsRenamesAndRemoves) {
  library.keep(mine);
  EXPECT_EQ(library.named(SetKind::filament, mine.name), mine);
  EXPECT_EQ(SetLibrary(scratch / "sets").named(SetKind::filament, mine.name), mine) << "on disk";
  library.rename(SetKind::filament, mine.name, "Other");
  EXPECT_FALSE(library.isKept(SetKind::filament, mine.name));
  EXPECT_EQ(library.named(SetKind::filament, "Other").values, mine.values);
  EXPECT_THROW(library.rename(SetKind::filament, "Other", "Potting PLA"), Error) << "a name that is taken";
  library.remove(SetKind::filament, "Other");
  EXPECT_THROW(library.named(SetKind::filament, "Other"), Error);
  EXPECT_THROW(library.remove(SetKind::filament, "Potting PLA"), Error) << "it ships";
}

TEST_F(Library, OneThatShipsMayBeKeptOtherwiseAndComesBack) {
  library.keep({SetKind::filament, "Potting PLA", {{"filament.price", 19.0}}});
  EXPECT_EQ(library.all(SetKind::filament).size(), 6u);
  EXPECT_EQ(library.named(SetKind::filament, "Potting PLA").values.size(), 1u);
  EXPECT_TRUE(library.isOtherwise({SetKind::filament, "Potting PLA", {}}));
  library.remove(SetKind::filament, "Potting PLA");
  EXPECT_TRUE(library.named(SetKind::filament, "Potting PLA").values.empty());
}

TEST_F(Library, RemembersWhatWasUsedLast) {
  library.keep(mine);
  ChosenSets chosen;
  chosen.filament = mine;
  library.remember(chosen);
  EXPECT_EQ(SetLibrary(scratch / "sets").lastUsed(), chosen);
  library.remove(SetKind::filament, mine.name);
  EXPECT_EQ(SetLibrary(scratch / "sets").lastUsed(), ChosenSets()) << "what is gone is not used";
}

// Every bad file is named in a sentence, and nothing of what is kept is overwritten.
TEST_F(Library, RefusesBadFiles) {
  library.keep(mine);
  const auto refused = [&](const std::string& text) {
    writeFileAtomically(scratch / "bad.json", text);
    try {
      library.take(scratch / "bad.json");
    } catch (const Error& error) {
      return std::string(error.what());
    }
    return std::string("taken");
  };
  EXPECT_THAT(refused("{"), HasSubstr("bad.json"));
  EXPECT_THAT(refused("[]"), HasSubstr("bad.json"));
  EXPECT_THAT(refused(R"({"kind":"oven","name":"x"})"), HasSubstr("oven"));
  EXPECT_THAT(refused(R"({"kind":"filament","name":""})"), HasSubstr("name"));
  EXPECT_THAT(refused(R"({"meek-trellis-set":9,"kind":"filament","name":"x"})"), HasSubstr("newer"));
  EXPECT_THAT(refused(R"({"kind":"filament","name":"x","settings":{"filament.price":-1}})"),
              HasSubstr("filament.price"));
  EXPECT_THAT(refused(R"({"kind":"filament","name":"x","settings":{"filament.diameter":0}})"), HasSubstr("0.5"));
  EXPECT_THAT(refused(R"({"kind":"filament","name":"x","settings":{"walls":3}})"), HasSubstr("walls"));
  EXPECT_THAT(refused(R"({"kind":"filament","name":"x","settings":{"unheard":3}})"), HasSubstr("unheard"));
  EXPECT_THAT(refused(R"({"kind":"machine","name":"x","settings":{"machine.start":"M140 S{moon}"}})"),
              testing::AllOf(HasSubstr("bad.json"), HasSubstr("machine.start"), HasSubstr("{moon}")));
  nlohmann::json other = toJson(mine);
  other["settings"]["filament.price"] = 99;
  EXPECT_THAT(refused(other.dump()), HasSubstr("other figures"));
  EXPECT_EQ(library.named(SetKind::filament, mine.name), mine);
}

// Each field that a set's texts may have is one that the writer fills in, and the other way round.
TEST(TextFields, AreThoseThatAreFilledIn) {
  const GcodeRules rules = gcodeRules(Settings(), 10, {});
  EXPECT_EQ(rules.values.size(), textFields.size());
  for (const std::string_view field : textFields) EXPECT_TRUE(rules.values.contains(std::string(field))) << field;
}

TEST_F(Library, LeavesOutDamagedFilesAndNamesThem) {
  library.keep(mine);
  writeFileAtomically(scratch / "sets/zz.json", "nonsense");
  writeFileAtomically(scratch / "sets/zzz.json", toJson(mine).dump());
  const SetLibrary again(scratch / "sets");
  EXPECT_EQ(again.all(SetKind::filament).size(), 7u);
  ASSERT_EQ(again.damaged().size(), 2u);
  EXPECT_THAT(again.damaged()[0], HasSubstr("zz.json"));
  EXPECT_THAT(again.damaged()[1], HasSubstr(mine.name));
}

TEST(CommandLine, ListsSetsAndBuildsWithThem) {
  const ScratchFolder scratch;
  ::setenv("XDG_DATA_HOME", (scratch / "data").c_str(), 1);
  SetLibrary().keep({SetKind::machine, "Own bench", {{"machine.acceleration", 400.0}}});
  EXPECT_THAT(cli("sets").text, HasSubstr("Own bench"));
  EXPECT_EQ(nlohmann::json::parse(cli("sets --json").text)["sets"].size(), 13u);
  writeFileAtomically(scratch / "box.stl", writeStl(*box({0, 0, 0}, {20, 20, 8})));
  const auto seconds = [&](const std::string& with) {
    return nlohmann::json::parse(cli("build " + (scratch / "box.stl") + with + " --json").text)["time_s"].get<double>();
  };
  EXPECT_GT(seconds(" --machine 'Own bench'"), 1.05 * seconds(""));
  const CliRun wrong = cli("build " + (scratch / "box.stl") + " --filament Nobody");
  EXPECT_EQ(wrong.code, 1);
  EXPECT_THAT(wrong.text, HasSubstr("Potting PLA"));
  ::unsetenv("XDG_DATA_HOME");
}

}  // namespace
}  // namespace trellis::test
