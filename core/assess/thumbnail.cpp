// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/assess/thumbnail.hpp"

#include "core/overhang/lean.hpp"

#include <algorithm>
#include <cmath>
#include <limits>

namespace trellis {

namespace {

constexpr double yaw = -62, pitch = 18;  // degrees
constexpr double margin = 0.06;          // of the side

double cross(const Vec3& a, const Vec3& b, double x, double y) {
  return (b.x() - a.x()) * (y - a.y()) - (b.y() - a.y()) * (x - a.x());
}

}  // namespace

Thumbnail thumbnail(const TriangleMesh& mesh, const Affine& transform, int size) {
  Thumbnail result{size, std::vector<PortraitPixel>(static_cast<std::size_t>(size) * static_cast<std::size_t>(size))};
  const double y = toRadians(yaw), p = toRadians(pitch);
  const Vec3 towardEye(std::cos(p) * std::cos(y), std::cos(p) * std::sin(y), std::sin(p));
  const Vec3 right(-std::sin(y), std::cos(y), 0), up = towardEye.cross(right);
  const Vec3 sun = (towardEye + 0.5 * up - 0.6 * right).normalized();
  std::vector<Vec3> seen;  // right, down, towards the eye
  Box3 box;
  for (const Vec3f& v : mesh.vertices) {
    const Vec3 at = transform * v.cast<double>();
    seen.emplace_back(at.dot(right), -at.dot(up), at.dot(towardEye));
    box.extend(seen.back());
  }
  if (seen.empty()) return result;
  const double scale = size * (1 - 2 * margin) / std::max(1e-9, std::max(box.sizes().x(), box.sizes().y()));
  for (Vec3& v : seen) {
    v.head<2>() = (v.head<2>() - box.center().head<2>()) * scale + Vec2(size, size) / 2;
  }
  std::vector<double> depth(result.pixels.size(), -std::numeric_limits<double>::max());
  for (const Facet& f : mesh.facets) {
    const Vec3 &a = seen[f[0]], &b = seen[f[1]], &c = seen[f[2]];
    const double whole = cross(a, b, c.x(), c.y());
    if (whole == 0) continue;
    const auto from = [&](double low) { return std::clamp(static_cast<int>(std::floor(low)), 0, size - 1); };
    const int left = from(std::min({a.x(), b.x(), c.x()})), rightmost = from(std::max({a.x(), b.x(), c.x()}));
    const int top = from(std::min({a.y(), b.y(), c.y()})), bottom = from(std::max({a.y(), b.y(), c.y()}));
    const Vec3 edge1 = transform * mesh.vertex(f[1]) - transform * mesh.vertex(f[0]),
               edge2 = transform * mesh.vertex(f[2]) - transform * mesh.vertex(f[0]);
    const Vec3 normal = edge1.cross(edge2).normalized();
    const auto light = static_cast<float>(0.35 + 0.65 * std::abs(normal.dot(sun)));
    const auto lean = static_cast<float>(leanOf(normal));
    for (int row = top; row <= bottom; ++row)
      for (int column = left; column <= rightmost; ++column) {
        const double px = column + 0.5, py = row + 0.5;
        const double u = cross(b, c, px, py) / whole, v = cross(c, a, px, py) / whole, w = 1 - u - v;
        if (u < 0 || v < 0 || w < 0) continue;
        const auto at = static_cast<std::size_t>(row * size + column);
        const double z = u * a.z() + v * b.z() + w * c.z();
        if (z <= depth[at]) continue;
        depth[at] = z;
        result.pixels[at] = {light, lean};
      }
  }
  return result;
}

}  // namespace trellis
