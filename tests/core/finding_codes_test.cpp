// SPDX-License-Identifier: GPL-3.0-or-later
// Every finding there is: provoked, and cleared by its own remedy, or accepted where only the maker can tell.
#include "core/base/files.hpp"
#include "tests/shapes.hpp"

#include <cmath>
#include <filesystem>
#include <regex>
#include <set>

namespace trellis::test {
namespace {

using Choices = std::vector<std::pair<std::string, nlohmann::json>>;

ProjectPtr openBox() {
  TriangleMesh open = *box({0, 0, 0}, {20, 20, 10});
  open.facets.pop_back();
  return projectOf(makeMesh(open.vertices, open.facets));
}

ProjectPtr placedAt(const MeshPtr& mesh, const Vec3& position) {
  PlacePart out;
  out.position = position;
  return after(projectOf(mesh), {out});
}

// A cube with a room and a shelf in it, and no way out: thick walls of six cuboids.
MeshPtr closedRoom() {
  return blocks({0, 3, 12, 21, 24}, {0, 3, 21, 24}, {0, 3, 12, 14, 21, 24}, [](int x, int y, int z) {
    return x == 0 || x == 3 || y == 0 || y == 2 || z == 0 || z == 4 || (z == 2 && x == 1);
  });
}

// A plate of 8 mm that hangs by a neck of 2 mm under an arm.
MeshPtr onANeck() {
  return blocks({0, 6, 12, 15, 17, 20}, {0, 3, 5, 8}, {0, 10, 10.6, 11.8, 14}, [](int x, int y, int z) {
    if (x == 0) return true;
    if (z == 3) return true;
    if (z == 1) return x >= 2;
    return z == 2 && x == 3 && y == 1;
  });
}

struct Case {
  const char* code;
  std::function<ProjectPtr()> provoke;
};
void PrintTo(const Case& one, std::ostream* out) { *out << one.code; }

ProjectPtr withZone(ZoneAs as, const Vec3& centre, const Vec3& size) {
  const ProjectPtr project = projectOf(shelf());
  AddZone add{0, {}, {onPlate(*project, centre), size}};
  add.zone.as = as;
  return after(project, {add});
}

const std::vector<Case>& cases() {
  static const std::vector<Case> all = {
      {"broken-mesh", openBox},
      {"open-section", openBox},
      {"marks-lost",
       [] {
         const ProjectPtr project = projectOf(shelf());
         return after(project, {LayMark{0, Mark::enforce, BallStroke{{onPlate(*project, {14, 10, 12})}, 3}},
                                ReplaceMesh{0, box({0, 0, 0}, {4, 20, 14})}});
       }},
      {"parts-overlap",
       [] {
         PlacePart onTop;
         onTop.part = 1;
         onTop.position = Vec3(60, 60, 5);
         return after(projectOf(box({0, 0, 0}, {20, 20, 10})),
                      {AddParts{projectOf(box({0, 0, 0}, {10, 10, 10}))->parts}, onTop});
       }},
      {"nothing-to-print",
       [] {
         return projectOf(box({0, 0, 0}, {20, 20, 0.08}));
       }},
      {"not-standing",
       [] {
         PlacePart turn;
         turn.turn = Vec3(37, 0, 0);
         turn.drop = true;
         return after(projectOf(box({0, 0, 0}, {20, 20, 20})), {turn});
       }},
      {"too-large",
       [] {
         return projectOf(box({0, 0, 0}, {300, 20, 10}));
       }},
      {"off-plate",
       [] {
         return placedAt(box({0, 0, 0}, {20, 20, 10}), {5, 100, 5});
       }},
      {"below-plate",
       [] {
         return projectOf(box({0, 0, -2}, {20, 20, 10}));
       }},
      {"too-thin",
       [] {
         return projectOf(box({0, 0, 0}, {20, 0.2, 5}));
       }},
      {"curling",
       [] {
         return projectOf(box({0, 0, 0}, {120, 60, 4}));
       }},
      {"unstable",
       [] {
         return projectOf(together({box({-10, -10, 0}, {14, 14, 2}), box({0, 0, 2}, {4, 4, 80})}));
       }},
      {"supports-off",
       [] {
         const ProjectPtr project = projectOf(shelf(), {{"support.on", false}});
         return after(project, {LayMark{0, Mark::enforce, BallStroke{{onPlate(*project, {14, 10, 12})}, 3}}});
       }},
      {"enforced-upward",
       [] {
         const ProjectPtr project = projectOf(shelf());
         return after(project, {LayMark{0, Mark::enforce, BallStroke{{onPlate(*project, {14, 10, 14})}, 1.5}}});
       }},
      {"clean-face-bare",
       [] {
         const ProjectPtr project = projectOf(shelf());
         return after(project, {keepClean(onPlate(*project, {14, 10, 12}))});
       }},
      {"seen-scar",
       [] {
         const ProjectPtr project = projectOf(shelf());
         LayMark lay;
         lay.mark = Mark::block;
         lay.coat = Coat::seen;
         lay.stroke = FaceStroke{onPlate(*project, {14, 10, 12})};
         return after(project, {lay});
       }},
      {"zone-idle",
       [] {
         return withZone(ZoneAs::enforce, {2, 10, 6}, {2, 2, 2});
       }},
      {"prop-idle",
       [] {
         const ProjectPtr project = projectOf(shelf());
         return after(project, {AddProp{0, onPlate(*project, {14, 10, 14}), 3}});
       }},
      {"enforce-idle",
       [] {
         const ProjectPtr project = projectOf(shelf());
         return after(project, {LayMark{0, Mark::enforce, BallStroke{{onPlate(*project, {14, 10, 12})}, 3}}});
       }},
      {"twin-left-out",
       [] {
         const ProjectPtr project = projectOf(shelf());
         return after(project, {LayMark{0, Mark::block, BallStroke{{onPlate(*project, {14, 5, 12})}, 2}}});
       }},
      {"block-idle",
       [] {
         const ProjectPtr project = projectOf(shelf(), {{"support.source", "decisions"}});
         return after(project, {LayMark{0, Mark::block, BallStroke{{onPlate(*project, {14, 10, 12})}, 3}}});
       }},
      {"zone-redundant",
       [] {
         return withZone(ZoneAs::enforce, {14, 10, 12}, {6, 6, 4});
       }},
      {"choice-idle",
       [] {
         const ProjectPtr project = projectOf(shelf());
         return after(project, {DecideSite{0, onPlate(*project, {14, 10, 12}), Choice::enforce, {}}});
       }},
      {"scraps",
       [] {
         const ProjectPtr project = projectOf(shelf());
         LayMark most{0, Mark::block, PatchStroke{{}, 11, 13}};
         std::get<PatchStroke>(most.stroke).plan =
             rectangle({onPlate(*project, {3, -1, 0}).head<2>(), Vec2(onPlate(*project, {22.9, 21, 0}).head<2>())});
         LayMark more = most;
         std::get<PatchStroke>(more.stroke).plan =
             rectangle({onPlate(*project, {22, 1.2, 0}).head<2>(), Vec2(onPlate(*project, {25, 21, 0}).head<2>())});
         return after(project, {most, more});
       }},
      {"site-gone",
       [] {
         const ProjectPtr cone = projectOf(flaringCone(4, 35, 12, 90), {{"support.free_lean", 30}});
         return after(cone, {DecideSite{0, build(cone)->parts[0].sites->list.at(0).at, Choice::enforce},
                             ChangeSetting{"support.free_lean", 60.0}});
       }},
      {"floating-start",
       [] {
         return projectOf(
             together({box({0, 0, 0}, {5, 5, 20}), box({10, 0, 8}, {14, 4, 20}), box({0, 0, 16}, {14, 4, 20})}),
             {{"support.source", "decisions"}});
       }},
      {"rounded-foot",
       [] {
         return projectOf(sphere({0, 0, 3}, 3, 60, 90));
       }},
      {"bare-overhang",
       [] {
         return projectOf(shelf(), {{"support.source", "floating"}});
       }},
      {"no-room",
       [] {
         return projectOf(together({box({0, 0, 0}, {5, 20, 20}), box({0, 0, 0.4}, {25, 20, 3})}),
                          {{"support.gap.above", 0.4}});
       }},
      {"no-footing",
       [] {
         return projectOf(
             together({box({0, 0, 0}, {40, 40, 2}), box({0, 0, 0}, {5, 40, 20}), box({0, 0, 18}, {30, 40, 20})}),
             {{"support.footing", "plate"}});
       }},
      {"steep-footing",
       [] {
         const std::vector<Vec3f> v = {{0, 0, 0}, {31, 0, 0}, {0, 0, 30}, {0, 20, 0}, {31, 20, 0}, {0, 20, 30}};
         const MeshPtr ramp =
             makeMesh(v, {{0, 1, 2}, {3, 5, 4}, {0, 3, 4}, {0, 4, 1}, {1, 4, 5}, {1, 5, 2}, {0, 2, 5}, {0, 5, 3}});
         return projectOf(together({ramp, box({0, 0, 40}, {28, 20, 42}), box({-4, 0, 0}, {0, 20, 42})}));
       }},
      {"crowded-branches",
       [] {
         return projectOf(table(60, 15, 3), {{"support.structure", "tree"}});
       }},
      {"slender-support",
       [] {
         // A lip of 1.5 × 1 mm high up in a shaft of three by four millimetres.
         return projectOf(
             together({box({0, 0, 0}, {4, 30, 66}), box({4, 14.5, 60}, {5.5, 15.5, 62}), box({0, 10, 0}, {8, 13, 66}),
                       box({0, 17, 0}, {8, 20, 66}), box({7, 10, 0}, {9, 20, 66})}));
       }},
      {"support-outweighs", [] { return projectOf(table(40, 20, 3)); }},
      {"gap-too-small",
       [] {
         return projectOf(table(20, 10, 2), {{"support.gap.above", 0.05}});
       }},
      {"gap-too-large",
       [] {
         return projectOf(table(20, 10, 2), {{"support.gap.above", 0.5}});
       }},
      {"interface-solid",
       [] {
         return projectOf(table(20, 10, 2), {{"support.interface.upper.spacing", 0}});
       }},
      {"piece-trapped", [] { return projectOf(closedRoom()); }},
      {"piece-fragile",
       [] {
         return projectOf(onANeck(), {{"support.gap.above", 0.1}, {"support.interface.upper.spacing", 0.1}});
       }},
      {"no-code-room",
       [] {
         return projectOf(box({0, 0, 0}, {20, 20, 4}),
                          {{"skirt.code", true}, {"machine.width", 40}, {"machine.depth", 34}});
       }},
      {"no-tower-room",
       [] {
         PlacePart middle;
         middle.position = Vec3(40, 40, 6);
         return after(
             projectOf(table(60, 10, 2),
                       {{"support.filament.interface", "second"}, {"machine.width", 80}, {"machine.depth", 80}}),
             {middle});
       }},
  };
  return all;
}

const Finding* found(const BuildPtr& built, const std::string& code) {
  const auto at =
      std::find_if(built->findings.begin(), built->findings.end(), [&](const Finding& f) { return f.code == code; });
  return at == built->findings.end() ? nullptr : &*at;
}

std::size_t countOf(const BuildPtr& built, const std::string& code) {
  return static_cast<std::size_t>(std::count_if(built->findings.begin(), built->findings.end(),
                                                [&](const Finding& f) { return f.code == code && !f.accepted; }));
}

class FindingCode : public testing::TestWithParam<Case> {
 protected:
  // Most of one build is the next one's too.
  BuildPtr build(const ProjectPtr& project) { return buildProject(store_, project, Progress()); }

