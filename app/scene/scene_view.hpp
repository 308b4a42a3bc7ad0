// SPDX-License-Identifier: GPL-3.0-or-later
// The scene: plate, parts, marks, supports and the lines of the shown layer, and the hand that works on
// them. Left works on the part, right always turns, middle or Space slides, the wheel zooms.
#pragma once

#include "app/scene/camera.hpp"
#include "app/scene/handles.hpp"
#include "app/scene/scene_buffers.hpp"
#include "core/mesh/ray.hpp"
#include "core/plate/settle.hpp"

#include <QOpenGLBuffer>
#include <QOpenGLFunctions_3_3_Core>
#include <QOpenGLShaderProgram>
#include <QOpenGLVertexArrayObject>
#include <QOpenGLWidget>

#include <memory>

namespace trellis {

enum class Look { whole, supportsAlone, partAlone };

// Asks for OpenGL 3.3 everywhere. Call it before the application is made.
void askForOpenGl();

class SceneView : public QOpenGLWidget, protected QOpenGLFunctions_3_3_Core {
  Q_OBJECT
 public:
  explicit SceneView(Session& session, QWidget* parent = nullptr);
  ~SceneView() override;

  void fitAll();
  void nextLook();
  void setSupportsHidden(bool hidden);
  void setHandlesShown(bool shown);
  void turnBy(double yaw, double pitch);
  void turnToNextStraight(int yawSteps, int pitchSteps);
  Camera& camera() { return camera_; }
  const std::vector<Handle>& handles() const { return handles_; }

 Q_SIGNALS:
  // What the pointer is over, in words; empty over nothing.
  void pointedAt(const QString& words);

 protected:
  void initializeGL() override;
  void resizeGL(int width, int height) override;
  void paintGL() override;
  void mousePressEvent(QMouseEvent* event) override;
  void mouseMoveEvent(QMouseEvent* event) override;
  void mouseReleaseEvent(QMouseEvent* event) override;
  void wheelEvent(QWheelEvent* event) override;
  void keyPressEvent(QKeyEvent* event) override;
  void keyReleaseEvent(QKeyEvent* event) override;
  void leaveEvent(QEvent* event) override;

 private:
  struct Buffer {
    QOpenGLVertexArrayObject array;
    QOpenGLBuffer vertices{QOpenGLBuffer::VertexBuffer};
    int count = 0;
  };
  struct Hit {
    std::size_t part;
    std::uint32_t facet;
    Vec3 at;      // plate coordinates
    double lean;  // degrees
  };

  template <typename Vertex>
  void fill(Buffer& buffer, const std::vector<Vertex>& vertices);
  void refill();
  void drawSurfaces(const QMatrix4x4& toScreen);
  void drawLines(Buffer& buffer, unsigned mode);
  void resizeEvent(QResizeEvent* event) override;
  bool showsOneLayer() const;

  std::optional<Hit> hitAt(const QPointF& pixel);
  void describe(const std::optional<Hit>& hit);
  void lay(const Hit& hit, bool begins);
  void showGhost(const std::optional<Hit>& hit);
  void refreshHandles();
  Mark markInHand(Qt::KeyboardModifiers modifiers) const;

  Session& session_;
  Camera camera_;
  std::vector<Handle> handles_;
  QWidget* overlay_;           // words and figures over the scene
  QMatrix4x4 overlaidFor_;     // the view they were drawn for
  std::unique_ptr<QOpenGLShaderProgram> surface_, line_;
  Buffer parts_, marks_, supports_, plate_, sheet_, ribbons_, ball_, ghost_, defects_, handleBuffer_;
  std::vector<int> partEnds_;  // in parts_, after each part
  bool defectsStale_ = true, handlesShown_ = false, partsStale_ = true, marksStale_ = true, supportsStale_ = true, plateStale_ = true, ribbonsStale_ = true;
  ProjectPtr drawn_;
  std::vector<MeshTreePtr> trees_;  // kept so that strokes find them made
  Look look_ = Look::whole;
  bool supportsHidden_ = false, sliding_ = false, fitted_ = false;
  bool laying_ = false;
  Vec3 lastLaid_ = Vec3::Zero();
  std::size_t layingOn_ = 0;
  QPointF lastPixel_;
  std::optional<Hit> over_;
  const Handle* hot_ = nullptr;
  std::optional<HandleDrag> drag_;
  bool dragBegun_ = false;
  std::vector<RestingFace> faces_;  // of the part that is being settled
  std::uint64_t facesOf_ = 0;
  std::optional<Placement> ghostAt_;
};

}  // namespace trellis
