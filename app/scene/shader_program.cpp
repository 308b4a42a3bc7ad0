// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/scene/shader_program.hpp"

namespace trellis {

std::unique_ptr<QOpenGLShaderProgram> shaderProgram(const char* corners, const char* pixels) {
  auto program = std::make_unique<QOpenGLShaderProgram>();
  program->addShaderFromSourceFile(QOpenGLShader::Vertex, QString(":/shaders/%1.vert").arg(corners));
  program->addShaderFromSourceFile(QOpenGLShader::Fragment, QString(":/shaders/%1.frag").arg(pixels));
  if (!program->link()) qFatal("The shader %s cannot be used: %s", pixels, qPrintable(program->log()));
  return program;
}

}  // namespace trellis
