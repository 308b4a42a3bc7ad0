// SPDX-License-Identifier: GPL-3.0-or-later
// Tree supports of whole parts, checked from their G-code by somebody else's eyes, and what they use beside normal
// ones.
#include "tests/package_mesh.hpp"
#include "tests/reference/verifier.hpp"
#include "tests/shapes.hpp"

#include <algorithm>
#include <set>
#include <sstream>

namespace trellis::test {
namespace {

using Choices = std::vector<std::pair<std::string, nlohmann::json>>;

MeshPtr partNamed(const std::string& name, double size) {
  if (name.starts_with("demo/")) return demoPart(name.substr(5));
  return packageMesh(name, size);
}

std::string testName(const testing::TestParamInfo<std::string>& which) {
  std::string name = which.param;
  std::replace(name.begin(), name.end(), '/', '_');
  return name;
}

// The text without the lines of one kind.
std::string without(const std::string& feature, const std::string& gcode) {
  std::istringstream lines(gcode);
  std::string line, out;
  bool isIt = false;
  while (std::getline(lines, line)) {
    if (line.starts_with("; @feature")) isIt = line.find(feature) != std::string::npos;
    if (!isIt || !line.starts_with("G1 X")) out += line + "\n";
  }
  return out;
}

class TreeVerifierTest : public testing::TestWithParam<std::string> {};

// Of gaps nothing may be wrong, but at a few places in tens of thousands, where a surface leans so nearly as it may
// that layers and facets tell it differently: those count once for each layer beside them. Of outlines, one in a few
// hundred, where the gaps have cut a tip on a slope, may lean or rest a little worse: a weakness. Right over a tip most
// is exactly at the gap; the rest is a layer or two farther, where the rim of a tip on a slope would be thinner than a
// line. Of layers of branches one in some hundreds may be thinner than its height asks for: where a branch had no room
// that this eye does not see.
TEST_P(TreeVerifierTest, FindsNothingWrong) {
  const ProjectPtr project = projectOf(
      partNamed(GetParam(), 40), {{"support.structure", "tree"}, {"support.bridge_limit", 0}, {"skirt.loops", 0}});
  const Part& part = *project->parts[0];
  const Verdict verdict =
      verifyTree(gcodeOf(project), *transformed(*part.mesh, transformOf(part.placement, *part.mesh)), Promise());
  for (const auto& [what, count] : verdict.faults) {
    const bool ofGaps = what.starts_with("gap") || what == "in the part", thin = what == "branch too thin";
    EXPECT_LE(static_cast<std::size_t>(count), ofGaps ? 10 : 3 + verdict.lines / (thin ? 1500 : 20000))
        << what << "\n"
        << verdict.words();
  }
  const double few = verdict.demanded == 0 ? 1 : 3.0 / static_cast<double>(verdict.demanded);
  EXPECT_GE(verdict.covered[0], 0.96 - 10 * few) << "borders within a line width of a tip\n" << verdict.words();
  EXPECT_GE(verdict.covered[1], 0.965 - few) << "all within half the tip spacing\n" << verdict.words();
  EXPECT_GE(verdict.covered[2], 0.8 - few) << "exactly at the gap\n" << verdict.words();
  EXPECT_GT(verdict.samples, 500u);
}

INSTANTIATE_TEST_SUITE_P(Parts, TreeVerifierTest,
                         testing::Values("demo/frond", "demo/finial", "demo/manifold", "demo/latch", "demo/snail",
                                         "bunny00", "eight", "armadillo", "bull", "camel", "elephant", "homer", "pig",
                                         "knot1", "hand", "mushroom"),
                         testName);

// What has to be found when it is planted.
std::set<std::string> foundIn(const Choices& choices, const std::string& feature = {}) {
  Choices all = choices;
  for (const auto& [key, value] :
       Choices{{"support.structure", "tree"}, {"support.bridge_limit", 0}, {"skirt.loops", 0}})
    all.emplace_back(key, value);
  const ProjectPtr project = projectOf(partNamed("demo/snail", 40), all);
  const Part& part = *project->parts[0];
  const std::string gcode = feature.empty() ? gcodeOf(project) : without(feature, gcodeOf(project));
  const Verdict verdict =
      verifyTree(gcode, *transformed(*part.mesh, transformOf(part.placement, *part.mesh)), Promise());
  std::set<std::string> found;
  for (const auto& [what, count] : verdict.faults)
    if (static_cast<std::size_t>(count) > 3 + (what == "branch too thin" ? verdict.lines / 1500 : 0))
      found.insert(what);
  return found;
}

TEST(PlantedInTrees, ThinBranchesAndBareIslandsAreFound) {
  EXPECT_THAT(foundIn({}), testing::Not(testing::AnyOf(testing::Contains("branch too thin"),
                                                       testing::Contains("island left bare"))));
  EXPECT_THAT(foundIn({{"support.tree.trunk_width", 0.9}}), testing::Contains("branch too thin"));
  EXPECT_THAT(foundIn({}, "support.interface.upper"), testing::Contains("island left bare"));
}

class FilamentTest : public testing::TestWithParam<std::string> {};

TEST_P(FilamentTest, TreesUseAtMostSevenTenthsOfNormalSupports) {
  const auto volume = [](const char* structure) {
    const Choices lines{{"support.structure", structure}, {"support.body.spacing", 2.5}, {"support.body.walls", 0}};
    return build(projectOf(partNamed(GetParam(), 60), lines))->tally.support().volume;
  };
  EXPECT_LE(volume("tree"), 0.7 * volume("normal"));
}

INSTANTIATE_TEST_SUITE_P(Parts, FilamentTest, testing::Values("demo/frond", "demo/snail", "bunny00"), testName);

}  // namespace
}  // namespace trellis::test
