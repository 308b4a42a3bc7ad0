// SPDX-License-Identifier: GPL-3.0-or-later
// The eye on the scene: turns about a point, at a distance. It can look in parallel, too: from so far away and through
// so narrow a field that nothing near looks larger (a quarter of a percent over 100 mm is what remains).
#pragma once

#include "core/base/types.hpp"

#include <QMatrix4x4>
#include <QPointF>
#include <QSize>

#include <optional>

namespace trellis {

class Camera {
 public:
  void setView(const QSize& size) { size_ = size; }
  const QSize& view() const { return size_; }
  void fit(const Box3& box);                     // as near as all of it is seen, with a margin
  void lookAt(const Vec3& at, double distance);  // mm, at most
  void turn(double yaw, double pitch);           // degrees
  void turnTo(double yaw, double pitch);
  void setParallel(bool parallel) { parallel_ = parallel; }  // turn() looks in perspective again
  bool isParallel() const { return parallel_; }
  // On the way from this to another, share 0–1.
  Camera towards(const Camera& goal, double share) const;
  void slide(const QPointF& pixels);
  void zoom(double factor, const Vec3& towards);  // factor > 1 comes nearer

  QMatrix4x4 toScreen() const;
  std::pair<double, double> depths() const;  // mm, of the nearest and the farthest that is seen
  Vec3 eye() const;
  Vec3 eyeWithin(double most) const;  // the eye, or nearer: at most so many mm from what it looks at
  struct Ray {
    Vec3 origin, direction;
  };
  Ray rayAt(const QPointF& pixel) const;
  // Where a point of the plate's space appears, in pixels; nothing when it is behind the eye.
  std::optional<QPointF> pixelOf(const Vec3& point) const;
  double yaw() const { return yaw_; }
  double pitch() const { return pitch_; }
  double distance() const;  // from the eye to the point it turns about, mm
  double millimetresPerPixel(double depth) const;
  Vec3 forward() const;
  Vec3 right() const;
  Vec3 up() const { return right().cross(forward()); }

 private:
  double field() const;  // degrees, vertical

  QSize size_{1, 1};
  Vec3 target_{125, 105, 20};
  double yaw_ = -65, pitch_ = 28, distance_ = 420;  // of an eye in perspective
  bool parallel_ = false;
};

}  // namespace trellis
