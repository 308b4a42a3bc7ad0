// SPDX-License-Identifier: GPL-3.0-or-later
// What one takes a part or a zone by in the scene: three arrows that move it, three rings that turn it, and what
// scales it: a corner for a part, a face along each of its own axes for a zone.
#pragma once

#include "app/scene/camera.hpp"
#include "core/document/operations.hpp"

#include <vector>

namespace trellis {

struct Handle {
  enum Kind { move, turn, scale, stretch } kind = move;
  int axis = 0;            // of the plate for move and turn, of the zone for stretch; unused for scale
  std::vector<Vec3> line;  // drawn and taken by it
  Vec3 label = Vec3::Zero();
  Vec3 direction = Vec3::UnitX();  // the axis on the plate, of length 1
};

// Around a placed part's box.
std::vector<Handle> handlesOf(const Box3& placed);

// Around a zone; a slab is taken by its place on the part's surface, near.
std::vector<Handle> handlesOf(const ZoneFigures& zone, ZoneShape shape, const Box3& near);

// The handle within a few pixels of the pointer, the nearest one; null when none is.
const Handle* handleAt(const std::vector<Handle>& handles, const Camera& camera, const QPointF& pixel);

// A drag of one handle from where it was taken.
class HandleDrag {
 public:
  struct Held {
    const Part& part;
    std::size_t index;
  };
  struct Pointer {
    const Camera& camera;
    QPointF pixel;
  };
  HandleDrag(const Handle& handle, const Held& held, const Pointer& pointer);
  HandleDrag(const Handle& handle, const Held& held, std::size_t zone, const Box3& near, const Pointer& pointer);
  // The part or zone as it should stand with the pointer here. With fine, turns go by single degrees instead of 5.
  Operation to(const Pointer& pointer, bool fine) const;

 private:
  double along(const Pointer& pointer) const;
  double around(const Pointer& pointer) const;
  double away(const Pointer& pointer) const;
  double measured(const Pointer& pointer) const;
  PlacePart placed(const Pointer& pointer, bool fine) const;
  ChangeZone zoned(const Pointer& pointer, bool fine) const;
  double turned(const Pointer& pointer, bool fine) const;  // degrees

  Handle handle_;
  Placement before_;
  double low_;  // mm, of the part's lowest point
  std::size_t part_;
  std::optional<std::size_t> zone_;
  ZoneFigures zoneBefore_;
  Vec3 middle_;
  double start_ = 0;
};

}  // namespace trellis
