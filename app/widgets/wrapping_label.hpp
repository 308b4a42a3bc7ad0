// SPDX-License-Identifier: GPL-3.0-or-later
// Words that wrap at whatever width there is, and never make a sheet wider.
#pragma once

#include <QString>

class QLabel;

namespace trellis {

// look: the object's name, which the theme goes by ("quiet", "section").
QLabel* wrappingLabel(const char* look, const QString& words = {});

}  // namespace trellis
