// SPDX-License-Identifier: GPL-3.0-or-later
// Normal supports of whole parts, checked from their G-code by somebody else's eyes.
#include "tests/package_mesh.hpp"
#include "tests/reference/verifier.hpp"
#include "tests/shapes.hpp"

#include "core/mesh/read_mesh.hpp"

#include <sstream>

namespace trellis::test {
namespace {

using Choices = std::vector<std::pair<std::string, nlohmann::json>>;

// Three ways to build, with figures from the trade (common practice): the defaults; narrow gaps of no round layer over a wide
// body; wide gaps with a dense interface and no walls.
struct Way {
  const char* name;
  Promise promise;
  Choices extra;
};

const std::vector<Way>& ways() {
  static const std::vector<Way> all = {
      {"usual", {}, {}},
      {"narrow", {.gapAbove = 0.22, .gapBelow = 0.15, .gapBeside = 0.3, .interfaceLayers = 4, .interfaceSpacing = 0.4, .bodySpacing = 2.8}, {{"support.graded.layers", 3}}},
      {"wide", {.gapAbove = 0.35, .gapBelow = 0.4, .gapBeside = 0.8, .freeLean = 50, .interfaceLayers = 2, .interfaceSpacing = 0.2, .bodySpacing = 2.0},
       {{"support.body.walls", 0}, {"support.body.pattern", "zigzag"}}}};
  return all;
}

Choices choicesOf(const Promise& promise, Choices extra) {
  const Choices asked{{"support.gap.above", promise.gapAbove}, {"support.gap.below", promise.gapBelow}, {"support.gap.beside", promise.gapBeside},
                      {"support.free_lean", promise.freeLean}, {"support.interface.upper.layers", promise.interfaceLayers},
                      {"support.interface.upper.spacing", promise.interfaceSpacing}, {"support.body.spacing", promise.bodySpacing},
                      {"support.bridge_limit", 0}, {"skirt.loops", 0}};
  extra.insert(extra.end(), asked.begin(), asked.end());
  return extra;
}

MeshPtr partNamed(const std::string& name) {
  if (name.starts_with("demo/")) return readMeshFile(std::string(TRELLIS_DEMO) + "/" + name.substr(5) + ".stl", Progress()).front().mesh;
  return packageMesh(name, 40);
}

Verdict judged(const std::string& gcode, const ProjectPtr& project, const Promise& promise) {
  const Part& part = *project->parts[0];
  return verify(gcode, *transformed(*part.mesh, transformOf(part.placement, *part.mesh)), promise);
}

class VerifierTest : public testing::TestWithParam<std::tuple<std::string, int>> {};

TEST_P(VerifierTest, FindsNothingWrong) {
  const auto& [name, way] = GetParam();
  const Promise& promise = ways()[static_cast<std::size_t>(way)].promise;
  const ProjectPtr project = projectOf(partNamed(name), choicesOf(promise, ways()[static_cast<std::size_t>(way)].extra));
  const Verdict verdict = judged(gcodeOf(project), project, promise);
  EXPECT_TRUE(verdict.faults.empty()) << verdict.words();
  EXPECT_GT(verdict.samples, 500u);
}

INSTANTIATE_TEST_SUITE_P(Parts, VerifierTest,
                         testing::Combine(testing::Values("demo/frond", "demo/finial", "demo/manifold", "demo/latch", "demo/snail", "bunny00", "3torus", "armadillo",
                                                          "bull", "camel", "elephant", "homer", "pig", "knot1", "hand", "mushroom"),
                                          testing::Range(0, 3)),
                         [](const auto& which) {
                           std::string name = std::get<0>(which.param);
                           std::replace(name.begin(), name.end(), '/', '_');
                           return name + "_" + ways()[static_cast<std::size_t>(std::get<1>(which.param))].name;
                         });

// A verifier that never complains proves nothing: each fault is planted and has to be found.
class PlantedTest : public testing::Test {
 protected:
  // Built by one promise and judged by another.
  static Verdict built(const Promise& by, const std::function<std::string(std::string)>& meddle = {}) {
    const ProjectPtr project = projectOf(packageMesh("bunny00", 40), choicesOf(by, {}));
    const std::string gcode = gcodeOf(project);
    return judged(meddle ? meddle(gcode) : gcode, project, Promise());
  }
};

TEST_F(PlantedTest, AGapAboveTwoHundredthsOff) {
  EXPECT_GT(built({.gapAbove = 0.22}).faults.count("coverage"), 0u);
  EXPECT_GT(built({.gapAbove = 0.18}).faults.count("gap above"), 0u);
}

TEST_F(PlantedTest, AGapBelowTwoHundredthsOff) {
  EXPECT_GT(built({.gapBelow = 0.18}).faults.count("gap below"), 0u);
  EXPECT_GT(built({.gapBelow = 0.22}).faults.count("standing on nothing"), 0u);
}

TEST_F(PlantedTest, AGapBesideFiveHundredthsOff) { EXPECT_GT(built({.gapBeside = 0.45}).faults.count("gap beside"), 0u); }

TEST_F(PlantedTest, OneInterfaceLayerMissing) { EXPECT_GT(built({.interfaceLayers = 2}).faults.count("coverage"), 0u); }

TEST_F(PlantedTest, OneLayersBodyShiftedByHalfASpacing) {
  const Verdict verdict = built({}, [](const std::string& gcode) {
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
        line = line.substr(0, x + 2) + std::to_string(at + (2.2 + 0.45) / 2 * 1.41421356) + line.substr(x + 2 + used);
      }
      out += line + "\n";
    }
    return out;
  });
  EXPECT_GT(verdict.faults.count("standing on nothing"), 0u) << verdict.words();
}

}  // namespace
}  // namespace trellis::test
