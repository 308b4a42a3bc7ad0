// SPDX-License-Identifier: GPL-3.0-or-later
// Support as bodies a hand can pull off, and as a surface to look at.
#include "core/support/support_solid.hpp"
#include "tests/shapes.hpp"

#include <cmath>
#include <set>

namespace trellis::test {
namespace {

// Shelves on one wall at the given heights, each 12 mm wide, 20 mm apart.
MeshPtr shelves(const std::vector<double>& heights) {
  std::vector<MeshPtr> parts{box({0, 0, 0}, {20.0 * static_cast<double>(heights.size()), 4, 30})};
  for (std::size_t i = 0; i < heights.size(); ++i) {
    const double x = 20.0 * static_cast<double>(i) + 4;
    parts.push_back(box({x, 0, heights[i]}, {x + 12, 20, heights[i] + 2}));
  }
  return together(parts);
}

TEST(Pieces, ShelvesApartArePiecesApart) {
  const auto built = build(projectOf(shelves({8, 14, 20})));
  ASSERT_EQ(built->support->pieces.size(), 3u);
  std::set<long> tops;
  for (const Piece& piece : built->support->pieces) {
    EXPECT_EQ(piece.sites.size(), 1u);
    EXPECT_EQ(piece.lowest, 0);
    EXPECT_NEAR(piece.contactAbove, 12 * 15.5, 12);  // the gap beside the wall is left free
    tops.insert(std::lround(piece.highest * 10));
  }
  EXPECT_THAT(tops, testing::ElementsAre(78, 138, 198));
}

// The support of the higher shelf keeps the gap beside from the lower one, and so stands alone.
TEST(Pieces, SupportThatPassesALowerShelfIsAPieceOfItsOwn) {
  const MeshPtr mesh =
      together({box({0, 0, 0}, {40, 4, 30}), box({4, 0, 10}, {18, 20, 12}), box({18, 0, 14}, {32, 20, 16})});
  EXPECT_EQ(build(projectOf(mesh))->support->pieces.size(), 2u);
}

TEST(Pieces, RegionsOfALayerNeverOverlap) {
  const auto built = build(projectOf(shelves({8, 14.1, 20.3}), {{"support.gap.above", 0.24}}));
  for (const SupportLayer& a : built->support->layers)
    for (const SupportLayer& b : built->support->layers) {
      if (a.top <= b.bottom + 1e-6 || b.top <= a.bottom + 1e-6 || a.top > b.top) continue;
      for (const PieceRegion& p : a.regions)
        for (const PieceRegion& q : b.regions)
          EXPECT_TRUE(&p == &q || area(intersect(p.area, q.area)) < 1e-3) << a.bottom << " and " << b.bottom;
    }
}

TEST(Pieces, EveryLineOfSupportBelongsToOne) {
  const auto built = build(projectOf(shelves({8, 14})));
  for (const auto& layer : built->print.layers)
    for (const trellis::Run& run : layer->runs) {
      EXPECT_EQ(isSupport(run.feature), run.owner.kind == Owner::piece);
      EXPECT_TRUE(!isSupport(run.feature) || run.owner.index < built->support->pieces.size());
    }
}

TEST(SupportSolid, WhatBeginsLowestComesFirst) {
  const auto built = build(projectOf(shelves({8, 14})));
  const SupportSolid solid = solidOf(*built->support, built->trees, built->raft, Progress());
  ASSERT_GT(solid.vertices.size(), 100u);
  float last = -1;
  for (std::size_t i = 0; i + 2 < solid.vertices.size(); i += 3) {
    const float low = std::min({solid.vertices[i].at.z(), solid.vertices[i + 1].at.z(), solid.vertices[i + 2].at.z()});
    ASSERT_GE(low, last);
    last = low;
  }
}

// Walls alone give the volume back by the divergence theorem: Σ x·n_x·area over closed prisms.
TEST(SupportSolid, ShowsTheVolumeThatIsBuilt) {
  const auto built = build(projectOf(shelves({8, 14})));
  double expected = 0, shown = 0;
  for (const SupportLayer& layer : built->support->layers)
    for (const PieceRegion& region : layer.regions) expected += area(region.area) * (layer.top - layer.bottom);
  const SupportSolid solid = solidOf(*built->support, built->trees, built->raft, Progress());
  ASSERT_EQ(solid.vertices.size() % 3, 0u);
  for (std::size_t i = 0; i + 2 < solid.vertices.size(); i += 3) {
    const Vec3 a = solid.vertices[i].at.cast<double>(), b = solid.vertices[i + 1].at.cast<double>(),
               c = solid.vertices[i + 2].at.cast<double>();
    const Vec3 normal = solid.vertices[i].normal.cast<double>();
    shown += (a.x() + b.x() + c.x()) / 3 * normal.x() * (b - a).cross(c - a).norm() / 2;
  }
  EXPECT_NEAR(shown, expected, 0.03 * expected);
}

}  // namespace
}  // namespace trellis::test
