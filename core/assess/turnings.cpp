// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/assess/turnings.hpp"

#include "core/base/parallel.hpp"
#include "core/document/settle.hpp"
#include "core/mesh/inspect.hpp"
#include "core/mesh/ray.hpp"
#include "core/settings/rules.hpp"

#include <Eigen/Eigenvalues>

#include <algorithm>
#include <cmath>

namespace trellis {

namespace {

constexpr std::size_t samplesWanted = 6000;
constexpr std::size_t spread = 260;  // directions over the sphere
constexpr std::size_t facesTried = 40;
constexpr double alike = 0.985;                // cosine of 10°: turnings nearer than that are one
constexpr double steepest = 20, flattest = 2;  // degrees from level between which steps show

constexpr double thinBelow = 1.3;          // mm, three lines side by side
constexpr double upright = 15, flat = 70;  // degrees from vertical between which something thin leans
// What is less than this share of the seen faces makes no difference.
constexpr double littleSeen = 0.002;

struct Surface {
  Vec3f normal;  // unit
  float area;    // mm²
  float seen;    // mm² of it
};

struct Sample {
  Vec3 at;
  Vec3 normal;
  double area;  // mm² it stands for
  bool isSeen, isThin;
};

// What makes no difference: mm³ of support, mm² of scar on seen faces.
struct Little {
  double support, seen;
};

Vec3 directionOf(std::size_t i, std::size_t count) {  // a Fibonacci spiral
  const double z = 1 - 2 * (static_cast<double>(i) + 0.5) / static_cast<double>(count);
  const double angle = static_cast<double>(i) * pi * (3 - std::sqrt(5.0)), r = std::sqrt(1 - z * z);
  return {r * std::cos(angle), r * std::sin(angle), z};
}

Vec3 turnFor(const Vec3& up) {
  return degreesOf(Eigen::Quaterniond::FromTwoVectors(up, Vec3::UnitZ()).toRotationMatrix());
}
Vec3 upOf(const Turning& turning) { return turnOf(turning.turn).transpose() * Vec3::UnitZ(); }

// Less of a scar on seen faces first, then less support, then what stands broader, then what is lower.
bool better(const Turning& a, const Turning& b, const Little& little) {
  const auto order = [&](const Turning& t) {
    return std::tuple(t.seenScarred < little.seen ? 0.0 : t.seenScarred,
                      t.supportVolume < little.support ? 0.0 : t.supportVolume, -t.contact, t.height);
  };
  return order(a) < order(b);
}

// Of a facet's area, by its tree of marks; a scale changes no share.
double shareSeen(const Corners& corners, std::string_view tree) {
  if (tree.empty()) return 0;
  const auto areaOf = [](const Corners& c) { return (c[1] - c[0]).cross(c[2] - c[0]).norm(); };
  double marked = 0;
  forEachLeaf(corners, tree, [&](const Corners& leaf, Mark) { marked += areaOf(leaf); });
  const double all = areaOf(corners);
  return all > 0 ? marked / all : 0;
}

// The best of those that point nearly the same way.
std::vector<Turning> distinct(std::vector<Turning> turnings, std::size_t count, const Little& little) {
  std::stable_sort(turnings.begin(), turnings.end(),
                   [&](const Turning& a, const Turning& b) { return better(a, b, little); });
  std::vector<Turning> kept;
  for (const Turning& turning : turnings) {
    if (kept.size() == count) break;
    const Vec3 up = upOf(turning);
    const bool known = std::any_of(kept.begin(), kept.end(), [&](const Turning& k) { return upOf(k).dot(up) > alike; });
    if (!known) kept.push_back(turning);
  }
  return kept;
}

}  // namespace

TurningRules turningRules(const Settings& settings) { return {hangsBeyond(settings), settings.number("layer.height")}; }

struct TurningSurvey::Samples {
  MeshPtr mesh;  // scaled
  MeshTreePtr tree;
  std::vector<Surface> surfaces;
  std::vector<Sample> points;
  std::vector<Vec3> axes;  // principal
  std::vector<RestingFace> faces;
  Marks seen;
  Vec3 scale;
  MeshPtr unscaled;
  double hangs, layer;  // sine of the free lean; mm

