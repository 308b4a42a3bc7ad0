// SPDX-License-Identifier: GPL-3.0-or-later
// Where the scene is looked at from.
#include "app/scene/scene_view.hpp"
#include "app/theme/theme.hpp"

#include <cmath>

namespace trellis {

namespace {

constexpr int glideTime = 150;  // ms

Box3 boundsOf(const Project& project) {
  Box3 box;
  for (const PartPtr& part : project.parts) box.extend(placedBounds(part->placement, *part->mesh));
  return box;
}

bool isStraight(double degrees) { return std::abs(std::remainder(degrees, 90.0)) < 1e-9; }

}  // namespace

// A short way there, so that nobody loses the place; at once where the desktop asks for no motion.
void SceneView::moveTo(const Camera& goal) {
  glide_.stop();
  fitted_ = true;
  if (!lively_ || !isVisible() || !wantsMotion()) {
    camera_ = goal;
    return redraw();
  }
  glide_.disconnect();
  connect(&glide_, &QVariantAnimation::valueChanged, this, [this, from = camera_, goal](const QVariant& share) {
    camera_ = from.towards(goal, share.toDouble());
    redraw();
  });
  glide_.setStartValue(0.0);
  glide_.setEndValue(1.0);
  glide_.setDuration(glideTime);
  glide_.setEasingCurve(QEasingCurve::InOutQuad);
  glide_.start();
}

Camera SceneView::fitted(Camera camera) const {
  Box3 box;
  for (std::size_t p = 0; p < document_.project()->parts.size(); ++p)
    if (isShown(p)) box.extend(boundsOfPart(p));
  if (box.isEmpty()) box = boundsOf(*document_.project());
  if (box.isEmpty())
    box = Box3(Vec3(0, 0, 0),
               Vec3(document_.settings().number("machine.width"), document_.settings().number("machine.depth"), 60));
  camera.fit(box);
  return camera;
}

bool SceneView::isInParts(const Vec3& place) const {
  for (std::size_t p = 0; p < document_.project()->parts.size(); ++p)
    if (isShown(p) && boundsOfPart(p).contains(place)) return true;
  return false;
}

void SceneView::fitAll() {
  glide_.stop();
  camera_ = fitted(camera_);
  fitted_ = true;
  redraw();
}

void SceneView::fitSlowly() { moveTo(fitted(camera_)); }

void SceneView::turnBy(double yaw, double pitch) {
  glide_.stop();
  camera_.turn(yaw, pitch);
  Q_EMIT turned();
  redraw();
}

void SceneView::comeNearer(double times) {
  Camera goal = camera_;
  goal.zoom(times, camera_.eye() + camera_.forward() * camera_.distance());
  moveTo(goal);
}

void SceneView::turnOver() { lookFrom(camera_.yaw(), camera_.pitch() >= 0 ? -35 : 28); }

void SceneView::lookFrom(double yaw, double pitch) {
  Camera goal = camera_;
  goal.turnTo(yaw, pitch);
  goal.setParallel(isStraight(yaw) && isStraight(pitch));
  moveTo(fitted(goal));
}

void SceneView::turnToNextStraight(int yawSteps, int pitchSteps) {
  Camera goal = camera_;
  goal.turnTo((std::round(camera_.yaw() / 90) + yawSteps) * 90, (std::round(camera_.pitch() / 90) + pitchSteps) * 90);
  goal.setParallel(true);
  moveTo(goal);
}

void SceneView::toggleParallel() {
  camera_.setParallel(!camera_.isParallel());
  redraw();
}

void SceneView::goTo(const Vec3& at) {
  wentTo_ = at;
  Camera goal = camera_;
  goal.lookAt(at, 90);
  if (goal.pitch() < 15) goal.turnTo(goal.yaw(), 40);  // a layer is looked at from above
  moveTo(goal);
}

void SceneView::lookFromAbove() {
  Box3 box;
  if (view_.gcode()) {
    for (const Stretch& s : view_.gcode()->trial->stretches)
      if (std::abs(static_cast<double>(s.to.z()) - view_.range().second) < 0.5) box.extend(s.to.cast<double>());
  } else if (const PrintLayer* top = topLayer()) {
    for (const trellis::Run& run : top->runs)
      for (const Point& p : run.points) box.extend(Vec3(toMm(p).x(), toMm(p).y(), top->top));
  }
  if (box.isEmpty()) return fitSlowly();
  Camera goal = camera_;
  goal.turnTo(-90, 90);
  goal.setParallel(true);
  goal.fit(box);
  moveTo(goal);
}

}  // namespace trellis
