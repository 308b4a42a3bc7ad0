// SPDX-License-Identifier: GPL-3.0-or-later
// The hand in the scene: what the mouse and the keys do.
#include "app/scene/scene_view.hpp"

#include "core/base/hash.hpp"
#include "core/overhang/lean.hpp"

#include <QGuiApplication>
#include <QMouseEvent>

namespace trellis {

std::optional<SceneView::Hit> SceneView::hitAt(const QPointF& pixel) {
  const Camera::Ray ray = camera_.rayAt(pixel);
  const Project& project = *session_.project();
  const auto [low, high] = session_.range();
  std::optional<Hit> best;
  double nearest = 1e300;
  for (std::size_t p = 0; p < project.parts.size() && p < trees_.size(); ++p) {
    const Part& part = *project.parts[p];
    const Affine toPlate = transformOf(part.placement, *part.mesh), toMesh = toPlate.inverse();
    Vec3 from = ray.origin;
    // Surface outside the shown heights is looked through; a few dozen walls in a row are enough.
    for (int walls = 0; walls < 40; ++walls) {
      const auto hit = trees_[p]->firstHit(toMesh * from, toMesh.linear() * ray.direction);
      if (!hit) break;
      const Vec3 at = toPlate * hit->point;
      if (at.z() < low - 1e-3 || at.z() > high + 1e-3) {
        from = at + ray.direction * 1e-2;
        continue;
      }
      const double distance = (at - ray.origin).norm();
      if (distance < nearest) {
        nearest = distance;
        const Eigen::Matrix3d normalToPlate = toPlate.linear().inverse().transpose();
        best = Hit{p, hit->facet, at, leanOf((normalToPlate * part.mesh->normal(hit->facet)).normalized())};
      }
      break;
    }
  }
  return best;
}

void SceneView::describe(const std::optional<Hit>& hit) {
  if (!hit) return Q_EMIT pointedAt(QString());
  const Part& part = *session_.project()->parts[hit->part];
  const Affine toMesh = transformOf(part.placement, *part.mesh).inverse();
  const Mark mark = markAt(part.mesh->corners(hit->facet), part.marks->tree(hit->facet), toMesh * hit->at);
  QString words = QString("%1  ·  %2 mm high  ·  ").arg(QString::fromStdString(part.name)).arg(hit->at.z(), 0, 'f', 2);
  if (hit->lean > 0.5)
    words += tr("leans %1° (%2° from the plate)").arg(hit->lean, 0, 'f', 0).arg(90 - hit->lean, 0, 'f', 0);
  else
    words += hit->lean < -0.5 ? tr("faces up") : tr("upright wall");
  if (mark == Mark::enforce) words += tr("  ·  enforced by your mark");
  if (mark == Mark::block) words += tr("  ·  blocked by your mark");
  if (mark == Mark::none && hit->lean > settingsOf(*session_.project(), hit->part).number("support.free_lean")) words += tr("  ·  hangs");
  Q_EMIT pointedAt(words);
}

Mark SceneView::markInHand(Qt::KeyboardModifiers modifiers) const {
  return modifiers & Qt::ControlModifier ? Mark::none : session_.brush().mark;
}

// Each movement lays the stretch since the last one into the same step, so that a stroke is one undo and
// fast movement leaves no gaps.
void SceneView::lay(const Hit& hit, bool begins) {
  const Brush& brush = session_.brush();
  MarkWithBall mark;
  mark.part = hit.part;
  mark.mark = markInHand(QGuiApplication::keyboardModifiers());
  mark.stroke.radius = brush.radius;
  mark.stroke.path = begins || hit.part != layingOn_ ? std::vector<Vec3>{hit.at} : std::vector<Vec3>{lastLaid_, hit.at};
  mark.keepToOverhangs = brush.keepToOverhangs;
  lastLaid_ = hit.at;
  layingOn_ = hit.part;
  session_.perform(mark, !begins);
}

// The part under the pointer as it would rest on the face that is pointed at.
void SceneView::showGhost(const std::optional<Hit>& hit) {
  ghostAt_.reset();
  if (hit && session_.hand() == Hand::settle) {
    const Part& part = *session_.project()->parts[hit->part];
    const Vec3& scale = part.placement.scale;
    const std::uint64_t key = KeyBuilder().add(part.mesh->key).add(scale.x()).add(scale.y()).add(scale.z()).key();
    if (facesOf_ != key) faces_ = restingFaces(*part.mesh, scale);
    facesOf_ = key;
    if (!faces_.empty()) ghostAt_ = turnedDownOn(faces_, part.placement, *part.mesh, hit->facet);
    if (ghostAt_) {
      makeCurrent();
      fill(ghost_, ghostSurface(*part.mesh, *ghostAt_));
      doneCurrent();
    }
  }
  update();
}

void SceneView::mousePressEvent(QMouseEvent* event) {
  lastPixel_ = event->position();
  if (event->button() != Qt::LeftButton || sliding_) return;
  const Handle* handle = handleAt(handles_, camera_, event->position());
  const auto hit = hitAt(event->position());
  if (handle) {
    drag_.emplace(*handle, *session_.project()->parts[session_.selection().back()], session_.selection().back(), camera_, event->position());
    dragBegun_ = false;
  } else if (session_.hand() == Hand::lay && hit) {
    laying_ = true;
    lay(*hit, true);
    over_ = hit;
  } else if (session_.hand() == Hand::settle && hit) {
    session_.setSettling(false);
    session_.perform(LayFaceDown{hit->part, hit->at});
    session_.selectPart(static_cast<int>(hit->part));
  } else if (session_.hand() == Hand::pick && hit) {
    std::vector<std::size_t> chosen = event->modifiers() & Qt::ControlModifier ? session_.selection() : std::vector<std::size_t>();
    const bool known = std::erase(chosen, hit->part) > 0;
    if (!known || chosen.empty()) chosen.push_back(hit->part);
    session_.select(chosen);
  }
}

void SceneView::mouseMoveEvent(QMouseEvent* event) {
  const QPointF moved = event->position() - lastPixel_;
  lastPixel_ = event->position();
  if (event->buttons() & Qt::RightButton) {
    camera_.turn(-moved.x() * 0.4, moved.y() * 0.4);
  } else if (event->buttons() & Qt::MiddleButton || (sliding_ && event->buttons() & Qt::LeftButton)) {
    camera_.slide(moved);
  } else if (drag_ && event->buttons() & Qt::LeftButton) {
    session_.perform(drag_->to(camera_, event->position(), event->modifiers() & Qt::ShiftModifier), dragBegun_);
    dragBegun_ = true;
  } else {
    hot_ = handleAt(handles_, camera_, event->position());
    over_ = hitAt(event->position());
    describe(over_);
    if (session_.hand() == Hand::settle) showGhost(over_);
    if (laying_ && over_ && event->buttons() & Qt::LeftButton) lay(*over_, false);
  }
  update();
}

void SceneView::mouseReleaseEvent(QMouseEvent* event) {
  if (event->button() != Qt::LeftButton) return;
  laying_ = false;
  drag_.reset();
}

void SceneView::wheelEvent(QWheelEvent* event) {
  const double notches = event->angleDelta().y() / 120.0;
  if (event->modifiers() & Qt::ControlModifier) {
    Brush brush = session_.brush();
    brush.radius *= std::pow(1.15, notches);
    session_.setBrush(brush);
    return;
  }
  const auto hit = hitAt(event->position());
  const Camera::Ray ray = camera_.rayAt(event->position());
  camera_.zoom(std::pow(1.18, notches), hit ? hit->at : Vec3(ray.origin + ray.direction * camera_.distance()));
  update();
}

void SceneView::keyPressEvent(QKeyEvent* event) {
  const bool straight = event->modifiers() & Qt::ShiftModifier;
  const auto turn = [&](int yaw, int pitch) { straight ? turnToNextStraight(yaw, pitch) : turnBy(yaw * 15, pitch * 15); };
  switch (event->key()) {
    case Qt::Key_Left: return turn(-1, 0);
    case Qt::Key_Right: return turn(1, 0);
    case Qt::Key_Up: return turn(0, 1);
    case Qt::Key_Down: return turn(0, -1);
    case Qt::Key_Home: return fitAll();
    case Qt::Key_Space: sliding_ = true; return;
    case Qt::Key_QuoteLeft: return setSupportsHidden(true);
    default: QOpenGLWidget::keyPressEvent(event);
  }
}

void SceneView::keyReleaseEvent(QKeyEvent* event) {
  if (event->isAutoRepeat()) return;
  if (event->key() == Qt::Key_Space) sliding_ = false;
  if (event->key() == Qt::Key_QuoteLeft) setSupportsHidden(false);
  QOpenGLWidget::keyReleaseEvent(event);
}

void SceneView::leaveEvent(QEvent*) {
  over_.reset();
  if (ghostAt_) showGhost(std::nullopt);
  Q_EMIT pointedAt(QString());
  update();
}

}  // namespace trellis
