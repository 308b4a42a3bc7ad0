// SPDX-License-Identifier: GPL-3.0-or-later
// Support layers as a light surface to look at, not to compute with.
#pragma once

#include "core/support/support_layers.hpp"

namespace trellis {

struct SolidVertex {
  Vec3f at, normal;
  RegionKind kind = RegionKind::body;
  std::uint32_t rules = 0, piece = 0;  // as in PieceRegion
};

struct SupportSolid {
  std::vector<SolidVertex> vertices;  // three a triangle, those that begin lowest first
};

// Branches as smooth tubes, and walls of every other region, those that stay the same from layer to layer as one, and
// lids where nothing stands on a region; raft is one layer more under everything. Outlines are simplified to 0.08 mm,
// so it is for the eye only.
SupportSolid solidOf(const SupportLayers& layers, const std::vector<std::shared_ptr<const Tree>>& trees,
                     const SupportLayer& raft, const Progress& progress);

// As a mesh, three vertices a triangle in the same order, to point at.
MeshPtr surfaceOf(const SupportSolid& solid);

}  // namespace trellis
