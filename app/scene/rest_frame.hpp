// SPDX-License-Identifier: GPL-3.0-or-later
// The finer picture of a scene at rest: drawn twice as large, then brought down with outlines and shaded hollows, and
// kept for as long as nothing but what the hand shows is another.
#pragma once

#include "app/scene/camera.hpp"

#include <QColor>
#include <QOpenGLFunctions_3_3_Core>
#include <QOpenGLShaderProgram>
#include <QOpenGLVertexArrayObject>
#include <QRect>

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
  // Brings it down. ink: of outlines; solid: where in the scene solids are, in pixels of the screen from below.
  void end(const Camera& camera, const QColor& ink, const QRect& solid);
  // Draws it into a framebuffer of the same size, with its depths.
  void show(unsigned into);

 private:
  struct Layer {
    QSize size;
    unsigned frame = 0, picture = 0, depth = 0;
  };
  void resize(Layer& layer, const QSize& size);
  void copy(const Layer& from, int times);

  void findShade(const Camera& camera);
  void layShade(const QColor& ink);

  std::unique_ptr<QOpenGLShaderProgram> copying_, finding_, laying_;
  QOpenGLVertexArrayObject nothing_;
  Layer large_, kept_, shade_;
};

}  // namespace trellis
