// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/scene/scene_view.hpp"

#include "app/scene/scene_overlay.hpp"
#include "app/theme/theme.hpp"

namespace trellis {

namespace {

QVector3D rgb(const QColor& colour) {
  return {static_cast<float>(colour.redF()), static_cast<float>(colour.greenF()), static_cast<float>(colour.blueF())};
}

Box3 boundsOf(const Project& project) {
  Box3 box;
  for (const PartPtr& part : project.parts) box.extend(placedBounds(part->placement, *part->mesh));
  return box;
}

}  // namespace

void askForOpenGl() {
  QSurfaceFormat format;
  format.setVersion(3, 3);
  format.setProfile(QSurfaceFormat::CoreProfile);
  format.setDepthBufferSize(24);
  QSurfaceFormat::setDefaultFormat(format);
}

SceneView::SceneView(Session& session, QWidget* parent) : QOpenGLWidget(parent), session_(session), overlay_(new SceneOverlay(session, camera_, handles_, this)) {
  setMouseTracking(true);
  setFocusPolicy(Qt::StrongFocus);
  setMinimumSize(320, 240);
  connect(&session, &Session::projectChanged, this, [this] {
    const ProjectPtr& now = session_.project();
    const bool sameParts = drawn_ && drawn_->parts.size() == now->parts.size() &&
                           std::equal(now->parts.begin(), now->parts.end(), drawn_->parts.begin(), [](const PartPtr& a, const PartPtr& b) {
                             return a->mesh == b->mesh && a->placement == b->placement;
                           });
    if (!sameParts) {
      partsStale_ = true;
      trees_.clear();
      for (const PartPtr& part : now->parts) trees_.push_back(treeOf(part->mesh));
    }
    const bool wasEmpty = !drawn_ || drawn_->parts.empty();
    plateStale_ = true;
    marksStale_ = true;
    defectsStale_ = true;
    over_.reset();
    if (ghostAt_) showGhost(std::nullopt);
    drawn_ = now;
    refreshHandles();
    if (!now->parts.empty() && (wasEmpty || !fitted_)) fitAll();
    if (now->parts.empty()) {
      fitAll();
      fitted_ = false;
    }
    update();
  });
  connect(&session, &Session::shownChanged, this, [this] {
    supportsStale_ = ribbonsStale_ = defectsStale_ = true;
    update();
  });
  connect(&session, &Session::selectionChanged, this, &SceneView::refreshHandles);
  connect(&session, &Session::rangeChanged, this, [this] {
    ribbonsStale_ = true;
    update();
  });
  connect(&session, &Session::brushChanged, this, [this] {
    showGhost(std::nullopt);
    refreshHandles();
  });
}

SceneView::~SceneView() {
  makeCurrent();
  for (Buffer* buffer : {&parts_, &marks_, &supports_, &plate_, &sheet_, &ribbons_, &ball_, &ghost_, &defects_, &handleBuffer_}) {
    buffer->array.destroy();
    buffer->vertices.destroy();
  }
  surface_.reset();
  line_.reset();
  doneCurrent();
}

void SceneView::fitAll() {
  Box3 box = boundsOf(*session_.project());
  if (box.isEmpty()) box = Box3(Vec3(0, 0, 0), Vec3(session_.settings().number("machine.width"), session_.settings().number("machine.depth"), 60));
  camera_.fit(box);
  fitted_ = true;
  update();
}

void SceneView::nextLook() {
  look_ = look_ == Look::whole ? Look::supportsAlone : look_ == Look::supportsAlone ? Look::partAlone : Look::whole;
  update();
}

void SceneView::setSupportsHidden(bool hidden) {
  supportsHidden_ = hidden;
  update();
}

void SceneView::setHandlesShown(bool shown) {
  handlesShown_ = shown;
  refreshHandles();
}

void SceneView::refreshHandles() {
  hot_ = nullptr;
  handles_.clear();
  const auto& parts = session_.project()->parts;
  if (handlesShown_ && session_.hand() == Hand::pick && !session_.selection().empty() && session_.selection().back() < parts.size()) {
    const Part& part = *parts[session_.selection().back()];
    handles_ = handlesOf(placedBounds(part.placement, *part.mesh));
  }
  update();
}

void SceneView::turnBy(double yaw, double pitch) {
  camera_.turn(yaw, pitch);
  update();
}

void SceneView::turnToNextStraight(int yawSteps, int pitchSteps) {
  camera_.turnTo((std::round(camera_.yaw() / 90) + yawSteps) * 90, (std::round(camera_.pitch() / 90) + pitchSteps) * 90);
  update();
}

void SceneView::initializeGL() {
  initializeOpenGLFunctions();
  const auto program = [](const char* name) {
    auto made = std::make_unique<QOpenGLShaderProgram>();
    made->addShaderFromSourceFile(QOpenGLShader::Vertex, QString(":/shaders/%1.vert").arg(name));
    made->addShaderFromSourceFile(QOpenGLShader::Fragment, QString(":/shaders/%1.frag").arg(name));
    if (!made->link()) qFatal("The shader %s cannot be used: %s", name, qPrintable(made->log()));
    return made;
  };
  surface_ = program("surface");
  line_ = program("line");
  partsStale_ = marksStale_ = supportsStale_ = plateStale_ = ribbonsStale_ = true;
}

void SceneView::resizeGL(int width, int height) { camera_.setView({width, height}); }

template <typename Vertex>
void SceneView::fill(Buffer& buffer, const std::vector<Vertex>& vertices) {
  if (!buffer.array.isCreated()) {
    buffer.array.create();
    buffer.vertices.create();
  }
  buffer.array.bind();
  buffer.vertices.bind();
  buffer.vertices.allocate(vertices.data(), static_cast<int>(vertices.size() * sizeof(Vertex)));
  buffer.count = static_cast<int>(vertices.size());
  constexpr bool isSurface = std::is_same_v<Vertex, SurfaceVertex>;
  const int columns = isSurface ? 3 : 2;
  for (int column = 0; column < columns; ++column) {
    glEnableVertexAttribArray(static_cast<GLuint>(column));
    glVertexAttribPointer(static_cast<GLuint>(column), column == 2 ? 1 : 3, GL_FLOAT, GL_FALSE, sizeof(Vertex),
                          reinterpret_cast<const void*>(static_cast<std::size_t>(column) * 12));
  }
  buffer.array.release();
}

bool SceneView::showsOneLayer() const { return session_.range().second < session_.height() - 1e-6; }

void SceneView::refill() {
  const ProjectPtr& project = session_.project();
  const Shown& shown = session_.shown();
  if (plateStale_) {
    fill(plate_, plateLines(project->settings));
    fill(sheet_, plateSheet(project->settings));
  }
  if (partsStale_) {
    std::vector<SurfaceVertex> all;
    partEnds_.clear();
    for (const PartPtr& part : project->parts) {
      const std::vector<SurfaceVertex> one = partSurface(*part);
      all.insert(all.end(), one.begin(), one.end());
      partEnds_.push_back(static_cast<int>(all.size()));
    }
    fill(parts_, all);
  }
  if (defectsStale_) {
    std::vector<LineVertex> lines = shown.build && !session_.isStale() ? defectLines(*project, *shown.build) : std::vector<LineVertex>();
    if (session_.isTrying() && session_.selectedPart() >= 0) {
      const std::vector<LineVertex> fresh = freshLines(*project->parts[session_.selection().back()], session_.trialFacets());
      lines.insert(lines.end(), fresh.begin(), fresh.end());
    }
    fill(defects_, lines);
  }
  if (marksStale_) fill(marks_, markSurface(*project));
  if (supportsStale_ && shown.supports) fill(supports_, supportSurface(*shown.supports));
  if (ribbonsStale_) {
    const PrintLayer* top = nullptr;
    if (shown.build && showsOneLayer())
      for (const auto& layer : shown.build->print.layers)
        if (layer->top <= session_.range().second + 1e-6) top = layer.get();
    fill(ribbons_, top ? layerRibbons(*top) : std::vector<LineVertex>());
  }
  defectsStale_ = plateStale_ = partsStale_ = marksStale_ = supportsStale_ = ribbonsStale_ = false;
}

void SceneView::drawSurfaces(const QMatrix4x4& toScreen) {
  const Theme& t = theme();
  surface_->bind();
  surface_->setUniformValue("toScreen", toScreen);
  const Vec3 eye = camera_.eye();
  surface_->setUniformValue("eye", QVector3D(static_cast<float>(eye.x()), static_cast<float>(eye.y()), static_cast<float>(eye.z())));
  const auto [low, high] = session_.range();
  surface_->setUniformValue("range", QVector2D(low > 0 ? static_cast<float>(low) : -1e6f, static_cast<float>(std::min(high, 1e6))));
  surface_->setUniformValue("freeLean", static_cast<float>(session_.settings().number("support.free_lean")));
  surface_->setUniformValue("faded", session_.isStale() ? 1.0f : 0.0f);
  for (const auto& [name, colour] : {std::pair{"part", t.part}, {"hangingLow", t.hangingLow}, {"hangingHigh", t.hangingHigh},
                                     {"enforce", t.enforce}, {"block", t.block}, {"body", t.body}, {"interfaceColour", t.interface},
                                     {"paper", t.paper}})
    surface_->setUniformValue(name, rgb(colour));
  const auto draw = [&](Buffer& buffer) {
    if (buffer.count == 0) return;
    buffer.array.bind();
    glDrawArrays(GL_TRIANGLES, 0, buffer.count);
    buffer.array.release();
  };
  if (look_ != Look::supportsAlone) {
    if (parts_.count > 0) {
      parts_.array.bind();
      for (std::size_t p = 0; p < partEnds_.size(); ++p) {
        const int first = p == 0 ? 0 : partEnds_[p - 1];
        surface_->setUniformValue("freeLean", static_cast<float>(settingsOf(*session_.project(), p).number("support.free_lean")));
        glDrawArrays(GL_TRIANGLES, first, partEnds_[p] - first);
      }
      parts_.array.release();
    }
    glEnable(GL_POLYGON_OFFSET_FILL);  // marks lie on the surface
    glPolygonOffset(-1, -1);
    draw(marks_);
    glDisable(GL_POLYGON_OFFSET_FILL);
  }
  if (look_ != Look::partAlone && !supportsHidden_) draw(supports_);
  if (ghostAt_) {
    glEnable(GL_BLEND);
    glBlendFunc(GL_SRC_ALPHA, GL_ONE_MINUS_SRC_ALPHA);
    draw(ghost_);
    glDisable(GL_BLEND);
  }
  surface_->release();
}

void SceneView::drawLines(Buffer& buffer, unsigned mode) {
  if (buffer.count == 0) return;
  buffer.array.bind();
  glDrawArrays(mode, 0, buffer.count);
  buffer.array.release();
}

void SceneView::paintGL() {
  refill();
  const QColor air = theme().paper.darker(103);
  glClearColor(static_cast<float>(air.redF()), static_cast<float>(air.greenF()), static_cast<float>(air.blueF()), 1);
  glEnable(GL_DEPTH_TEST);
  glDepthMask(GL_TRUE);
  glClear(GL_COLOR_BUFFER_BIT | GL_DEPTH_BUFFER_BIT);
  const QMatrix4x4 toScreen = camera_.toScreen();
  line_->bind();
  line_->setUniformValue("toScreen", toScreen);
  if (camera_.pitch() >= 0) drawLines(sheet_, GL_TRIANGLES);
  drawLines(plate_, GL_LINES);
  line_->release();
  drawSurfaces(toScreen);
  line_->bind();
  line_->setUniformValue("toScreen", toScreen);
  drawLines(ribbons_, GL_TRIANGLES);
  glDepthFunc(GL_LEQUAL);
  if (look_ != Look::supportsAlone) drawLines(defects_, GL_LINES);
  if (!handles_.empty()) {
    fill(handleBuffer_, handleLines(handles_, hot_));
    glDisable(GL_DEPTH_TEST);  // taken through whatever stands before them
    drawLines(handleBuffer_, GL_LINES);
    glEnable(GL_DEPTH_TEST);
  }
  if (over_ && session_.brush().active) {
    fill(ball_, ballOutline(over_->at, session_.brush().radius, markInHand(Qt::NoModifier)));
    drawLines(ball_, GL_LINES);
  }
  line_->release();
  glDisable(GL_DEPTH_TEST);
  if (toScreen != overlaidFor_) overlay_->update();
  overlaidFor_ = toScreen;
}

void SceneView::resizeEvent(QResizeEvent* event) {
  QOpenGLWidget::resizeEvent(event);
  overlay_->setGeometry(rect());
}

}  // namespace trellis
