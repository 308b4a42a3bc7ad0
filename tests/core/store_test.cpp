// SPDX-License-Identifier: GPL-3.0-or-later
// The store of results: what is made once, what is waited for, what survives a request that is given up.
#include "core/results/store.hpp"
#include "core/results/judgement.hpp"
#include "core/results/print_layers.hpp"
#include "core/results/support_recipes.hpp"
#include "tests/package_mesh.hpp"
#include "tests/perturbed.hpp"
#include "tests/shapes.hpp"

#include <atomic>
#include <future>

namespace trellis::test {
namespace {

using namespace std::chrono_literals;

struct Question {
  int number = 0;
  int milliseconds = 0;
};
std::atomic<int> asked = 0, givenUp = 0;

std::vector<int> answer(const Question& question, const Progress& progress) {
  ++asked;
  for (int i = 0; i < question.milliseconds; ++i) {
    if (progress.cancelled()) ++givenUp;
    progress.check();
    std::this_thread::sleep_for(1ms);
  }
  return std::vector<int>(1000, question.number);
}
const Recipe<std::vector<int>, Question> answers{"answers", answer};

int failing(const Question&, const Progress&) { throw Error("There is no answer."); }
const Recipe<int, Question> noAnswers{"no answers", failing};

// Something a thread holds to its very end, and takes a while to let go of.
std::atomic<bool> letGo = false;
struct Held {
  ~Held() {
    std::this_thread::sleep_for(50ms);
    letGo = true;
  }
};
int holding(const Question&, const Progress&) {
  thread_local Held held;
  (void)held;
  return 1;
}
const Recipe<int, Question> heldAnswers{"held answers", holding};

TEST(Store, NoThreadOfItOutlivesIt) {
  {
    Store store;
    store.getAside(heldAnswers, {1}, Progress());
  }
  EXPECT_TRUE(letGo);
}

TEST(Store, MakesAValueOnceAndCounts) {
  Store store;
  asked = 0;
  const auto first = store.get(answers, {7}, Progress()), again = store.get(answers, {7}, Progress());
  EXPECT_EQ(first.value, again.value);
  EXPECT_EQ(first->front(), 7);
  EXPECT_EQ(asked, 1);
  EXPECT_NE(store.get(answers, {8}, Progress()).key, first.key);
  EXPECT_EQ(store.counts()["answers"].made, 2u);
  EXPECT_EQ(store.counts()["answers"].found, 1u);
}

TEST(Store, WhatOneIsMakingTheOthersWaitFor) {
  for (const bool aside : {false, true}) {
    Store store;
    asked = 0;
    std::vector<std::future<int>> all;
    for (int i = 0; i < 4; ++i)
      all.push_back(std::async(std::launch::async, [&] {
        const Question question{3, 60};
        return (aside ? store.getAside(answers, question, Progress()) : store.get(answers, question, Progress()))
            ->at(5);
      }));
    for (auto& one : all) EXPECT_EQ(one.get(), 3);
    EXPECT_EQ(asked, 1) << aside;
  }
}

TEST(Store, GivingUpReturnsAtOnceAndTheNextFindsItOnItsWay) {
  Store store;
  asked = 0;
  const Question question{5, 1500};
  Progress first;
  auto given = std::async(std::launch::async, [&] { store.getAside(answers, question, first); });
  while (asked == 0) std::this_thread::sleep_for(1ms);
  first.cancel();
  EXPECT_THROW(given.get(), Cancelled);
  EXPECT_EQ(store.counts()["answers"].made, 0u) << "it came back before the answer was there";
  EXPECT_EQ(store.getAside(answers, question, Progress())->front(), 5);
  EXPECT_EQ(asked, 1);
}

TEST(Store, WhatNobodyWantsAnyMoreIsGivenUp) {
  Store store;
  asked = givenUp = 0;
  const Question question{5, 60'000};
  Progress first;
  auto given = std::async(std::launch::async, [&] { store.getAside(answers, question, first); });
  while (asked == 0) std::this_thread::sleep_for(1ms);
  first.cancel();
  EXPECT_THROW(given.get(), Cancelled);
  while (givenUp == 0) std::this_thread::sleep_for(1ms);  // after a while, in which nobody came back for it
  EXPECT_EQ(store.counts()["answers"].made, 0u);
}

TEST(Store, AnErrorReachesWhoeverAskedAndNothingIsKept) {
  Store store;
  EXPECT_THROW(store.get(noAnswers, {1}, Progress()), Error);
  EXPECT_THROW(store.getAside(noAnswers, {1}, Progress()), Error);
  EXPECT_THROW(store.getAside(noAnswers, {1}, Progress()), Error);
  EXPECT_EQ(store.counts().count("no answers"), 0u);
}

TEST(Store, OverItsBudgetTheLongestUnusedGoesButNothingThatIsHeld) {
  Store store(40'000);  // ten of 4000 bytes
  asked = 0;
  const auto held = store.get(answers, {0}, Progress());
  for (int i = 1; i < 30; ++i) {
    store.get(answers, {i}, Progress());
    store.get(answers, {1}, Progress());  // often asked for
  }
  EXPECT_LE(store.bytes(), 40'000u);
  EXPECT_GE(store.bytes(), 20'000u);
  const int before = asked;
  EXPECT_EQ(store.get(answers, {0}, Progress()).value, held.value);
  store.get(answers, {1}, Progress());
  EXPECT_EQ(asked, before);
  store.get(answers, {2}, Progress());
  EXPECT_EQ(asked, before + 1);
}

// Each member of each recipe's inputs, down to single figures, changes the key: one that is added later cannot be
// forgotten.
template <typename Inputs>
void expectEveryMemberCounts(const char* name) {
  Inputs inputs{};
  const Key before = keyOf(inputs);
  const int changes =
      forEachChange(inputs, [&](const std::string& where) { EXPECT_NE(keyOf(inputs), before) << name << where; });
  EXPECT_GT(changes, 0) << name;
  EXPECT_EQ(keyOf(inputs), before) << name;
}

TEST(Recipes, EveryMemberOfTheirInputsCounts) {
  expectEveryMemberCounts<MeshInputs>("mesh");
  expectEveryMemberCounts<MendInputs>("mend");
  expectEveryMemberCounts<PlacedInputs>("placed");
  expectEveryMemberCounts<SectionInputs>("sections");
  expectEveryMemberCounts<OverhangInputs>("overhangs");
  expectEveryMemberCounts<SiteInputs>("sites");
  expectEveryMemberCounts<DecisionInputs>("decisions");
  expectEveryMemberCounts<ShadowInputs>("shadows");
  expectEveryMemberCounts<DemandInputs>("demand");
  expectEveryMemberCounts<BuriedInputs>("buried");
  expectEveryMemberCounts<ObstacleInputs>("obstacles");
  expectEveryMemberCounts<TipInputs>("tips");
  expectEveryMemberCounts<ReachabilityInputs>("reachability");
  expectEveryMemberCounts<BranchInputs>("branches");
  expectEveryMemberCounts<ColumnInputs>("column");
  expectEveryMemberCounts<AssemblyInputs>("assembly");
  expectEveryMemberCounts<ExtractionInputs>("extraction");
  expectEveryMemberCounts<DrainInputs>("drain");
  expectEveryMemberCounts<DrainWidthInputs>("drain width");
  expectEveryMemberCounts<StabilityInputs>("stability");
  expectEveryMemberCounts<HoldInputs>("holds");
  expectEveryMemberCounts<RegionLineInputs>("region lines");
  expectEveryMemberCounts<PartLineInputs>("part lines");
  expectEveryMemberCounts<PrintLayerInputs>("print layer");
}

// Whoever gives up in the midst of looking a mesh over leaves nothing half examined behind.
TEST(Store, AHealthGivenUpHalfWayIsNotKept) {
  const MeshPtr mesh = refined(*refined(*sphere({0, 0, 30}, 30, 72, 72)));
  Store store;
  Progress given;
  auto half = std::async(std::launch::async, [&] { store.get(meshCondition, {mesh}, given); });
  std::this_thread::sleep_for(20ms);
  given.cancel();
  EXPECT_THROW(half.get(), Cancelled);
  const Kept<MeshCondition> whole = store.get(meshCondition, {mesh}, Progress());
  EXPECT_NEAR(whole->figures.volume, 4.0 / 3 * pi * 27000, 0.01 * 4.0 / 3 * pi * 27000);
  EXPECT_TRUE(whole->health.defects.empty());
}

}  // namespace
}  // namespace trellis::test
