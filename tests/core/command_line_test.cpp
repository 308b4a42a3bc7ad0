// SPDX-License-Identifier: GPL-3.0-or-later
// Decisions made from the command line, as lists of operations.
#include "core/assess/removal.hpp"
#include "core/base/files.hpp"
#include "core/document/project_file.hpp"
#include "core/mesh/stl.hpp"
#include "core/results/perform_all.hpp"
#include "tests/shapes.hpp"

#include <fmt/format.h>

namespace trellis::test {
namespace {

using testing::HasSubstr;

// A shelf on a wall: its underside, 20 × 20 mm at 12 mm height, reaches from x = 4 to 24.
const MeshPtr shelf = together({box({0, 0, 0}, {4, 20, 14}), box({4, 0, 12}, {24, 20, 14})});

// Every operation of the command line, one after the other, and what came of it.
TEST(CommandLine, PerformsEveryDecision) {
  ScratchFolder folder;
  writeFileAtomically(folder / "shelf.stl", writeStl(*shelf));
  writeFileAtomically(folder / "solid.stl", writeStl(*sphere({0, 0, 0}, 4, 20, 40)));
  // The part is dropped in the middle of the plate, 250 × 210 mm: its box of 24 × 20 mm begins at (113, 95).
  writeFileAtomically(folder / "ops.json", fmt::format(R"([
    {{"do":"mark","as":"enforce","with":"ball","path":[[120,100,12],[124,100,12]],"radius":1,
      "keep_to_overhangs":true,"stop_at_creases":true,"crease":25}},
    {{"do":"mark","as":"block","with":"sight","at":[130,105,12],"eye":[130,105,-80],"radius":1}},
    {{"do":"mark","as":"enforce","with":"face","at":[113,105,5],"crease":15}},
    {{"do":"mark","as":"none","with":"face","at":[113,105,5]}},
    {{"do":"mark","as":"none","with":"site","at":[127,105,12]}},
    {{"do":"mark","as":"enforce","with":"band","from":3,"to":6,"clip":[{{"at":[125,105,0],"normal":[1,0,0]}}]}},
    {{"do":"mark_by_lean","above":80,"as":"enforce"}},
    {{"do":"clear","what":"enforce"}},
    {{"do":"mark","as":"block","with":"ball","at":[125,97,12],"radius":1,"twin":{{"at":[125,105,0],"normal":[0,1,0]}}}},
    {{"do":"clean_face","at":[125,95,13],"crease":10}},
    {{"do":"zone","as":"keep_clear","shape":"mesh","file":"{}","center":[134,98,3],"size":[2,2,2]}},
    {{"do":"zone","as":"enforce","shape":"slab","center":[0,0,12],"size":[1,1,2],"lean":20,
      "set":{{"support.gap.above":0.4}}}},
    {{"do":"copy_zone","zone":0}},
    {{"do":"change_zone","zone":2,"as":"block","center":[134,110,12],"size":[2,2,2],"rotate":[0,0,30]}},
    {{"do":"zone","as":"block","shape":"ball","center":[0,0,0],"size":[1,1,1]}}, {{"do":"remove_zone","zone":3}},
    {{"do":"prop","at":[120,110,12],"width":2.5}}, {{"do":"prop","at":[130,110,12]}},
    {{"do":"change_prop","prop":1,"width":5,"at":[131,110,12],"set":{{"support.body.spacing":0.9}}}},
    {{"do":"remove_prop","prop":0}},
    {{"do":"site","at":[127,105,12],"choice":"enforce","set":{{"support.gap.above":0.3}}}},
    {{"do":"remove","at":[131,110,6],"reach":"column","width":4}}])",
                                                       folder / "solid.stl"));
  const CliRun run = cli("build " + (folder / "shelf.stl") + " --ops " + (folder / "ops.json") + " --project " +
                         (folder / "out.3mf") + " --json");
  ASSERT_EQ(run.code, 0) << run.text;
  const OpenedProject out = readProject(readFile(folder / "out.3mf"), "out.3mf");
  const Part& part = *out.project->parts[0];
  EXPECT_EQ(part.zones.size(), 3u);
  EXPECT_EQ(part.zones[2].as, ZoneAs::block);
  EXPECT_EQ(part.zones[1].settings.size(), 1u);
  EXPECT_TRUE(part.props.empty());  // the column that was removed was the prop's
  EXPECT_EQ(part.sites.size(), 1u);
  EXPECT_FALSE(part.clean->empty());
  EXPECT_EQ(markedArea(*part.mesh, Affine::Identity(), *part.marks, Mark::enforce), 0);
  EXPECT_LT(markedArea(*part.mesh, Affine::Identity(), *part.marks, Mark::block), 30);
  const CliRun sites = cli("sites " + (folder / "out.3mf") + " --json");
  ASSERT_EQ(sites.code, 0);
  const auto json = nlohmann::json::parse(sites.text);
  ASSERT_EQ(json["sites"].size(), 1u);
  EXPECT_EQ(json["sites"][0]["decision"], "enforce");
  EXPECT_NEAR(json["sites"][0]["area_mm2"].get<double>(), 400, 1e-2);
  EXPECT_GT(json["sites"][0]["price"]["g"].get<double>(), 0.1);
  EXPECT_THAT(cli("sites " + (folder / "out.3mf")).text, HasSubstr("400.0"));
}

TEST(CommandLine, SaysWhatDoesNotFitInADecision) {
  const ProjectPtr project = projectOf(shelf);
  const auto refusal = [&](const char* list) -> std::string {
    try {
      performedAll(*std::make_unique<Store>(), *project, nlohmann::json::parse(list), Progress());
      return "accepted";
    } catch (const Error& error) {
      return error.what();
    }
  };
  EXPECT_THAT(refusal(R"([{"do":"mark","as":"enforce","with":"broom","at":[0,0,0]}])"),
              HasSubstr("ball, sight, face, site or band"));
  EXPECT_THAT(refusal(R"([{"do":"zone","as":"shun","shape":"box","center":[0,0,0],"size":[1,1,1]}])"),
              HasSubstr("keep_clear"));
  EXPECT_THAT(refusal(R"([{"do":"zone","as":"block","shape":"box","center":[0,0,0],"size":[0,1,1]}])"),
              HasSubstr("0.1 to 4000 mm"));
  EXPECT_THAT(refusal(R"([{"do":"mark","as":"block","with":"ball","path":[[0,0,0],[1e12,0,0]],"radius":1}])"),
              HasSubstr("4000 mm"));
  EXPECT_THAT(refusal(R"([{"do":"zone","as":"block","shape":"ball","center":[1e200,0,0],"size":[5,5,5]}])"),
              HasSubstr("4000 mm"));
  EXPECT_THAT(refusal(R"([{"do":"prop","at":[0,0,0]}])"), HasSubstr("no surface near"));
  EXPECT_THAT(refusal(R"([{"do":"change_prop","prop":3,"width":2}])"), HasSubstr("no prop 3"));
  EXPECT_THAT(refusal(R"([{"do":"site","at":[60,60,12],"set":{"support.free_lean":30}}])"),
              HasSubstr("gaps, interface"));
  EXPECT_THAT(refusal(R"([{"do":"remove","at":[1,1,1]}])"), HasSubstr("no support at"));
  EXPECT_THAT(refusal(R"([{"do":"remove","at":"there"}])"), HasSubstr("three numbers"));
}

}  // namespace
}  // namespace trellis::test
