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

}  // namespace

void SceneView::prepareSurfaces(const QMatrix4x4& toScreen) {
  const Theme& t = theme();
  surface_->bind();
  surface_->setUniformValue("toScreen", toScreen);
  const Vec3 eye = camera_.eye();
  surface_->setUniformValue(
      "eye", QVector3D(static_cast<float>(eye.x()), static_cast<float>(eye.y()), static_cast<float>(eye.z())));
  setClip(*surface_, solidTop());
  surface_->setUniformValue("layers", layersAsBeads());
  surface_->setUniformValue("printed", static_cast<float>(view_.printedTo().value_or(1e6)));
  surface_->setUniformValue("freeLean", static_cast<float>(hangsBeyond(document_.settings())));
  surface_->setUniformValue("glass", 0.0f);
  surface_->setUniformValue("fresh", 0.0f);
  surface_->setUniformValue("fineness", static_cast<float>(pixels_ / devicePixelRatio()));
  surface_->setUniformValue("faded", builder_.showsOldSupports() ? 1.0f : 0.0f);
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
    surface_->setUniformValue(name, rgb(colour));
}

// Top of the first layer and height of the others while layers are looked at; as the plan has them in the main.
QVector2D SceneView::layersAsBeads() const {
  const BuildPtr& build = builder_.shown().build;
  if (!build || build->plan.count() < 2 || !showsOneLayer()) return {};
  const LayerSpan& next = build->plan.spans[1];
  return {static_cast<float>(next.bottom), static_cast<float>(next.top - next.bottom)};
}

void SceneView::drawParts() {
  if (parts_.count == 0) return;
  parts_.array.bind();
  for (std::size_t p = 0; p < partEnds_.size(); ++p) {
    if (!isShown(p)) continue;
    const int first = p == 0 ? 0 : partEnds_[p - 1];
    const double lean = look_ == Look::scars ? 90 : hangsBeyond(settingsOf(*document_.project(), p));
    surface_->setUniformValue("freeLean", static_cast<float>(lean));  // scars are told apart on a plain surface
    if (isWhole() && isSound(p)) glEnable(GL_CULL_FACE);              // nobody sees the backs
    glDrawArrays(GL_TRIANGLES, first, partEnds_[p] - first);
    glDisable(GL_CULL_FACE);
  }
  parts_.array.release();
}

void SceneView::drawSurfaces(const QMatrix4x4& toScreen) {
  prepareSurfaces(toScreen);
  const auto draw = [&](Buffer& buffer) {
    if (buffer.count == 0) return;
    buffer.array.bind();
    glDrawArrays(GL_TRIANGLES, 0, buffer.count);
    buffer.array.release();
  };
  if (view_.gcode()) return surface_->release();
  if (look_ != Look::supportsAlone) {
    drawParts();
    glEnable(GL_POLYGON_OFFSET_FILL);  // marks lie on the surface
    glPolygonOffset(-1, -1);
    draw(coats_);
    draw(choices_);
    draw(lit_);
    glPolygonOffset(-2, -2);
    if (look_ != Look::scars) draw(marks_);  // over what is pointed at, so that a fresh stroke is seen
    glDisable(GL_POLYGON_OFFSET_FILL);
  }
  const bool glass = supportsStepAside();
  if (drawsSupports() && !glass) {
    if (isWhole()) glEnable(GL_CULL_FACE);
    draw(supports_);
    glDisable(GL_CULL_FACE);
    drawPiece(toScreen);
  }
  closeCuts();
  glEnable(GL_BLEND);
  glBlendFuncSeparate(GL_SRC_ALPHA, GL_ONE_MINUS_SRC_ALPHA, GL_ZERO, GL_ONE);  // the picture itself stays opaque
  if (ghostAt_) draw(ghost_);
  glDepthMask(GL_FALSE);
  if (drawsSupports() && glass) {
    surface_->setUniformValue("glass", 1.0f);
    draw(supports_);
    surface_->setUniformValue("glass", 0.0f);
  }
  glEnable(GL_POLYGON_OFFSET_FILL);
  glPolygonOffset(-2, -2);
  draw(removal_);  // over the support it is of
  glDisable(GL_POLYGON_OFFSET_FILL);
  glPolygonOffset(-3, -3);
  glEnable(GL_POLYGON_OFFSET_FILL);
  surface_->setUniformValue("fresh", 1.0f);
  if (look_ != Look::supportsAlone) draw(fresh_);
  surface_->setUniformValue("fresh", 0.0f);
  glDisable(GL_POLYGON_OFFSET_FILL);
  draw(zones_);
  glDepthMask(GL_TRUE);
  glDisable(GL_BLEND);
  surface_->release();
}

