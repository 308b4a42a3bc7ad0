// SPDX-License-Identifier: GPL-3.0-or-later
// Taking away, keeping alone, or printing otherwise, one piece of support: as ordinary decisions.
#pragma once

#include "core/assess/build.hpp"
#include "core/document/operations.hpp"

namespace trellis {

enum class Reach {
  column,
  piece
};  // a column of a few millimetres round the place, or of a tree the branch there; or the whole piece

inline constexpr double columnSize = 4;  // mm across; a usual column: common practice

// The piece whose support holds a place or lies within half a millimetre of it, plate coordinates.
std::optional<std::size_t> pieceAt(const Build& build, const Vec3& at);

// Blocks exactly what the support there carries alone; props and holds that made it are removed or cleared. Throws
// Error when no support is there.
std::vector<Operation> removing(const Build& build, const Vec3& at, Reach reach);
// Blocks everything else that support of the same part carries.
std::vector<Operation> keepingOnly(const Build& build, const Vec3& at);

// Gives one piece's body a filament of its own, or leaves it to the program again: "first", "second", "auto". What asks
// for the piece gets the setting; where that is only marks, the whole part does.
std::vector<Operation> printingBody(const Build& build, const Project& project, std::size_t piece,
                                    const std::string& filament);

}  // namespace trellis
