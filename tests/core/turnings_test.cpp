// SPDX-License-Identifier: GPL-3.0-or-later
// Which way up: settling on faces, estimates, candidates.
#include "core/assess/turnings.hpp"
#include "core/assess/thumbnail.hpp"
#include "core/document/arrange.hpp"
#include "core/document/settle.hpp"
#include "tests/package_mesh.hpp"
#include "tests/shapes.hpp"

#include <tbb/parallel_for.h>

#include <cmath>
#include <filesystem>
#include <numeric>
#include <random>

namespace trellis::test {
namespace {

TEST(RestingFaces, OfABoxAreItsSixSides) {
  const auto faces = restingFaces(*box({0, 0, 0}, {2, 3, 5}), {1, 1, 2});
  ASSERT_EQ(faces.size(), 6u);
  EXPECT_NEAR(faces[0].area, 30, 1e-6);
  EXPECT_NEAR(faces[5].area, 6, 1e-6);
}

TEST(LayFaceDown, PutsThePointedFaceOnThePlate) {
  ProjectPtr project = projectOf(box({0, 0, 0}, {10, 20, 30}));
  const auto down = performed(*project, LayFaceDown{0, {60, 55, 12}});  // its right side
  const Box3 bounds = placedBounds(down->parts[0]->placement, *down->parts[0]->mesh);
  EXPECT_TRUE(bounds.sizes().isApprox(Vec3(30, 20, 10), 1e-6));
  EXPECT_NEAR(bounds.min().z(), 0, 1e-6);
  EXPECT_THROW(performed(*project, LayFaceDown{0, {90, 55, 12}}), Error);
}

// Inside the corner of an L the part cannot rest; it rests on the slope across the L's two ends.
TEST(LayFaceDown, RestsOnTheHullWhereThePartIsHollow) {
  const MeshPtr ell = together({box({0, 0, 0}, {30, 10, 10}), box({0, 0, 10}, {10, 10, 30})});
  const auto down = performed(*projectOf(ell), LayFaceDown{0, {60, 55, 20}});  // the inner side of the upright
  const Part& part = *down->parts[0];
  const Affine toPlate = transformOf(part.placement, *part.mesh);
  double onPlate = 0;
  for (const Vec3f& v : part.mesh->vertices) onPlate += std::abs((toPlate * v.cast<double>()).z()) < 1e-4;
  EXPECT_GE(onPlate, 4);
}

TEST(Mirrored, IsTheMirrorImageWhateverTheTurn) {
  const MeshPtr wedge = together({box({0, 0, 0}, {10, 20, 5}), box({0, 0, 5}, {3, 4, 30})});
  for (int axis = 0; axis < 3; ++axis) {
    const Placement before{{40, 50, 60}, {20, 35, 70}, {1, 1.5, 0.5}};
    const Affine one = transformOf(before, *wedge), two = transformOf(mirrored(before, axis), *wedge);
    for (const Vec3f& v : wedge->vertices) {
      Vec3 expected = one * v.cast<double>();
      expected(axis) = 2 * before.position(axis) - expected(axis);
      EXPECT_TRUE((two * v.cast<double>()).isApprox(expected, 1e-9));
    }
  }
}

TEST(DegreesOf, GiveTheTurnBack) {
  std::mt19937 random(3);
  std::uniform_real_distribution<double> any(-180, 180);
  for (int i = 0; i < 200; ++i) {
    const Vec3 degrees(any(random), i % 5 == 0 ? 90.0 : any(random), any(random));
    EXPECT_TRUE(turnOf(degreesOf(turnOf(degrees))).isApprox(turnOf(degrees), 1e-6)) << degrees.transpose();
  }
}

TEST(Placing, RestingPartsStayOnThePlateAndLiftedOnesUp) {
  const ProjectPtr project = projectOf(box({0, 0, 0}, {10, 20, 30}));
  PlacePart turn, lift;
  turn.turn = Vec3(0, 90, 0);
  lift.lift = 7;
  const auto low = [](const ProjectPtr& p) {
    return placedBounds(p->parts[0]->placement, *p->parts[0]->mesh).min().z();
  };
  EXPECT_NEAR(low(performed(*project, turn)), 0, 1e-6);
  const auto lifted = performed(*project, lift);
  EXPECT_NEAR(low(lifted), 7, 1e-6);
  EXPECT_NEAR(low(performed(*performed(*lifted, turn), lift)), 7, 1e-6);
  EXPECT_GT(low(performed(*lifted, turn)), 7);  // turned about its middle, and not dropped
  PlacePart sized;
  sized.size = Vec3(0, 0, 60);
  const auto larger = performed(*project, sized);
  EXPECT_TRUE(
      placedBounds(larger->parts[0]->placement, *larger->parts[0]->mesh).sizes().isApprox(Vec3(20, 40, 60), 1e-6));
  EXPECT_NEAR(low(larger), 0, 1e-6);
}

TEST(Arrange, GivesEveryPartAPlaceOfItsOwn) {
  ProjectPtr project = projectOf(sphere({0, 0, 20}, 20, 20, 30));
  for (int i = 0; i < 7; ++i) project = performed(*project, CopyPart{0});
  project = performed(*project, ArrangeParts{4});
  std::vector<Box3> boxes;
  for (const PartPtr& part : project->parts) {
    boxes.push_back(placedBounds(part->placement, *part->mesh));
    EXPECT_GE(boxes.back().min().minCoeff(), -1e-6);
    EXPECT_LE(boxes.back().max().x(), 250);
    EXPECT_LE(boxes.back().max().y(), 210);
  }
  for (std::size_t i = 0; i < boxes.size(); ++i)
    for (std::size_t k = i + 1; k < boxes.size(); ++k)
      EXPECT_GE((boxes[i].center() - boxes[k].center()).head<2>().norm(), 44 - 1e-6);
  Box2 all;
  for (const Box3& one : boxes) all.extend(one.min().head<2>().eval()).extend(one.max().head<2>().eval());
  EXPECT_TRUE(all.contains(Vec2(125, 105)));
  for (int i = 0; i < 20; ++i) project = performed(*project, CopyPart{0});
  EXPECT_THROW(performed(*project, ArrangeParts{4}), Error);
}

TEST(Arrange, LeavesRoomForBrims) {
  ProjectPtr project = projectOf(box({0, 0, 0}, {30, 30, 10}), {{"brim.width", 6.0}, {"brim.gap", 0.0}});
  project = performed(*performed(*project, CopyPart{0}), ArrangeParts{4});
  const Box3 one = placedBounds(project->parts[0]->placement, *project->parts[0]->mesh),
             other = placedBounds(project->parts[1]->placement, *project->parts[1]->mesh);
  EXPECT_GE(one.exteriorDistance(other), 2 * 6 + 4);
}

TEST(TurningSurvey, KnowsATablesFiguresByHeart) {
  const MeshPtr mesh = table(40, 15, 3);  // stands on a post of 4 × 4
  const TurningSurvey survey(mesh, Vec3::Ones(), {45, 0.2});
  const Turning upright = survey.estimate(Vec3::UnitZ()), headlong = survey.estimate(-Vec3::UnitZ());
  EXPECT_NEAR(upright.hanging, 1600, 1);
  EXPECT_NEAR(upright.supportVolume, 1600 * 15, 0.05 * 1600 * 15);
  EXPECT_NEAR(upright.contact, 16, 0.1);
  EXPECT_NEAR(upright.height, 18, 1e-4);
  EXPECT_NEAR(headlong.contact, 1600, 0.1);
  EXPECT_EQ(headlong.stepped, 0);
  EXPECT_LT(headlong.supportVolume, 100);
}

TEST(TurningSurvey, TurnsATableOver) {
  const TurningSurvey survey(table(40, 15, 3), Vec3::Ones(), {45, 0.2});
  const auto found = survey.refined(survey.candidates(8, Progress()), Progress());
  ASSERT_GE(found.size(), 4u);
  const Vec3 up = turnOf(found[0].turn).transpose() * Vec3::UnitZ();
  EXPECT_LT(up.z(), -0.999);
  for (std::size_t i = 1; i < found.size(); ++i)
    EXPECT_GE(found[i].supportVolume + 51, found[i - 1].supportVolume);  // a hundredth of the part
}

double rankCorrelation(const std::vector<double>& a, const std::vector<double>& b) {  // Spearman's
  const auto ranks = [](const std::vector<double>& values) {
    std::vector<std::size_t> order(values.size());
    std::iota(order.begin(), order.end(), 0u);
    std::sort(order.begin(), order.end(), [&](std::size_t i, std::size_t k) { return values[i] < values[k]; });
    std::vector<double> rank(values.size());
    for (std::size_t i = 0; i < order.size(); ++i) rank[order[i]] = static_cast<double>(i);
    return rank;
  };
  const auto ra = ranks(a), rb = ranks(b);
  double sum = 0;
  for (std::size_t i = 0; i < ra.size(); ++i) sum += (ra[i] - rb[i]) * (ra[i] - rb[i]);
  const auto n = static_cast<double>(a.size());
  return 1 - 6 * sum / (n * (n * n - 1));
}

// Estimates against the supports built for the same turnings.
class RankTest : public testing::TestWithParam<const char*> {};

TEST_P(RankTest, EstimatesOrderTurningsAsBuildsDo) {
  const MeshPtr mesh = readMeshFile(std::string(TRELLIS_DEMO "/") + GetParam() + ".stl", Progress())[0].mesh;
  ProjectPtr project = projectOf(mesh, {{"layer.height", 0.5}, {"layer.first", 0.5}});
  const TurningSurvey survey(mesh, Vec3::Ones(), {45, 0.5});
  std::vector<double> estimated, built;
  for (int i = 0; i < 20; ++i) {
    const double z = 1 - 2 * (i + 0.5) / 20, angle = 2.4 * i;
    const Turning turning =
        survey.estimate(Vec3(std::sqrt(1 - z * z) * std::cos(angle), std::sqrt(1 - z * z) * std::sin(angle), z));
    PlacePart place;
    place.turn = turning.turn;
    double volume = 0;
    const auto result = supportsOf(performed(*project, place));
    for (const SupportLayer& layer : result->support->layers)
      for (const PieceRegion& region : layer.regions) volume += area(region.area) * (layer.top - layer.bottom);
    estimated.push_back(turning.supportVolume);
    built.push_back(volume);
  }
  EXPECT_GE(rankCorrelation(estimated, built), 0.8);  // an estimate does not know how slender columns widen
}

INSTANTIATE_TEST_SUITE_P(Parts, RankTest, testing::Values("latch", "finial"),
                         [](const auto& given) { return std::string(given.param); });

// The best turning found is at most 5 % over the best of 2000 spread evenly.
class BestTest : public testing::TestWithParam<std::string> {};

TEST_P(BestTest, IsAsGoodAsBruteForce) {
  const std::string name = GetParam();
  const bool demo = std::filesystem::exists(std::string(TRELLIS_DEMO "/") + name + ".stl");
  const MeshPtr mesh =
      demo ? readMeshFile(std::string(TRELLIS_DEMO "/") + name + ".stl", Progress())[0].mesh : packageMesh(name);
  const TurningSurvey survey(mesh, Vec3::Ones(), {45, 0.2});
  const auto found = survey.refined(survey.candidates(12, Progress()), Progress());
  double best = 1e300;
  std::vector<double> volumes(2000);
  tbb::parallel_for(0, 2000, [&](int i) {
    const double z = 1 - 2 * (i + 0.5) / 2000, angle = i * pi * (3 - std::sqrt(5.0));
    volumes[static_cast<std::size_t>(i)] =
        survey.estimate(Vec3(std::sqrt(1 - z * z) * std::cos(angle), std::sqrt(1 - z * z) * std::sin(angle), z))
            .supportVolume;
  });
  for (const double volume : volumes) best = std::min(best, volume);
  ASSERT_FALSE(found.empty());
  EXPECT_LE(found[0].supportVolume, 1.05 * best + 1);
}

INSTANTIATE_TEST_SUITE_P(Parts, BestTest,
                         testing::Values("frond", "finial", "snail", "latch", "manifold", "bunny00", "elephant",
                                         "armadillo"),
                         [](const auto& given) { return given.param; });

TEST(Thumbnail, ShowsThePartInTheMiddleOfItsSquare) {
  const Thumbnail picture = thumbnail(*sphere({0, 0, 0}, 10, 40, 60), Affine::Identity(), 64);
  int covered = 0;
  for (const PortraitPixel& pixel : picture.pixels) covered += pixel.light >= 0;
  EXPECT_NEAR(covered, pi * std::pow(64 * 0.44, 2), 0.03 * 64 * 64);
  EXPECT_GE(picture.pixels[32 * 64 + 32].light, 0.35f);
  EXPECT_LT(picture.pixels[0].light, 0);
  // Seen from above the middle, the lower rim hangs and the upper one does not.
  EXPECT_GT(picture.pixels[58 * 64 + 32].lean, 30);
  EXPECT_LT(picture.pixels[6 * 64 + 32].lean, 0);
}

}  // namespace
}  // namespace trellis::test
