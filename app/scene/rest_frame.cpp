// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/scene/rest_frame.hpp"

#include "app/scene/shader_program.hpp"

#include <QVector2D>
#include <QVector3D>

namespace trellis {

void RestFrame::initialize() {
  initializeOpenGLFunctions();
  copying_ = shaderProgram("rest", "kept");
  finding_ = shaderProgram("rest", "rest");
  laying_ = shaderProgram("rest", "shade");
  nothing_.create();
}

void RestFrame::destroy() {
  for (Layer* layer : {&large_, &kept_, &shade_}) {
    if (layer->frame) glDeleteFramebuffers(1, &layer->frame);
    if (layer->picture) glDeleteTextures(1, &layer->picture);
    if (layer->depth) glDeleteTextures(1, &layer->depth);
    *layer = {};
  }
  nothing_.destroy();
  copying_.reset();
  finding_.reset();
  laying_.reset();
}

void RestFrame::resize(Layer& layer, const QSize& size) {
  if (size == layer.size && layer.frame) return;
  layer.size = size;
  if (!layer.frame) {
    glGenFramebuffers(1, &layer.frame);
    glGenTextures(1, &layer.picture);
    glGenTextures(1, &layer.depth);
  }
  const auto make = [&](unsigned texture, int inside, unsigned format, unsigned type, int filter) {
    glBindTexture(GL_TEXTURE_2D, texture);
    glTexImage2D(GL_TEXTURE_2D, 0, inside, size.width(), size.height(), 0, format, type, nullptr);
    for (const unsigned how : {GL_TEXTURE_MIN_FILTER, GL_TEXTURE_MAG_FILTER})
      glTexParameteri(GL_TEXTURE_2D, how, filter);
    for (const unsigned how : {GL_TEXTURE_WRAP_S, GL_TEXTURE_WRAP_T})
      glTexParameteri(GL_TEXTURE_2D, how, GL_CLAMP_TO_EDGE);
  };
  make(layer.picture, GL_RGBA8, GL_RGBA, GL_UNSIGNED_BYTE, GL_LINEAR);
  make(layer.depth, GL_DEPTH32F_STENCIL8, GL_DEPTH_STENCIL, GL_FLOAT_32_UNSIGNED_INT_24_8_REV, GL_NEAREST);
  glBindFramebuffer(GL_FRAMEBUFFER, layer.frame);
  glFramebufferTexture2D(GL_FRAMEBUFFER, GL_COLOR_ATTACHMENT0, GL_TEXTURE_2D, layer.picture, 0);
  glFramebufferTexture2D(GL_FRAMEBUFFER, GL_DEPTH_STENCIL_ATTACHMENT, GL_TEXTURE_2D, layer.depth, 0);
}

void RestFrame::begin(const QSize& size) {
  resize(kept_, size);
  resize(shade_, size);
  resize(large_, size * fineness);
  glBindFramebuffer(GL_FRAMEBUFFER, large_.frame);
  glLineWidth(static_cast<float>(fineness));
}

// Into the framebuffer that is bound.
void RestFrame::copy(const Layer& from, int times) {
  glViewport(0, 0, kept_.size.width(), kept_.size.height());
  glEnable(GL_DEPTH_TEST);
  glDepthFunc(GL_ALWAYS);
  glDepthMask(GL_TRUE);
  glActiveTexture(GL_TEXTURE1);
  glBindTexture(GL_TEXTURE_2D, from.depth);
  glActiveTexture(GL_TEXTURE0);
  glBindTexture(GL_TEXTURE_2D, from.picture);
  copying_->bind();
  copying_->setUniformValue("picture", 0);
  copying_->setUniformValue("depth", 1);
  copying_->setUniformValue("times", times);
  nothing_.bind();
  glDrawArrays(GL_TRIANGLES, 0, 3);
  nothing_.release();
  copying_->release();
  glDepthFunc(GL_LEQUAL);
}

// The larger picture's depths are bound as texture 1.
void RestFrame::findShade(const Camera& camera) {
  finding_->bind();
  finding_->setUniformValue("depth", 1);
  const auto [near, far] = camera.depths();
  finding_->setUniformValue("depths", QVector2D(static_cast<float>(near), static_cast<float>(far)));
  finding_->setUniformValue("spread", static_cast<float>(camera.millimetresPerPixel(1)));
  nothing_.bind();
  glDrawArrays(GL_TRIANGLES, 0, 3);
  nothing_.release();
  finding_->release();
}

void RestFrame::layShade(const QColor& ink) {
  glActiveTexture(GL_TEXTURE0);
  glBindTexture(GL_TEXTURE_2D, shade_.picture);
  laying_->bind();
  laying_->setUniformValue("shade", 0);
  laying_->setUniformValue("ink", QVector3D(static_cast<float>(ink.redF()), static_cast<float>(ink.greenF()),
                                            static_cast<float>(ink.blueF())));
  glEnable(GL_BLEND);
  glBlendFunc(GL_ONE, GL_SRC_ALPHA);
  nothing_.bind();
  glDrawArrays(GL_TRIANGLES, 0, 3);
  nothing_.release();
  glDisable(GL_BLEND);
  laying_->release();
}

void RestFrame::end(const Camera& camera, const QColor& ink, const QRect& solid) {
  glLineWidth(1);
  glBindFramebuffer(GL_FRAMEBUFFER, shade_.frame);
  glClearColor(1, 0, 0, 1);  // bright and without an outline, beside what is looked at
  glClear(GL_COLOR_BUFFER_BIT);
  glBindFramebuffer(GL_FRAMEBUFFER, kept_.frame);
  copy(large_, static_cast<int>(fineness));
  glDepthMask(GL_FALSE);
  glDisable(GL_DEPTH_TEST);
  glEnable(GL_SCISSOR_TEST);  // nothing else has outlines or hollows
  glScissor(solid.x(), solid.y(), solid.width(), solid.height());
  glBindFramebuffer(GL_FRAMEBUFFER, shade_.frame);
  findShade(camera);
  glBindFramebuffer(GL_FRAMEBUFFER, kept_.frame);
  layShade(ink);
  glDisable(GL_SCISSOR_TEST);
  glDepthMask(GL_TRUE);
}

void RestFrame::show(unsigned into) {
  glBindFramebuffer(GL_FRAMEBUFFER, into);
  copy(kept_, 1);
  glBindTexture(GL_TEXTURE_2D, 0);
}

}  // namespace trellis
