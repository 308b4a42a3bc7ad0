// SPDX-License-Identifier: GPL-3.0-or-later
// Sweeps: every combination, which of them nothing beats, and the same wherever they are built.
#include "tests/package_mesh.hpp"
#include "tests/shapes.hpp"

#include "core/base/files.hpp"
#include "core/document/project_file.hpp"
#include "core/learn/sweep.hpp"

#include <tbb/global_control.h>

#include <cstdlib>
#include <filesystem>
#include <random>

namespace trellis::test {
namespace {

SweepSpec usualSpec() {
  return {{axisFromText("support.structure=normal,tree"), axisFromText("support.gap.above=0.16,0.2,0.28")},
          {wantFromText("g"), wantFromText("removal_min")},
          {limitFromText("trapped<=0")}};
}

std::vector<SweepResult> swept(const ProjectPtr& project, const SweepSpec& spec) {
  Store store;
  return sweep(store, project, spec, Progress());
}

TEST(Sweep, ReadsWhatIsAskedAndSaysWhatItCannotBe) {
  const SweepAxis turnings = axisFromText("turning=0/0/0,90/0/45");
  EXPECT_EQ(turnings.turnings[1], Vec3(90, 0, 45));
  EXPECT_EQ(wantFromText("g:2").weight, 2);
  EXPECT_EQ(limitFromText("held_factor>=2").most, 2);
  for (const char* wrong : {"support.gap.above", "no.such=1", "support.gap.above=wide", "turning=90"})
    EXPECT_THROW(axisFromText(wrong), Error) << wrong;
  EXPECT_THROW(wantFromText("beauty"), Error);
  EXPECT_THROW(limitFromText("trapped>=1"), Error);
  EXPECT_THROW(limitFromText("trapped"), Error);
  const ProjectPtr project = projectOf(shelf());
  EXPECT_EQ(combinationsOf(*project, usualSpec()).size(), 6u);
  EXPECT_EQ(combinationsOf(*project, usualSpec())[4].chosen, (std::vector<std::string>{"tree", "0.2"}));
  SweepSpec huge;
  for (int k = 0; k < 5; ++k) huge.vary.push_back(axisFromText("support.gap.above=0.1,0.12,0.14,0.16,0.18,0.2,0.22"));
  EXPECT_THROW(combinationsOf(*project, huge), Error);
  SweepSpec beyond{{{"support.gap.above", {SettingValue(99.0)}}}, {}};
  EXPECT_THROW(combinationsOf(*project, beyond), Error);
}

// Against brute force over the table.
TEST(Sweep, FindsWhatNothingBeats) {
  std::mt19937 random(7);
  std::uniform_int_distribution<int> figure(0, 20);
  SweepSpec spec = usualSpec();
  for (int round = 0; round < 30; ++round) {
    std::vector<SweepResult> results(40);
    for (SweepResult& result : results)
      result = {{},
                {{"g", figure(random)}, {"removal_min", figure(random)}, {"trapped", figure(random) > 17}},
                SweepState::done};
    results[3] = {{}, {}, SweepState::failed, "could not be built"};
    const auto beats = [&](const SweepResult& a, const SweepResult& b) {
      const double dg = a.figures.at("g") - b.figures.at("g"),
                   dr = a.figures.at("removal_min") - b.figures.at("removal_min");
      return dg <= 0 && dr <= 0 && (dg < 0 || dr < 0);
    };
    std::vector<std::size_t> expected;
    const auto counts = [&](std::size_t i) { return i != 3 && results[i].figures.at("trapped") == 0; };
    for (std::size_t i = 0; i < results.size(); ++i) {
      bool beaten = !counts(i);
      for (std::size_t k = 0; k < results.size() && !beaten; ++k) beaten = counts(k) && beats(results[k], results[i]);
      if (!beaten) expected.push_back(i);
    }
    EXPECT_EQ(nonDominated(spec, results), expected);
    const auto best = bestOf(spec, results);
    ASSERT_TRUE(best);
    EXPECT_TRUE(std::binary_search(expected.begin(), expected.end(), *best));
  }
}

TEST(Sweep, GivesTheSameTableOnOneThreadAndTwoAndAsWholeBuilds) {
  const ProjectPtr project = projectOf(threeCeilings());
  const SweepSpec spec = usualSpec();
  std::string alone;
  {
    const tbb::global_control one(tbb::global_control::max_allowed_parallelism, 1);
    alone = sweepJson(spec, swept(project, spec)).dump();
  }
  const tbb::global_control two(tbb::global_control::max_allowed_parallelism, 2);
  const std::vector<SweepResult> results = swept(project, spec);
  EXPECT_EQ(sweepJson(spec, results).dump(), alone);
  const std::vector<Combination> all = combinationsOf(*project, spec);
  const ProjectPtr fourth =
      test::projectOf(threeCeilings(), {{"support.structure", "tree"}, {"support.gap.above", 0.2}});
  EXPECT_EQ(results[4].figures, byRow(figuresOf(fourth->settings, *build(fourth))));
  EXPECT_EQ(std::count(alone.begin(), alone.end(), '{') > 6, true);
  const std::string csv = sweepCsv(spec, results);
  EXPECT_EQ(std::count(csv.begin(), csv.end(), '\n'), 7);
}

// Columns touch far more of these ceilings than tips do.
TEST(Sweep, LaysNoLinesWhereALimitIsBrokenBeforeThem) {
  const ProjectPtr project = projectOf(threeCeilings());
  SweepSpec spec = usualSpec();
  const std::vector<SweepResult> whole = swept(project, spec);
  ASSERT_EQ(whole.size(), 6u);
  const auto contactOf = [](const SweepResult& result) { return result.figures.at("contact_mm2"); };
  const double most = (contactOf(whole[2]) + contactOf(whole[3])) / 2;  // the last of columns, the first of trees
  spec.limits.push_back({"contact_mm2", most});
  Store store;
  const std::vector<SweepResult> results = sweep(store, project, spec, Progress());
  for (std::size_t i = 0; i < results.size(); ++i) {
    ASSERT_TRUE(whole[i].isBuilt());
    EXPECT_EQ(results[i].state == SweepState::dropped, contactOf(whole[i]) > most) << i;
    for (const auto& [row, value] : results[i].figures) EXPECT_EQ(value, whole[i].figures.at(row)) << row;
  }
  EXPECT_EQ(std::count_if(results.begin(), results.end(), [](const auto& one) { return one.isBuilt(); }), 3);
  EXPECT_EQ(store.counts()["build"].made, 3u);
  EXPECT_FALSE(results[0].figures.contains("g"));
  EXPECT_THAT(results[0].why, testing::HasSubstr("at most is allowed"));
  EXPECT_EQ(nonDominated(spec, results), nonDominated(spec, whole));
  EXPECT_EQ(bestOf(spec, results), bestOf(spec, whole));
  EXPECT_THAT(sweepCsv(spec, results), testing::HasSubstr(",yes,dropped,"));
}

// What a sweep calls best is no worse than combinations taken at random, each as a whole build that knows of no other:
// by a sum that is reckoned here.
TEST(Sweep, FindsNothingWorseThanRandomWholeBuilds) {
  const ProjectPtr project = projectOf(demoPart("snail"));
  const SweepSpec spec{{axisFromText("support.gap.above=0.16,0.2,0.28"), axisFromText("support.free_lean=40,50,60"),
                        axisFromText("support.structure=normal,tree")},
                       {wantFromText("removal_min:2"), wantFromText("striped_mm2")}};
  const std::vector<SweepResult> results = swept(project, spec);
  ASSERT_GT(nonDominated(spec, results).size(), 1u);  // one is off sooner, another is smoother
  const auto best = bestOf(spec, results);
  ASSERT_TRUE(best);
  const auto least = [&](const char* row, double sign) {
    double low = 1e300;
    for (const SweepResult& result : results) low = std::min(low, sign * result.figures.at(row));
    return sign * low;
  };
  const auto badness = [&](const std::map<std::string, double>& figures) {
    const auto share = [&](const char* row) {
      return (figures.at(row) - least(row, 1)) / std::max(1e-9, least(row, -1) - least(row, 1));
    };
    return 2 * share("removal_min") + share("striped_mm2");
  };
  for (const SweepResult& result : results) EXPECT_LE(badness(results[*best].figures), badness(result.figures) + 1e-9);
  std::mt19937 random(11);
  const std::vector<Combination> all = combinationsOf(*project, spec);
  for (int round = 0; round < rounds(2); ++round) {
    const std::size_t i = random() % all.size();
    const ProjectPtr one = projectOf(*project, all[i]);
    const auto figures = byRow(figuresOf(one->settings, *build(one)));
    EXPECT_EQ(figures, results[i].figures);
    EXPECT_LE(badness(results[*best].figures), badness(figures) + 1e-9) << i;
  }
}

// A table turned over hangs nowhere.
TEST(Sweep, VariesTheTurningsThatWantLeastSupport) {
  const ScratchFolder folder;
  writeFileAtomically(folder / "table.3mf", packProject(*projectOf(table(30, 12, 3))));
  const CliRun run = cli("sweep " + folder / "table.3mf" + " --turnings 3 --want body_g --json");
  ASSERT_EQ(run.code, 0) << run.text;
  const nlohmann::json swept = nlohmann::json::parse(run.text.substr(run.text.find("{\n")));
  ASSERT_EQ(swept["combinations"].size(), 3u);
  EXPECT_EQ(swept["combinations"][swept["best"].get<std::size_t>()]["figures"]["body_g"], 0);
}

TEST(Sweep, KeepsTheUnbeatenAsVariants) {
  const ProjectPtr project = projectOf(threeCeilings());
  const SweepSpec spec = usualSpec();
  const ProjectPtr kept = withVariants(project, spec, {0, 4});
  ASSERT_EQ(variantsOf(kept).size(), 3u);
  EXPECT_EQ(variantsOf(kept)[1].name, "normal, 0.16");
  EXPECT_EQ(variantsOf(kept)[2].project->settings.text("support.structure"), "tree");
  EXPECT_EQ(kept->settings, project->settings);
}

// By files, as another scheduler would: each line of the list is one job.
TEST(Sweep, GivesTheSameTableByAJobsFile) {
  const ScratchFolder folder;
  const ProjectPtr project = projectOf(threeCeilings());
  writeFileAtomically(folder / "project.3mf", packProject(*project));
  const std::string asked =
      " --vary support.structure=normal,tree --vary support.gap.above=0.16,0.2,0.28 --want g "
      "--want removal_min --limit 'trapped<=0' ";
  const std::string jobs = folder / "jobs.txt", shared = folder / "shared";
  const CliRun written = cli("sweep " + folder / "project.3mf" + asked + "--jobs-file " + jobs + " --folder " + shared);
  ASSERT_EQ(written.code, 0) << written.text;
  const std::string lines = readFile(jobs);
  EXPECT_EQ(std::count(lines.begin(), lines.end(), '\n'), 6);
  // All but the third: it is listed as failed, and runs again.
  ASSERT_EQ(std::system(("sed 3d " + jobs + " | sh").c_str()), 0);
  const std::string out = folder / "table.json";
  const CliRun half = cli("sweep " + folder / "project.3mf" + asked + "--gather --folder " + shared + " --out " + out);
  EXPECT_EQ(half.code, 1);
  EXPECT_THAT(half.text, testing::HasSubstr("It came back with nothing"));
  ASSERT_EQ(std::system(("sed -n 3p " + jobs + " | sh").c_str()), 0);
  const CliRun whole = cli("sweep " + folder / "project.3mf" + asked + "--gather --folder " + shared + " --out " + out);
  EXPECT_EQ(whole.code, 0) << whole.text;
  const nlohmann::json there = nlohmann::json::parse(readFile(out));
  EXPECT_EQ(there, sweepJson(usualSpec(), swept(project, usualSpec())));
}

// Where a cluster of one node can be started. One job is cancelled on purpose: it is listed as failed and runs again.
TEST(Sweep, GivesTheSameTableOnSlurm) {
  const ScratchFolder folder;
  const ProjectPtr project = projectOf(threeCeilings());
  writeFileAtomically(folder / "project.3mf", packProject(*project));
  const std::string out = folder / "table.json";
  const std::string command = std::string(TRELLIS_CLI) + " sweep " + (folder / "project.3mf") +
                              " --vary support.structure=normal,tree --vary support.gap.above=0.16,0.2,0.28 --want g "
                              "--want removal_min --limit 'trapped<=0' --on slurm --at-once 1 --folder " +
                              (folder / "shared") + " --out " + out;
  writeFileAtomically(folder / "run.sh",
                      "(" + command + "; echo ended $?) > " + (folder / "first") +
                          " & for n in $(seq 100); do id=$(squeue -h -r -o %A_%K | grep _5 | head -1);"
                          " [ -n \"$id\" ] && break; sleep 0.1; done\n"
                          "scancel \"$(squeue -h -r -o %F | head -1)_5\"; wait\n" +
                          command + " > " + (folder / "second") + "\n");
  const int status =
      std::system((std::string(TRELLIS_DEMO) + "/../../tests/one_node_cluster.sh " + (folder / "cluster") + " bash " +
                   (folder / "run.sh") + " 2> " + (folder / "why") + " > " + (folder / "why"))
                      .c_str());
  if (WEXITSTATUS(status) == 77) GTEST_SKIP() << readFile(folder / "why");
  EXPECT_EQ(WEXITSTATUS(status), 0) << readFile(folder / "why") << readFile(folder / "first");
  EXPECT_THAT(readFile(folder / "first"), testing::HasSubstr("came back with nothing"));
  EXPECT_THAT(readFile(folder / "first"), testing::HasSubstr("ended 1"));
  EXPECT_EQ(nlohmann::json::parse(readFile(out)), sweepJson(usualSpec(), swept(project, usualSpec())));
}

}  // namespace
}  // namespace trellis::test
