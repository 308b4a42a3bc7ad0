// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/document/zone_places.hpp"

#include <algorithm>
#include <cmath>

namespace trellis {

namespace {

// T. Möller, B. Trumbore, "Fast, minimum storage ray/triangle intersection", 1997.
std::optional<double> meet(const Corners& c, const Vec3& origin, const Vec3& direction) {
  const Vec3 one = c[1] - c[0], other = c[2] - c[0], p = direction.cross(other);
  const double det = one.dot(p);
  if (std::abs(det) < 1e-12) return std::nullopt;
  const Vec3 from = origin - c[0], q = from.cross(one);
  const double u = from.dot(p) / det, v = direction.dot(q) / det, t = other.dot(q) / det;
  return u < 0 || v < 0 || u + v > 1 || t < 0 ? std::nullopt : std::optional(t);
}

}  // namespace

ZoneFigures covering(ZoneShape shape, const std::vector<Vec3>& places, double margin) {
  Box3 box;
  for (const Vec3& place : places) box.extend(place);
  ZoneFigures figures{box.center(), box.sizes().array() + 2 * margin, Vec3::Zero()};
  double far = 0, farInPlan = 0;
  for (const Vec3& place : places) {
    far = std::max(far, (place - figures.centre).norm());
    farInPlan = std::max(farInPlan, (place - figures.centre).head<2>().norm());
  }
  if (shape == ZoneShape::ball) figures.size.setConstant(2 * (far + margin));
  if (shape == ZoneShape::cylinder) figures.size.head<2>().setConstant(2 * (farInPlan + margin));
  return figures;
}

std::optional<double> firstIn(const Zone& zone, const Vec3& origin, const Vec3& direction) {
  const Affine toUnit = zone.toMesh.inverse();
  const Vec3 from = toUnit * origin, along = toUnit.linear() * direction;
  const MeshPtr solid = unitSolid(zone);
  std::optional<double> first;
  for (std::size_t f = 0; f < solid->facets.size(); ++f)
    if (const auto at = meet(solid->corners(f), from, along); at && (!first || *at < *first)) first = at;
  return first;
}

}  // namespace trellis
