// SPDX-License-Identifier: GPL-3.0-or-later
// One frame of the scene.
#include "app/scene/scene_overlay.hpp"
#include "app/scene/scene_view.hpp"
#include "app/theme/theme.hpp"

#include "core/settings/rules.hpp"

#include <algorithm>

namespace trellis {

namespace {

QVector3D rgb(const QColor& colour) {
  return {static_cast<float>(colour.redF()), static_cast<float>(colour.greenF()), static_cast<float>(colour.blueF())};
}

constexpr float coarseBehind = 200;  // least steps of depth: a tenth of a millimetre, half a metre away

}  // namespace

void SceneView::prepare(QOpenGLShaderProgram& program, const QMatrix4x4& toScreen) {
  const Theme& t = theme();
  const Vec3 eye = camera_.eye();
  program.bind();
  program.setUniformValue("toScreen", toScreen);
  program.setUniformValue(
      "eye", QVector3D(static_cast<float>(eye.x()), static_cast<float>(eye.y()), static_cast<float>(eye.z())));
  setClip(program, solidTop());
  program.setUniformValue("layers", layersAsBeads());
  program.setUniformValue("printed", static_cast<float>(view_.printedTo().value_or(1e6)));
  program.setUniformValue("freeLean", static_cast<float>(hangsBeyond(document_.settings())));
  program.setUniformValue("glass", 0.0f);
  program.setUniformValue("fresh", 0.0f);
  program.setUniformValue("fineness", static_cast<float>(pixels_ / devicePixelRatio()));
  program.setUniformValue("faded", builder_.showsOldSupports() ? 1.0f : 0.0f);
  for (const auto& [name, colour] : {std::pair{"part", t.part},
                                     {"hangingLow", t.hangingLow},
                                     {"hangingHigh", t.hangingHigh},
                                     {"enforce", t.enforce},
                                     {"block", t.block},
                                     {"body", t.body},
                                     {"branch", t.branch},
                                     {"interfaceColour", t.interface},
                                     {"lowerColour", t.interfaceLower},
                                     {"paper", t.paper},
                                     {"accent", t.accent}})
    program.setUniformValue(name, rgb(colour));
}

// Top of the first layer and height of the others while layers are looked at; as the plan has them in the main.
QVector2D SceneView::layersAsBeads() const {
  const BuildPtr& build = builder_.shown().build;
  if (!build || build->plan.count() < 2 || !showsOneLayer()) return {};
  const LayerSpan& next = build->plan.spans[1];
  return {static_cast<float>(next.bottom), static_cast<float>(next.top - next.bottom)};
}

void SceneView::drawParts() {
  Buffer& parts = moving_ ? coarse_ : parts_;
  const std::vector<int>& ends = moving_ ? coarseEnds_ : partEnds_;
  if (parts.count == 0) return;
  parts.array.bind();
  if (moving_) glEnable(GL_POLYGON_OFFSET_FILL);
  glPolygonOffset(1, coarseBehind);
  for (std::size_t p = 0; p < ends.size(); ++p) {
    if (!isShown(p)) continue;
    const int first = p == 0 ? 0 : ends[p - 1];
    const double lean = look_ == Look::scars ? 90 : hangsBeyond(settingsOf(*document_.project(), p));
    solid_->setUniformValue("freeLean", static_cast<float>(lean));  // scars are told apart on a plain surface
    if (isWhole() && isSound(p)) glEnable(GL_CULL_FACE);            // nobody sees the backs
    glDrawArrays(GL_TRIANGLES, first, ends[p] - first);
    glDisable(GL_CULL_FACE);
  }
  glDisable(GL_POLYGON_OFFSET_FILL);
  parts.array.release();
}

void SceneView::drawSurfaces(const QMatrix4x4& toScreen) {
  if (view_.gcode()) return;
  useClipPlanes(true);
  prepare(*surface_, toScreen);
  prepare(*solid_, toScreen);
  const bool glass = supportsStepAside();
  drawSolids(toScreen, drawsSupports() && !glass);
  surface_->bind();
  if (look_ != Look::supportsAlone) drawOnSurfaces();
  if (!moving_) closeCuts();  // the backs within are hatched too
  drawSeenThrough(drawsSupports() && glass);
  surface_->release();
  useClipPlanes(false);
}

void SceneView::drawSolids(const QMatrix4x4& toScreen, bool supports) {
  solid_->bind();
  if (look_ != Look::supportsAlone) drawParts();
  if (!supports) return;
  if (isWhole()) glEnable(GL_CULL_FACE);
  drawSupports();
  glDisable(GL_CULL_FACE);
  drawPiece(toScreen);
}

// They are kept from below, so those over what is shown are not even looked at.
void SceneView::drawSupports() {
  if (supports_.count == 0) return;
  const auto end = std::upper_bound(supportFrom_.begin(), supportFrom_.end(), static_cast<float>(solidTop()));
  supports_.array.bind();
  glDrawArrays(GL_TRIANGLES, 0, 3 * static_cast<int>(end - supportFrom_.begin()));
  supports_.array.release();
}

void SceneView::drawOnSurfaces() {
  glEnable(GL_POLYGON_OFFSET_FILL);
  glPolygonOffset(-1, -1);
  for (Buffer* buffer : {&coats_, &choices_}) drawBuffer(*buffer, GL_TRIANGLES);
  glPolygonOffset(-2, -2);
  if (look_ != Look::scars) drawBuffer(marks_, GL_TRIANGLES);
  glDisable(GL_POLYGON_OFFSET_FILL);
}

void SceneView::blend(bool on) {
  on ? glEnable(GL_BLEND) : glDisable(GL_BLEND);
  glBlendFuncSeparate(GL_SRC_ALPHA, GL_ONE_MINUS_SRC_ALPHA, GL_ZERO, GL_ONE);  // the picture itself stays opaque
  glDepthMask(on ? GL_FALSE : GL_TRUE);
}

void SceneView::drawSeenThrough(bool glass) {
  blend(true);
  if (glass) {
    surface_->setUniformValue("glass", 1.0f);
    drawSupports();
    surface_->setUniformValue("glass", 0.0f);
  }
  drawBuffer(zones_, GL_TRIANGLES);
  blend(false);
}

void SceneView::drawBuffer(Buffer& buffer, unsigned mode) {
  if (buffer.count == 0) return;
  buffer.array.bind();
  glDrawArrays(mode, 0, buffer.count);
  buffer.array.release();
}

// At rest the same again, finer; that takes long, so it is kept, and what the hand shows is drawn over it.
void SceneView::paintGL() {
  const bool fine = std::exchange(fine_, false);
  const auto seen = std::pair(camera_.toScreen(), view_.range());
  const bool elsewhere = seen != std::exchange(lastSeen_, seen);
  moving_ = !fine && lively_ && (elsewhere || (drag_ && partHandles_));
  refill();
  pixels_ = devicePixelRatio() * (fine ? RestFrame::fineness : 1);
  const bool another = std::exchange(whole_, false) || elsewhere;
  if (another || fine || !kept_) {
    if (fine) rest_.begin(size() * devicePixelRatio());
    drawFrame();
    const bool night = theme().ink.lightness() > theme().paper.lightness();  // outlines are dark at night too
    if (fine) rest_.end(camera_, night ? theme().paper : theme().ink, pixelsOfSolids());
    kept_ = fine;
  }
  if (kept_) rest_.show(defaultFramebufferObject());
  pixels_ = devicePixelRatio();
  drawHand();
  if (!kept_ && lively_ && (another || !restTimer_.isActive())) restTimer_.start();
}

// In pixels of the screen from below, with what their outlines and hollows may reach.
QRect SceneView::pixelsOfSolids() const {
  constexpr double reach = 30;
  const QRect all(QPoint(0, 0), size() * devicePixelRatio());
  if (view_.gcode() || view_.beside()) return all;
  Box3 box;
  for (std::size_t p = 0; p < document_.project()->parts.size(); ++p) box.extend(boundsOfPart(p));
  if (builder_.shown().supportTree) box.extend(builder_.shown().supportTree->mesh().bounds);
  if (box.isEmpty()) return {};
  QRectF around;
  for (int corner = 0; corner < 8; ++corner) {
    const auto pixel = camera_.pixelOf(box.corner(static_cast<Box3::CornerType>(corner)));
    if (!pixel) return all;
    const QPointF fromBelow(pixel->x(), height() - pixel->y());
    around |= QRectF(fromBelow, QSizeF()).adjusted(-reach, -reach, reach, reach);
  }
  return QRectF(around.topLeft() * devicePixelRatio(), around.size() * devicePixelRatio()).toAlignedRect() & all;
}

void SceneView::redraw() {
  whole_ = true;
  redrawHand();
}

void SceneView::redrawHand() { update(); }

void SceneView::drawFrame() {
  const QColor air = theme().paper.darker(103);
  glClearColor(static_cast<float>(air.redF()), static_cast<float>(air.greenF()), static_cast<float>(air.blueF()), 1);
  glEnable(GL_DEPTH_TEST);
  glDepthMask(GL_TRUE);
  glClear(GL_COLOR_BUFFER_BIT | GL_DEPTH_BUFFER_BIT);
  const QMatrix4x4 toScreen = camera_.toScreen();
  useView();
  line_->bind();
  line_->setUniformValue("toScreen", toScreen);
  setNoClip(*line_);
  const bool fromAbove = camera_.pitch() >= 0;
  if (fromAbove) drawBuffer(sheet_, GL_TRIANGLES);
  glDepthMask(fromAbove ? GL_FALSE : GL_TRUE);      // lines on the sheet are no edges of anything
  drawBuffer(fromAbove ? plate_ : rim_, GL_LINES);  // from below its rim is enough
  glDepthMask(GL_TRUE);
  line_->release();
  drawSurfaces(toScreen);
  line_->bind();
  line_->setUniformValue("toScreen", toScreen);
  drawBuffer(ribbons_, GL_TRIANGLES);
  drawStack();
  drawBuffer(travels_, GL_LINES);
  drawBuffer(arrows_, GL_LINES);
  glDepthFunc(GL_LEQUAL);
  setClip(*line_, view_.range().second);  // what is said of a place goes with it
  if (look_ != Look::supportsAlone && !view_.gcode()) drawBuffer(defects_, GL_LINES);
  if (look_ == Look::scars && !view_.gcode()) drawBuffer(scars_, GL_LINES);
  if (!view_.gcode()) drawBuffer(decisions_, GL_LINES);
  setNoClip(*line_);
  drawGuides();
  line_->release();
  drawBeside(toScreen);
  glDisable(GL_DEPTH_TEST);
  if (toScreen != overlaidFor_) overlay_->update();
  overlaidFor_ = toScreen;
}

void SceneView::useView() {
  glViewport(0, 0, static_cast<int>(viewSize().width() * pixels_), static_cast<int>(height() * pixels_));
}

void SceneView::drawOnce(const std::vector<LineVertex>& lines) {
  fill(ball_, lines);
  drawBuffer(ball_, GL_LINES);
}

// Planes, places and floating starts.
void SceneView::drawGuides() {
  if (view_.gcode()) return;
  if (wentTo_) drawOnce(ballOutline(*wentTo_, 2.5, Mark::none));
  const auto symmetry = hand_.twinPlane();
  if (hand_.brush().twin && symmetry && view_.selectedPart() >= 0) {
    const auto selected = view_.selection().back();
    const Part& part = *document_.project()->parts[selected];
    drawOnce(planeLines(symmetry->plane.movedBy(transformOf(part.placement, *part.mesh)), boundsOfPart(selected),
                        theme().accent));
  }
  if (view_.cutBox()) drawOnce(boxLines(*view_.cutBox()));
  if (view_.cutaway() && view_.selectedPart() >= 0)
    drawOnce(planeLines(*view_.cutaway(), boundsOfPart(view_.selection().back()), theme().quiet));
  if (builder_.shown().build && !builder_.isStale() && look_ != Look::supportsAlone) {
    fill(starts_, startDiamonds(*builder_.shown().build, camera_,
                                [this](std::size_t part, const Vec3& at) { return isShown(part) && !isCutAway(at); }));
    drawBuffer(starts_, GL_TRIANGLES);
  }
}

// Over the picture: what is pointed at, what the tool in hand would touch, and marks once more, so that a fresh stroke
// is seen over both.
void SceneView::drawHand() {
  if (view_.gcode()) return;
  useView();
  const auto& beside = view_.beside();
  if (beside && beside->mode == BesideMode::wipe) {
    glEnable(GL_SCISSOR_TEST);
    glScissor(0, 0, static_cast<int>(beside->wipe * width() * pixels_), static_cast<int>(height() * pixels_));
  }
  glEnable(GL_DEPTH_TEST);
  glDepthFunc(GL_LEQUAL);
  drawHandSurfaces();
  blend(true);
  glEnable(GL_LINE_SMOOTH);  // they are not drawn twice as large
  line_->bind();
  line_->setUniformValue("toScreen", camera_.toScreen());
  const Brush& brush = hand_.brush();
  if (over_ && brush.isRound()) drawOnce(ballOutline(over_->at, brush.radius, inHand(over_->part, BallStroke()).mark));
  if (over_ && brush.tool == Tool::prop) drawOnce(ballOutline(over_->at, brush.propWidth / 2, Mark::none));
  if (band_) drawOnce(bandLines(boundsOfPart(bandOn_), band_->first, band_->second));
  glDisable(GL_DEPTH_TEST);  // handles are taken through whatever stands before them
  if (!handles_.empty()) drawOnce(handleLines(handles_, hot_));
  line_->release();
  glDisable(GL_LINE_SMOOTH);
  blend(false);
  glDisable(GL_SCISSOR_TEST);
}

void SceneView::drawHandSurfaces() {
  useClipPlanes(true);
  prepare(*surface_, camera_.toScreen());
  glEnable(GL_POLYGON_OFFSET_FILL);
  glPolygonOffset(-1, -1);
  const bool parts = look_ != Look::supportsAlone;
  if (parts) drawBuffer(lit_, GL_TRIANGLES);
  glPolygonOffset(-2, -2);
  if (parts && look_ != Look::scars) drawBuffer(marks_, GL_TRIANGLES);
  blend(true);
  drawBuffer(removal_, GL_TRIANGLES);  // over the support it is of
  glPolygonOffset(-3, -3);
  surface_->setUniformValue("fresh", 1.0f);
  if (parts) drawBuffer(fresh_, GL_TRIANGLES);
  surface_->setUniformValue("fresh", 0.0f);
  glDisable(GL_POLYGON_OFFSET_FILL);
  if (ghostAt_) drawBuffer(ghost_, GL_TRIANGLES);
  blend(false);
  surface_->release();
  useClipPlanes(false);
}

void SceneView::useClipPlanes(bool used) {
  for (const unsigned plane : {0u, 1u, 2u})
    used ? glEnable(GL_CLIP_DISTANCE0 + plane) : glDisable(GL_CLIP_DISTANCE0 + plane);
}

}  // namespace trellis
