// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/scene/handles.hpp"

#include <QLineF>

#include <algorithm>
#include <cmath>
#include <limits>

namespace trellis {

namespace {

constexpr double near = 8;  // pixels

double distanceToSegment(const QPointF& p, const QPointF& a, const QPointF& b) {
  const QPointF ab = b - a, ap = p - a;
  const double length = ab.x() * ab.x() + ab.y() * ab.y();
  const double t = length > 0 ? std::clamp((ap.x() * ab.x() + ap.y() * ab.y()) / length, 0.0, 1.0) : 0;
  return QLineF(p, a + ab * t).length();
}

}  // namespace

std::vector<Handle> handlesOf(const Box3& placed) {
  const Vec3 middle = placed.center();
  const double reach = placed.sizes().norm() / 2;
  std::vector<Handle> handles;
  for (int axis = 0; axis < 3; ++axis) {
    const Vec3 from = middle + Vec3::Unit(axis) * placed.sizes()[axis] / 2,
               to = from + Vec3::Unit(axis) * std::max(10.0, reach * 0.5);
    const Vec3 side = Vec3::Unit((axis + 1) % 3) * reach * 0.06, back = to - Vec3::Unit(axis) * reach * 0.12;
    handles.push_back({Handle::move,
                       axis,
                       {from, to, back + side, to, back - side},
                       to + Vec3::Unit(axis) * reach * 0.08,
                       Vec3::Unit(axis)});
    Handle ring{Handle::turn, axis, {}, Vec3::Zero(), Vec3::Unit(axis)};
    for (int k = 0; k <= 64; ++k) {
      const double angle = 2 * pi * k / 64;
      ring.line.push_back(
          middle +
          reach * 1.08 * (std::cos(angle) * Vec3::Unit((axis + 1) % 3) + std::sin(angle) * Vec3::Unit((axis + 2) % 3)));
    }
    handles.push_back(ring);
  }
  const Vec3 corner = placed.max(), out = (corner - middle).normalized() * reach * 0.16;
  handles.push_back({Handle::scale, 0, {corner, corner + out}, corner + out * 1.6, out.normalized()});
  return handles;
}

std::vector<Handle> handlesOf(const ZoneFigures& zone, ZoneShape shape, const Box3& near) {
  const bool slab = shape == ZoneShape::slab;
  const Vec3 middle = slab ? Vec3(near.center().x(), near.center().y(), zone.centre.z()) : zone.centre;
  const Eigen::Matrix3d turn = turnOf(zone.turn);
  const Vec3 size = slab ? Vec3(near.sizes().x(), near.sizes().y(), zone.size.z()) : zone.size;
  Box3 box;
  for (int corner = 0; corner < 8; ++corner)
    box.extend(Vec3(middle + turn * Vec3(size.cwiseProduct(Vec3(corner & 1 ? 0.5 : -0.5, corner & 2 ? 0.5 : -0.5,
                                                                corner & 4 ? 0.5 : -0.5)))));
  std::vector<Handle> handles = handlesOf(box);
  if (slab) handles.pop_back();  // it has no size in proportion
  if (slab)
    std::erase_if(handles, [](const Handle& handle) { return handle.kind == Handle::turn || handle.axis != 2; });
  for (int axis = slab ? 2 : 0; axis < 3; ++axis) {
    const Vec3 out = turn.col(axis), face = middle + out * size[axis] / 2,
               one = turn.col((axis + 1) % 3) * size.norm() * 0.05,
               other = turn.col((axis + 2) % 3) * size.norm() * 0.05;
    handles.push_back(
        {Handle::stretch,
         axis,
         {face + one + other, face - one + other, face - one - other, face + one - other, face + one + other},
         face,
         out});
  }
  return handles;
}

const Handle* handleAt(const std::vector<Handle>& handles, const Camera& camera, const QPointF& pixel) {
  const Handle* best = nullptr;
  double nearest = near;
  for (const Handle& handle : handles)
    for (std::size_t i = 1; i < handle.line.size(); ++i) {
      const auto a = camera.pixelOf(handle.line[i - 1]), b = camera.pixelOf(handle.line[i]);
      if (!a || !b) continue;
      const double distance = distanceToSegment(pixel, *a, *b);
      if (distance >= nearest) continue;
      nearest = distance;
      best = &handle;
    }
  return best;
}

HandleDrag::HandleDrag(const Handle& handle, const Held& held, const Pointer& pointer)
    : handle_(handle),
      before_(held.part.placement),
      low_(placedBounds(held.part.placement, *held.part.mesh).min().z()),
      part_(held.index),
      middle_(placedBounds(held.part.placement, *held.part.mesh).center()) {
  start_ = measured(pointer);
}

HandleDrag::HandleDrag(const Handle& handle, const Held& held, std::size_t zone, const Box3& near,
                       const Pointer& pointer)
    : handle_(handle),
      low_(0),
      part_(held.index),
      zone_(zone),
      zoneBefore_(figuresOf(held.part.zones[zone], transformOf(held.part.placement, *held.part.mesh))) {
  middle_ = held.part.zones[zone].shape == ZoneShape::slab
                ? Vec3(near.center().x(), near.center().y(), zoneBefore_.centre.z())
                : zoneBefore_.centre;
  start_ = measured(pointer);
}

double HandleDrag::measured(const Pointer& pointer) const {
  return handle_.kind == Handle::turn    ? around(pointer)
         : handle_.kind == Handle::scale ? away(pointer)
                                         : along(pointer);
}

// Millimetres along the handle's axis where it passes nearest to the pointer's ray.
double HandleDrag::along(const Pointer& pointer) const {
  const Camera::Ray ray = pointer.camera.rayAt(pointer.pixel);
  const Vec3 axis = handle_.direction, d = ray.direction.normalized(), between = ray.origin - middle_;
  const double slant = axis.dot(d), spread = 1 - slant * slant;
  return spread < 1e-6 ? start_ : (axis.dot(between) - slant * d.dot(between)) / spread;
}

// Degrees around the handle's axis where the pointer's ray meets the ring's plane.
double HandleDrag::around(const Pointer& pointer) const {
  const Camera::Ray ray = pointer.camera.rayAt(pointer.pixel);
  const Vec3 axis = handle_.direction;
  const double towards = ray.direction.dot(axis);
  if (std::abs(towards) < 1e-3 * ray.direction.norm()) return start_;
  const Vec3 on = ray.origin + ray.direction * ((middle_ - ray.origin).dot(axis) / towards) - middle_;
  return toDegrees(std::atan2(on[(handle_.axis + 2) % 3], on[(handle_.axis + 1) % 3]));
}

// Pixels from the part's middle.
double HandleDrag::away(const Pointer& pointer) const {
  const auto middle = pointer.camera.pixelOf(middle_);
  return middle ? std::max(1.0, QLineF(*middle, pointer.pixel).length()) : 1.0;
}

double HandleDrag::turned(const Pointer& pointer, bool fine) const {
  const double step = fine ? 1 : 5;
  return std::round((around(pointer) - start_) / step) * step;
}

Operation HandleDrag::to(const Pointer& pointer, bool fine) const {
  if (zone_) return zoned(pointer, fine);
  return placed(pointer, fine);
}

ChangeZone HandleDrag::zoned(const Pointer& pointer, bool fine) const {
  constexpr double least = 0.2;  // mm
  ZoneFigures figures = zoneBefore_;
  if (handle_.kind == Handle::turn) {
    Vec3 about = Vec3::Zero();
    about[handle_.axis] = turned(pointer, fine);
    figures.turn = degreesOf(turnOf(about) * turnOf(zoneBefore_.turn));
  } else if (handle_.kind == Handle::move) {
    figures.centre[handle_.axis] += along(pointer) - start_;
  } else if (handle_.kind == Handle::scale) {
    figures.size *= std::max(away(pointer) / start_, 0.01);
    figures.size = figures.size.cwiseMax(least);
  } else {  // the opposite face stays where it is
    const double longer =
        std::max(least, zoneBefore_.size[handle_.axis] + along(pointer) - start_) - zoneBefore_.size[handle_.axis];
    figures.size[handle_.axis] += longer;
    figures.centre += handle_.direction * longer / 2;
  }
  return ChangeZone{part_, *zone_, figures};
}

PlacePart HandleDrag::placed(const Pointer& pointer, bool fine) const {
  PlacePart place;
  place.part = part_;
  if (handle_.kind == Handle::move && handle_.axis == 2) {
    place.lift = std::max(0.0, low_ + along(pointer) - start_);
  } else if (handle_.kind == Handle::move) {
    place.position = before_.position;
    (*place.position)[handle_.axis] += along(pointer) - start_;
  } else if (handle_.kind == Handle::turn) {
    Vec3 about = Vec3::Zero();
    about[handle_.axis] = turned(pointer, fine);
    place.turn = degreesOf(turnOf(about) * turnOf(before_.turn));
  } else {
    place.scale = before_.scale * (away(pointer) / start_);
  }
  return place;
}

}  // namespace trellis
