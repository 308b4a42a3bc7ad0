// SPDX-License-Identifier: GPL-3.0-or-later
// Along which direction a piece of support can leave its part.
#pragma once

#include "core/mesh/ray.hpp"
#include "core/support/support_layers.hpp"

namespace trellis {

// A part in the way.
struct Solid {
  MeshTreePtr tree;
  Affine toMesh;  // from plate to mesh coordinates
};

struct ExtractionPath {
  bool free = false;               // some straight way out touches no part
  Vec3 direction = Vec3::UnitZ();  // that way, or the one along which the least is in the way
  double open = 0;                 // 0–1, the share of the piece that nothing stops along it
};

// Points on a piece's outlines and inside them, a twentieth of a millimetre within, plate coordinates, in a scattered
// order.
std::vector<Vec3> samplesOf(const SupportLayers& layers, std::size_t piece);

// Tries the 162 directions of a twice divided icosahedron, the piece's own axes and the normals of the surface over it,
// then turns the most promising by ever less, down to half a degree. Only straight ways: a piece that has to be turned
// or broken counts as held. Obstacles thinner than half a millimetre can be missed, and other pieces are no obstacle:
// they are taken out first.
ExtractionPath extractionPathOf(const std::vector<Vec3>& samples, const std::vector<Solid>& solids);

}  // namespace trellis
