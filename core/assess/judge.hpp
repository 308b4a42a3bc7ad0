// SPDX-License-Identifier: GPL-3.0-or-later
// Judges every piece of a build.
#pragma once

#include "core/assess/build.hpp"
#include "core/assess/opening.hpp"

#include <unordered_map>

namespace trellis {

// Ways out that were found, by the keys of pieces and parts; what is no longer asked for is forgotten.
using FreedomBook = std::unordered_map<std::uint64_t, Freedom>;

// parts are the build's own; openings is asked only when some piece has no straight way out.
std::vector<PieceFigures> judgePieces(const Build& build, const std::vector<Solid>& parts, const std::function<const Openings&()>& openings,
                                      FreedomBook& book, const Progress& progress);

}  // namespace trellis
