// SPDX-License-Identifier: GPL-3.0-or-later
// Branches that steady a wall.
#include "core/results/tried_remedies.hpp"
#include "core/support/column_descent.hpp"
#include "core/support/support_solid.hpp"
#include "tests/package_mesh.hpp"
#include "tests/shapes.hpp"

#include <algorithm>
#include <set>

namespace trellis::test {
namespace {

constexpr double top = 30;  // mm, of the band that is held

// A tall wall, 20 mm wide, with a band enforced half way up one side.
ProjectPtr heldWall() {
  const ProjectPtr project =
      projectOf(box({0, 0, 0}, {4, 20, 40}),
                {{"support.structure", "tree"}, {"support.gap.hold", 0.15}, {"support.hold.tie_spacing", 4}});
  LayMark lay{0, Mark::enforce, BandStroke{20, top}};
  lay.rules.clip = {Plane{onPlate(*project, {3.5, 10, 25}), Vec3::UnitX()}};
  return performed(*project, lay);
}

TEST(BranchHolds, ArePostsAtTheHoldGapAsThickAsTheirHeightAsks) {
  const ProjectPtr project = heldWall();
  const BuildPtr built = build(project);
  const double wall = onPlate(*project, {4, 10, 25}).x();
  ASSERT_EQ(built->support->pieces.size(), 3u);  // one to every ten millimetres, and the wall goes round corners
  for (const Piece& piece : built->support->pieces) {
    EXPECT_NEAR(piece.lowest, 0, 1e-9);
    EXPECT_NEAR(piece.highest, top, 0.25);
  }
  std::set<std::pair<std::size_t, long>> tied;
  for (const SupportLayer& layer : built->support->layers) {
    const bool beside = layer.bottom > 20.2 && layer.top < top - 0.2;
    for (const PieceRegion& region : layer.regions) {
      const Box2 bounds = boundsOf(region.area);
      EXPECT_GE(bounds.sizes().y(), std::max(leastBranch, top * leastSteadiness) - 0.05) << layer.top;
      if (beside || layer.top < 19.8) {
        EXPECT_NEAR(bounds.min().x() - wall, beside ? 0.15 : 0.52, 0.03) << layer.top;
      }
    }
    for (const TieGroup& ties : layer.ties) tied.insert({ties.piece, std::lround(layer.top * 1000)});
  }
  EXPECT_EQ(tied.size(), 9u);  // each post at 28, 24 and 20 mm
  EXPECT_GT(built->tally.features[static_cast<std::size_t>(Feature::branch)].volume, 0);
  EXPECT_EQ(built->tally.features[static_cast<std::size_t>(Feature::supportBody)].volume, 0);
  const auto& levels = built->judged[0].stability->levels;
  EXPECT_TRUE(std::any_of(levels.begin(), levels.end(), [](const StandingLevel& level) { return level.held; }));
  EXPECT_EQ(built->prices.size(), 1u);  // of one mark
}

TEST(BranchHolds, CanBeSeen) {
  const BuildPtr built = build(heldWall());
  const SupportSolid solid = solidOf(*built->support, built->trees, built->raft, Progress());
  float highest = 0, lowest = top;
  for (const SolidVertex& vertex : solid.vertices)
    if (vertex.kind == RegionKind::branch) {
      highest = std::max(highest, vertex.at.z());
      lowest = std::min(lowest, vertex.at.z());
    }
  EXPECT_NEAR(highest, top, 0.25);
  EXPECT_LT(lowest, 1);
  // As what would go when it is removed, where nobody gives trees.
  EXPECT_EQ(solidOf(*built->support, {}, built->raft, Progress()).vertices.size(), solid.vertices.size());
}

// Columns and branches were both tried: what takes less filament is offered.
TEST(BranchHolds, TheSuggestionTakesWhicheverCostsLess) {
  const ProjectPtr project = projectOf(demoPart("finial"));
  const BuildPtr before = build(project);
  const auto holdsIn = [](const Findings& findings) {
    std::vector<Remedy> holds;
    for (const Finding& finding : findings)
      for (const Remedy& remedy : finding.remedies)
        if (finding.code == "unstable" && remedy.isRival) holds.push_back(remedy);
    return holds;
  };
  double least = 1e300;
  for (const Remedy& hold : holdsIn(before->findings))
    least = std::min(least, build(after(project, hold.steps))->tally.whole().volume);
  Store store;
  const std::vector<Remedy> offered = holdsIn(withTriedRemedies(store, project, *before, Progress()));
  ASSERT_EQ(holdsIn(before->findings).size(), 2u);
  ASSERT_EQ(offered.size(), 1u);
  EXPECT_NEAR(build(after(project, offered.front().steps))->tally.whole().volume, least, 1e-6);
}

}  // namespace
}  // namespace trellis::test
