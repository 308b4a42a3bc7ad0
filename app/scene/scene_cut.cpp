// SPDX-License-Identifier: GPL-3.0-or-later
// Closed sections: where the scene is cut, by the cutaway or by the ends of the shown heights, nobody looks into a
// hollow shell. Along every line of sight the surfaces behind the cut are counted, backs up and fronts down; where that
// does not come out even, the cut goes through material. Weak where a mesh is open, or several surfaces lie in one
// another: such places stay as they were.
#include "app/scene/scene_view.hpp"

#include <cmath>

namespace trellis {

namespace {

constexpr float partCut = 60, supportCut = 61;  // kinds as in surface.vert
constexpr double behind = 1e-3;                 // mm that a section lies behind its plane, so that it is not cut itself
constexpr double wide = 3000;                   // mm, more than any scene

QVector4D planeUniform(const Plane& plane) {
  const Vec3& n = plane.normal;
  return {static_cast<float>(n.x()), static_cast<float>(n.y()), static_cast<float>(n.z()),
          static_cast<float>(plane.at.dot(n))};
}

std::vector<SurfaceVertex> sheetIn(const Plane& plane, const Vec3& around, float kind) {
  const Vec3 n = plane.normal.normalized(), across = n.unitOrthogonal(), up = n.cross(across),
             middle = around - n * n.dot(around - plane.at) + n * behind;
  std::vector<SurfaceVertex> out;
  for (const auto& [a, b] : {std::pair(-1, -1), {1, -1}, {1, 1}, {-1, -1}, {1, 1}, {-1, 1}}) {
    const Eigen::Vector3f at = Vec3(middle + wide * (a * across + b * up)).cast<float>(), to = (-n).cast<float>();
    out.push_back({{at.x(), at.y(), at.z()}, {to.x(), to.y(), to.z()}, kind});
  }
  return out;
}

}  // namespace

// The planes that cut what is shown, those that the eye looks upon.
std::vector<Plane> SceneView::cuts() const {
  std::vector<Plane> planes;
  if (view_.cutaway()) planes.push_back(*view_.cutaway());
  const double low = view_.range().first;
  if (showsOneLayer()) planes.push_back(Plane{Vec3(0, 0, solidTop()), Vec3(0, 0, -1)});
  if (low > 0) planes.push_back(Plane{Vec3(0, 0, low), Vec3(0, 0, 1)});
  std::erase_if(planes, [this](const Plane& plane) { return plane.normal.dot(camera_.eye() - plane.at) > 0; });
  return planes;
}

bool SceneView::isWhole() const { return !view_.cutaway() && !showsOneLayer() && view_.range().first <= 0; }

bool SceneView::isSound(std::size_t part) const {
  const Shown& shown = builder_.shown();
  if (!shown.build || part >= shown.build->judged.size() || part >= document_.project()->parts.size()) return false;
  if (shown.project->parts[part]->mesh != document_.project()->parts[part]->mesh) return false;
  return shown.build->judged[part].health->sound();
}

void SceneView::closeCuts() {
  const bool parts = look_ != Look::supportsAlone, supports = drawsSupports() && !supportsStepAside();
  for (const Plane& plane : cuts()) {
    if (parts) closeCut(plane, partCut, [this] { drawParts(); });
    if (supports) closeCut(plane, supportCut, [this] { drawSupports(); });
  }
}

void SceneView::closeCut(const Plane& plane, float kind, const std::function<void()>& drawSolids) {
  const QVector2D all(-1e6f, 1e6f);
  glEnable(GL_STENCIL_TEST);
  glClear(GL_STENCIL_BUFFER_BIT);
  glStencilFunc(GL_ALWAYS, 0, 0xff);
  glStencilOpSeparate(GL_BACK, GL_KEEP, GL_INCR_WRAP, GL_INCR_WRAP);
  glStencilOpSeparate(GL_FRONT, GL_KEEP, GL_DECR_WRAP, GL_DECR_WRAP);
  glColorMask(GL_FALSE, GL_FALSE, GL_FALSE, GL_FALSE);
  glDepthMask(GL_FALSE);
  glDisable(GL_DEPTH_TEST);
  solid_->bind();
  solid_->setUniformValue("range", all);  // by this plane alone, or what another takes away would be missing
  solid_->setUniformValue("cut", planeUniform(plane));
  drawSolids();
  glEnable(GL_DEPTH_TEST);
  glDepthMask(GL_TRUE);
  glColorMask(GL_TRUE, GL_TRUE, GL_TRUE, GL_TRUE);
  setClip(*solid_, solidTop());
  surface_->bind();
  glStencilFunc(GL_NOTEQUAL, 0, 0xff);
  glStencilOp(GL_KEEP, GL_KEEP, GL_KEEP);
  fill(section_, sheetIn(plane, camera_.eye() + camera_.forward() * camera_.distance(), kind));
  drawBuffer(section_, GL_TRIANGLES);
  glDisable(GL_STENCIL_TEST);
}

double SceneView::solidTop() const { return std::min(view_.range().second, beadsFrom_); }

// What is cut away and which heights are shown, for a program that is bound.
void SceneView::setClip(QOpenGLShaderProgram& program, double top) {
  const double low = view_.range().first;
  program.setUniformValue("range",
                          QVector2D(low > 0 ? static_cast<float>(low) : -1e6f, static_cast<float>(std::min(top, 1e6))));
  program.setUniformValue("cut", view_.cutaway() ? planeUniform(*view_.cutaway()) : QVector4D());
}

bool SceneView::isCutAway(const Vec3& at) const {
  const auto [low, high] = view_.range();
  return at.z() < low || at.z() > high || (view_.cutaway() && view_.cutaway()->heightOf(at) < 0);
}

void SceneView::setNoClip(QOpenGLShaderProgram& program) {
  program.setUniformValue("range", QVector2D(-1e6f, 1e6f));
  program.setUniformValue("cut", QVector4D());
}

}  // namespace trellis
