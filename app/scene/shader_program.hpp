// SPDX-License-Identifier: GPL-3.0-or-later
// A program of the graphics card, from shaders that ship within this one.
#pragma once

#include <QOpenGLShaderProgram>

#include <memory>

namespace trellis {

// By the names of what is done at corners and at pixels. Ends the program where that cannot be used.
std::unique_ptr<QOpenGLShaderProgram> shaderProgram(const char* corners, const char* pixels);

}  // namespace trellis
