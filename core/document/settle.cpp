// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/document/settle.hpp"

#include "core/mesh/nearest.hpp"

#include <CGAL/Exact_predicates_inexact_constructions_kernel.h>
#include <CGAL/Surface_mesh.h>
#include <CGAL/convex_hull_3.h>

#include <algorithm>

namespace trellis {

namespace {

using Kernel = CGAL::Exact_predicates_inexact_constructions_kernel;
using Surface = CGAL::Surface_mesh<Kernel::Point_3>;

constexpr double coplanar = 0.99996;  // cosine of half a degree
constexpr double pointing = 1;        // mm

Vec3 toVec(const Kernel::Point_3& p) { return {p.x(), p.y(), p.z()}; }

}  // namespace

std::vector<RestingFace> restingFaces(const TriangleMesh& mesh, const Vec3& scale) {
  std::vector<Kernel::Point_3> points;
  for (const Vec3f& v : mesh.vertices) {
    const Vec3 p = v.cast<double>().cwiseProduct(scale);
    points.emplace_back(p.x(), p.y(), p.z());
  }
  Surface hull;
  CGAL::convex_hull_3(points.begin(), points.end(), hull);
  std::vector<RestingFace> facets;
  for (const auto face : hull.faces()) {
    const auto h = hull.halfedge(face);
    const Vec3 a = toVec(hull.point(hull.source(h))), b = toVec(hull.point(hull.target(h))),
               c = toVec(hull.point(hull.target(hull.next(h))));
    const Vec3 cross = (b - a).cross(c - a);
    if (cross.norm() > 0) facets.push_back({cross.normalized(), cross.norm() / 2});
  }
  const auto larger = [](const RestingFace& a, const RestingFace& b) { return a.area > b.area; };
  std::stable_sort(facets.begin(), facets.end(), larger);
  std::vector<RestingFace> faces;
  for (const RestingFace& facet : facets) {
    const auto same = std::find_if(faces.begin(), faces.end(),
                                   [&](const RestingFace& f) { return f.normal.dot(facet.normal) > coplanar; });
    if (same == faces.end())
      faces.push_back(facet);
    else
      same->area += facet.area;
  }
  std::stable_sort(faces.begin(), faces.end(), larger);
  return faces;
}

Placement turnedDown(const Placement& placement, const TriangleMesh& mesh, const Vec3& normal) {
  const Eigen::Matrix3d turn = turnOf(placement.turn);
  const Eigen::Quaterniond down = Eigen::Quaterniond::FromTwoVectors(turn * normal, -Vec3::UnitZ());
  Placement result = placement;
  result.turn = degreesOf(down.toRotationMatrix() * turn);
  result.rests = true;
  return droppedTo(result, mesh, 0);
}

Placement turnedDownOn(const std::vector<RestingFace>& faces, const Placement& placement, const TriangleMesh& mesh,
                       std::uint32_t facet) {
  // A normal of the unscaled mesh becomes one of the scaled mesh by the inverse scale.
  const Vec3 pointed = mesh.normal(facet).cwiseQuotient(placement.scale).normalized();
  const auto best = std::max_element(faces.begin(), faces.end(), [&](const RestingFace& a, const RestingFace& b) {
    return a.normal.dot(pointed) < b.normal.dot(pointed);
  });
  return turnedDown(placement, mesh, best->normal);
}

std::optional<Placement> placedOnFaceAt(const Placement& placement, const MeshPtr& mesh, const Vec3& at) {
  const Affine toPlate = transformOf(placement, *mesh);
  const double least = placement.scale.cwiseAbs().minCoeff();
  const auto near = nearestOn(*treeOf(mesh), toPlate.inverse() * at, pointing / least);
  const std::vector<RestingFace> faces = restingFaces(*mesh, placement.scale);
  if (!near || faces.empty()) return std::nullopt;
  return turnedDownOn(faces, placement, *mesh, near->facet);
}

}  // namespace trellis
