// SPDX-License-Identifier: GPL-3.0-or-later
// Settings that a tint, site, zone or prop has of its own: each takes effect in the G-code there, and nowhere else.
#include "core/document/project_file.hpp"
#include "core/results/gcode_text.hpp"
#include "tests/printed.hpp"
#include "tests/shapes.hpp"

#include <fmt/format.h>

#include <set>

namespace trellis::test {
namespace {

enum class Carrier { tint, site, zone, prop };

// A post with a shelf on each side. Under the right one lies a ledge that reaches half as far.
MeshPtr twoShelves() {
  return together({box({0, 0, 0}, {4, 14, 30}), box({4, 0, 12}, {18, 14, 14}), box({4, 0, 0}, {10, 14, 2}),
                   box({-12, 0, 20}, {0, 14, 22})});
}

// A setting, another value for it, what has to hold for it to matter, and whether it is one of holds.
struct Key {
  std::string key;
  SettingValue value;
  Overrides beside = {};
  bool isHold = false;
};

std::vector<Key> keys() {
  const Overrides tree{{"support.structure", std::string("tree")}};
  const auto treeWith = [&](const char* key, SettingValue value) {
    Overrides all = tree;
    all.insert_or_assign(key, value);
    return all;
  };
  return {{"support.footing", std::string("plate")},
          {"support.gap.above", 0.35},
          {"support.gap.below", 0.35},
          {"support.gap.beside", 0.9},
          {"support.gap.slope", 0.6},
          {"support.gap.hold", 0.3, {}, true},
          {"support.hold.tie_spacing", 1.0, {}, true},
          {"support.structure", std::string("tree")},
          {"support.tree.tip_spacing", 4.0, tree},
          {"support.tree.tip_width", 1.4, tree},
          {"support.tree.branch_lean", 20.0, tree},
          {"support.tree.trunk_width", 7.0, tree},
          {"support.tree.walls", 2.0, tree},
          {"support.tree.inner_spacing", 0.8, treeWith("support.tree.trunk_width", 7.0)},
          {"support.tree.foot_width", 12.0, tree},
          {"support.tree.foot_height", 4.0, treeWith("support.tree.foot_width", 12.0)},
          {"support.normal.outline", std::string("squared")},
          {"support.normal.column", 2.0, {{"support.normal.outline", std::string("squared")}}},
          {"support.interface.upper.layers", 1.0},
          {"support.interface.upper.spacing", 0.9},
          {"support.interface.upper.pattern", std::string("concentric")},
          {"support.interface.lower.layers", 2.0},
          {"support.interface.lower.spacing", 0.3, {{"support.interface.lower.layers", 2.0}}},
          {"support.interface.lower.pattern", std::string("crossed"), {{"support.interface.lower.layers", 2.0}}},
          {"support.body.pattern", std::string("crossed")},
          {"support.body.spacing", 1.0},
          {"support.body.walls", 2.0},
          {"support.graded.layers", 4.0},
          {"support.graded.density", 90.0, {{"support.graded.layers", 4.0}}},
          {"support.foot.layers", 2.0},
          {"support.foot.spread", 3.0, {{"support.foot.layers", 2.0}}},
          {"support.filament.interface", std::string("second")},
          {"support.filament.body", std::string("second")}};
}

// The decision about the right shelf, or for holds about the post's wall over it, with settings of its own.
ProjectPtr decided(Carrier carrier, const Overrides& own, bool isHold) {
  ProjectPtr project = projectOf(twoShelves());
  const Vec3 under = onPlate(*project, {11, 7, 12}), wall = onPlate(*project, {4, 7, 24});
  switch (carrier) {
    case Carrier::tint:
      project = performed(*project, SetTint{0, 3, own});
      if (isHold) return performed(*project, LayMark{0, enforceAs(3), BallStroke{{wall}, 3}});
      return performed(*project, LayMark{0, enforceAs(3), SiteStroke{under}});
    case Carrier::site:
      return performed(*project, DecideSite{0, under, {}, own});
    case Carrier::zone: {
      AddZone add{0, {}, {under, {16, 18, 4}, Vec3::Zero()}};
      add.zone.settings = own;
      return performed(*project, add);
    }
    case Carrier::prop:
      return performed(*project, AddProp{0, isHold ? wall : Vec3(under - Vec3(1, 0, 0)), 9, own});
  }
  return project;
}

using Lines = std::multiset<std::string>;
struct Sides {
  Lines left, right;
};

// Support lines on each side of the post, in figures.
Sides supportLines(Store& store, const ProjectPtr& project) {
  const double left = onPlate(*project, {0, 0, 0}).x();
  Sides sides;
  for (const Bead& bead : readBeads(gcodeOf(*project, *buildProject(store, project, Progress()), Progress()))) {
    if (!bead.feature.starts_with("support.")) continue;
    Lines& side = std::max(bead.x0, bead.x1) < left ? sides.left : sides.right;
    side.insert(fmt::format("{} {:.3f} {:.3f} {:.3f} {:.3f} {:.3f} {:.5f} {}", bead.feature, bead.x0, bead.y0, bead.x1,
                            bead.y1, bead.z, bead.e, bead.tool));
  }
  return sides;
}

class OwnSettings : public testing::TestWithParam<Carrier> {};

TEST_P(OwnSettings, TakeEffectThereAndNowhereElse) {
  Store store;  // most of one build is the next one's too
  std::map<std::pair<Overrides, bool>, Sides> before;
  std::set<std::string> tried;
  for (const Key& key : keys()) {
    tried.insert(key.key);
    if (key.isHold && GetParam() != Carrier::tint && GetParam() != Carrier::prop) continue;
    if (key.key == "support.normal.column" && GetParam() == Carrier::prop) continue;  // it is as wide as it says
    const auto [known, fresh] = before.try_emplace({key.beside, key.isHold});
    if (fresh) known->second = supportLines(store, decided(GetParam(), key.beside, key.isHold));
    Overrides own = key.beside;
    own.insert_or_assign(key.key, key.value);
    const Sides now = supportLines(store, decided(GetParam(), own, key.isHold));
    EXPECT_NE(known->second.right, now.right) << key.key << " does nothing";
    EXPECT_TRUE(known->second.left == now.left) << key.key << " does something elsewhere";
    ASSERT_FALSE(known->second.left.empty());
  }
  for (const SettingRow& row : settingsTable())
    EXPECT_TRUE(!isLocal(row.key) || tried.contains(row.key)) << row.key << " was not tried";
}

std::string nameOf(const testing::TestParamInfo<Carrier>& of) {
  const char* names[] = {"Tint", "Site", "Zone", "Prop"};
  return names[static_cast<std::size_t>(of.param)];
}

INSTANTIATE_TEST_SUITE_P(Of, OwnSettings, testing::Values(Carrier::tint, Carrier::site, Carrier::zone, Carrier::prop),
                         nameOf);

TEST(OwnSettingsRefused, ThatSayWhereSupportIsWantedAreRefused) {
  const ProjectPtr project = projectOf(twoShelves());
  EXPECT_THROW(performed(*project, SetTint{0, 3, {{"support.free_lean", 50.0}}}), Error);
  EXPECT_THROW(performed(*project, SetTint{0, tintCount, {}}), Error);
  EXPECT_THROW(
      performed(*project, DecideSite{0, onPlate(*project, {11, 7, 12}), {}, Overrides{{"support.free_lean", 50.0}}}),
      Error);
}

TEST(Tints, AreKeptByFileAndMeetSideBySide) {
  ProjectPtr project = projectOf(twoShelves(), {{"support.source", "decisions"}});
  const auto band = [&](double from, double to, int tint) {
    LayMark lay{0, enforceAs(tint), FaceStroke{onPlate(*project, {11, 7, 12})}};
    lay.stroke = BallStroke{{onPlate(*project, {from, 7, 12}), onPlate(*project, {to, 7, 12})}, 8};
    lay.rules.keepToOverhangs = true;
    return lay;
  };
  project = after(project, {band(14, 18, 0), band(4, 6, 15), SetTint{0, 15, {{"support.gap.above", 0.5}}}});
  const ProjectPtr read = readProject(packProject(*project), "shelves").project;
  EXPECT_EQ(read->parts[0]->marks->key(), project->parts[0]->marks->key());
  EXPECT_EQ(read->parts[0]->tints, project->parts[0]->tints);
  const BuildPtr built = build(read);
  std::set<long> tops;
  double carried = 0;
  for (const auto& column : built->columns) tops.insert(std::lround(column->slabs.front().top * 1000));
  for (const DemandSitePtr& site : built->demand) carried += area(site->layers.front());
  EXPECT_EQ(tops, (std::set<long>{12000 - 500, 12000 - 200}));
  EXPECT_NEAR(carried, 14 * 14, 1.0);  // nothing lost between them
  const auto areas = markedAreas(*read->parts[0]->mesh, Affine::Identity(),
                                 *performed(*read, ClearDecisions{0, Clearing::enforce})->parts[0]->marks);
  EXPECT_TRUE(areas.empty());
}

}  // namespace
}  // namespace trellis::test
