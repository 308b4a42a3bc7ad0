// SPDX-License-Identifier: GPL-3.0-or-later
// What the core calls something, in the language of the window.
#pragma once

#include <QString>

#include <string>

namespace trellis {

// As it is where no translation of it is known.
QString spoken(const std::string& words);

}  // namespace trellis
