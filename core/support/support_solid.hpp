// SPDX-License-Identifier: GPL-3.0-or-later
// Support layers as a light surface to look at, not to compute with.
#pragma once

#include "core/support/support_layers.hpp"

namespace trellis {

struct SolidVertex {
  Vec3f at, normal;
  std::uint8_t interface = 0;  // 1 for upper interface, 0 for body
};

struct SupportSolid {
  std::vector<SolidVertex> vertices;  // three a triangle
};

// Walls of every region, those that stay the same from layer to layer as one, and lids where nothing
// stands on a region. Outlines are simplified to 0.08 mm, so it is for the eye only.
SupportSolid solidOf(const SupportLayers& layers, const Progress& progress);

}  // namespace trellis
