// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/archive.hpp"
#include "core/base/files.hpp"
#include "core/mesh/inspect.hpp"
#include "core/mesh/ray.hpp"
#include "core/mesh/read_mesh.hpp"
#include "core/mesh/stand_in.hpp"
#include "core/mesh/stl.hpp"
#include "tests/shapes.hpp"

#include <cmath>
#include <cstring>
#include <random>

namespace trellis::test {
namespace {

using testing::HasSubstr;

std::string refusal(const std::string& bytes, const std::string& name) {
  ScratchFolder folder;
  writeFileAtomically(folder / name, bytes);
  try {
    readMeshFile(folder / name, Progress());
  } catch (const Error& error) {
    return error.what();
  }
  return "accepted";
}

TEST(Stl, ComesBackBitForBit) {
  const MeshPtr ball = sphere({1.25, 3.5, 9}, 7, 20, 30);
  const MeshPtr again = readStl(writeStl(*ball), "ball.stl");
  ASSERT_EQ(again->facets.size(), ball->facets.size());
  for (std::size_t f = 0; f < ball->facets.size(); ++f)
    for (std::size_t k = 0; k < 3; ++k)
      ASSERT_EQ(again->vertices[again->facets[f][k]], ball->vertices[ball->facets[f][k]]);
}

TEST(Stl, ReadsAsciiOfAnyCase) {
  const std::string text =
      "solid leaf tip\nFacet normal 0 0 1\n outer loop\n VERTEX 0 0 0\n vertex +1.5e1 0 0\n vertex 0 2 "
      "-3.25\nendloop\nendfacet\nendsolid\n";
  const MeshPtr mesh = readStl(text, "leaf.stl");
  ASSERT_EQ(mesh->facets.size(), 1u);
  EXPECT_EQ(mesh->vertices[1], Vec3f(15, 0, 0));
  EXPECT_EQ(mesh->vertices[2], Vec3f(0, 2, -3.25f));
}

// Many programs write "solid" into the header of a binary file.
TEST(Stl, TellsBinaryByItsLengthAndNotByItsFirstWord) {
  std::string bytes = writeStl(*box({0, 0, 0}, {1, 2, 3}));
  std::memcpy(bytes.data(), "solid ", 6);
  EXPECT_EQ(readStl(bytes, "box.stl")->facets.size(), 12u);
}

TEST(BadMeshes, AreRefusedWithASentenceThatNamesTheFile) {
  std::string binary = writeStl(*box({0, 0, 0}, {1, 2, 3}));
  EXPECT_THAT(refusal("", "none.stl"), AllOf(HasSubstr("none.stl"), HasSubstr("empty")));
  EXPECT_THAT(refusal(binary.substr(0, 300), "cut.stl"), AllOf(HasSubstr("cut.stl"), HasSubstr("cut short")));
  EXPECT_THAT(refusal("hello", "note.stl"), HasSubstr("not an STL"));
  EXPECT_THAT(refusal("hello", "note.3mf"), HasSubstr("not a 3MF"));
  EXPECT_THAT(refusal("solid x\nfacet\nvertex 1 2\n", "half.stl"), HasSubstr("half.stl"));
  const float nan = std::nanf("");
  std::memcpy(binary.data() + 84 + 12, &nan, 4);
  EXPECT_THAT(refusal(binary, "nan.stl"), AllOf(HasSubstr("facet 1"), HasSubstr("not a finite number")));
  EXPECT_THAT(refusal(writeArchive({{"readme.txt", "no model here"}}), "bare.3mf"), HasSubstr("bare.3mf"));
  EXPECT_THAT(refusal(std::string("PK\x03\x04 and then nothing", 20), "stub.3mf"), HasSubstr("stub.3mf"));
  EXPECT_THROW(readMeshFile("/nowhere/part.stl", Progress()), Error);
  EXPECT_THROW(readMeshFile("/tmp", Progress()), Error);
}

TEST(BadMeshes, DamageIsASentenceAndNeverACrash) {
  const std::string binary = writeStl(*sphere({1, 2, 3}, 7, 12, 18));
  std::string text = "solid leaf\n";
  for (int i = 0; i < 12; ++i)
    text += "facet normal 0 0 1\nouter loop\nvertex 0 0 " + std::to_string(i) +
            "\nvertex 1.5e1 0 0\nvertex 0 2 -3.25\nendloop\nendfacet\n";
  text += "endsolid\n";
  std::mt19937 random(1);
  for (int i = 0; i < rounds(3000); ++i) {
    std::string hurt = i % 2 ? binary : text;
    if (i % 5 == 0) hurt.resize(random() % hurt.size());
    for (int k = 0; k < 5 && !hurt.empty(); ++k) hurt[random() % hurt.size()] = static_cast<char>(random());
    try {
      const MeshPtr mesh = readStl(hurt, "hurt.stl");
      for (const Facet& f : mesh->facets)
        for (const std::uint32_t v : f) ASSERT_LT(v, mesh->vertices.size());
    } catch (const Error& error) {
      EXPECT_THAT(error.what(), testing::StartsWith("hurt.stl"));
    }
  }
}

// Files of nothing wide, on nothing left to write: `ulimit -f` counts in kilobytes.
TEST(Saving, OnAFullDiskIsASentenceAndKeepsTheOldFile) {
  ScratchFolder folder;
  writeFileAtomically(folder / "kept.stl", "before");
  const std::string command = std::string("bash -c 'trap \"\" XFSZ; ulimit -f 4; ") + TRELLIS_CLI +
                              " convert " TRELLIS_DEMO "/latch.stl " + (folder / "kept.stl") + "' 2>&1";
  FILE* pipe = ::popen(command.c_str(), "r");
  std::string said(400, '\0');
  said.resize(std::fread(said.data(), 1, said.size(), pipe));
  EXPECT_NE(::pclose(pipe), 0);
  EXPECT_THAT(said, HasSubstr("kept.stl"));
  EXPECT_EQ(readFile(folder / "kept.stl"), "before");
}

TEST(Inspect, KnowsABoxByHeart) {
  const MeshFigures figures = inspect(*box({0, 0, 0}, {2, 3, 5}));
  EXPECT_EQ(figures.facets, 12u);
  EXPECT_EQ(figures.vertices, 8u);
  EXPECT_EQ(figures.shells, 1u);
  EXPECT_NEAR(figures.volume, 30, 1e-9);
  EXPECT_NEAR(figures.area, 62, 1e-9);
  EXPECT_TRUE(figures.sound());
}

TEST(Inspect, CountsOpenEdgesAndFlippedFacets) {
  TriangleMesh broken = *box({0, 0, 0}, {1, 1, 1});
  std::swap(broken.facets[3][0], broken.facets[3][1]);
  broken.facets.erase(broken.facets.begin());
  const MeshFigures figures = inspect(*makeMesh(broken.vertices, broken.facets));
  EXPECT_EQ(figures.openEdges, 3u);
  EXPECT_EQ(figures.flippedFacets, 1u);
}

TEST(Inspect, ACavityIsNotFlippedButAShellInsideOutIs) {
  const Affine mirror(Eigen::Scaling(1.0, 1.0, -1.0));
  TriangleMesh inner = *box({1, 1, 1}, {2, 2, 2});
  for (Facet& f : inner.facets) std::swap(f[0], f[1]);
  const MeshPtr insideOut = makeMesh(inner.vertices, inner.facets);
  EXPECT_EQ(inspect(*together({box({0, 0, 0}, {3, 3, 3}), insideOut})).flippedFacets, 0u);
  EXPECT_EQ(inspect(*insideOut).flippedFacets, 12u);
  EXPECT_EQ(inspect(*transformed(*box({0, 0, 0}, {3, 3, 3}), mirror)).flippedFacets, 0u);
}

TEST(MeshTree, FindsTheFirstFacetAndTheNearOnes) {
  const MeshTree tree(box({0, 0, 0}, {10, 10, 10}));
  const auto hit = tree.firstHit({5, 4, 50}, {0, 0, -1});
  ASSERT_TRUE(hit);
  EXPECT_NEAR(hit->distance, 40, 1e-5);
  EXPECT_FALSE(tree.firstHit({50, 4, 50}, {0, 0, -1}));
  EXPECT_EQ(tree.facetsNear({5, 5, 5}, 20).size(), 12u);
  const MeshTree ball(sphere({0, 0, 0}, 50, 200, 400));
  const auto near = ball.facetsNear({0, 0, 50}, 2);
  EXPECT_LT(near.size(), 8000u);  // of 159 200
  for (std::uint32_t f = 0; f < ball.mesh().facets.size(); ++f) {
    if ((ball.mesh().corners(f)[0] - Vec3(0, 0, 50)).norm() > 2) continue;
    EXPECT_TRUE(std::binary_search(near.begin(), near.end(), f));
  }
}

TEST(StandIn, HasFewFacetsNearTheMesh) {
  const MeshPtr ball = sphere({0, 0, 0}, 20, 100, 200), few = standInOf(ball);
  EXPECT_LT(few->facets.size(), ball->facets.size() / 4);
  for (std::size_t f = 0; f < few->facets.size(); ++f) {
    const auto [a, b, c] = few->corners(f);
    EXPECT_NEAR(((a + b + c) / 3).norm(), 20, 3 * standInError);
  }
  EXPECT_NEAR(few->bounds.sizes().z(), 40, 2 * standInError);
  EXPECT_EQ(standInOf(ball), few);  // kept
}

TEST(StandIn, OfFewFacetsIsTheMeshItself) {
  const MeshPtr cube = box({0, 0, 0}, {10, 10, 10});
  EXPECT_EQ(standInOf(cube), cube);
}

}  // namespace
}  // namespace trellis::test
