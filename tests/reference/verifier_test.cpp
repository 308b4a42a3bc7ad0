// SPDX-License-Identifier: GPL-3.0-or-later
// Normal supports of whole parts, checked from their G-code by somebody else's eyes.
#include "tests/reference/verifier.hpp"
#include "tests/package_mesh.hpp"
#include "tests/shapes.hpp"

#include <algorithm>
#include <sstream>

namespace trellis::test {
namespace {

using Choices = std::vector<std::pair<std::string, nlohmann::json>>;

// Three ways to build, with figures from the trade (common practice): the defaults; narrow gaps of no round layer over
// a wide body; wide gaps with a dense interface and no walls, where what keeps clear of steep surface all around leaves
// a little more of ragged slopes uncovered: a weakness.
struct Way {
  const char* name;
  Promise promise;
  Choices extra;
  double leastCovered;
};

const std::vector<Way>& ways() {
  static const std::vector<Way> all = {{"usual", {}, {}, 0.98},
                                       {"narrow",
                                        {.gapAbove = 0.22,
                                         .gapBelow = 0.15,
                                         .gapBeside = 0.3,
                                         .interfaceLayers = 4,
                                         .interfaceSpacing = 0.4,
                                         .bodySpacing = 2.8},
                                        {{"support.graded.layers", 3}},
                                        0.98},
                                       {"wide",
                                        {.gapAbove = 0.35,
                                         .gapBelow = 0.4,
                                         .gapBeside = 0.8,
                                         .freeLean = 50,
                                         .interfaceLayers = 2,
                                         .interfaceSpacing = 0.2,
                                         .bodySpacing = 2.0},
                                        {{"support.body.walls", 0}, {"support.body.pattern", "zigzag"}},
                                        0.95}};
  return all;
}

Choices choicesOf(const Promise& promise, Choices extra) {
  const Choices asked{{"support.gap.above", promise.gapAbove},
                      {"support.gap.below", promise.gapBelow},
                      {"support.gap.beside", promise.gapBeside},
                      {"support.gap.slope", promise.gapSlope},
                      {"support.free_lean", promise.freeLean},
                      {"support.interface.upper.layers", promise.interfaceLayers},
                      {"support.interface.upper.spacing", promise.interfaceSpacing},
                      {"support.body.spacing", promise.bodySpacing},
                      {"support.bridge_limit", 0},
                      {"skirt.loops", 0}};
  extra.insert(extra.end(), asked.begin(), asked.end());
  return extra;
}

MeshPtr partNamed(const std::string& name) {
  if (name.starts_with("demo/")) return demoPart(name.substr(5));
  return packageMesh(name, 40);
}

Verdict judged(const std::string& gcode, const ProjectPtr& project, const Promise& promise) {
  const Part& part = *project->parts[0];
  return verify(gcode, *transformed(*part.mesh, transformOf(part.placement, *part.mesh)), promise);
}

// What is wrong with a print. Of gaps nothing may be, but at one place, seen from the two layers beside it, where a
// line ends sharply; beside what is too thin to be printed, support may stand nearer. Of lines one in a hundred,
// and five more, may stand on too little: where a thin interface runs almost along the gaps of a body without walls.
// leastCovered is the share of demand that the interface lies under.
std::vector<std::string> complaints(const Verdict& verdict, double leastCovered) {
  std::vector<std::string> all;
  for (const auto& [what, count] : verdict.faults) {
    const std::size_t allowed = what == "standing on nothing" ? verdict.lines / 100 + 5 : what == "gap beside" ? 20 : 2;
    if (static_cast<std::size_t>(count) > allowed) all.push_back(what);
  }
  const double few =
      verdict.demanded == 0 ? 1 : 4.0 / static_cast<double>(verdict.demanded);  // places of sites too small to matter
  for (const double share : verdict.covered)
    if (share < leastCovered - few) all.push_back("coverage");
  return all;
}

class VerifierTest : public testing::TestWithParam<std::tuple<std::string, int>> {};

TEST_P(VerifierTest, FindsNothingWrong) {
  const auto& [name, number] = GetParam();
  const Way& way = ways()[static_cast<std::size_t>(number)];
  const ProjectPtr project = projectOf(partNamed(name), choicesOf(way.promise, way.extra));
  const Verdict verdict = judged(gcodeOf(project), project, way.promise);
  EXPECT_THAT(complaints(verdict, way.leastCovered), testing::IsEmpty()) << verdict.words();
  EXPECT_GT(verdict.samples, 500u);
}

INSTANTIATE_TEST_SUITE_P(Parts, VerifierTest,
                         testing::Combine(testing::Values("demo/frond", "demo/finial", "demo/manifold", "demo/latch",
                                                          "demo/snail", "bunny00", "eight", "armadillo", "bull",
                                                          "camel", "elephant", "homer", "pig", "knot1", "hand",
                                                          "mushroom"),
                                          testing::Range(0, 3)),
                         [](const auto& which) {
                           std::string name = std::get<0>(which.param);
                           std::replace(name.begin(), name.end(), '/', '_');
                           return name + "_" + ways()[static_cast<std::size_t>(std::get<1>(which.param))].name;
                         });

// No gap above or below and little beside, as under an interface that dissolves; 45 % of lines above and 25 % below:
// common practice.
TEST(VerifierTouching, NothingOverlapsAndEverythingIsCarried) {
  const Promise promise{.gapAbove = 0, .gapBelow = 0, .gapBeside = 0.15, .gapSlope = 0, .interfaceSpacing = 0.55};
  for (const char* part : {"demo/latch", "demo/snail", "bunny00"}) {
    const ProjectPtr project = projectOf(
        partNamed(part),
        choicesOf(promise, {{"support.interface.lower.layers", 2}, {"support.interface.lower.spacing", 1.35}}));
    const Verdict verdict = judged(gcodeOf(project), project, promise);
    EXPECT_THAT(complaints(verdict, 0.98), testing::IsEmpty()) << part << "\n" << verdict.words();
  }
}

// A verifier that never complains proves nothing: each fault is planted and has to be found.
class PlantedTest : public testing::Test {
 protected:
  // Built by one promise and judged by another.
  static std::vector<std::string> found(const Promise& by, const std::function<std::string(std::string)>& meddle = {},
                                        const char* part = "bunny00") {
    const ProjectPtr project = projectOf(partNamed(part), choicesOf(by, {}));
    const std::string gcode = gcodeOf(project);
    return complaints(judged(meddle ? meddle(gcode) : gcode, project, Promise()), 0.98);
  }
};

using testing::Contains;

TEST_F(PlantedTest, AGapAboveTwoHundredthsOff) {
  EXPECT_THAT(found({.gapAbove = 0.22}), Contains("coverage"));
  EXPECT_THAT(found({.gapAbove = 0.18}), Contains("gap above"));
}

TEST_F(PlantedTest, AGapBelowTwoHundredthsOff) {
  EXPECT_THAT(found({.gapBelow = 0.18}, {}, "demo/manifold"), Contains("gap below"));
  EXPECT_THAT(found({.gapBelow = 0.22}, {}, "demo/manifold"), Contains("standing on nothing"));
}

TEST_F(PlantedTest, AGapBesideFiveHundredthsOff) { EXPECT_THAT(found({.gapBeside = 0.45}), Contains("gap beside")); }

TEST_F(PlantedTest, OneInterfaceLayerMissing) { EXPECT_THAT(found({.interfaceLayers = 2}), Contains("coverage")); }

TEST_F(PlantedTest, OneLayersBodyShiftedByHalfASpacing) {
  const std::vector<std::string> wrong = found(
      {},
      [](const std::string& gcode) {
        std::istringstream lines(gcode);
        std::string line, out;
        int layer = -1;
        bool body = false;
        while (std::getline(lines, line)) {
          if (line.starts_with("; @layer")) ++layer;
          if (line.starts_with("; @feature")) body = line.find("support.body") != std::string::npos;
          const std::size_t x = line.find(" X");
          if (layer == 12 && body && x != std::string::npos) {
            std::size_t used = 0;
            const double at = std::stod(line.substr(x + 2), &used);
            line =
                line.substr(0, x + 2) + std::to_string(at + (2.2 + 0.45) / 2 * 1.41421356) + line.substr(x + 2 + used);
          }
          out += line + "\n";
        }
        return out;
      },
      "demo/latch");
  EXPECT_THAT(wrong, Contains("standing on nothing"));
}

}  // namespace
}  // namespace trellis::test
