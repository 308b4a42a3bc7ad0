// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/scene/camera.hpp"

#include <algorithm>
#include <cmath>
#include <optional>

namespace trellis {

namespace {

constexpr double fieldOfView = 28, narrow = 1;  // degrees, vertical

QVector3D qt(const Vec3& v) {
  return {static_cast<float>(v.x()), static_cast<float>(v.y()), static_cast<float>(v.z())};
}

}  // namespace

Vec3 Camera::forward() const {
  const double yaw = toRadians(yaw_), pitch = toRadians(pitch_);
  return {-std::cos(yaw) * std::cos(pitch), -std::sin(yaw) * std::cos(pitch), -std::sin(pitch)};
}

Vec3 Camera::right() const { return {-std::sin(toRadians(yaw_)), std::cos(toRadians(yaw_)), 0}; }

double Camera::field() const { return parallel_ ? narrow : fieldOfView; }

double Camera::distance() const {
  static const double farther = std::tan(toRadians(fieldOfView / 2)) / std::tan(toRadians(narrow / 2));
  return parallel_ ? distance_ * farther : distance_;
}

Vec3 Camera::eye() const { return target_ - distance() * forward(); }

Vec3 Camera::eyeWithin(double most) const { return target_ - std::min(distance(), most) * forward(); }

Camera Camera::towards(const Camera& goal, double share) const {
  Camera between = goal;
  between.target_ = target_ + share * (goal.target_ - target_);
  between.distance_ = distance_ * std::pow(goal.distance_ / distance_, share);
  between.yaw_ = std::remainder(yaw_ + share * std::remainder(goal.yaw_ - yaw_, 360.0), 360.0);
  between.pitch_ = pitch_ + share * (goal.pitch_ - pitch_);
  between.parallel_ = share < 1 ? parallel_ && goal.parallel_ : goal.parallel_;
  return between;
}

void Camera::fit(const Box3& box) {
  if (box.isEmpty()) return;
  constexpr double margin = 0.9;  // of the view's half
  target_ = box.center();
  const double high = margin * std::tan(toRadians(fieldOfView / 2)),
               wide = high * size_.width() / std::max(1, size_.height());
  distance_ = 10;
  for (int corner = 0; corner < 8; ++corner) {
    const Vec3 at = box.corner(static_cast<Box3::CornerType>(corner)) - target_;
    const double ahead = parallel_ ? 0 : at.dot(forward());
    distance_ = std::max({distance_, std::abs(at.dot(right())) / wide - ahead, std::abs(at.dot(up())) / high - ahead});
  }
}

void Camera::lookAt(const Vec3& at, double distance) {
  target_ = at;
  distance_ = std::min(distance_, distance);
}

void Camera::turn(double yaw, double pitch) {
  parallel_ = false;
  turnTo(yaw_ + yaw, pitch_ + pitch);
}

void Camera::turnTo(double yaw, double pitch) {
  yaw_ = std::remainder(yaw, 360.0);
  pitch_ = std::clamp(pitch, -90.0, 90.0);
}

double Camera::millimetresPerPixel(double depth) const {
  return 2 * depth * std::tan(toRadians(field() / 2)) / std::max(1, size_.height());
}

void Camera::slide(const QPointF& pixels) {
  const double scale = millimetresPerPixel(distance());
  const Vec3 up = right().cross(forward());
  target_ += (-right() * pixels.x() + up * pixels.y()) * scale;
}

void Camera::zoom(double factor, const Vec3& towards) {
  const double next = std::clamp(distance_ / factor, 2.0, 5000.0);
  target_ = towards + (target_ - towards) * (next / distance_);
  distance_ = next;
}

std::pair<double, double> Camera::depths() const {
  constexpr double around = 1500;  // mm, of a scene
  if (parallel_) return {std::max(distance() / 8, distance() - around), distance() + 2 * around};
  return {std::max(0.5, distance_ / 50), distance_ * 4 + around};
}

QMatrix4x4 Camera::toScreen() const {
  QMatrix4x4 matrix;
  const auto [near, far] = depths();
  matrix.perspective(static_cast<float>(field()),
                     static_cast<float>(size_.width()) / static_cast<float>(std::max(1, size_.height())),
                     static_cast<float>(near), static_cast<float>(far));
  matrix.lookAt(qt(eye()), qt(target_), qt(right().cross(forward())));
  return matrix;
}

Camera::Ray Camera::rayAt(const QPointF& pixel) const {
  const double half = std::tan(toRadians(field() / 2));
  const double x = (2 * pixel.x() / size_.width() - 1) * half * size_.width() / std::max(1, size_.height());
  const double y = (1 - 2 * pixel.y() / size_.height()) * half;
  return {eye(), (forward() + right() * x + right().cross(forward()) * y).normalized()};
}

std::optional<QPointF> Camera::pixelOf(const Vec3& point) const {
  const QVector4D clip = toScreen() * QVector4D(qt(point), 1);
  if (clip.w() <= 0) return std::nullopt;
  const double x = static_cast<double>(clip.x()) / clip.w(), y = static_cast<double>(clip.y()) / clip.w();
  return QPointF((x + 1) / 2 * size_.width(), (1 - y) / 2 * size_.height());
}

}  // namespace trellis
