// SPDX-License-Identifier: GPL-3.0-or-later
// The report: one page on a print, with what became of it, to keep or to ask others by.
#pragma once

#include "app/window/notes.hpp"
#include "app/window/view.hpp"

namespace trellis {

class SceneView;

// As HTML with its pictures inside. The scene gives the pictures and keeps its view. Throws Error while the print is
// still being built or nothing is there.
QString reportPage(const Document& document, const Builder& builder, const Notes& notes, View& view, SceneView& scene);
// As a PDF file, or as HTML as it is, by the name's end; from any thread. Throws Error when it cannot be written.
void writeReport(const QString& html, const QString& title, const QString& path);

}  // namespace trellis