void SceneView::drawLines(Buffer& buffer, unsigned mode) {
  if (buffer.count == 0) return;
  buffer.array.bind();
  glDrawArrays(mode, 0, buffer.count);
  buffer.array.release();
}

// At rest the same again, finer. How long that takes nobody waits for while the view moves.
void SceneView::paintGL() {
  refill();
  const bool fine = std::exchange(fine_, false);
  const QSize size = this->size() * devicePixelRatio();
  pixels_ = devicePixelRatio() * (fine ? RestFrame::fineness : 1);
  if (fine) rest_.begin(size);
  drawFrame();
  const bool night = theme().ink.lightness() > theme().paper.lightness();  // outlines are dark at night too
  if (fine) rest_.end(defaultFramebufferObject(), camera_, night ? theme().paper : theme().ink);
  if (!fine && lively_) restTimer_.start();
}

void SceneView::drawFrame() {
  const QColor air = theme().paper.darker(103);
  glClearColor(static_cast<float>(air.redF()), static_cast<float>(air.greenF()), static_cast<float>(air.blueF()), 1);
  glEnable(GL_DEPTH_TEST);
  glDepthMask(GL_TRUE);
  glClear(GL_COLOR_BUFFER_BIT | GL_DEPTH_BUFFER_BIT);
  const QMatrix4x4 toScreen = camera_.toScreen();
  glViewport(0, 0, static_cast<int>(viewSize().width() * pixels_), static_cast<int>(height() * pixels_));
  line_->bind();
  line_->setUniformValue("toScreen", toScreen);
  setNoClip(*line_);
  const bool fromAbove = camera_.pitch() >= 0;
  if (fromAbove) drawLines(sheet_, GL_TRIANGLES);
  glDepthMask(fromAbove ? GL_FALSE : GL_TRUE);     // lines on the sheet are no edges of anything
  drawLines(fromAbove ? plate_ : rim_, GL_LINES);  // from below its rim is enough
  glDepthMask(GL_TRUE);
  line_->release();
  drawSurfaces(toScreen);
  line_->bind();
  line_->setUniformValue("toScreen", toScreen);
  drawLines(ribbons_, GL_TRIANGLES);
  drawStack();
  drawLines(travels_, GL_LINES);
  drawLines(arrows_, GL_LINES);
  glDepthFunc(GL_LEQUAL);
  setClip(*line_, view_.range().second);  // what is said of a place goes with it
  if (look_ != Look::supportsAlone && !view_.gcode()) drawLines(defects_, GL_LINES);
  if (look_ == Look::scars && !view_.gcode()) drawLines(scars_, GL_LINES);
  if (!view_.gcode()) drawLines(decisions_, GL_LINES);
  setNoClip(*line_);
  if (!handles_.empty()) {
    fill(handleBuffer_, handleLines(handles_, hot_));
    glDisable(GL_DEPTH_TEST);  // taken through whatever stands before them
    drawLines(handleBuffer_, GL_LINES);
    glEnable(GL_DEPTH_TEST);
  }
  drawGuides();
  line_->release();
  drawBeside(toScreen);
  glDisable(GL_DEPTH_TEST);
  if (toScreen != overlaidFor_) overlay_->update();
  overlaidFor_ = toScreen;
}

// What the tool in hand would touch, props, planes and floating starts.
void SceneView::drawGuides() {
  if (view_.gcode()) return;
  const Brush& brush = hand_.brush();
  const auto drawOnce = [&](const std::vector<LineVertex>& lines) {
    fill(ball_, lines);
    drawLines(ball_, GL_LINES);
  };
  if (wentTo_) drawOnce(ballOutline(*wentTo_, 2.5, Mark::none));
  if (over_ && brush.isRound()) drawOnce(ballOutline(over_->at, brush.radius, inHand(over_->part, BallStroke()).mark));
  if (over_ && brush.tool == Tool::prop) drawOnce(ballOutline(over_->at, brush.propWidth / 2, Mark::none));
  if (band_) drawOnce(bandLines(boundsOfPart(bandOn_), band_->first, band_->second));
  const auto symmetry = hand_.twinPlane();
  if (brush.twin && symmetry && view_.selectedPart() >= 0) {
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
    drawLines(starts_, GL_TRIANGLES);
  }
}

}  // namespace trellis
