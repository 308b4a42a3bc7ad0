// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/mesh/extrude.hpp"

#include <CGAL/Constrained_Delaunay_triangulation_2.h>
#include <CGAL/Exact_predicates_inexact_constructions_kernel.h>
#include <CGAL/Triangulation_face_base_with_info_2.h>
#include <CGAL/Triangulation_vertex_base_2.h>

#include <deque>

namespace trellis {

namespace {

using Kernel = CGAL::Exact_predicates_inexact_constructions_kernel;
using FaceBase =
    CGAL::Constrained_triangulation_face_base_2<Kernel, CGAL::Triangulation_face_base_with_info_2<int, Kernel>>;
using Structure = CGAL::Triangulation_data_structure_2<CGAL::Triangulation_vertex_base_2<Kernel>, FaceBase>;
using Triangulation = CGAL::Constrained_Delaunay_triangulation_2<Kernel, Structure, CGAL::Exact_predicates_tag>;

// How many outlines lie around each face, from outside inwards.
void countNesting(Triangulation& triangulation) {
  constexpr int unknown = -1;
  for (const auto face : triangulation.all_face_handles()) face->info() = unknown;
  std::deque<Triangulation::Face_handle> front{triangulation.infinite_face()};
  front.front()->info() = 0;
  while (!front.empty()) {
    const auto face = front.front();
    front.pop_front();
    for (int side = 0; side < 3; ++side) {
      const auto next = face->neighbor(side);
      const int depth = face->info() + (face->is_constrained(side) ? 1 : 0);
      if (next->info() != unknown && next->info() <= depth) continue;
      next->info() = depth;
      front.push_back(next);
    }
  }
}

}  // namespace

MeshPtr extruded(const Polygons& region, double low, double high) {
  const Polygons outlines = unite(region);
  if (outlines.empty()) return nullptr;
  Triangulation triangulation;
  std::vector<Vec3f> corners;
  const auto at = [](const Vec2& p, double z) -> Vec3f { return Vec3(p.x(), p.y(), z).cast<float>(); };
  for (const Polygon& outline : outlines)
    for (std::size_t i = 0; i < outline.size(); ++i) {
      const Vec2 a = toMm(outline[i]), b = toMm(outline[(i + 1) % outline.size()]);
      triangulation.insert_constraint(Kernel::Point_2(a.x(), a.y()), Kernel::Point_2(b.x(), b.y()));
      // Outlines run with their inside on the left, holes the other way.
      corners.insert(corners.end(), {at(a, low), at(b, low), at(b, high), at(a, low), at(b, high), at(a, high)});
    }
  countNesting(triangulation);
  for (const auto face : triangulation.finite_face_handles()) {
    if (face->info() % 2 == 0) continue;
    std::array<Vec2, 3> c;
    for (int k = 0; k < 3; ++k)
      c[static_cast<std::size_t>(k)] = {face->vertex(k)->point().x(), face->vertex(k)->point().y()};
    corners.insert(corners.end(), {at(c[0], high), at(c[1], high), at(c[2], high)});
    corners.insert(corners.end(), {at(c[0], low), at(c[2], low), at(c[1], low)});
  }
  return meshFromCorners(corners);
}

}  // namespace trellis
