// SPDX-License-Identifier: GPL-3.0-or-later
// What one takes a part by in the scene: three arrows that move it, three rings that turn it, and a corner that
// scales it.
#pragma once

#include "app/scene/camera.hpp"
#include "core/project/operations.hpp"

#include <vector>

namespace trellis {

struct Handle {
  enum Kind { move, turn, scale } kind = move;
  int axis = 0;             // of the plate: 0, 1, 2; unused for scale
  std::vector<Vec3> line;   // drawn and taken by it
  Vec3 label = Vec3::Zero();
};

// Around a placed part's box.
std::vector<Handle> handlesOf(const Box3& placed);

// The handle within a few pixels of the pointer, the nearest one; null when none is.
const Handle* handleAt(const std::vector<Handle>& handles, const Camera& camera, const QPointF& pixel);

// A drag of one handle from where it was taken.
class HandleDrag {
 public:
  HandleDrag(const Handle& handle, const Part& part, std::size_t index, const Camera& camera, const QPointF& pixel);
  // The part as it should stand with the pointer here. With fine, turns go by single degrees instead of 5.
  PlacePart to(const Camera& camera, const QPointF& pixel, bool fine) const;

 private:
  double along(const Camera& camera, const QPointF& pixel) const;
  double around(const Camera& camera, const QPointF& pixel) const;
  double away(const Camera& camera, const QPointF& pixel) const;

  Handle handle_;
  Placement before_;
  double low_;  // mm, of the part's lowest point
  std::size_t part_;
  Vec3 middle_;
  double start_ = 0;
};

}  // namespace trellis
