// SPDX-License-Identifier: GPL-3.0-or-later
// Choices as a person reads them.
#pragma once

#include <string>

namespace trellis {

// "plate and part" for the choice "any" of support.footing; a choice without words of its own is its own name.
std::string choiceInWords(const std::string& key, const std::string& choice);

}  // namespace trellis
