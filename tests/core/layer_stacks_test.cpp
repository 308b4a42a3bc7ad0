// SPDX-License-Identifier: GPL-3.0-or-later
// What is printed as stacks of outlines; tests/reference/writing_test.cpp has them read by others.
#include "core/assess/layer_stacks.hpp"
#include "tests/shapes.hpp"

namespace trellis::test {
namespace {

double volumeOf(const LayerStack& stack) {
  double sum = 0, below = stack.bottom;
  for (const LayerStack::Layer& layer : stack.layers) {
    EXPECT_GT(layer.top, below);
    sum += area(layer.area) * (layer.top - below);
    below = layer.top;
  }
  return sum;
}

TEST(LayerStacks, APartsIsItsSections) {
  const BuildPtr built = build(projectOf(box({0, 0, 0}, {20, 10, 5})));
  const LayerStack stack = stackOf(built->parts[0]);
  ASSERT_EQ(stack.layers.size(), 25u);
  EXPECT_NEAR(stack.layers.back().top, 5, 1e-9);
  EXPECT_NEAR(volumeOf(stack), 20 * 10 * 5, 0.5);
}

// Three ceilings whose supports have layers at heights of their own: divided, they hold as much as is printed.
TEST(LayerStacks, SitesOfDifferentHeightsBecomeOne) {
  for (const char* structure : {"normal", "tree"}) {
    const BuildPtr built = build(projectOf(threeCeilings(), {{"support.structure", structure}}));
    double stacked = 0, printed = 0;
    for (std::size_t piece = 0; piece < built->support->pieces.size(); ++piece)
      for (const bool interface : {false, true}) stacked += volumeOf(stackOfPiece(*built, piece, interface));
    for (const SupportLayer& layer : built->support->layers)
      for (const PieceRegion& region : layer.regions) printed += area(region.area) * (layer.top - layer.bottom);
    EXPECT_GT(printed, 100);
    EXPECT_NEAR(stacked, printed, 0.01 * printed) << structure;
  }
}

TEST(LayerStacks, AsTextEveryOutlineIsClosed) {
  const std::size_t five = 5;
  LayerStack stack{0.2, {{0.4, rectangle({Vec2(0, 0), Vec2(2, 1)})}, {0.6, {}}}};
  std::string xml;
  appendStack(xml, five, stack);
  EXPECT_NE(xml.find("<s:slicestack id=\"5\" zbottom=\"0.200000\">"), std::string::npos);
  EXPECT_NE(xml.find("<s:segment v2=\"3\"/><s:segment v2=\"0\"/></s:polygon>"), std::string::npos);
  EXPECT_NE(xml.find("<s:slice ztop=\"0.600000\"></s:slice>"), std::string::npos);  // a layer may be empty
}

}  // namespace
}  // namespace trellis::test
