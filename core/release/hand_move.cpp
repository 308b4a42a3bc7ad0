// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/release/hand_move.hpp"

#include "core/mesh/nearest.hpp"

#include <Eigen/Eigenvalues>

#include <algorithm>
#include <array>
#include <cmath>

namespace trellis {

namespace {

constexpr double slack = 0.3;            // mm at first that do not count
constexpr std::size_t fewSamples = 300;  // that are tried before all are
constexpr std::size_t enoughPulls = 3;
constexpr double stride = 1.0;     // mm that the farthest place goes from pose to pose
constexpr int mostStrides = 240;   // of one turn
constexpr int betweenPulls = 6;    // strides
constexpr double surfaceNear = 1;  // mm: a surface that guides
constexpr double halfTurn = 3.3;   // radians; more turns nothing free

// Everything moves by along + about × (place − centre), a step at a time.
struct Screw {
  Vec3 about, along, centre;
};

Pose stepOf(const Screw& screw, double time) {
  Pose pose = Pose::Identity();
  pose.translate(screw.centre + time * screw.along);
  if (const double turn = screw.about.norm(); turn > 1e-9)
    pose.rotate(Eigen::AngleAxisd(turn * time, screw.about / turn));
  pose.translate(-screw.centre);
  return pose;
}

double speedOf(const Screw& screw, const std::vector<Vec3>& samples) {
  double most = 0;
  for (const Vec3& p : samples) most = std::max(most, (screw.along + screw.about.cross(p - screw.centre)).norm());
  return most;
}

bool hits(const Vec3& from, const Vec3& to, const std::vector<Solid>& solids) {
  return std::any_of(solids.begin(), solids.end(), [&](const Solid& solid) {
    const auto hit = solid.tree->firstHit(solid.toMesh * from, solid.toMesh.linear() * (to - from));
    return hit && hit->distance <= 1;
  });
}

// Whether some sample meets a part from one pose to the next.
bool stopsBetween(const std::vector<Vec3>& samples, const Pose& before, const Pose& after,
                  const std::vector<Solid>& solids) {
  return std::any_of(samples.begin(), samples.end(), [&](const Vec3& p) {
    const Vec3 from = before * p, to = after * p, far = to - p;
    if (far.norm() <= slack) return false;
    const Vec3 begin = (from - p).norm() >= slack ? from : Vec3(p + far.normalized() * slack);
    return hits(begin, to, solids);
  });
}

std::vector<Vec3> someOf(const std::vector<Vec3>& samples) {
  return {samples.begin(), samples.begin() + static_cast<std::ptrdiff_t>(std::min(samples.size(), fewSamples))};
}

Vec3 middleOf(const std::vector<Vec3>& samples) {
  Vec3 sum = Vec3::Zero();
  for (const Vec3& p : samples) sum += p;
  return sum / static_cast<double>(samples.size());
}

std::vector<Vec3> usualWays() {
  std::vector<Vec3> ways{-Vec3::UnitZ()};
  for (int k = 0; k < 8; ++k)
    for (const double up : {0.0, -1.0, 1.0})
      ways.push_back(Vec3(std::cos(k * pi / 4), std::sin(k * pi / 4), up).normalized());
  ways.push_back(Vec3::UnitZ());
  return ways;
}

HandPath pulled(const HandPath& before, const Vec3& direction, double distance) {
  HandPath path = before;
  Pose out = Pose::Identity();
  out.translate(direction * distance);
  path.poses.push_back(out * before.poses.back());
  return path;
}

// The motions along which the surfaces near a piece would stop it least: the smallest eigenvectors of what the normals
// say, lengths in parts of its size.
void addSlips(const std::vector<Vec3>& samples, const std::vector<Solid>& solids, std::vector<Screw>& screws) {
  const Vec3 centre = middleOf(samples);
  double size = 0;
  for (const Vec3& p : samples) size += (p - centre).norm() / static_cast<double>(samples.size());
  Eigen::Matrix<double, 6, 6> stopped = Eigen::Matrix<double, 6, 6>::Zero();
  int guided = 0;
  for (const Vec3& p : samples)
    for (const Solid& solid : solids) {
      const auto near = nearestOn(*solid.tree, solid.toMesh * p, surfaceNear);
      if (!near) continue;
      const Vec3 normal = (solid.toMesh.linear().transpose() * solid.tree->mesh().normal(near->facet)).normalized();
      Eigen::Matrix<double, 6, 1> row;
      row << (p - centre).cross(normal) / size, normal;
      stopped += row * row.transpose();
      ++guided;
    }
  if (guided < 8) return;
  const Eigen::SelfAdjointEigenSolver<Eigen::Matrix<double, 6, 6>> solver(stopped);
  for (int k = 0; k < 3; ++k) {
    const Eigen::Matrix<double, 6, 1> way = solver.eigenvectors().col(k);
    for (const double sign : {1.0, -1.0}) screws.push_back({sign * way.head<3>() / size, sign * way.tail<3>(), centre});
  }
}

// Turned about the vertical, and tipped over eight edges of the foot.
void addTurns(const std::vector<Vec3>& samples, std::vector<Screw>& screws) {
  const Vec3 middle = middleOf(samples);
  for (const double sign : {1.0, -1.0}) screws.push_back({sign * Vec3::UnitZ(), Vec3::Zero(), middle});
  double low = 1e300;
  for (const Vec3& p : samples) low = std::min(low, p.z());
  for (int k = 0; k < 8; ++k) {
    const Vec3 out(std::cos(k * pi / 4), std::sin(k * pi / 4), 0);
    double far = -1e300;
    for (const Vec3& p : samples)
      if (p.z() < low + 1) far = std::max(far, (p - middle).dot(out));
    const Vec3 edge(middle.x() + far * out.x(), middle.y() + far * out.y(), low);
    screws.push_back({Vec3::UnitZ().cross(out), Vec3::Zero(), edge});
  }
}

// Along a screw until some straight way is open.
std::optional<HandPath> followed(const Screw& screw, const std::vector<Vec3>& samples, const std::vector<Solid>& solids,
                                 double distance) {
  static const std::vector<Vec3> ways = usualWays();
  const std::vector<Vec3> some = someOf(samples);
  const double speed = speedOf(screw, some);
  if (speed < 1e-9) return std::nullopt;
  HandPath path{HandMove::turn, {Pose::Identity()}};
  const Pose step = stepOf(screw, stride / speed);
  const double turn = screw.about.norm() * stride / speed;
  for (int n = 1; n <= mostStrides && n * turn < halfTurn; ++n) {
    const Pose next = step * path.poses.back();
    if (stopsBetween(some, path.poses.back(), next, solids)) return std::nullopt;
    path.poses.push_back(next);
    if (n % betweenPulls != 0) continue;
    const Vec3 middle = middleOf(some);
    std::vector<Vec3> tried{(next * middle - path.poses[path.poses.size() - 2] * middle).normalized()};
    tried.insert(tried.end(), ways.begin(), ways.end());
    for (const Vec3& way : tried) {
      const HandPath out = pulled(path, way, distance);
      if (!stopsBetween(some, next, out.poses.back(), solids) && !isStopped(samples, out, solids)) return out;
    }
  }
  return std::nullopt;
}

}  // namespace

const char* nameOf(HandMove move) {
  constexpr std::array<const char*, 4> names{"pull", "turn and pull", "crush and draw out", "wash out"};
  return names[static_cast<std::size_t>(move)];
}

double HandPath::length(const Vec3& of) const {
  double sum = 0;
  for (std::size_t k = 0; k + 1 < poses.size(); ++k) sum += (poses[k + 1] * of - poses[k] * of).norm();
  return sum;
}

Pose HandPath::at(const Vec3& of, double gone) const {
  for (std::size_t k = 0; k + 1 < poses.size(); ++k) {
    const double stretch = (poses[k + 1] * of - poses[k] * of).norm();
    if (gone > stretch) {
      gone -= stretch;
      continue;
    }
    const double share = stretch > 0 ? gone / stretch : 0;
    const Eigen::Quaterniond from(poses[k].rotation()), to(poses[k + 1].rotation());
    // The place itself goes straight from pose to pose.
    Pose pose = Pose::Identity();
    pose.translate((1 - share) * (poses[k] * of) + share * (poses[k + 1] * of));
    pose.rotate(from.slerp(share, to));
    pose.translate(-of);
    return pose;
  }
  return poses.back();
}

Vec3 HandPath::firstWay(const Vec3& of) const {
  return poses.size() < 2 ? Vec3(-Vec3::UnitZ()) : Vec3((poses[1] * of - of).normalized());
}

bool isStopped(const std::vector<Vec3>& samples, const HandPath& path, const std::vector<Solid>& solids) {
  for (std::size_t k = 0; k + 1 < path.poses.size(); ++k)
    if (stopsBetween(samples, path.poses[k], path.poses[k + 1], solids)) return true;
  return false;
}

std::vector<HandPath> pulls(const std::vector<Vec3>& samples, const std::vector<Solid>& solids,
                            const ExtractionPath& best, double distance) {
  static const std::vector<Vec3> ways = usualWays();
  std::vector<Vec3> tried;
  if (best.free) tried.push_back(best.direction);
  tried.insert(tried.end(), ways.begin(), ways.end());
  std::vector<HandPath> found;
  for (const Vec3& way : tried) {
    const HandPath path = pulled({}, way, distance);
    if (!isStopped(samples, path, solids)) found.push_back(path);
    if (found.size() == enoughPulls) break;
  }
  return found;
}

std::optional<HandPath> turnOut(const std::vector<Vec3>& samples, const std::vector<Solid>& solids, double distance) {
  std::vector<Screw> screws;
  addTurns(samples, screws);
  addSlips(someOf(samples), solids, screws);
  for (const Screw& screw : screws)
    if (auto path = followed(screw, samples, solids, distance)) return path;
  return std::nullopt;
}

}  // namespace trellis
