// SPDX-License-Identifier: GPL-3.0-or-later
// The scene while layers, places and pieces are looked at.
#include "app/scene/scene_view.hpp"

#include <algorithm>
#include <cmath>

namespace trellis {

bool SceneView::showsOneLayer() const { return session_.range().second < session_.height() - 1e-6; }

const PrintLayer* SceneView::topLayer() const {
  const PrintLayer* top = nullptr;
  if (session_.shown().build)
    for (const auto& layer : session_.shown().build->print.layers)
      if (layer->top <= session_.range().second + 1e-6) top = layer.get();
  return top;
}

// The lines of the topmost shown layer; of an opened file also all below it, for there is no part to see.
void SceneView::refillLayer() {
  const LayerLook& look = switches_->look();
  const auto ofOwner = [this](const Owner& owner) { return isShown(owner); };
  const auto none = std::vector<LineVertex>();
  const PrintLayer* top = !session_.gcode() && showsOneLayer() ? topLayer() : nullptr;
  fill(travels_, top && look.travels ? travelLines(*top) : none);
  fill(arrows_, top && look.arrows ? directionArrows(*top, look, ofOwner) : none);
  if (session_.gcode()) return fill(ribbons_, bearingRibbons(*session_.gcode()->trial, session_.range().first - 1e-3, session_.range().second, look, session_.drawnShare()));
  if (!top) return fill(ribbons_, none);
  if (look.bearings && session_.trialPrint()) {
    const double lift = -session_.shown().build->print.floor();  // G-code counts from the plate
    return fill(ribbons_, bearingRibbons(*session_.trialPrint(), top->bottom + lift + 1e-3, top->top + lift, look, session_.drawnShare()));
  }
  fill(ribbons_, layerRibbons(*top, look, ofOwner, session_.drawnShare()));
}

void SceneView::goTo(const Vec3& at) {
  wentTo_ = at;
  camera_.lookAt(at, 90);
  if (camera_.pitch() < 15) camera_.turnTo(camera_.yaw(), 40);  // a layer is looked at from above
  fitted_ = true;
  update();
}

void SceneView::lookFromAbove() {
  Box3 box;
  if (session_.gcode()) {
    for (const Stretch& s : session_.gcode()->trial->stretches)
      if (std::abs(static_cast<double>(s.to.z()) - session_.range().second) < 0.5) box.extend(s.to.cast<double>());
  } else if (const PrintLayer* top = topLayer()) {
    for (const trellis::Run& run : top->runs)
      for (const Point& p : run.points) box.extend(Vec3(toMm(p).x(), toMm(p).y(), top->top));
  }
  if (box.isEmpty()) return fitAll();
  camera_.turnTo(-90, 90);
  camera_.fit(box);
  update();
}

// Out along its way and back again: pieces that come away go far, others only as far as they would give.
void SceneView::drawPiece(const QMatrix4x4& toScreen) {
  const int piece = session_.pieceInHand();
  const Shown& shown = session_.shown();
  if (piece < 0 || piece_.count == 0 || static_cast<std::size_t>(piece) >= shown.build->pieces.size()) return;
  const Freedom& freedom = shown.build->pieces[static_cast<std::size_t>(piece)].freedom;
  constexpr double period = 3400;  // ms
  const double ways = 0.5 - 0.5 * std::cos(2 * pi * static_cast<double>(sinceTaken_.elapsed()) / period), reach = freedom.free ? 18 : 1;
  const Vec3 by = freedom.direction * (reach * ways);
  QMatrix4x4 moved = toScreen;
  moved.translate(static_cast<float>(by.x()), static_cast<float>(by.y()), static_cast<float>(by.z()));
  surface_->setUniformValue("toScreen", moved);
  piece_.array.bind();
  glDrawArrays(GL_TRIANGLES, 0, piece_.count);
  piece_.array.release();
  surface_->setUniformValue("toScreen", toScreen);
}

}  // namespace trellis
