// SPDX-License-Identifier: GPL-3.0-or-later
// Zones as things in space: how large one has to be to cover given places, and where a ray meets one.
#pragma once

#include "core/document/decisions.hpp"

#include <optional>

namespace trellis {

// The smallest upright zone of a shape round the middle of these places, and a margin (mm) more on every side: a ball
// and a cylinder enclose them, a box is their box, a slab reaches from the lowest to the highest. places is not empty.
ZoneFigures covering(ZoneShape shape, const std::vector<Vec3>& places, double margin);

// How many times direction from origin, in mesh coordinates, a ray first meets the zone's surface; nothing where it
// passes by. Not for slabs, which are everywhere.
std::optional<double> firstIn(const Zone& zone, const Vec3& origin, const Vec3& direction);

}  // namespace trellis
