// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/mesh/crossings.hpp"

#include "core/base/parallel.hpp"

#include <CGAL/Exact_predicates_inexact_constructions_kernel.h>
#include <CGAL/box_intersection_d.h>

#include <algorithm>

namespace trellis {

namespace {

using Kernel = CGAL::Exact_predicates_inexact_constructions_kernel;
using Point3 = Kernel::Point_3;
using FacetBox = CGAL::Box_intersection_d::Box_with_info_d<double, 3, std::uint32_t>;

class Crossings {
 public:
  explicit Crossings(const TriangleMesh& mesh) : mesh_(mesh) {}

  bool isFlat(std::uint32_t f) const { return CGAL::collinear(corner(f, 0), corner(f, 1), corner(f, 2)); }

  FacetBox boxOf(std::uint32_t f) const {
    return FacetBox(corner(f, 0).bbox() + corner(f, 1).bbox() + corner(f, 2).bbox(), f);
  }

  bool cross(std::uint32_t f, std::uint32_t g) const {
    const Facet &a = mesh_.facets[f], &b = mesh_.facets[g];
    std::size_t shared = 0, inA = 0, inB = 0;
    for (std::size_t i = 0; i < 3; ++i)
      for (std::size_t k = 0; k < 3; ++k)
        if (a[i] == b[k]) {
          ++shared;
          inA = i;
          inB = k;
        }
    if (shared >= 2) return false;
    if (shared == 0) return CGAL::do_intersect(triangle(f), triangle(g));
    return CGAL::do_intersect(opposite(f, inA), triangle(g)) || CGAL::do_intersect(opposite(g, inB), triangle(f));
  }

 private:
  Point3 corner(std::uint32_t f, std::size_t k) const {
    const Vec3f& v = mesh_.vertices[mesh_.facets[f][k % 3]];
    return {v.x(), v.y(), v.z()};
  }
  Kernel::Triangle_3 triangle(std::uint32_t f) const { return {corner(f, 0), corner(f, 1), corner(f, 2)}; }
  Kernel::Segment_3 opposite(std::uint32_t f, std::size_t k) const { return {corner(f, k + 1), corner(f, k + 2)}; }

  const TriangleMesh& mesh_;
};

}  // namespace

std::vector<std::uint32_t> findCrossings(const TriangleMesh& mesh, const Progress& progress) {
  const Crossings crossings(mesh);
  std::vector<FacetBox> boxes;
  for (std::uint32_t f = 0; f < mesh.facets.size(); ++f)
    if (!crossings.isFlat(f)) boxes.push_back(crossings.boxOf(f));
  std::vector<std::pair<std::uint32_t, std::uint32_t>> near;
  CGAL::box_self_intersection_d(boxes.begin(), boxes.end(), [&](const FacetBox& a, const FacetBox& b) {
    progress.check();
    near.emplace_back(a.info(), b.info());
  });
  std::vector<char> found(near.size());
  parallelFor(near.size(), progress, [&](std::size_t i) { found[i] = crossings.cross(near[i].first, near[i].second); });
  std::vector<std::uint32_t> facets;
  for (std::size_t i = 0; i < near.size(); ++i)
    if (found[i]) facets.insert(facets.end(), {near[i].first, near[i].second});
  std::sort(facets.begin(), facets.end());
  facets.erase(std::unique(facets.begin(), facets.end()), facets.end());
  return facets;
}

}  // namespace trellis
