// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/document/decisions.hpp"

#include "core/document/placement.hpp"
#include "core/slice/slices.hpp"

#include <Eigen/SVD>

#include <algorithm>
#include <cmath>

namespace trellis {

namespace {

constexpr double slabReach = 4000;  // mm across, more than any plate
constexpr int segments = 96;        // round solids; half a per mille off the circle

MeshPtr ring(const std::vector<std::pair<double, double>>& profile) {  // radius and height, from below to above
  std::vector<Vec3f> vertices;
  std::vector<Facet> facets;
  const auto rows = static_cast<std::uint32_t>(profile.size());
  for (const auto& [r, z] : profile)
    for (int i = 0; i < segments; ++i) {
      const double turn = 2 * pi * i / segments;
      vertices.push_back(Vec3(r * std::cos(turn), r * std::sin(turn), z).cast<float>());
    }
  for (std::uint32_t row = 0; row + 1 < rows; ++row)
    for (std::uint32_t i = 0; i < segments; ++i) {
      const std::uint32_t a = row * segments + i, b = row * segments + (i + 1) % segments;
      facets.push_back({a, b, b + segments});
      facets.push_back({a, b + segments, a + segments});
    }
  for (const bool top : {false, true}) {
    const auto middle = static_cast<std::uint32_t>(vertices.size()), first = top ? (rows - 1) * segments : 0;
    vertices.push_back(Vec3f(0, 0, static_cast<float>(top ? profile.back().second : profile.front().second)));
    for (std::uint32_t i = 0; i < segments; ++i) {
      const std::uint32_t a = first + i, b = first + (i + 1) % segments;
      facets.push_back(top ? Facet{middle, a, b} : Facet{middle, b, a});
    }
  }
  return makeMesh(std::move(vertices), std::move(facets));
}

MeshPtr unitBox() {
  std::vector<Vec3f> vertices;
  for (int i = 0; i < 8; ++i) vertices.emplace_back(i & 1 ? 0.5f : -0.5f, i & 2 ? 0.5f : -0.5f, i & 4 ? 0.5f : -0.5f);
  return makeMesh(std::move(vertices), {{0, 2, 1},
                                        {1, 2, 3},
                                        {4, 5, 6},
                                        {5, 7, 6},
                                        {0, 1, 4},
                                        {1, 5, 4},
                                        {2, 6, 3},
                                        {3, 6, 7},
                                        {0, 4, 2},
                                        {2, 4, 6},
                                        {1, 3, 5},
                                        {3, 7, 5}});
}

MeshPtr unitBall() {
  std::vector<std::pair<double, double>> profile;
  constexpr int rows = 48;
  for (int i = 0; i <= rows; ++i) {
    const double turn = pi * (static_cast<double>(i) / rows - 0.5);
    profile.emplace_back(std::max(1e-4, 0.5 * std::cos(turn)), 0.5 * std::sin(turn));
  }
  return ring(profile);
}

}  // namespace

MeshPtr unitSolid(const Zone& zone) {
  static const MeshPtr box = unitBox(), cylinder = ring({{0.5, -0.5}, {0.5, 0.5}}), ball = unitBall();
  switch (zone.shape) {
    case ZoneShape::cylinder:
      return cylinder;
    case ZoneShape::ball:
      return ball;
    case ZoneShape::mesh:
      return zone.solid;
    case ZoneShape::box:
    case ZoneShape::slab:
      break;
  }
  return box;
}

MeshPtr scaledToUnit(const TriangleMesh& mesh) {
  const Vec3 size = mesh.bounds.sizes().cwiseMax(1e-6);
  return transformed(mesh,
                     Affine(Eigen::Scaling(Vec3(size.cwiseInverse()))) * Eigen::Translation3d(-mesh.bounds.center()));
}

std::vector<Polygons> zoneSections(const Zone& zone, const Affine& toPlate, const std::vector<double>& heights,
                                   const Progress& progress) {
  return slice(*transformed(*unitSolid(zone), toPlate * zone.toMesh), heights, progress).sections;
}

bool isIn(const Zone& zone, const Vec3& at) {
  const Vec3 p = zone.toMesh.inverse() * at;
  if ((p.array().abs() > 0.5).any()) return false;
  if (zone.shape == ZoneShape::ball) return p.norm() <= 0.5;
  return zone.shape != ZoneShape::cylinder || p.head<2>().norm() <= 0.5;
}

ZoneFigures figuresOf(const Zone& zone, const Affine& toPlate) {
  const Affine t = toPlate * zone.toMesh;
  ZoneFigures figures;
  figures.centre = t.translation();
  figures.size = t.linear().colwise().norm();
  // The nearest turn: what remains after taking the stretch away.
  const Eigen::JacobiSVD<Eigen::Matrix3d> svd(
      t.linear() * Eigen::DiagonalMatrix<double, 3>(figures.size.cwiseInverse()),
      Eigen::ComputeFullU | Eigen::ComputeFullV);
  Eigen::Matrix3d turn = svd.matrixU() * svd.matrixV().transpose();
  if (turn.determinant() < 0) turn.col(0) *= -1;  // a mirrored box is the same box
  figures.turn = degreesOf(turn);
  return figures;
}

Affine zoneTransform(const ZoneFigures& figures, ZoneShape shape, const Affine& toPlate) {
  const Vec3 size = shape == ZoneShape::slab ? Vec3(slabReach, slabReach, figures.size.z()) : figures.size;
  Affine turned = Affine::Identity();
  turned.linear() = turnOf(figures.turn);
  return toPlate.inverse() * (Eigen::Translation3d(figures.centre) * turned * Eigen::Scaling(size));
}

}  // namespace trellis
