// SPDX-License-Identifier: GPL-3.0-or-later
// Keys of polygon sets, for knowing whether a layer changed.
#pragma once

#include "core/base/key.hpp"
#include "core/geometry/polygons.hpp"

namespace trellis {

inline std::uint64_t keyOf(const Polygons& polygons) {
  KeyBuilder key;
  for (const Polygon& outline : polygons)
    key.add(outline.size()).addBytes(outline.data(), outline.size() * sizeof(Point));
  return key.key();
}

}  // namespace trellis
