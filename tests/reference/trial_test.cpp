// SPDX-License-Identifier: GPL-3.0-or-later
// The trial print of whole builds: against the definition of a floating start, and against beads joined with plain
// Clipper.
#include "core/results/gcode_text.hpp"
#include "core/trial/trial_report.hpp"
#include "tests/package_mesh.hpp"
#include "tests/printed.hpp"
#include "tests/reference/regions.hpp"
#include "tests/reference/verifier.hpp"
#include "tests/shapes.hpp"

namespace trellis::test {
namespace {

ProjectPtr demoProject(const std::string& name, const std::vector<std::pair<std::string, nlohmann::json>>& settings) {
  return projectOf(demoPart(name), settings);
}

TrialPrint tried(const std::string& gcode) { return trialPrint(readGcode(gcode, Progress()), {}, Progress()); }

class TrialOf : public testing::TestWithParam<std::tuple<const char*, const char*>> {};

// Supports as proposed: nothing begins in mid-air, and under a thousandth of the part prints on air.
TEST_P(TrialOf, SupportsAsProposedLeaveNothingOnAir) {
  const auto [name, structure] = GetParam();
  const TrialPrint trial = tried(gcodeOf(demoProject(name, {{"support.structure", structure}})));
  EXPECT_EQ(trial.starts.size(), 0u) << verdictOf(trial);
  EXPECT_LT(trial.onAir(), 0.001) << verdictOf(trial);
  EXPECT_GT(trial.partLength[static_cast<std::size_t>(ContactClass::material)], 1000);
}

INSTANTIATE_TEST_SUITE_P(DemoParts, TrialOf,
                         testing::Combine(testing::Values("frond", "finial", "manifold", "latch", "snail"),
                                          testing::Values("normal", "tree")),
                         [](const auto& which) {
                           return std::string(std::get<0>(which.param)) + "_" + std::get<1>(which.param);
                         });

class AgreeingTrialOf : public testing::TestWithParam<const char*> {};

// The same text before both judges: the verifier, which compares it with the mesh, and the trial print, which knows the
// text alone. Where one finds the demand carried, nothing prints on air for the other; support too far below is seen by
// both.
TEST_P(AgreeingTrialOf, TheVerifierSaysTheSame) {
  const auto judged = [&](double gap) {
    const ProjectPtr project =
        demoProject(GetParam(), {{"support.gap.above", gap}, {"support.bridge_limit", 0}, {"skirt.loops", 0}});
    const Part& part = *project->parts[0];
    const std::string gcode = gcodeOf(project);
    const Verdict verdict = verify(gcode, *transformed(*part.mesh, transformOf(part.placement, *part.mesh)), Promise());
    return std::pair(*std::min_element(verdict.covered.begin(), verdict.covered.end()), tried(gcode).onAir());
  };
  const auto [covered, onAir] = judged(0.2);
  EXPECT_GE(covered, 0.97);
  EXPECT_LT(onAir, 0.001);
  const auto [coveredLow, onAirLow] = judged(0.6);
  EXPECT_LT(coveredLow, 0.5);
  EXPECT_GT(onAirLow, 2 * onAir + 0.0001);
}

INSTANTIATE_TEST_SUITE_P(DemoParts, AgreeingTrialOf, testing::Values("frond", "finial", "manifold", "latch", "snail"),
                         [](const auto& which) { return std::string(which.param); });

class BareTrialOf : public testing::TestWithParam<const char*> {};

// Without supports: each floating start is where the sections have one, in its layer or in the first that is wide
// enough for a line, and there are no others.
TEST_P(BareTrialOf, FindsTheFloatingStartsOfTheSectionsAndNoOthers) {
  const ProjectPtr project = demoProject(GetParam(), {{"support.on", false}});
  const BuildPtr built = build(project);
  const TrialPrint trial = tried(gcodeOf(*project, *built, Progress()));
  const std::vector<FloatingStart>& expected = built->parts[0].overhangs->starts;
  EXPECT_EQ(trial.starts.size(), expected.size());
  for (const FloatingStart& start : expected) {
    const bool found = std::any_of(trial.starts.begin(), trial.starts.end(), [&](const TrialStart& t) {
      const int later = t.layer - static_cast<int>(start.layer);
      return later >= 0 && later <= 1 && (t.at - start.at).head<2>().norm() < 0.5;
    });
    EXPECT_TRUE(found) << "layer " << start.layer << " at " << start.at.transpose();
  }
}

class BeadTrialOf : public BareTrialOf {};

// The same from the beads alone: of each layer, what is printed as outlines, and which of them lie over nothing of the
// layer below.
TEST_P(BeadTrialOf, FindsTheFloatingStartsOfTheBeads) {
  const std::string gcode = gcodeOf(demoProject(GetParam(), {{"support.on", false}, {"skirt.loops", 0}}));
  std::map<long, Paths> lines;
  for (const Bead& bead : readBeads(gcode))
    lines[std::lround(bead.z * 1000)].push_back({{std::llround(bead.x0 * perMm), std::llround(bead.y0 * perMm)},
                                                 {std::llround(bead.x1 * perMm), std::llround(bead.y1 * perMm)}});
  std::size_t floating = 0;
  Paths below;
  for (const auto& [z, layer] : lines) {
    const Paths printed = trellis::test::bead(layer, 0.45);
    ClipperLib::PolyTree tree;
    ClipperLib::Clipper clipper;
    clipper.AddPaths(offset(printed, 0.03), ClipperLib::ptSubject, true);
    clipper.Execute(ClipperLib::ctUnion, tree, ClipperLib::pftNonZero, ClipperLib::pftNonZero);
    if (!below.empty())
      for (const ClipperLib::PolyNode* node = tree.GetFirst(); node; node = node->GetNext())
        floating += !node->IsHole() && areaOf(combined(ClipperLib::ctIntersection, {node->Contour}, below)) < 1e-6;
    below = printed;
  }
  EXPECT_EQ(tried(gcode).starts.size(), floating);
}

std::string nameOf(const testing::TestParamInfo<const char*>& which) { return which.param; }
INSTANTIATE_TEST_SUITE_P(DemoParts, BareTrialOf, testing::Values("frond", "finial", "manifold", "latch", "snail"),
                         nameOf);
INSTANTIATE_TEST_SUITE_P(DemoParts, BeadTrialOf, testing::Values("frond", "finial", "snail"), nameOf);

}  // namespace
}  // namespace trellis::test
