// SPDX-License-Identifier: GPL-3.0-or-later
// Tree supports: where they touch, how they get down, and what they do where that is hard.
#include "core/assess/removal.hpp"
#include "core/assess/structure_advice.hpp"
#include "core/results/perform_all.hpp"
#include "tests/package_mesh.hpp"
#include "tests/shapes.hpp"

#include <tbb/global_control.h>

#include <algorithm>
#include <map>
#include <set>

namespace trellis::test {
namespace {

using testing::Contains;
using testing::Each;
using testing::HasSubstr;
using testing::Not;
using testing::NotNull;
using Choices = std::vector<std::pair<std::string, nlohmann::json>>;

ProjectPtr treeProject(const MeshPtr& mesh, Choices more = {}) {
  more.insert(more.begin(), {"support.structure", "tree"});
  return projectOf(mesh, more);
}

std::vector<std::string> codesOf(const Build& build) {
  std::vector<std::string> codes;
  for (const Finding& finding : build.findings) codes.push_back(finding.code);
  return codes;
}

double lostOf(const Build& build) {
  double lost = 0;
  for (const auto& column : build.columns) lost += column->withoutFooting;
  return lost;
}

std::size_t tipsOf(const Build& build) {
  std::size_t tips = 0;
  for (const auto& tree : build.trees) tips += tree ? tree->tips.size() : 0;
  return tips;
}

// Branches that stand on the floor, those of several sites once.
std::size_t feetOf(const Build& build) {
  std::set<std::pair<double, double>> feet;
  for (const auto& tree : build.trees)
    if (tree)
      for (const BranchNode& node : tree->nodes)
        if (node.below == BranchNode::none && node.room > 0) feet.emplace(node.at.x(), node.at.y());
  return feet.size();
}

// mm² of support that stands on the part.
double standsOnPart(const Build& build) {
  double sum = 0;
  for (const PieceFigures& piece : build.pieces) sum += piece.contactBelow;
  return sum;
}

// A ceiling on a mast, over its own tray: nothing but the tray lies under it.
MeshPtr overItsTray() {
  return blocks({0, 30, 36, 80, 110}, {0, 30, 50, 80}, {0, 2, 22, 25},
                [](int x, int y, int z) { return z == 0 || (y == 1 && (x == 1 || (z == 2 && x == 2))); });
}

// A room with walls and a roof, and a hole in the roof to look in through.
MeshPtr bottle() {
  const std::vector<double> across{0, 2, 16, 24, 38, 40};
  return blocks(across, across, {0, 2, 30, 32}, [](int x, int y, int z) {
    const bool wall = x == 0 || x == 4 || y == 0 || y == 4;
    return z == 0 || wall || (z == 2 && !(x == 2 && y == 2));
  });
}

TEST(Tree, StandsOnTheTrayOnlyWhereThatIsAllowed) {
  const BuildPtr onPlate =
      build(treeProject(overItsTray(), {{"support.footing", "plate"}, {"support.bridge_limit", 0}}));
  EXPECT_THAT(codesOf(*onPlate), Contains("no-footing"));
  EXPECT_GT(lostOf(*onPlate), 100);
  const BuildPtr onPart = build(treeProject(overItsTray(), {{"support.bridge_limit", 0}}));
  EXPECT_THAT(codesOf(*onPart), Not(Contains("no-footing")));
  EXPECT_GT(standsOnPart(*onPart), 1);
  for (const SupportLayer& layer : onPart->support->layers)
    EXPECT_GT(layer.bottom, 2.1) << "what landed on the tray must not go on under it";
}

TEST(Tree, ReachesAroundThePartToThePlateWhereItCan) {
  // The same ceiling over a tray that ends 4 mm past it on either side.
  const MeshPtr narrow = blocks({0, 6, 30, 50}, {0, 6, 10, 24, 28, 34}, {0, 2, 32, 35}, [](int x, int y, int z) {
    return z == 0 ? y >= 1 && y <= 3 : y == 2 && (x == 0 || z == 2);
  });
  const BuildPtr built = build(treeProject(narrow, {{"support.footing", "plate"}, {"support.bridge_limit", 0}}));
  EXPECT_LT(lostOf(*built), 1);
  EXPECT_GT(feetOf(*built), 0u);
  EXPECT_NEAR(standsOnPart(*built), 0, 1e-9);
}

TEST(Tree, InABottleItStandsInsideAndIsSaidToBeTrapped) {
  const BuildPtr inside = build(treeProject(bottle(), {{"support.bridge_limit", 0}}));
  EXPECT_LT(lostOf(*inside), 1);
  EXPECT_GT(standsOnPart(*inside), 1);
  EXPECT_THAT(codesOf(*inside), Contains("piece-trapped"));
  const BuildPtr outside = build(treeProject(bottle(), {{"support.bridge_limit", 0}, {"support.footing", "plate"}}));
  EXPECT_THAT(codesOf(*outside), Contains("no-footing"));
}

TEST(Tree, ACeilingHighUpStandsOnTrunksThickEnough) {
  const BuildPtr built = build(treeProject(table(60, 150, 2), {{"support.bridge_limit", 0}}));
  EXPECT_LT(lostOf(*built), 1);
  EXPECT_THAT(codesOf(*built), Not(Contains("slender-support")));
  ASSERT_THAT(built->trees, Each(NotNull()));
  for (const auto& tree : built->trees)
    for (const BranchNode& node : tree->nodes) {
      const bool stands = node.below == BranchNode::none && node.room > 6.5;
      EXPECT_TRUE(!stands || 2 * node.radius >= 150 / 12.0) << 2 * node.radius << " mm; common practice: one in 12";
    }
}

TEST(Tree, FiveHundredTipsShareTheirTrunks) {
  std::vector<MeshPtr> pins{box({0, 0, 24}, {100, 80, 26})};
  for (int x = 0; x < 25; ++x)
    for (int y = 0; y < 20; ++y) pins.push_back(box({1.5 + 4 * x, 1.5 + 4 * y, 20}, {2.5 + 4 * x, 2.5 + 4 * y, 24.5}));
  const BuildPtr built = build(treeProject(together(pins), {{"support.source", "floating"}}));
  EXPECT_GE(tipsOf(*built), 500u);
  EXPECT_LT(lostOf(*built), 1);
  EXPECT_LT(feetOf(*built), 150u);
  EXPECT_THAT(codesOf(*built), Not(Contains("floating-start")));
}

TEST(Tree, AMillimetreOverThePlateTipsStandOnIt) {
  const BuildPtr built = build(treeProject(table(12, 1, 2), {{"support.bridge_limit", 0}}));
  ASSERT_GT(tipsOf(*built), 0u);
  EXPECT_LT(lostOf(*built), 0.5);
  EXPECT_NEAR(built->support->layers.front().bottom, 0, 1e-9);
  EXPECT_NEAR(built->support->layers.back().top, 0.8, 1e-9);
}

TEST(Tree, TwoPartsThatCompeteForAPlaceKeepOffEachOther) {
  ProjectPtr project = treeProject(table(30, 20, 2), {{"support.bridge_limit", 0}});
  project = performed(*project, CopyPart{0});
  PlacePart place{1, Vec3(81, 50, 11), {}, {}};
  place.drop = true;
  project = performed(*project, place);
  const BuildPtr built = build(project);
  EXPECT_LT(lostOf(*built), 1);
  for (const SupportLayer& layer : built->support->layers)
    for (std::size_t a = 0; a < layer.regions.size(); ++a)
      for (std::size_t b = a + 1; b < layer.regions.size(); ++b)
        EXPECT_LT(area(intersect(layer.regions[a].area, layer.regions[b].area)), 0.01) << layer.top;
}

TEST(Tree, BranchesAreCurvesThatLeanNoMoreThanTheyMay) {
  const BuildPtr built = build(treeProject(demoPart("frond")));
  std::size_t kinks = 0, places = 0;
  std::map<std::array<double, 3>, double> thickest;  // of those that lie on a node, whichever site they carry
  const auto placeOf = [](const BranchNode& node) {
    return std::array<double, 3>{node.at.x(), node.at.y(), node.at.z()};
  };
  std::map<std::array<double, 3>, std::set<std::array<double, 3>>> above;
  for (const auto& tree : built->trees)
    for (const BranchNode& node : tree->nodes)
      if (node.below != BranchNode::none) {
        double& most = thickest[placeOf(tree->nodes[node.below])];
        most = std::max(most, node.radius);
        above[placeOf(tree->nodes[node.below])].insert(placeOf(node));
      }
  for (const auto& tree : built->trees) {
    for (const BranchNode& node : tree->nodes) {
      if (node.below == BranchNode::none || node.tip != BranchNode::none || node.room == 0) continue;
      const BranchNode& below = tree->nodes[node.below];
      const Vec3 way = below.at - node.at;
      EXPECT_LE(std::atan2(way.head<2>().norm(), -way.z()), toRadians(40) + 1e-3);
      EXPECT_TRUE(below.at.z() < 2 || node.radius < thickest[placeOf(below)] ||
                  std::abs(below.radius - node.radius) < 0.15 * std::abs(way.z()))
          << "radii change gradually, feet and forks aside: " << node.radius << " to " << below.radius << " at "
          << node.at.z() << " and " << below.at.z();
      if (below.below == BranchNode::none || above[placeOf(below)].size() > 1) continue;  // forks may turn
      const Vec3 next = tree->nodes[below.below].at - below.at;
      ++places;
      kinks += way.normalized().dot(next.normalized()) < std::cos(toRadians(15));
    }
  }
  ASSERT_GT(places, 1000u);
  EXPECT_LT(static_cast<double>(kinks) / static_cast<double>(places), 0.01)
      << "but for few, where something is close on all sides";
}

// At most one foot for 150 mm² that are shaded, where there is height enough to gather.
TEST(Tree, BranchesUnderOneCeilingGatherForFewFeet) {
  for (const double z : {20, 25, 30, 40}) {
    const BuildPtr built = build(treeProject(table(44, z, 2), {{"support.bridge_limit", 0}}));
    std::size_t feet = 0;
    for (const PieceRegion& region : built->support->layers.front().regions) feet += components(region.area).size();
    EXPECT_LE(feet, 44.0 * 44 / 150 + 1) << z;
    EXPECT_LT(lostOf(*built), 1) << z;
  }
}

// A twelfth of what stands on it is high, or 1.2 mm where that is more than ten; a tenth less is let pass, for outlines
// are rounded and branches begin thin.
TEST(Tree, BranchesAreAsThickAsTheirHeightAsksFor) {
  for (const double z : {12, 30, 60}) {
    const BuildPtr built = build(treeProject(table(30, z, 2), {{"support.bridge_limit", 0}}));
    for (const auto& tree : built->trees)
      for (const BranchNode& node : tree->nodes) {
        const double length = node.top - node.at.z();
        if (node.tip != BranchNode::none || node.room < length / 12 || length < 3) continue;
        EXPECT_GE(2 * node.radius, 0.9 * std::max(length / 12, length > 10 ? 1.2 : 0.0)) << z << " at " << node.at.z();
      }
  }
}

TEST(Tree, OneThreadOrTwoGiveTheSameBytes) {
  const ProjectPtr project = treeProject(demoPart("snail"));
  const std::string many = gcodeOf(project);
  const tbb::global_control one(tbb::global_control::max_allowed_parallelism, 1);
  EXPECT_EQ(gcodeOf(project), many);
}

class HandMadeTest : public testing::Test {
 protected:
  // A table whose own overhang asks for nothing.
  ProjectPtr bare_ = treeProject(table(30, 20, 2), {{"support.source", "decisions"}});
};

TEST_F(HandMadeTest, AMarkAZoneAndAPropEachGrowABranch) {
  const Vec3 ceiling(bare_->parts[0]->placement.position.x() + 9, bare_->parts[0]->placement.position.y(), 20);
  const ProjectPtr marked = performed(*bare_, LayMark{0, Mark::enforce, BallStroke{{ceiling}, 2}});
  const ProjectPtr propped = performed(*bare_, AddProp{0, ceiling, 2});
  AddZone add;
  add.zone.shape = ZoneShape::box;
  add.figures = {ceiling, Vec3(4, 4, 4), Vec3::Zero()};
  const ProjectPtr zoned = performed(*bare_, add);
  EXPECT_EQ(tipsOf(*build(bare_)), 0u);
  for (const ProjectPtr& project : {marked, propped, zoned}) {
    const BuildPtr built = build(project);
    EXPECT_GE(tipsOf(*built), 1u);
    EXPECT_LE(tipsOf(*built), 8u);
    EXPECT_LT(lostOf(*built), 0.1);
  }
  const ProjectPtr moved = performed(*propped, ChangeProp{0, 0, Vec3(ceiling + Vec3(0, 8, 0))});
  EXPECT_NEAR(build(moved)->trees.front()->tips.front().at.y(), ceiling.y() + 8, 1) << "its branch follows it";
}

TEST_F(HandMadeTest, ABranchPointedAtIsTakenAwayAlone) {
  const ProjectPtr project = treeProject(table(30, 20, 2), {{"support.bridge_limit", 0}});
  const BuildPtr before = build(project);
  const auto tree =
      std::find_if(before->trees.begin(), before->trees.end(), [](const auto& t) { return t != nullptr; });
  ASSERT_NE(tree, before->trees.end());
  const Tip& tip = (*tree)->tips[(*tree)->tips.size() / 2];
  const BuildPtr after = build(test::after(project, removing(*before, Vec3(tip.neck), Reach::column).operations));
  EXPECT_GT(tipsOf(*after), 0.8 * static_cast<double>(tipsOf(*before))) << "the others stay";
  ASSERT_THAT(after->trees, Each(NotNull()));
  for (const auto& other : after->trees)
    for (const Tip& left : other->tips)
      EXPECT_GT((left.at - tip.at).norm(), tip.radius) << "nothing touches there any more";
}

TEST(Structure, MayDifferFromSiteToSite) {
  const ProjectPtr project = projectOf(demoPart("snail"), {{"support.structure", "tree"}});
  const BuildPtr trees = build(project);
  const Site& site = *std::max_element(trees->parts[0].sites->list.begin(), trees->parts[0].sites->list.end(),
                                       [](const Site& a, const Site& b) { return a.high < b.high; });
  const nlohmann::json operation{
      {"do", "site"}, {"part", 0}, {"at", {site.at.x(), site.at.y(), site.at.z()}}, {"structure", "normal"}};
  const BuildPtr mixed =
      build(performedAll(*std::make_unique<Store>(), *project, nlohmann::json::array({operation}), Progress()));
  std::set<RegionKind> kinds;
  for (const SupportLayer& layer : mixed->support->layers)
    for (const PieceRegion& region : layer.regions) kinds.insert(region.kind);
  EXPECT_THAT(kinds, Contains(RegionKind::branch));
  EXPECT_THAT(kinds, Contains(RegionKind::body));
}

TEST(Structure, IsRecommendedWithAReason) {
  const StructureAdvice latch = adviseFor(build(projectOf(demoPart("latch")))->parts[0]);
  EXPECT_EQ(latch.structure, Structure::normal);
  EXPECT_THAT(latch.reason, HasSubstr("flat ceiling"));
  EXPECT_EQ(adviseFor(build(projectOf(demoPart("frond")))->parts[0]).structure, Structure::tree);
  const BuildPtr crowded = build(treeProject(demoPart("latch")));
  EXPECT_THAT(codesOf(*crowded), Contains("crowded-branches"));
}

TEST(Structure, StiffBranchesHaveMoreWallsAndLinesInside) {
  const auto branchVolume = [](const Choices& more) {
    return build(treeProject(demoPart("frond"), more))
        ->tally.features[static_cast<std::size_t>(Feature::branch)]
        .volume;
  };
  const double usual = branchVolume({});
  EXPECT_GT(branchVolume({{"support.tree.walls", 2}}), 1.15 * usual);
  EXPECT_GT(branchVolume({{"support.tree.trunk_width", 8}, {"support.tree.inner_spacing", 1}}), 1.3 * usual);
}

}  // namespace
}  // namespace trellis::test
