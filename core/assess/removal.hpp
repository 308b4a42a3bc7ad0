// SPDX-License-Identifier: GPL-3.0-or-later
// Taking away, keeping alone, or printing otherwise, one piece of support: as ordinary decisions.
#pragma once

#include "core/assess/build.hpp"
#include "core/document/operations.hpp"

namespace trellis {

// What of a support is taken away at a place: a square column, or of a close outline a disc of so many mm across, or of
// a tree the branch there; or the whole piece.
enum class Reach { column, piece };
inline constexpr double usualDisc = 5;  // mm across

// The piece whose support holds a place or lies within half a millimetre of it, plate coordinates.
std::optional<std::size_t> pieceAt(const Build& build, const Vec3& at);

// Of the sites that a piece carries the one that begins nearest to a place; none where it carries only what is decided
// otherwise.
std::optional<Cause> siteNear(const Build& build, std::size_t piece, const Vec3& at);

// What would go, and the decisions that make it go.
struct Removal {
  std::vector<Operation> operations;
  std::size_t piece = 0;
  std::optional<Polygons> within = {};  // in plan; the whole piece without
};
// Blocks exactly what the support there carries alone; props and holds that made it are removed or cleared. disc is the
// width of what is cut out of a close outline; bits of it that would be left too thin for two lines go with it. Throws
// Error when no support is there.
Removal removing(const Build& build, const Vec3& at, Reach reach, double disc = usualDisc);
// Of what is built, what goes.
SupportLayers partOf(const SupportLayers& support, const Removal& removal);
// Blocks everything else that support of the same part carries.
std::vector<Operation> keepingOnly(const Build& build, const Vec3& at);

// Gives one piece's body a filament of its own, or leaves it to the program again: "first", "second", "auto". What asks
// for the piece gets the setting; where that is only marks, the whole part does.
std::vector<Operation> printingBody(const Build& build, const Project& project, std::size_t piece,
                                    const std::string& filament);

}  // namespace trellis
