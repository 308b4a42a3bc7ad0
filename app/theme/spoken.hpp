// SPDX-License-Identifier: GPL-3.0-or-later
// What the core says, in the language of the window; as it is where no translation of it is known.
#pragma once

#include "core/base/sentence.hpp"

#include <QString>

#include <exception>
#include <string>

namespace trellis {

QString spoken(const std::string& words);
QString spoken(const Sentence& sentence);  // figures as the locale has them
QString spoken(const std::exception& error);
QString inFigures(double value, int decimals);  // as the locale writes it, with nothing between thousands

}  // namespace trellis