  bool seenAt(const RayHit& hit) const {
    const std::string_view marked = seen.tree(hit.facet);
    return !marked.empty() &&
           markAt(unscaled->corners(hit.facet), marked, hit.point.cwiseQuotient(scale)) != Mark::none;
  }
  Little little;
};

TurningSurvey::TurningSurvey(const MeshPtr& mesh, const Vec3& scale, const TurningRules& rules, const Marks& seen) {
  auto samples = std::make_unique<Samples>();
  samples->mesh = transformed(*mesh, Affine(Eigen::Scaling(scale)));
  samples->tree = treeOf(samples->mesh);
  samples->faces = restingFaces(*mesh, scale);
  samples->seen = seen;
  samples->scale = scale;
  samples->unscaled = mesh;
  samples->hangs = std::sin(toRadians(rules.freeLean));
  samples->layer = rules.layerHeight;
  double whole = 0, looked = 0;
  for (std::size_t f = 0; f < samples->mesh->facets.size(); ++f) {
    const auto [a, b, c] = samples->mesh->corners(f);
    const Vec3 cross = (b - a).cross(c - a);
    const double area = cross.norm() / 2;
    const double share = shareSeen(mesh->corners(f), seen.tree(static_cast<std::uint32_t>(f)));
    samples->surfaces.push_back({area > 0 ? Vec3f((cross / (2 * area)).cast<float>()) : Vec3f(Vec3f::Zero()),
                                 static_cast<float>(area), static_cast<float>(area * share)});
    whole += area;
    looked += area * share;
  }
  samples->little = {std::max(1.0, std::abs(inspect(*samples->mesh).volume) / 100), littleSeen * looked};
  // Points along the facets in their order, one for every equal share of area, by a fixed sequence inside each.
  const double share = whole / static_cast<double>(samplesWanted);
  double owed = share / 2;
  Eigen::Matrix3d spreadOut = Eigen::Matrix3d::Zero();
  std::size_t drawn = 0;
  for (std::size_t f = 0; f < samples->surfaces.size(); ++f) {
    const auto [a, b, c] = samples->mesh->corners(f);
    for (owed -= static_cast<double>(samples->surfaces[f].area); owed < 0; owed += share) {
      double u = std::fmod(0.5 + 0.7548776662466927 * static_cast<double>(drawn), 1.0),
             v = std::fmod(0.5 + 0.5698402909980532 * static_cast<double>(drawn), 1.0);
      ++drawn;
      if (u + v > 1) std::tie(u, v) = std::pair(1 - u, 1 - v);
      const Vec3 at = a + u * (b - a) + v * (c - a), normal = samples->surfaces[f].normal.cast<double>();
      const auto through = samples->tree->firstHit(at - normal * 0.01, -normal);
      const std::string_view tree = seen.tree(static_cast<std::uint32_t>(f));
      samples->points.push_back({at, normal, share,
                                 !tree.empty() && markAt(mesh->corners(f), tree, at.cwiseQuotient(scale)) != Mark::none,
                                 through && through->distance < thinBelow});
      const Vec3 out = at - samples->mesh->bounds.center();
      spreadOut += out * out.transpose();
    }
  }
  const Eigen::SelfAdjointEigenSolver<Eigen::Matrix3d> principal(spreadOut);
  for (int k = 0; k < 3; ++k) samples->axes.push_back(principal.eigenvectors().col(k));
  samples_ = std::move(samples);
}

TurningSurvey::~TurningSurvey() = default;

Turning TurningSurvey::estimate(const Vec3& up) const {
  const Samples& s = *samples_;
  Turning turning;
  turning.turn = turnFor(up);
  const Vec3f upward = up.cast<float>();
  float low = std::numeric_limits<float>::max(), high = -low;
  for (const Vec3f& v : s.mesh->vertices) {
    const float z = v.dot(upward);
    low = std::min(low, z);
    high = std::max(high, z);
  }
  turning.height = static_cast<double>(high - low);
  const float hangs = static_cast<float>(-s.hangs), down = -0.9998f;  // within about 1° of level
  const float stepLow = static_cast<float>(std::cos(toRadians(steepest))),
              stepHigh = static_cast<float>(std::cos(toRadians(flattest)));
  const float plate = low + static_cast<float>(s.layer / 4);
  double leaning = 0;
  for (std::size_t f = 0; f < s.surfaces.size(); ++f) {
    const float tilt = s.surfaces[f].normal.dot(upward);
    const auto area = static_cast<double>(s.surfaces[f].area);
    if (tilt < down && s.mesh->vertices[s.mesh->facets[f][0]].dot(upward) < plate)
      turning.contact += area;
    else if (tilt < hangs) {
      leaning += area;
      turning.seenScarred += static_cast<double>(s.surfaces[f].seen);
    }
    if (std::abs(tilt) > stepLow && std::abs(tilt) < stepHigh) {
      turning.stepped += area;
      turning.seenStepped += static_cast<double>(s.surfaces[f].seen);
    }
  }
  turning.hanging = turning.scarred = leaning;
  const double floor = static_cast<double>(low);
  const double thinLow = std::sin(toRadians(upright)), thinHigh = std::sin(toRadians(flat));
  for (const Sample& sample : s.points) {
    const double tilt = sample.normal.dot(up);
    const double above = sample.at.dot(up) - floor;
    if (sample.isThin && std::abs(tilt) > thinLow && std::abs(tilt) < thinHigh) turning.thin += sample.area;
    if (tilt >= -s.hangs || above < s.layer / 4) continue;
    const auto hit = s.tree->firstHit(sample.at - up * 0.01, -up);
    const double column = hit ? hit->distance : above;
    turning.supportVolume += sample.area * -tilt * column;
    if (!hit) continue;
    turning.scarred += sample.area * -tilt;
    if (s.seenAt(*hit)) turning.seenScarred += sample.area * -tilt;
  }
  return turning;
}

std::vector<Turning> TurningSurvey::candidates(std::size_t count, const Progress& progress) const {
  std::vector<Vec3> ups;
  for (std::size_t i = 0; i < std::min(facesTried, samples_->faces.size()); ++i)
    ups.push_back(-samples_->faces[i].normal);
  for (const Vec3& axis : samples_->axes) ups.insert(ups.end(), {axis, Vec3(-axis)});
  for (std::size_t i = 0; i < spread; ++i) ups.push_back(directionOf(i, spread));
  std::vector<Turning> turnings(ups.size());
  parallelFor(ups.size(), progress, [&](std::size_t i) { turnings[i] = estimate(ups[i]); });
  return distinct(std::move(turnings), count, samples_->little);
}

std::vector<Turning> TurningSurvey::refined(const std::vector<Turning>& turnings, const Progress& progress) const {
  std::vector<Turning> result = turnings;
  parallelFor(result.size(), progress, [&](std::size_t i) {
    // Eight directions around, nearer each time none is better.
    for (double reach = toRadians(6); reach > toRadians(0.2);) {
      progress.check();
      const Vec3 up = upOf(result[i]), side = up.unitOrthogonal(), other = up.cross(side);
      bool moved = false;
      for (int k = 0; k < 8; ++k) {
        const double angle = 2 * pi * k / 8;
        const Turning near =
            estimate((up + std::tan(reach) * (std::cos(angle) * side + std::sin(angle) * other)).normalized());
        if (!better(near, result[i], samples_->little)) continue;
        result[i] = near;
        moved = true;
      }
      if (!moved) reach /= 2;
    }
  });
  result.insert(result.end(), turnings.begin(), turnings.end());  // where several met, the next best fill up
  return distinct(std::move(result), turnings.size(), samples_->little);
}

}  // namespace trellis
