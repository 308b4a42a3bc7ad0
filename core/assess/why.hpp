// SPDX-License-Identifier: GPL-3.0-or-later
// Which decision put support to a place, or kept it away.
#pragma once

#include "core/assess/build.hpp"
#include "core/document/project.hpp"

namespace trellis {

// A short clause for a place on a part's surface: "hangs, site 4, supported as proposed". place is in mesh coordinates
// and on the facet. Empty for surface that is nobody's concern.
Sentence whyAt(const Project& project, const Build& build, std::size_t part, std::uint32_t facet, const Vec3& place);

// Everything that is decided or proposed for an underside, the one that holds first: clean faces beat marks, those
// props, those a site's choice, that zones, those the proposal.
std::vector<Sentence> decisionsAt(const Project& project, const Build& build, std::size_t part, std::uint32_t facet,
                                  const Vec3& place);

// What a piece of support is there for: "for sites 3 and 5".
Sentence whyPiece(const Build& build, std::size_t piece);

}  // namespace trellis
