// SPDX-License-Identifier: GPL-3.0-or-later
// Another variant beside the one in hand.
#include "app/scene/scene_view.hpp"
#include "app/scene/support_lines.hpp"

#include <algorithm>

namespace trellis {

namespace {

constexpr double handleWide = 9;  // pixels to either side of the line that is dragged

}  // namespace

QSize SceneView::viewSize() const {
  const bool halved = view_.beside() && view_.beside()->mode == BesideMode::halves;
  return {halved ? width() / 2 : width(), height()};
}

bool SceneView::isOnWipe(const QPointF& pixel) const {
  return view_.beside() && view_.beside()->mode == BesideMode::wipe &&
         std::abs(pixel.x() - view_.beside()->wipe * width()) < handleWide;
}

void SceneView::refillBeside() {
  const auto& beside = view_.beside();
  if (!beside) return;
  const Key key = keyOf(beside->shown.build ? keyOfParts(*beside->shown.project) : Key{0},
                        reinterpret_cast<std::uintptr_t>(beside->shown.build.get()));
  show(besideLines_, key, [&] { return supportOutlines(*beside->shown.build); });
  if (beside->mode == BesideMode::outlines) return;
  show(besideParts_, key, [&] {
    std::vector<SurfaceVertex> all;
    for (const PartPtr& part : beside->shown.project->parts) {
      const std::vector<SurfaceVertex> one = partSurface(*part->mesh, part->placement);
      all.insert(all.end(), one.begin(), one.end());
    }
    return all;
  });
  show(besideSupports_, key, [&] {
    return supportSurface(*beside->shown.supports, beside->shown.build->pieces,
                          [](const SolidVertex&) { return true; });
  });
}

void SceneView::drawBeside(const QMatrix4x4& toScreen) {
  const auto& beside = view_.beside();
  if (!beside || view_.gcode()) return;
  if (beside->mode == BesideMode::outlines) {
    line_->bind();
    line_->setUniformValue("toScreen", toScreen);
    drawBuffer(besideLines_, GL_LINES);
    line_->release();
    return;
  }
  // The same picture again, of the other variant, where it is to be seen.
  const int all = static_cast<int>(width() * pixels_), high = static_cast<int>(height() * pixels_);
  const int from = static_cast<int>((beside->mode == BesideMode::halves ? 0.5 : beside->wipe) * all);
  glEnable(GL_SCISSOR_TEST);
  glScissor(from, 0, all - from, high);
  if (beside->mode == BesideMode::halves) glViewport(from, 0, all - from, high);
  glClear(GL_COLOR_BUFFER_BIT | GL_DEPTH_BUFFER_BIT);
  line_->bind();
  line_->setUniformValue("toScreen", toScreen);
  if (camera_.pitch() >= 0) drawBuffer(sheet_, GL_TRIANGLES);
  drawBuffer(camera_.pitch() >= 0 ? plate_ : rim_, GL_LINES);
  line_->release();
  useClipPlanes(true);
  prepare(*solid_, toScreen);
  solid_->setUniformValue("faded", 0.0f);
  for (Buffer* buffer : {&besideParts_, &besideSupports_}) {
    const bool shown = buffer == &besideParts_ ? look_ != Look::supportsAlone : drawsSupports();
    if (shown) drawBuffer(*buffer, GL_TRIANGLES);
  }
  solid_->release();
  useClipPlanes(false);
  glDisable(GL_SCISSOR_TEST);
  glViewport(0, 0, all, high);
}

}  // namespace trellis
