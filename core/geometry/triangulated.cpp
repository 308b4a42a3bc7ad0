// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/geometry/triangulated.hpp"

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

std::vector<std::array<Vec2, 3>> triangulated(const Polygons& outlines) {
  Triangulation triangulation;
  const auto at = [](const Point& p) {
    const Vec2 mm = toMm(p);
    return Kernel::Point_2(mm.x(), mm.y());
  };
  for (const Polygon& outline : outlines)
    for (std::size_t i = 0; i < outline.size(); ++i)
      triangulation.insert_constraint(at(outline[i]), at(outline[(i + 1) % outline.size()]));
  if (triangulation.dimension() < 2) return {};
  countNesting(triangulation);
  std::vector<std::array<Vec2, 3>> triangles;
  for (const auto face : triangulation.finite_face_handles()) {
    if (face->info() % 2 == 0) continue;
    const auto corner = [&](int k) { return Vec2(face->vertex(k)->point().x(), face->vertex(k)->point().y()); };
    triangles.push_back({corner(0), corner(1), corner(2)});
  }
  return triangles;
}

}  // namespace trellis
