// SPDX-License-Identifier: GPL-3.0-or-later
// The finer picture of a scene at rest: drawn twice as large, then brought down with outlines and shaded hollows.
#pragma once

#include "app/scene/camera.hpp"

#include <QColor>
#include <QOpenGLFunctions_3_3_Core>
#include <QOpenGLShaderProgram>
#include <QOpenGLVertexArrayObject>

#include <memory>

namespace trellis {

class RestFrame : protected QOpenGLFunctions_3_3_Core {
 public:
  static constexpr double fineness = 2;  // times as many pixels each way

  // All of it with the scene's context current.
  void initialize();
  void destroy();
  // What is drawn from here on is part of the finer picture. size: of the scene, in pixels of the screen.
  void begin(const QSize& size);
  // Shows it in a framebuffer. ink: of outlines.
  void end(unsigned into, const Camera& camera, const QColor& ink);

 private:
  void makeTextures(const QSize& size);

  std::unique_ptr<QOpenGLShaderProgram> program_;
  QOpenGLVertexArrayObject nothing_;
  QSize size_;
  unsigned frame_ = 0, picture_ = 0, depth_ = 0;
};

}  // namespace trellis
