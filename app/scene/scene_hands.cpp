// SPDX-License-Identifier: GPL-3.0-or-later
// The hand in the scene: what the mouse and the keys do.
#include "app/scene/scene_view.hpp"

#include "app/theme/spoken.hpp"
#include "core/assess/report.hpp"
#include "core/assess/why.hpp"
#include "core/base/key.hpp"
#include "core/base/short_name.hpp"
#include "core/mesh/plane.hpp"
#include "core/overhang/lean.hpp"

#include <QGuiApplication>
#include <QHelpEvent>
#include <QMouseEvent>
#include <QToolTip>

#include <algorithm>

namespace trellis {

std::optional<SceneView::Hit> SceneView::hitAt(const QPointF& pixel) {
  if (pixel.x() > viewSize().width()) return std::nullopt;  // the other half shows another variant
  const Camera::Ray ray = camera_.rayAt(pixel);
  const Project& project = *document_.project();
  std::optional<Hit> best;
  double nearest = 1e300;
  const std::vector<Plane> clip = view_.clip();
  for (std::size_t p = 0; p < project.parts.size() && p < trees_.size(); ++p) {
    if (!isShown(p)) continue;
    const Part& part = *project.parts[p];
    const Affine toPlate = transformOf(part.placement, *part.mesh), toMesh = toPlate.inverse();
    Vec3 from = ray.origin;
    // Surface that is cut away is looked through; a few dozen walls in a row are enough.
    for (int walls = 0; walls < 40; ++walls) {
      const auto hit = trees_[p]->firstHit(toMesh * from, toMesh.linear() * ray.direction);
      if (!hit) break;
      const Vec3 at = toPlate * hit->point;
      if (std::any_of(clip.begin(), clip.end(), [&](const Plane& plane) { return plane.heightOf(at) < -1e-3; })) {
        from = at + ray.direction * 1e-2;
        continue;
      }
      const double distance = (at - ray.origin).norm();
      if (distance < nearest) {
        nearest = distance;
        const Vec3 normal = (normalMap(toPlate) * part.mesh->normal(hit->facet)).normalized();
        best = Hit{p, hit->facet, at, leanOf(normal), normal.dot(ray.direction) > 0};
      }
      break;
    }
  }
  return best;
}

std::optional<SceneView::SupportHit> SceneView::supportAt(const QPointF& pixel) {
  if (pixel.x() > viewSize().width()) return std::nullopt;  // the other half shows another variant
  const Shown& shown = builder_.shown();
  if (!shown.supportTree || !drawsSupports()) return std::nullopt;
  const Camera::Ray ray = camera_.rayAt(pixel);
  const std::vector<Plane> clip = view_.clip();
  Vec3 from = ray.origin;
  for (int walls = 0; walls < 200; ++walls) {
    const auto hit = shown.supportTree->firstHit(from, ray.direction);
    if (!hit) break;
    if (std::any_of(clip.begin(), clip.end(), [&](const Plane& plane) { return plane.heightOf(hit->point) < -1e-3; })) {
      from = hit->point + ray.direction * 1e-2;
      continue;
    }
    if (const SolidVertex& corner = shown.supports->vertices[hit->facet * 3];
        !isShown(shown.build->rules[corner.rules].part)) {
      from = hit->point + ray.direction * 1e-2;
      continue;
    }
    const auto piece = pieceAt(*shown.build, hit->point + ray.direction * 0.05);
    if (!piece) break;
    return SupportHit{*piece, hit->point, (hit->point - ray.origin).norm()};
  }
  return std::nullopt;
}

// The line under the scene: what is there, and which decision made it so.
void SceneView::describe(const std::optional<Hit>& hit, const std::optional<SupportHit>& support) {
  const Shown& shown = builder_.shown();
  if (support && (!hit || support->distance < (hit->at - camera_.eye()).norm())) {
    const Use& use = shown.build->tally.pieces[support->piece];
    return Q_EMIT pointedAt(
        tr("piece %1  ·  %2 mm high  ·  %3 g, %4 min  ·  %6, body from the %7 filament  ·  %5")
            .arg(support->piece + 1)
            .arg(support->at.z(), 0, 'f', 2)
            .arg(grams(use, document_.settings()), 0, 'f', 2)
            .arg(use.seconds / 60, 0, 'f', 1)
            .arg(spoken(whyPiece(*shown.build, support->piece)))
            .arg(spoken(nameOf(shown.build->pieces[support->piece].grade)))
            .arg(shown.build->pieces[support->piece].bodyFilament == Filament::first ? tr("first") : tr("second")));
  }
  if (hand_.isSettling()) return Q_EMIT pointedAt(tr("Click the face that is to lie on the plate. Esc leaves it."));
  if (!hit) return Q_EMIT pointedAt(QString());
  const Part& part = *document_.project()->parts[hit->part];
  QString words =
      QString("%1  ·  %2 mm high  ·  ").arg(QString::fromStdString(shortName(part.name))).arg(hit->at.z(), 0, 'f', 2);
  if (hit->within)
    words += tr("the inside");
  else if (hit->lean > 0.5)
    words += tr("leans %1° (%2° from the plate)").arg(hit->lean, 0, 'f', 0).arg(90 - hit->lean, 0, 'f', 0);
  else
    words += hit->lean < -0.5 ? tr("faces up") : tr("upright wall");
  if (shown.build && !builder_.isStale()) {
    const Vec3 place = transformOf(part.placement, *part.mesh).inverse() * hit->at;
    if (const Sentence why = whyAt(*document_.project(), *shown.build, hit->part, hit->facet, place); !why.empty())
      words += "  ·  " + spoken(why);
    if (const auto site = siteUnder(*hit)) {
      const Use use = priceOf(*shown.build, {CauseKind::site, site->part, site->site}).use;
      if (use.volume > 0)
        words +=
            tr("  ·  %1 g, %2 min").arg(grams(use, document_.settings()), 0, 'f', 2).arg(use.seconds / 60, 0, 'f', 1);
    }
  }
  Q_EMIT pointedAt(words);
}

// Left lays what is chosen, with Shift it blocks, with Ctrl it clears.
LayMark SceneView::inHand(std::size_t part, Stroke stroke) const {
  return hand_.brush().laying(part, std::move(stroke), modifiers_ & Qt::ShiftModifier,
                              modifiers_ & Qt::ControlModifier);
}

// The part under the pointer as it would rest on the face that is pointed at.
void SceneView::showGhost(const std::optional<Hit>& hit) {
  ghostAt_.reset();
  if (hit && hand_.isSettling()) {
    const Part& part = *document_.project()->parts[hit->part];
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
  redrawHand();
}

void SceneView::mousePressEvent(QMouseEvent* event) {
  modifiers_ = event->modifiers();
  lastPixel_ = event->position();
  if (event->button() != Qt::LeftButton || sliding_ || view_.gcode()) return;
  wiping_ = isOnWipe(event->position());
  if (wiping_) return;
  wentTo_.reset();
  const Handle* handle = handleAt(handles_, camera_, event->position());
  const auto hit = hitAt(event->position());
  const bool picks = !handle && hand_.brush().tool == Tool::pick && !supportsStepAside();
  auto support = picks ? supportAt(event->position()) : std::nullopt;
  if (support && hit && support->distance >= (hit->at - camera_.eye()).norm()) support.reset();
  if (handle) {
    const std::size_t selected = view_.selection().back();
    const HandleDrag::Held held{*document_.project()->parts[selected], selected};
    const HandleDrag::Pointer pointer{camera_, event->position()};
    if (view_.chosen().kind == Chosen::zone)
      drag_.emplace(*handle, held, view_.chosen().index, boundsOfPart(selected), pointer);
    else
      drag_.emplace(*handle, held, pointer);
    dragBegun_ = false;
  } else if (hand_.isSettling() && hit) {
    hand_.setSettling(false);
    document_.perform(LayFaceDown{hit->part, hit->at});
    view_.selectPart(static_cast<int>(hit->part));
  } else if (!useTool(event->position(), hit) && hit && hand_.brush().tool == Tool::pick) {
    std::vector<std::size_t> chosen =
        event->modifiers() & Qt::ControlModifier ? view_.selection() : std::vector<std::size_t>();
    const bool known = std::erase(chosen, hit->part) > 0;
    if (!known || chosen.empty()) chosen.push_back(hit->part);
    view_.select(chosen);
    if (const auto site = siteUnder(*hit)) Q_EMIT sitePicked(*site, support.has_value());
  }
  if (support) Q_EMIT piecePicked(support->piece);
}

void SceneView::mouseMoveEvent(QMouseEvent* event) {
  modifiers_ = event->modifiers();
  const QPointF moved = event->position() - lastPixel_;
  lastPixel_ = event->position();
  if (event->buttons() & Qt::RightButton) {
    turnBy(-moved.x() * 0.4, moved.y() * 0.4);
  } else if (event->buttons() & Qt::MiddleButton || (sliding_ && event->buttons() & Qt::LeftButton)) {
    glide_.stop();
    camera_.slide(moved);
  } else if (wiping_ && event->buttons() & Qt::LeftButton) {
    view_.setWipe(event->position().x() / width());
  } else if (drag_ && event->buttons() & Qt::LeftButton) {
    document_.perform(drag_->to({camera_, event->position()}, event->modifiers() & Qt::ShiftModifier), dragBegun_);
    dragBegun_ = true;
    lightCovered();
  } else {
    pointAt(event->position(), event->buttons() & Qt::LeftButton);
  }
  redrawHand();
}

void SceneView::pointAt(const QPointF& pixel, bool pressed) {
  pointedFrom_ = camera_.toScreen();
  hot_ = handleAt(handles_, camera_, pixel);
  over_ = hitAt(pixel);
  if (hand_.brush().tool == Tool::remove)
    showRemoval(pixel);
  else
    describe(over_, supportsStepAside() ? std::nullopt : supportAt(pixel));
  if (hand_.isSettling()) showGhost(over_);
  if (pressed) return dragTool(pixel, over_);
  preview(over_);
  lightSiteAt(over_);
}

// The view moved or another build is shown under a pointer that rests: what is said and lit there is said anew.
void SceneView::pointAgain() {
  if (!pointedFrom_ || *pointedFrom_ == camera_.toScreen() || QGuiApplication::mouseButtons() != Qt::NoButton) return;
  pointAt(lastPixel_, false);
}

void SceneView::mouseReleaseEvent(QMouseEvent* event) {
  if (event->button() != Qt::LeftButton) return;
  endTool();
  drag_.reset();
  wiping_ = false;
}

void SceneView::wheelEvent(QWheelEvent* event) {
  // Some systems turn the wheel sideways while Shift is held.
  const double notches = (event->angleDelta().y() != 0 ? event->angleDelta().y() : event->angleDelta().x()) / 120.0;
  if (event->modifiers() & Qt::ShiftModifier && view_.cutaway()) {
    Plane plane = *view_.cutaway();
    plane.at += plane.normal * notches * std::max(0.1, camera_.distance() / 250);
    return view_.setCutaway(plane);
  }
  if (event->modifiers() & Qt::ControlModifier) {
    Brush brush = hand_.brush();
    brush.radius *= std::pow(1.15, notches);
    hand_.setBrush(brush);
    return;
  }
  const auto hit = hitAt(event->position());
  const Camera::Ray ray = camera_.rayAt(event->position());
  glide_.stop();
  camera_.zoom(std::pow(1.18, notches), hit ? hit->at : Vec3(ray.origin + ray.direction * camera_.distance()));
  redraw();
}

void SceneView::keyPressEvent(QKeyEvent* event) {
  const bool straight = event->modifiers() & Qt::ShiftModifier;
  const auto turn = [&](int yaw, int pitch) {
    straight ? turnToNextStraight(yaw, pitch) : turnBy(yaw * 15, pitch * 15);
  };
  switch (event->key()) {
    case Qt::Key_Left:
      return turn(-1, 0);
    case Qt::Key_Right:
      return turn(1, 0);
    case Qt::Key_Up:
      return turn(0, 1);
    case Qt::Key_Down:
      return turn(0, -1);
    case Qt::Key_Home:
      return fitAll();
    case Qt::Key_Space:
      sliding_ = true;
      return;
    case Qt::Key_QuoteLeft:
      return setSupportsHidden(true);
    default:
      QOpenGLWidget::keyPressEvent(event);
  }
}

void SceneView::keyReleaseEvent(QKeyEvent* event) {
  if (event->isAutoRepeat()) return;
  if (event->key() == Qt::Key_Space) sliding_ = false;
  if (event->key() == Qt::Key_QuoteLeft) setSupportsHidden(false);
  QOpenGLWidget::keyReleaseEvent(event);
}

bool SceneView::event(QEvent* event) {
  if (event->type() != QEvent::ToolTip) return QOpenGLWidget::event(event);
  const auto* help = static_cast<QHelpEvent*>(event);
  QStringList lines;
  if (over_ && builder_.shown().build && !builder_.isStale()) {
    const Part& part = *document_.project()->parts[over_->part];
    const Vec3 place = transformOf(part.placement, *part.mesh).inverse() * over_->at;
    for (const Sentence& one :
         decisionsAt(*document_.project(), *builder_.shown().build, over_->part, over_->facet, place))
      lines << spoken(one).toHtmlEscaped();
  }
  if (lines.size() < 2) {
    QToolTip::hideText();
    return true;
  }
  lines.front() = "<b>" + lines.front() + "</b>";
  QToolTip::showText(help->globalPos(), lines.front() + tr("<br>beats: ") + lines.mid(1).join("<br>beats: "), this);
  return true;
}

void SceneView::leaveEvent(QEvent*) {
  pointedFrom_.reset();
  over_.reset();
  preview(std::nullopt);
  removable_.clear();
  removal_.count = 0;
  lightSiteAt(std::nullopt);
  if (ghostAt_) showGhost(std::nullopt);
  Q_EMIT pointedAt(QString());
  redrawHand();
}

}  // namespace trellis
