// SPDX-License-Identifier: GPL-3.0-or-later
// The report: one page on a print, to keep with it or hand on.
#pragma once

#include "app/window/view.hpp"

namespace trellis {

class SceneView;

// As PDF, or as one HTML file with its pictures inside, by the name's end. The scene gives the pictures and keeps its
// view. Throws Error while the print is still being built or nothing is there, and when the file cannot be written.
void writeReport(const Document& document, const Builder& builder, View& view, SceneView& scene, const QString& path);

}  // namespace trellis
