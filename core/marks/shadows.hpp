// SPDX-License-Identifier: GPL-3.0-or-later
// What marks say about each layer.
#pragma once

#include "core/base/progress.hpp"
#include "core/geometry/polygons.hpp"
#include "core/marks/marks.hpp"

#include <map>
#include <vector>

namespace trellis {

// Per section plane i: the plan shadow of the marked surface between plane i−1 and plane i, with the
// lower plane included, as slicing counts a vertex on a plane to be above it.
struct MarkShadows {
  std::vector<Polygons> enforced;   // down-facing surface marked enforce, whatever the tint
  std::vector<Polygons> blocked;    // down-facing surface marked block
  std::vector<Polygons> noLanding;  // up-facing surface marked block: nothing may stand there
  struct Tinted {
    std::vector<Polygons> surface;  // down-facing
    std::vector<Lines> walls;       // enforced wall where plane i cuts it, with the part on their left
  };
  std::map<int, Tinted> tints;   // of enforcers
  double enforcedWall = 0;       // mm² that lean less than 5° either way
  double enforcedUpward = 0;     // mm² that face up, where support has nothing to carry
  Vec3 upwardAt = Vec3::Zero();  // a place of it
};

// Surfaces that lean less than this, in degrees, are walls.
inline constexpr double wallLean = 5;

MarkShadows castShadows(const TriangleMesh& mesh, const Affine& toPlate, const Marks& marks,
                        const std::vector<double>& planes, const Progress& progress);

}  // namespace trellis
