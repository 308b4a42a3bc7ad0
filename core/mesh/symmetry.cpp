// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/mesh/symmetry.hpp"

#include "core/base/parallel.hpp"
#include "core/mesh/nearest.hpp"

#include <Eigen/Eigenvalues>

#include <algorithm>
#include <cmath>

namespace trellis {

namespace {

constexpr std::size_t sampleCount = 600;
constexpr int spread = 64;            // directions over the half sphere
constexpr double withinShare = 0.01;  // of the mesh's size
constexpr double finestTurn = 0.002;  // radians

struct Samples {
  std::vector<Vec3> points;  // evenly over the area
  Vec3 middle = Vec3::Zero();
};

// Points at equal steps of area along the list of facets, each at a fixed irrational place in its facet, so
// that the same mesh gives the same points.
Samples samplesOf(const TriangleMesh& mesh) {
  std::vector<double> areas(mesh.facets.size());
  double total = 0;
  Samples samples;
  for (std::size_t f = 0; f < areas.size(); ++f) {
    const auto [a, b, c] = mesh.corners(f);
    areas[f] = (b - a).cross(c - a).norm() / 2;
    total += areas[f];
    samples.middle += areas[f] * (a + b + c) / 3;
  }
  if (total <= 0) return {};
  samples.middle /= total;
  double passed = 0, next = 0.5 * total / sampleCount;
  std::size_t count = 0;
  for (std::size_t f = 0; f < areas.size(); ++f) {
    passed += areas[f];
    for (; next < passed; next += total / sampleCount, ++count) {
      const auto [a, b, c] = mesh.corners(f);
      double u = std::fmod(static_cast<double>(count) * 0.6180339887, 1.0),
             v = std::fmod(static_cast<double>(count) * 0.7548776662, 1.0);
      if (u + v > 1) u = 1 - u, v = 1 - v;
      samples.points.push_back(a + u * (b - a) + v * (c - a));
    }
  }
  return samples;
}

class Search {
 public:
  Search(const MeshPtr& mesh, const Progress& progress)
      : tree_(treeOf(mesh)),
        samples_(samplesOf(*mesh)),
        within_(mesh->bounds.sizes().norm() * withinShare),
        progress_(progress) {}

  Symmetry best() const {
    if (samples_.points.empty()) return {};
    const std::vector<Vec3> tried = directions();
    std::vector<double> misses(tried.size());
    parallelFor(tried.size(), progress_, [&](std::size_t i) { misses[i] = missOf(tried[i]); });
    const auto least = static_cast<std::size_t>(std::min_element(misses.begin(), misses.end()) - misses.begin());
    Vec3 normal = refined(tried[least], misses[least]);
    if (normal(largestAxis(normal)) < 0) normal = -normal;
    return {{samples_.middle, normal}, fitOf(normal)};
  }

 private:
  static int largestAxis(const Vec3& v) {
    int axis = 0;
    v.cwiseAbs().maxCoeff(&axis);
    return axis;
  }

  std::vector<Vec3> directions() const {
    std::vector<Vec3> all{Vec3::UnitX(), Vec3::UnitY(), Vec3::UnitZ()};
    Eigen::Matrix3d spreadOfPoints = Eigen::Matrix3d::Zero();
    for (const Vec3& p : samples_.points) spreadOfPoints += (p - samples_.middle) * (p - samples_.middle).transpose();
    const Eigen::SelfAdjointEigenSolver<Eigen::Matrix3d> axes(spreadOfPoints);
    for (int k = 0; k < 3; ++k) all.emplace_back(axes.eigenvectors().col(k));
    for (int i = 0; i < spread; ++i) {  // a Fibonacci spiral over the half sphere
      const double z = (i + 0.5) / spread, r = std::sqrt(1 - z * z), turn = i * pi * (3 - std::sqrt(5.0));
      all.emplace_back(r * std::cos(turn), r * std::sin(turn), z);
    }
    return all;
  }

  double distanceOf(const Vec3& point, const Vec3& normal, double reach) const {
    const auto near = nearestOn(*tree_, Plane{samples_.middle, normal}.mirrored(point), reach);
    return near ? near->distance : reach;
  }

  // Mean distance of the mirrored points from the surface, counted up to a few times what still fits.
  double missOf(const Vec3& normal) const {
    double sum = 0;
    for (const Vec3& p : samples_.points) sum += distanceOf(p, normal, within_ * 4);
    return sum / static_cast<double>(samples_.points.size());
  }

  double fitOf(const Vec3& normal) const {
    const auto fits = std::count_if(samples_.points.begin(), samples_.points.end(),
                                    [&](const Vec3& p) { return distanceOf(p, normal, within_) < within_; });
    return static_cast<double>(fits) / static_cast<double>(samples_.points.size());
  }

  Vec3 refined(Vec3 normal, double miss) const {
    for (double turn = 0.1; turn > finestTurn;) {
      progress_.check();
      const Vec3 one = normal.unitOrthogonal(), other = normal.cross(one);
      bool better = false;
      for (const Vec3& side : {one, Vec3(-one), other, Vec3(-other)}) {
        const Vec3 trial = (normal + turn * side).normalized();
        if (const double now = missOf(trial); now < miss * (1 - 1e-6)) {
          normal = trial;
          miss = now;
          better = true;
          break;
        }
      }
      if (!better) turn /= 2;
    }
    return normal;
  }

  MeshTreePtr tree_;
  Samples samples_;
  double within_;
  const Progress& progress_;
};

}  // namespace

Symmetry findSymmetry(const MeshPtr& mesh, const Progress& progress) { return Search(mesh, progress).best(); }

}  // namespace trellis
