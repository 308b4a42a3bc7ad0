// SPDX-License-Identifier: GPL-3.0-or-later
// Everything that is read has its range, sums and products too; what is beyond is refused in a sentence with the
// figure.
#include "core/document/bounds.hpp"
#include "core/base/archive.hpp"
#include "core/base/files.hpp"
#include "core/document/decisions_json.hpp"
#include "core/document/marks_file.hpp"
#include "core/document/project_file.hpp"
#include "core/results/estimate.hpp"
#include "core/results/part_recipes.hpp"
#include "tests/shapes.hpp"

#include <sys/stat.h>

namespace trellis::test {
namespace {

using nlohmann::json;
using testing::HasSubstr;

ProjectPtr cube() { return projectOf(box({0, 0, 0}, {10, 10, 10})); }

std::string refusalOf(const json& operation, const ProjectPtr& project = cube()) {
  try {
    performed(*project, operationFrom(operation, *project));
  } catch (const Error& error) {
    return error.what();
  }
  return "accepted";
}

TEST(Bounds, OperationsRefuseWhatIsTooFarTooLargeOrNoNumber) {
  const struct {
    json operation;
    const char* says;
  } cases[] = {
      {{{"do", "place"}, {"position", {0, 0, 1e5}}}, "10 m"},
      {{{"do", "place"}, {"position", {0, 0, -20'000}}}, "10 m"},
      {{{"do", "place"}, {"position", {1e20, 0, 0}}}, "10 m"},
      {{{"do", "place"}, {"scale", {1e308, 1, 1}}}, "100000 %"},
      {{{"do", "place"}, {"scale", {1e-320, 1, 1}}}, "0.1 %"},
      {{{"do", "place"}, {"scale", {2000, 2000, 2000}}}, "100000 %"},
      {{{"do", "place"}, {"scale", {1000, 1000, 1000}}}, "accepted"},  // ten metres
      {{{"do", "place"}, {"size", {20'000, 0, 0}}}, "100000 %"},
      {{{"do", "place"}, {"lift", 1e5}}, "lifted"},
      {{{"do", "place"}, {"rotate", {1e9, 0, 0}}}, "degrees"},
      {{{"do", "mark"},
        {"as", "enforce"},
        {"with", "sight"},
        {"at", {50, 50, 5}},
        {"radius", 3},
        {"eye", {1e20, 0, 0}}},
       "eye"},
      {{{"do", "mark"}, {"as", "enforce"}, {"with", "sight"}, {"at", {50, 50, 5}}, {"radius", 3}, {"eye", {9e5, 0, 0}}},
       "eye"},
      {{{"do", "mark"}, {"as", "enforce"}, {"with", "ball"}, {"at", {50, 50, 5e3}}, {"radius", 3}}, "4000 mm"},
      {{{"do", "mark"}, {"as", "enforce"}, {"with", "ball"}, {"at", {50, 50, 5}}, {"radius", 300}}, "300 mm"},
      {{{"do", "mark"}, {"as", "enforce"}, {"with", "face"}, {"at", {9e4, 50, 5}}}, "4000 mm"},
      {{{"do", "mark"}, {"as", "enforce"}, {"with", "face"}, {"at", {50, 50, 0}}, {"crease", 400}}, "400°"},
      {{{"do", "mark"}, {"as", "enforce"}, {"with", "site"}, {"at", {9e4, 50, 5}}}, "4000 mm"},
      {{{"do", "mark"}, {"as", "block"}, {"with", "band"}, {"from", -5e5}, {"to", 9}}, "band"},
      {{{"do", "mark_by_lean"}, {"above", 200}, {"as", "enforce"}}, "200°"},
      {{{"do", "clean_face"}, {"at", {9e4, 50, 5}}}, "4000 mm"},
      {{{"do", "lay_down"}, {"at", {9e4, 50, 5}}}, "4000 mm"},
      {{{"do", "site"}, {"at", {9e4, 50, 5}}, {"choice", "block"}}, "4000 mm"},
      {{{"do", "prop"}, {"at", {9e4, 50, 5}}}, "4000 mm"},
      {{{"do", "prop"}, {"at", {50, 50, 0}}, {"width", 50}}, "50 mm"},
      {{{"do", "zone"}, {"as", "block"}, {"shape", "box"}, {"center", {0, 0, 0}}, {"size", {1e5, 1, 1}}}, "4000 mm"},
      {{{"do", "zone"}, {"as", "enforce"}, {"shape", "box"}, {"center", {0, 0, 0}}, {"size", {5, 5, 5}}, {"lean", 95}},
       "0 to 89"},
      {{{"do", "accept"}, {"code", "x"}, {"at", {9e4, 0, 0}}}, "4000 mm"},
      {{{"do", "set"}, {"key", "layer.height"}, {"value", 1e-9}}, "layer.height"},
  };
  for (const auto& one : cases) EXPECT_THAT(refusalOf(one.operation), HasSubstr(one.says)) << one.operation;
}

TEST(Bounds, ProductsCountToo) {
  // Each figure is allowed: together they would be 50 m, or 200 000 layers.
  const ProjectPtr long_ = projectOf(box({0, 0, 0}, {100, 10, 10}));
  EXPECT_THAT(refusalOf({{"do", "place"}, {"scale", {500, 1, 1}}}, long_), HasSubstr("50 m long"));
  const ProjectPtr fine = projectOf(box({0, 0, 0}, {10, 10, 100}), {{"layer.height", 0.05}});
  EXPECT_THAT(refusalOf({{"do", "place"}, {"scale", {1, 1, 99}}}, fine), HasSubstr("layers"));
}

TEST(Bounds, CountsAreLimited) {
  auto many = std::make_shared<Project>(*cube());
  while (many->parts.size() < bounds::parts) many->parts.push_back(many->parts.front());
  *many = withIds(*many);
  EXPECT_THAT(refusalOf({{"do", "copy"}}, many), HasSubstr("2000 parts; this would be 2001"));
  Part full = *cube()->parts[0];
  full.props.assign(bounds::decisions, {Vec3(0, 0, 0), 2, {}, {}});
  auto crowded = std::make_shared<Project>(*cube());
  crowded->parts = {std::make_shared<const Part>(full)};
  *crowded = withIds(*crowded);
  EXPECT_THAT(refusalOf({{"do", "prop"}, {"at", {55, 55, 0}}}, crowded), HasSubstr("10000 zones and props"));
}

// A saved project with one figure of its JSON replaced.
std::string refusalOfProject(const std::function<void(json&)>& change) {
  const std::string whole = packProject(*performed(
      *cube(),
      operationFrom(
          {{"do", "zone"}, {"as", "enforce"}, {"shape", "box"}, {"center", {50, 50, 0}}, {"size", {5, 5, 5}}})));
  const ArchiveReader archive(whole, "saved");
  std::vector<std::pair<std::string, std::string>> entries;
  for (const std::string& entry : archive.names()) {
    std::string bytes = archive.read(entry);
    if (entry == "Trellis/decisions.json") {
      json decisions = json::parse(bytes);
      change(decisions);
      bytes = decisions.dump();
    }
    entries.emplace_back(entry, bytes);
  }
  try {
    readProject(writeArchive(entries), "saved");
  } catch (const Error& error) {
    return error.what();
  }
  return "accepted";
}

TEST(Bounds, ProjectsRefuseTheSame) {
  EXPECT_EQ(refusalOfProject([](json&) {}), "accepted");
  EXPECT_THAT(refusalOfProject([](json& j) { j["parts"][0]["position"][2] = 1e5; }), HasSubstr("10 m"));
  EXPECT_THAT(refusalOfProject([](json& j) { j["parts"][0]["scale"][0] = 1e308; }), HasSubstr("scaled"));
  EXPECT_THAT(refusalOfProject([](json& j) { j["parts"][0]["scale"][0] = 1e-320; }), HasSubstr("scaled"));
  EXPECT_THAT(refusalOfProject([](json& j) { j["parts"][0]["name"] = std::string(20'000, 'x'); }), HasSubstr("20000"));
  EXPECT_THAT(refusalOfProject([](json& j) { j["parts"][0]["zones"][0]["lean"] = 400; }), HasSubstr("lean"));
  EXPECT_THAT(refusalOfProject([](json& j) { j["parts"][0]["zones"][0]["to_mesh"][0] = 1e7; }), HasSubstr("zone"));
  EXPECT_THAT(refusalOfProject([](json& j) { j["parts"][0]["id"] = "p99999999999999999999999"; }), HasSubstr("id"));
  EXPECT_THAT(refusalOfProject([](json& j) { j["parts"] = json(std::vector<json>(2500, j["parts"][0])); }),
              HasSubstr("2500 parts"));
}

TEST(Bounds, MarksThatWouldUnfoldWithoutEndAreRefused) {
  // One tree of a million nodes that claims to stand for a million facets.
  std::string tree(1'000'001, markSplit);
  for (std::size_t i = 500'000; i < tree.size(); ++i) tree[i] = 1;
  std::vector<std::pair<std::uint32_t, MarkTree>> trees{{0, tree}};
  std::string bytes = packMarks(*Marks().with(trees));
  bytes[6] = '\x7f';  // the count of facets in the first stretch
  EXPECT_THROW(unpackMarks(bytes, 1'000'000, "marks"), Error);
}

TEST(Bounds, ArchivesAreRefusedByWhatTheyPromise) {
  std::vector<std::pair<std::string, std::string>> entries;
  for (int i = 0; i < 12; ++i) entries.emplace_back("part" + std::to_string(i), std::string(100u << 20, '\0'));
  const std::string folded = writeArchive(entries);
  ASSERT_LT(folded.size(), 4u << 20);
  try {
    const ArchiveReader archive(folded, "bomb.3mf");
    FAIL() << "it was opened";
  } catch (const Error& error) {
    EXPECT_THAT(error.what(), HasSubstr("1 GB"));
  }
}

TEST(Bounds, OnlyOrdinaryFilesAreRead) {
  const ScratchFolder folder;
  ASSERT_EQ(::mkfifo((folder / "pipe.stl").c_str(), 0600), 0);
  EXPECT_THAT(cli("inspect " + (folder / "pipe.stl")).text, HasSubstr("not an ordinary file"));
  EXPECT_THAT(cli("inspect /dev/zero").text, HasSubstr("not an ordinary file"));
}

TEST(Bounds, WhatCannotFitIsRefusedBeforeItBegins) {
  const ProjectPtr small = projectOf(sphere({0, 0, 20}, 20, 60, 60));
  EXPECT_NO_THROW(checkFits(*small, machineMemory()));
  const BuildEstimate estimate = estimateBuild(*small);
  EXPECT_EQ(estimate.layers, 200u);
  EXPECT_EQ(estimate.facets, small->parts[0]->mesh->facets.size());
  try {
    checkFits(*small, estimate.bytes / 2);
    FAIL() << "it was begun";
  } catch (const Error& error) {
    EXPECT_THAT(error.what(), HasSubstr("200 layers"));
  }
  const ProjectPtr finer = performed(*small, ChangeSetting{"layer.height", 0.1});
  EXPECT_NEAR(estimateBuild(*finer).bytes / estimate.bytes, 2, 0.3);
}

TEST(Bounds, FiveHundredCopiesLoadAndCanBeWorkedOn) {
  auto many = std::make_shared<Project>(*projectOf(table(10, 3, 1)));
  const Part part = *many->parts[0];
  many->parts.clear();
  for (int i = 0; i < 500; ++i) {
    Part copy = part;
    copy.placement.position += Vec3(30.0 * (i % 25) - 40, 30.0 * (i / 25) - 40, 0);
    many->parts.push_back(std::make_shared<const Part>(std::move(copy)));
  }
  const ProjectPtr read = readProject(packProject(withIds(*many)), "many").project;
  ASSERT_EQ(read->parts.size(), 500u);
  Store store;
  const BuildPtr built = buildProject(store, read, Progress());
  EXPECT_GT(built->support->pieces.size(), 499u);
  const std::size_t before = store.counts()["sections"].made;
  PlacePart move;
  move.part = 77;
  move.position = read->parts[77]->placement.position + Vec3(0.5, 0, 0);
  buildProject(store, performed(*read, move), Progress());
  EXPECT_EQ(store.counts()["sections"].made, before + 1);
}

}  // namespace
}  // namespace trellis::test
