// SPDX-License-Identifier: GPL-3.0-or-later
// A small picture of a part, without a window: for lists and strips.
#pragma once

#include "core/mesh/triangle_mesh.hpp"

namespace trellis {

struct PortraitPixel {
  float light = -1;  // 0 dark to 1 bright; −1 where nothing is
  float lean = -90;  // degrees, of the surface seen
};

struct Thumbnail {
  int size = 0;                       // pixels along each side
  std::vector<PortraitPixel> pixels;  // rows from the top
};

// The mesh after a transform, seen from the front right and above, without perspective, filling the square.
Thumbnail thumbnail(const TriangleMesh& mesh, const Affine& transform, int size);

}  // namespace trellis