 private:
  Store store_;
};

TEST_P(FindingCode, IsProvokedAndItsRemedyClearsIt) {
  const ProjectPtr project = GetParam().provoke();
  const BuildPtr built = build(project);
  const Finding* finding = found(built, GetParam().code);
  ASSERT_NE(finding, nullptr);
  EXPECT_FALSE(finding->message.empty());
  std::vector<std::string> clearing;
  for (const Remedy& remedy : finding->remedies) {
    EXPECT_FALSE(remedy.name.empty());
    if (countOf(build(after(project, remedy.steps)), finding->code) < countOf(built, finding->code))
      clearing.push_back(remedy.name);
  }
  const bool onlyAccepted = finding->code == "marks-lost";  // what is gone is gone
  EXPECT_EQ(clearing.empty(), onlyAccepted) << finding->message;
}

TEST_P(FindingCode, CanBeAcceptedWithANote) {
  const ProjectPtr project = GetParam().provoke();
  const BuildPtr before = build(project);
  ASSERT_NE(found(before, GetParam().code), nullptr);
  const Finding finding = *found(before, GetParam().code);
  const ProjectPtr accepted =
      performed(*project, AcceptFinding{finding.part, finding.code, finding.at, "as it should be"});
  const BuildPtr built = build(accepted);
  const Finding* last = found(built, GetParam().code);
  ASSERT_NE(last, nullptr);
  for (const Finding& other : built->findings) {
    if (other.code != finding.code || other.at != finding.at) continue;
    ASSERT_TRUE(other.accepted.has_value());
    EXPECT_EQ(*other.accepted, "as it should be");
  }
  EXPECT_EQ(countOf(build(performed(*accepted, AcceptFinding{finding.part, finding.code, finding.at, "", false})),
                    finding.code),
            countOf(before, finding.code));
}

INSTANTIATE_TEST_SUITE_P(All, FindingCode, testing::ValuesIn(cases()), [](const auto& which) {
  std::string name = which.param.code;
  std::replace(name.begin(), name.end(), '-', '_');
  return name;
});

// The list for people names exactly the findings that are tried here.
TEST(FindingCodes, AreAllListedAndAllTried) {
  const std::string listed = readFile((std::filesystem::path(TRELLIS_DEMO) / "../../docs/findings.md").string());
  std::set<std::string> inList, tried;
  const std::regex row(R"(\n\| (`[a-z-]+`(?:, `[a-z-]+`)*) \|)"), code("`([a-z-]+)`");
  for (std::sregex_iterator r(listed.begin(), listed.end(), row), none; r != none; ++r) {
    const std::string codes = (*r)[1];
    for (std::sregex_iterator c(codes.begin(), codes.end(), code); c != none; ++c) inList.insert((*c)[1]);
  }
  for (const Case& one : cases()) tried.insert(one.code);
  EXPECT_EQ(inList, tried);
}

}  // namespace
}  // namespace trellis::test
