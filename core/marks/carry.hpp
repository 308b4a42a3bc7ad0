// SPDX-License-Identifier: GPL-3.0-or-later
// Marks brought over to a revised mesh.
#pragma once

#include "core/base/progress.hpp"
#include "core/marks/marks.hpp"

namespace trellis {

// Decisions whose surface is gone.
enum class LostKind { enforce, block, clean, prop, site };
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

}  // namespace trellis
