// SPDX-License-Identifier: GPL-3.0-or-later
// Colours, type and style: daylight workshop, or the same by night.
#pragma once

#include <QColor>

class QApplication;

namespace trellis {

struct Theme {
  QColor paper, panel, ink, quiet, rule;  // quiet: secondary text; rule: lines between things
  QColor sheet, grid;                     // the plate and its ruling
  QColor part, hangingLow, hangingHigh;   // the rose runs from low at the free lean to high at 90°
  QColor enforce, block;
  QColor body, branch, interface, interfaceLower;
  QColor floating, accent;
  QColor fault;                  // of a mesh: holes and crossings
  QColor infill, cover, bridge;  // further kinds of line in the layer view
};

// The theme in force; day until installTheme has seen the desktop's setting.
const Theme& theme();

// Whether the desktop wants things to move; asked once.
bool wantsMotion();

// Loads the shipped typeface, chooses day or night, and styles every widget.
void installTheme(QApplication& app);

}  // namespace trellis
