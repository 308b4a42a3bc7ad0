// SPDX-License-Identifier: GPL-3.0-or-later
// Broken meshes: what is said of them, and what mending makes of them.
#include "core/mesh/mend.hpp"
#include "tests/shapes.hpp"

namespace trellis::test {
namespace {

const MeshPtr cube = box({0, 0, 0}, {10, 10, 10});

MeshPtr withFacets(const TriangleMesh& mesh, const std::function<void(std::vector<Facet>&)>& change) {
  std::vector<Facet> facets = mesh.facets;
  change(facets);
  return makeMesh(mesh.vertices, facets);
}

const MeshDefect* troubleOf(const MeshHealth& health, DefectKind kind) {
  for (const MeshDefect& defect : health.defects)
    if (defect.kind == kind) return &defect;
  return nullptr;
}

MeshHealth examined(const MeshPtr& mesh) { return examine(*mesh, Progress()); }

TEST(Examine, FindsNothingInASoundMesh) {
  EXPECT_TRUE(examined(cube).sound());
  EXPECT_TRUE(examined(sphere({0, 0, 0}, 10, 40, 60)).sound());
}

TEST(Examine, CountsHolesAndTheirEdges) {
  const MeshPtr holed = withFacets(*sphere({0, 0, 0}, 10, 20, 30), [](auto& f) {
    f.erase(f.begin() + 300);
    f.erase(f.begin() + 800);
  });
  const MeshHealth health = examined(holed);
  ASSERT_EQ(health.defects.size(), 1u);
  EXPECT_EQ(health.defects[0].count, 2u);
  EXPECT_EQ(health.defects[0].openEdges.size(), 6u);
  EXPECT_EQ(inWords(health.defects[0]), "2 holes (6 open edges)");
}

TEST(Examine, NamesFlippedAndDoubledFacets) {
  const MeshHealth health = examined(withFacets(*cube, [](auto& f) {
    std::swap(f[3][0], f[3][1]);
    f.push_back(f[7]);
  }));
  ASSERT_NE(troubleOf(health, DefectKind::flipped), nullptr);
  EXPECT_THAT(troubleOf(health, DefectKind::flipped)->facets, testing::ElementsAre(3));
  ASSERT_NE(troubleOf(health, DefectKind::duplicates), nullptr);
  EXPECT_THAT(troubleOf(health, DefectKind::duplicates)->facets, testing::ElementsAre(12));
}

TEST(Examine, SeesShellsThatCrossAndNotThoseThatTouchNowhere) {
  EXPECT_TRUE(examined(together({cube, box({20, 0, 0}, {30, 10, 10})})).sound());
  const MeshHealth health = examined(together({cube, box({5, 5, 5}, {15, 15, 15})}));
  const MeshDefect* crossing = troubleOf(health, DefectKind::crossing);
  ASSERT_NE(crossing, nullptr);
  EXPECT_GE(crossing->count, 6u);
  EXPECT_LE(crossing->count, 24u);
}

TEST(Examine, TellsSpecksAndSheets) {
  const MeshHealth health = examined(
      together({cube, box({20, 0, 0}, {20.2, 0.2, 0.2}), box({0, 0, 20}, {10, 10, 20.001}), twoTriangleSquare(5)}));
  ASSERT_NE(troubleOf(health, DefectKind::specks), nullptr);
  EXPECT_EQ(troubleOf(health, DefectKind::specks)->count, 1u);
  ASSERT_NE(troubleOf(health, DefectKind::sheets), nullptr);
  EXPECT_EQ(troubleOf(health, DefectKind::sheets)->count, 2u);
}

TEST(Mend, ClosesHolesAndMovesNoVertex) {
  const MeshPtr ball = sphere({0, 0, 0}, 10, 20, 30);
  const MeshPtr holed = withFacets(*ball, [](auto& f) { f.erase(f.begin() + 300, f.begin() + 304); });
  const Mended mended = mend(*holed, MendBy::repair, Progress());
  EXPECT_TRUE(mended.left.sound());
  EXPECT_THAT(mended.done, testing::Contains("filled 1 hole"));
  EXPECT_NEAR(inspect(*mended.mesh).volume, inspect(*ball).volume, 0.01 * inspect(*ball).volume);
  std::set<std::array<float, 3>> known;
  for (const Vec3f& v : ball->vertices) known.insert({v.x(), v.y(), v.z()});
  for (const Vec3f& v : mended.mesh->vertices) EXPECT_TRUE(known.count({v.x(), v.y(), v.z()}));
  EXPECT_GE(mended.fresh.size(), 2u);
  EXPECT_LE(mended.fresh.size(), 6u);
}

TEST(Mend, TurnsDropsAndJoins) {
  MeshPtr broken = withFacets(*together({cube, box({20, 0, 0}, {20.2, 0.2, 0.2})}), [](auto& f) {
    std::swap(f[3][0], f[3][1]);
    f.push_back(f[7]);
  });
  const Mended mended = mend(*broken, MendBy::repair, Progress());
  EXPECT_TRUE(mended.left.sound());
  EXPECT_NEAR(inspect(*mended.mesh).volume, 1000, 1e-6);
  EXPECT_EQ(mended.mesh->facets.size(), 12u);
  EXPECT_TRUE(mended.fresh.empty());
}

TEST(Mend, TurnsAWholeShellAndLeavesACavity) {
  const auto inward = [](const MeshPtr& mesh) {
    return withFacets(*mesh, [](auto& facets) {
      for (Facet& f : facets) std::swap(f[0], f[1]);
    });
  };
  EXPECT_NEAR(inspect(*mend(*inward(cube), MendBy::repair, Progress()).mesh).volume, 1000, 1e-6);
  const MeshPtr hollow = together({cube, inward(box({3, 3, 3}, {7, 7, 7}))});
  EXPECT_NEAR(inspect(*mend(*hollow, MendBy::repair, Progress()).mesh).volume, 1000 - 64, 1e-6);
}

TEST(Mend, SaysWhatItLeavesAndWrapsWhenAsked) {
  const MeshPtr crossed = together({cube, box({5, 5, 5}, {15, 15, 15})});
  const Mended repaired = mend(*crossed, MendBy::repair, Progress());
  ASSERT_EQ(repaired.left.defects.size(), 1u);
  EXPECT_EQ(repaired.left.defects[0].kind, DefectKind::crossing);
  const Mended wrapped = mend(*crossed, MendBy::wrap, Progress());
  EXPECT_TRUE(wrapped.left.sound());
  const double volume = 2 * 1000 - 125, area = 2 * 600 - 6 * 25.0;
  EXPECT_GT(inspect(*wrapped.mesh).volume, volume);
  EXPECT_LT(inspect(*wrapped.mesh).volume, volume + 0.12 * area);
}

TEST(Mend, AMeshOfNothingButASpeckIsKept) {
  EXPECT_EQ(mend(*box({0, 0, 0}, {0.2, 0.2, 0.2}), MendBy::repair, Progress()).mesh->facets.size(), 12u);
}

}  // namespace
}  // namespace trellis::test
