// SPDX-License-Identifier: GPL-3.0-or-later
// Support that cannot be taken off, and what is offered to free it: each remedy was tried before it is offered.
#include "core/results/tried_remedies.hpp"
#include "tests/shapes.hpp"

#include <algorithm>

namespace trellis::test {
namespace {

// The remedies that are offered for trapped support, after they were tried.
std::vector<Remedy> offeredFor(const ProjectPtr& project) {
  Store store;
  for (Finding& finding : withTriedRemedies(store, project, *build(project), Progress()))
    if (finding.code == "piece-trapped") return finding.remedies;
  return {};
}

const Remedy* named(const std::vector<Remedy>& remedies, const std::string& words) {
  const auto found = std::find_if(remedies.begin(), remedies.end(),
                                  [&](const Remedy& remedy) { return remedy.name.english() == words; });
  return found == remedies.end() ? nullptr : &*found;
}

std::size_t trappedIn(const Build& built) {
  return static_cast<std::size_t>(
      std::count_if(built.pieces.begin(), built.pieces.end(),
                    [](const PieceFigures& piece) { return piece.grade == Grade::trapped; }));
}

// Two plates on a post: what stands between them reaches all round the post.
TEST(Trapped, ARingRoundAPostIsPartedInTheMiddle) {
  const MeshPtr spool = blocks({0, 10, 16, 26}, {0, 10, 16, 26}, {0, 3, 15, 18},
                               [](int x, int y, int z) { return z != 1 || (x == 1 && y == 1); });
  const ProjectPtr project = projectOf(spool, {{"support.body.walls", 2}});
  ASSERT_EQ(trappedIn(*build(project)), 1u);
  const std::vector<Remedy> offered = offeredFor(project);
  const Remedy* part = named(offered, "part it in the middle");
  ASSERT_NE(part, nullptr);
  const BuildPtr parted = build(after(project, part->steps));
  EXPECT_EQ(trappedIn(*parted), 0u);
  EXPECT_GE(parted->pieces.size(), 2u);
}

// A flat room without a door: on its side its roof is a bridge and wants no support.
TEST(Trapped, AClosedRoomIsTurnedOnItsSide) {
  const MeshPtr room = blocks({0, 2, 22, 24}, {0, 2, 22, 24}, {0, 2, 8, 10},
                              [](int x, int y, int z) { return x != 1 || y != 1 || z != 1; });
  const ProjectPtr project = projectOf(room);
  ASSERT_EQ(trappedIn(*build(project)), 1u);
  const std::vector<Remedy> offered = offeredFor(project);
  const Remedy* turn = named(offered, "turn it another way");
  ASSERT_NE(turn, nullptr);
  EXPECT_EQ(trappedIn(*build(after(project, turn->steps))), 0u);
  EXPECT_EQ(named(offered, "part it in the middle"), nullptr);  // in two it would be as shut in
}

}  // namespace
}  // namespace trellis::test
