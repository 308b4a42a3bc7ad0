// SPDX-License-Identifier: GPL-3.0-or-later
// Nothing is lost: the journal against kills, damage, full disks and vanished folders.
#include "core/document/journal.hpp"

#include "core/base/files.hpp"
#include "core/document/history.hpp"
#include "core/document/journal_file.hpp"
#include "core/document/project_file.hpp"
#include "tests/shapes.hpp"

#include <sys/mount.h>
#include <sys/wait.h>
#include <unistd.h>

#include <chrono>
#include <filesystem>
#include <fstream>
#include <random>
#include <thread>

namespace trellis::test {
namespace {

using testing::HasSubstr;
namespace fs = std::filesystem;

ProjectPtr tableProject() { return performed(*projectOf(table(30, 10, 2)), ChangeSetting{"walls", 2.0}); }

LayMark dab(int number) {
  LayMark lay;
  lay.stroke = BallStroke{{Vec3(52 + number % 20, 52 + number / 20 % 20, 10)}, 1.2};
  return lay;
}

std::size_t markedFacets(const Project& project) {
  std::size_t count = 0;
  project.parts[0]->marks->forEachTree([&](std::uint32_t, std::string_view tree) { count += tree.size(); });
  return count;
}

TEST(Journal, BringsBackExactlyWhatWas) {
  const ScratchFolder folder;
  History history(tableProject());
  {
    Journal journal(folder / "j");
    for (int i = 0; i < 12; ++i) {
      history.perform(dab(7 * i));
      journal.record(history.kept(), history.lastName(), history.steps(), "/home/maker/stand.3mf");
    }
    journal.flush();
    EXPECT_TRUE(leftJournals(folder / "j").empty()) << "a window that runs was not left behind";
  }
  const auto left = leftJournals(folder / "j");
  ASSERT_EQ(left.size(), 1u);
  EXPECT_EQ(left[0].steps, 12u);
  EXPECT_EQ(left[0].step, "enforce stroke");
  EXPECT_EQ(left[0].file, "/home/maker/stand.3mf");
  const Recovered recovered = recover(left[0].path);
  EXPECT_FALSE(recovered.cutOff);
  EXPECT_EQ(packProject(*recovered.project), packProject(*history.now()));
}

TEST(Journal, GoesWhenEverythingIsSaved) {
  const ScratchFolder folder;
  Journal journal(folder / "j");
  journal.record(tableProject(), "walls 2", 1, "");
  journal.flush();
  EXPECT_EQ(std::distance(fs::directory_iterator(folder / "j"), {}), 1);
  journal.drop();
  EXPECT_EQ(std::distance(fs::directory_iterator(folder / "j"), {}), 0);
}

TEST(Journal, TwoWindowsHaveTwo) {
  const ScratchFolder folder;
  {
    Journal one(folder / "j"), two(folder / "j");
    one.record(tableProject(), "walls 2", 1, "one.3mf");
    two.record(tableProject(), "walls 2", 2, "two.3mf");
  }
  const auto left = leftJournals(folder / "j");
  ASSERT_EQ(left.size(), 2u);
  EXPECT_NE(left[0].id, left[1].id);
}

TEST(Journal, ADamagedEndIsCutOffAndSaid) {
  const ScratchFolder folder;
  History history(tableProject());
  std::vector<std::string> states;
  {
    JournalFile journal(folder / "j");
    for (int i = 0; i < 6; ++i) {
      history.perform(dab(13 * i));
      journal.append({history.kept(), history.lastName(), history.steps(), "", 1});
      states.push_back(packProject(*history.kept()));
    }
  }
  const fs::path path = fs::directory_iterator(folder / "j")->path();
  const std::string whole = readFile(path);
  std::mt19937 chance(5);
  for (int i = 0; i < rounds(60); ++i) {
    std::string damaged = whole.substr(0, whole.size() - chance() % (whole.size() / 2));
    if (i % 2) damaged[damaged.size() - 1 - chance() % (damaged.size() / 8)] ^= 0x10;
    std::ofstream(path, std::ios::binary) << damaged;
    try {
      const Recovered recovered = recover(path);
      EXPECT_THAT(states, testing::Contains(packProject(*recovered.project)));
      EXPECT_EQ(recovered.cutOff, damaged != whole);
    } catch (const Error& error) {
      EXPECT_THAT(error.what(), HasSubstr("recovered"));
    }
  }
}

TEST(Journal, IsFoldedBeforeItGrowsWithoutEnd) {
  const ScratchFolder folder;
  const MeshPtr mesh = sphere({0, 0, 20}, 20, 300, 300);  // 180 000 facets, 3 MB
  History history(projectOf(mesh));
  JournalFile journal(folder / "j");
  std::uintmax_t largest = 0;
  for (int i = 0; i < 40; ++i) {
    history.perform(ReplaceMesh{0, sphere({0, 0, 20}, 20 - 0.01 * i, 300, 300)});
    journal.append({history.kept(), history.lastName(), history.steps(), "", 1});
    largest = std::max(largest, fs::file_size(fs::directory_iterator(folder / "j")->path()));
  }
  EXPECT_LT(largest, 48u << 20);  // of 130 MB that were written
  EXPECT_EQ(packProject(*readJournal(fs::directory_iterator(folder / "j")->path()).state.project),
            packProject(*history.kept()));
}

TEST(Journal, AVanishedFolderIsMadeAgain) {
  const ScratchFolder folder;
  {
    Journal journal(folder / "j");
    journal.record(tableProject(), "walls 2", 1, "");
    journal.flush();
    fs::remove_all(folder / "j");
    journal.record(tableProject(), "walls 2", 2, "");
    journal.flush();
    EXPECT_FALSE(journal.problem());
  }
  ASSERT_EQ(leftJournals(folder / "j").size(), 1u);
  EXPECT_EQ(leftJournals(folder / "j")[0].steps, 2u);
}

TEST(Journal, WhereNothingCanBeWrittenASentenceSaysSo) {
  const ScratchFolder folder;
  std::ofstream(folder / "file") << "in the way";
  Journal journal(folder / "file");
  journal.record(tableProject(), "walls 2", 1, "");
  journal.flush();
  const auto problem = journal.problem();
  ASSERT_TRUE(problem);
  EXPECT_THAT(*problem, HasSubstr("not kept safe"));
  EXPECT_FALSE(journal.problem()) << "it is said once";
}

// A disk of a few hundred kilobytes, where the tests may make one.
TEST(Journal, AFullDiskCostsASentenceAndWhatWasWrittenStays) {
  const ScratchFolder folder;
  fs::create_directory(folder / "small");
  if (::mount("tmpfs", (folder / "small").c_str(), "tmpfs", 0, "size=400k") != 0)
    GTEST_SKIP() << "no small disk can be made here";
  History history(tableProject());
  std::vector<std::string> states;
  bool full = false;
  {
    JournalFile journal(folder / "small/j");
    for (int i = 0; i < 2000 && !full; ++i) {
      history.perform(dab(i));
      try {
        journal.append({history.kept(), history.lastName(), history.steps(), "", 1});
        states.push_back(packProject(*history.kept()));
      } catch (const Error& error) {
        EXPECT_THAT(error.what(), HasSubstr("No space"));
        full = true;
      }
    }
    EXPECT_TRUE(full);
    const ReadJournal read = readJournal(fs::directory_iterator(folder / "small/j")->path());
    EXPECT_EQ(packProject(*read.state.project), states.back());
    EXPECT_THROW(writeFileAtomically(folder / "small/p.3mf", std::string(1 << 20, 'x')), Error);
    EXPECT_EQ(std::distance(fs::directory_iterator(folder / "small"), {}), 1) << "nothing half written is left";
  }
  ::umount((folder / "small").c_str());
}

using Clock = std::chrono::steady_clock;

// Paints, keeps a journal and says after each stroke that it is done; saves now and then.
[[noreturn]] void paintUntilKilled(const std::string& folder, int pipe) {
  History history(tableProject());
  Journal journal(folder);
  for (std::uint32_t i = 0;; ++i) {
    history.perform(dab(static_cast<int>(i)));
    journal.record(history.kept(), history.lastName(), history.steps(), folder + "/../saved.3mf");
    if (i % 40 == 39) writeFileAtomically(folder + "/../saved.3mf", packProject(*history.kept()));
    if (::write(pipe, &i, sizeof i) != sizeof i) ::_exit(1);
    std::this_thread::sleep_for(std::chrono::milliseconds(3));
  }
}

TEST(Journal, SurvivesBeingKilledAtAnyInstant) {
  std::mt19937 chance(11);
  for (int round = 0; round < rounds(8); ++round) {
    const ScratchFolder folder;
    int ends[2];
    ASSERT_EQ(::pipe(ends), 0);
    const pid_t child = ::fork();
    ASSERT_GE(child, 0);
    if (child == 0) paintUntilKilled(folder / "j", ends[1]);
    ::close(ends[1]);
    std::vector<Clock::time_point> done;
    const auto end = Clock::now() + std::chrono::milliseconds(1200 + chance() % 900);
    std::thread listening([&] {
      std::uint32_t number = 0;
      while (::read(ends[0], &number, sizeof number) == sizeof number) done.push_back(Clock::now());
    });
    std::this_thread::sleep_until(end);
    ::kill(child, SIGKILL);
    ::waitpid(child, nullptr, 0);
    const auto killed = Clock::now();
    listening.join();
    ::close(ends[0]);
    const auto sure = static_cast<std::size_t>(
        std::count_if(done.begin(), done.end(), [&](auto when) { return when < killed - std::chrono::seconds(1); }));
    ASSERT_GT(done.size(), 20u);
    const auto left = leftJournals(folder / "j");
    ASSERT_EQ(left.size(), 1u) << "round " << round;
    EXPECT_GE(left[0].steps, sure);
    History again(tableProject());
    for (std::size_t i = 0; i < left[0].steps; ++i) again.perform(dab(static_cast<int>(i)));
    EXPECT_EQ(packProject(*recover(left[0].path).project), packProject(*again.kept()));
    if (fs::exists(folder / "saved.3mf")) {
      const std::string saved = readFile(folder / "saved.3mf");
      EXPECT_GT(markedFacets(*readProject(saved, "saved").project), 0u);
    }
  }
}

TEST(CommandLine, OffersAndOpensWhatWasLeft) {
  const ScratchFolder folder;
  const auto run = [&](const std::string& arguments) {
    ::setenv("XDG_STATE_HOME", (folder / "state").c_str(), 1);
    const CliRun result = cli(arguments);
    ::unsetenv("XDG_STATE_HOME");
    return result;
  };
  EXPECT_THAT(run("recover list").text, HasSubstr("Nothing"));
  const ProjectPtr project = tableProject();
  { Journal(folder / "state/meek-trellis/journals").record(project, "walls 2", 4, "/tmp/stand.3mf"); }
  const auto listed = nlohmann::json::parse(run("recover list --json").text);
  ASSERT_EQ(listed["journals"].size(), 1u);
  EXPECT_EQ(listed["journals"][0]["steps"], 4);
  const std::string id = listed["journals"][0]["id"];
  EXPECT_EQ(run("recover open " + id + " --project " + (folder / "back.3mf")).code, 0);
  EXPECT_EQ(readFile(folder / "back.3mf"), packProject(*project));
  EXPECT_EQ(run("recover open nothing --project " + (folder / "x.3mf")).code, 1);
}

}  // namespace
}  // namespace trellis::test
