// SPDX-License-Identifier: GPL-3.0-or-later
// Marks brought over to a revised mesh, or to the other side of their own.
#pragma once

#include "core/base/progress.hpp"
#include "core/marks/marks.hpp"
#include "core/mesh/plane.hpp"

namespace trellis {

// Decisions whose surface is gone.
enum class LostKind { enforce, block, clean, seen, prop, site };
struct LostMarks {
  LostKind kind = LostKind::enforce;
  double area = 0;         // mm² in mesh coordinates; 0 for props and sites
  Vec3 at = Vec3::Zero();  // where they were, mesh coordinates
  bool operator==(const LostMarks&) const = default;
};

struct Carried {
  MarksPtr marks;
  std::vector<LostMarks> lost;  // what lies within 5 mm of each other as one
};

// How far a surface may have moved and still be the same one, mm.
inline constexpr double carryReach = 0.5;

// Every place of the new mesh gets the mark of the old mesh's place nearest to it within carryReach. Facets
// that did not change keep their marks to the bit; elsewhere borders are exact to 0.1 mm. Both meshes are
// in the same coordinates.
Carried carryMarks(const MeshPtr& from, const Marks& marks, const MeshPtr& to, const Progress& progress);

// Every place of the mesh gets the mark of the place across the plane, where there is surface within carryReach of it.
MarksPtr mirroredMarks(const MeshPtr& mesh, const Marks& marks, const Plane& plane, const Progress& progress);

// mm² in mesh coordinates of what more has and marks lack, and where the largest of it is; what lies within reach of a
// mark of the same kind is not counted.
struct MarksBeyond {
  double area = 0;
  Vec3 at = Vec3::Zero();
};
MarksBeyond beyond(const TriangleMesh& mesh, const Marks& marks, const Marks& more, double reach);

}  // namespace trellis
