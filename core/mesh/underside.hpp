// SPDX-License-Identifier: GPL-3.0-or-later
// The underside that a place from above, below or beside means.
#pragma once

#include "core/mesh/ray.hpp"

namespace trellis {

// Of a placed mesh, the lowest surface straight over a place that faces down; else, where the place is surface that
// faces up, where that solid ends straight below, if it does over the plate. Plate coordinates.
std::optional<Vec3> undersideOver(const MeshTree& tree, const Affine& toPlate, const Vec3& place);

}  // namespace trellis
