// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/scene/rest_frame.hpp"

#include <QVector2D>
#include <QVector3D>

namespace trellis {

void RestFrame::initialize() {
  initializeOpenGLFunctions();
  program_ = std::make_unique<QOpenGLShaderProgram>();
  program_->addShaderFromSourceFile(QOpenGLShader::Vertex, ":/shaders/rest.vert");
  program_->addShaderFromSourceFile(QOpenGLShader::Fragment, ":/shaders/rest.frag");
  if (!program_->link()) qFatal("The shader rest cannot be used: %s", qPrintable(program_->log()));
  nothing_.create();
}

void RestFrame::destroy() {
  if (frame_) glDeleteFramebuffers(1, &frame_);
  if (picture_) glDeleteTextures(1, &picture_);
  if (depth_) glDeleteTextures(1, &depth_);
  frame_ = picture_ = depth_ = 0;
  nothing_.destroy();
  program_.reset();
}

void RestFrame::makeTextures(const QSize& size) {
  if (size == size_ && frame_) return;
  size_ = size;
  if (!frame_) {
    glGenFramebuffers(1, &frame_);
    glGenTextures(1, &picture_);
    glGenTextures(1, &depth_);
  }
  const int width = static_cast<int>(size.width() * fineness), height = static_cast<int>(size.height() * fineness);
  const auto make = [&](unsigned texture, int inside, unsigned format, unsigned type, int filter) {
    glBindTexture(GL_TEXTURE_2D, texture);
    glTexImage2D(GL_TEXTURE_2D, 0, inside, width, height, 0, format, type, nullptr);
    for (const unsigned how : {GL_TEXTURE_MIN_FILTER, GL_TEXTURE_MAG_FILTER})
      glTexParameteri(GL_TEXTURE_2D, how, filter);
    for (const unsigned how : {GL_TEXTURE_WRAP_S, GL_TEXTURE_WRAP_T})
      glTexParameteri(GL_TEXTURE_2D, how, GL_CLAMP_TO_EDGE);
  };
  make(picture_, GL_RGBA8, GL_RGBA, GL_UNSIGNED_BYTE, GL_LINEAR);
  make(depth_, GL_DEPTH32F_STENCIL8, GL_DEPTH_STENCIL, GL_FLOAT_32_UNSIGNED_INT_24_8_REV, GL_NEAREST);
  glBindFramebuffer(GL_FRAMEBUFFER, frame_);
  glFramebufferTexture2D(GL_FRAMEBUFFER, GL_COLOR_ATTACHMENT0, GL_TEXTURE_2D, picture_, 0);
  glFramebufferTexture2D(GL_FRAMEBUFFER, GL_DEPTH_STENCIL_ATTACHMENT, GL_TEXTURE_2D, depth_, 0);
}

void RestFrame::begin(const QSize& size) {
  makeTextures(size);
  glBindFramebuffer(GL_FRAMEBUFFER, frame_);
  glLineWidth(static_cast<float>(fineness));
}

void RestFrame::end(unsigned into, const Camera& camera, const QColor& ink) {
  glLineWidth(1);
  glBindFramebuffer(GL_FRAMEBUFFER, into);
  glViewport(0, 0, size_.width(), size_.height());
  glDisable(GL_DEPTH_TEST);
  glActiveTexture(GL_TEXTURE0);
  glBindTexture(GL_TEXTURE_2D, picture_);
  glActiveTexture(GL_TEXTURE1);
  glBindTexture(GL_TEXTURE_2D, depth_);
  program_->bind();
  program_->setUniformValue("picture", 0);
  program_->setUniformValue("depth", 1);
  const auto [near, far] = camera.depths();
  program_->setUniformValue("depths", QVector2D(static_cast<float>(near), static_cast<float>(far)));
  program_->setUniformValue("spread", static_cast<float>(camera.millimetresPerPixel(1)));
  program_->setUniformValue("ink", QVector3D(static_cast<float>(ink.redF()), static_cast<float>(ink.greenF()),
                                             static_cast<float>(ink.blueF())));
  nothing_.bind();
  glDrawArrays(GL_TRIANGLES, 0, 3);
  nothing_.release();
  program_->release();
  glActiveTexture(GL_TEXTURE0);
  glBindTexture(GL_TEXTURE_2D, 0);
}

}  // namespace trellis
