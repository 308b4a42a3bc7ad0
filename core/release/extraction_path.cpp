// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/release/extraction_path.hpp"

#include "core/toolpath/fill.hpp"

#include <Eigen/Eigenvalues>

#include <algorithm>
#include <cmath>
#include <random>

namespace trellis {

namespace {

constexpr double inset = 0.05;        // mm
constexpr double alongOutline = 0.6;  // mm between samples
constexpr double inside = 2.0;        // mm between samples within an outline
constexpr double upward = 0.6;        // mm between layers looked at
constexpr double touching =
    0.3;  // mm: layers are steps, so support may begin a little within the smooth surface it follows
constexpr std::size_t fewSamples = 240;
constexpr std::size_t promising = 6;

void sampleLine(const Polygon& line, double z, std::vector<Vec3>& samples) {
  for (std::size_t i = 0; i + 1 < line.size(); ++i) {
    const Vec2 a = toMm(line[i]), b = toMm(line[i + 1]);
    const int count = std::max(1, static_cast<int>(std::ceil((b - a).norm() / alongOutline)));
    for (int k = 0; k < count; ++k) {
      const Vec2 at = a + (b - a) * k / count;
      samples.emplace_back(at.x(), at.y(), z);
    }
  }
}

void sampleRegion(const Polygons& area, double z, std::vector<Vec3>& samples) {
  const Polygons within = grow(area, -inset);
  for (const Polygon& line : asLines(within)) sampleLine(line, z, samples);
  for (const Polygon& line : fillLines(within, 0, inside)) {
    const Vec2 a = toMm(line.front()), b = toMm(line.back());
    const int count = static_cast<int>((b - a).norm() / inside);
    for (int k = 1; k < count; ++k) {
      const Vec2 at = a + (b - a) * k / count;
      samples.emplace_back(at.x(), at.y(), z);
    }
  }
}

// The corners of an icosahedron whose triangles are divided twice into four: 162.
std::vector<Vec3> icosphere() {
  const double golden = (1 + std::sqrt(5.0)) / 2;
  std::vector<Vec3> points;
  for (const double one : {-1.0, 1.0})
    for (const double other : {-golden, golden})
      for (int axis = 0; axis < 3; ++axis) {
        Vec3 p;
        p[axis] = 0;
        p[(axis + 1) % 3] = one;
        p[(axis + 2) % 3] = other;
        points.push_back(p.normalized());
      }
  double edge = 1.1;  // neighbours on the unit sphere are nearer than this: 1.05 at first
  for (int division = 0; division < 2; ++division, edge *= 0.6) {
    const std::size_t count = points.size();
    for (std::size_t a = 0; a < count; ++a)
      for (std::size_t b = a + 1; b < count; ++b)
        if ((points[a] - points[b]).norm() < edge) points.push_back((points[a] + points[b]).normalized());
  }
  return points;
}

bool isBlocked(const Vec3& from, const Vec3& direction, const std::vector<Solid>& solids) {
  return std::any_of(solids.begin(), solids.end(), [&](const Solid& solid) {
    return solid.tree->firstHit(solid.toMesh * (from + touching * direction), solid.toMesh.linear() * direction)
        .has_value();
  });
}

// 0–1, the share of the first samples that nothing stops.
double openShare(const std::vector<Vec3>& samples, std::size_t count, const Vec3& direction,
                 const std::vector<Solid>& solids) {
  std::size_t open = 0;
  for (std::size_t i = 0; i < count; ++i) open += !isBlocked(samples[i], direction, solids);
  return static_cast<double>(open) / static_cast<double>(count);
}

bool isFree(const std::vector<Vec3>& samples, const Vec3& direction, const std::vector<Solid>& solids) {
  return std::none_of(samples.begin(), samples.end(),
                      [&](const Vec3& sample) { return isBlocked(sample, direction, solids); });
}

std::vector<Vec3> axesOf(const std::vector<Vec3>& samples) {
  Vec3 mean = Vec3::Zero();
  for (const Vec3& p : samples) mean += p / static_cast<double>(samples.size());
  Eigen::Matrix3d spread = Eigen::Matrix3d::Zero();
  for (const Vec3& p : samples) spread += (p - mean) * (p - mean).transpose();
  const Eigen::SelfAdjointEigenSolver<Eigen::Matrix3d> solver(spread);
  std::vector<Vec3> axes;
  for (int k = 0; k < 3; ++k)
    for (const double sign : {1.0, -1.0}) axes.push_back(sign * solver.eigenvectors().col(k));
  return axes;
}

// Away from the surface right over a few of the samples.
std::vector<Vec3> contactNormals(const std::vector<Vec3>& samples, const std::vector<Solid>& solids) {
  constexpr double near = 1.5;  // mm
  constexpr double alike = 0.99;
  std::vector<Vec3> normals;
  for (std::size_t i = 0; i < std::min(samples.size(), fewSamples); ++i)
    for (const Solid& solid : solids) {
      const auto hit = solid.tree->firstHit(solid.toMesh * samples[i], solid.toMesh.linear() * Vec3::UnitZ());
      if (!hit || hit->distance > near) continue;
      Vec3 normal = (solid.toMesh.linear().transpose() * solid.tree->mesh().normal(hit->facet)).normalized();
      if (normal.z() > 0) normal = -normal;  // placed mirrored
      if (std::none_of(normals.begin(), normals.end(), [&](const Vec3& n) { return n.dot(normal) > alike; }))
        normals.push_back(normal);
    }
  return normals;
}

// Turned by ever less towards where less is in the way.
Vec3 refined(Vec3 direction, double share, const std::vector<Vec3>& samples, std::size_t count,
             const std::vector<Solid>& solids) {
  for (double step = 8; step >= 0.5; step /= 2) {
    for (bool better = true; better && share < 1;) {
      better = false;
      const Vec3 side = direction.unitOrthogonal(), other = direction.cross(side);
      const double reach = std::tan(toRadians(step));
      for (int k = 0; k < 8; ++k) {
        const Vec3 turned =
            (direction + reach * (std::cos(k * pi / 4) * side + std::sin(k * pi / 4) * other)).normalized();
        const double found = openShare(samples, count, turned, solids);
        if (found <= share) continue;
        share = found;
        direction = turned;
        better = true;
        break;
      }
    }
  }
  return direction;
}

}  // namespace

std::vector<Vec3> samplesOf(const SupportLayers& layers, std::size_t number) {
  const Piece& piece = layers.pieces[number];
  std::vector<Vec3> samples;
  double looked = -1e9;
  for (const SupportLayer& layer : layers.layers) {
    const bool isEnd = layer.top > piece.highest - 1e-6 || layer.bottom < piece.lowest + 1e-6;
    if (!isEnd && layer.top - looked <= upward) continue;
    for (const PieceRegion& region : layer.regions)
      if (region.piece == number) {
        sampleRegion(region.area, (layer.bottom + layer.top) / 2, samples);
        looked = layer.top;
      }
  }
  std::mt19937 order(1);  // the same on every run
  for (std::size_t i = samples.size(); i > 1; --i) std::swap(samples[i - 1], samples[order() % i]);
  return samples;
}

ExtractionPath extractionPathOf(const std::vector<Vec3>& samples, const std::vector<Solid>& solids) {
  static const std::vector<Vec3> sphere = icosphere();
  if (samples.empty() || solids.empty()) return {true, -Vec3::UnitZ(), 1};
  std::vector<Vec3> directions{-Vec3::UnitZ()};
  for (const std::vector<Vec3>& more : {contactNormals(samples, solids), axesOf(samples), sphere})
    directions.insert(directions.end(), more.begin(), more.end());
  const std::size_t count = std::min(samples.size(), fewSamples);
  std::vector<std::pair<double, std::size_t>> shares;
  for (std::size_t i = 0; i < directions.size(); ++i) {
    const double share = openShare(samples, count, directions[i], solids);
    if (share == 1 && isFree(samples, directions[i], solids)) return {true, directions[i], 1};
    shares.emplace_back(-share, i);
  }
  std::sort(shares.begin(), shares.end());
  ExtractionPath best{false, directions[shares.front().second], -shares.front().first};
  for (std::size_t k = 0; k < std::min(promising, shares.size()); ++k) {
    const Vec3 direction = refined(directions[shares[k].second], -shares[k].first, samples, count, solids);
    const double share = openShare(samples, count, direction, solids);
    if (share == 1 && isFree(samples, direction, solids)) return {true, direction, 1};
    if (share > best.open) best = {false, direction, share};
  }
  return best;
}

}  // namespace trellis
