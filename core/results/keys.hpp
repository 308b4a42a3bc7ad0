// SPDX-License-Identifier: GPL-3.0-or-later
// Keys of what support is built from: equal where nothing differs.
#pragma once

#include "core/document/part.hpp"
#include "core/support/demand.hpp"

namespace trellis {

std::uint64_t keyOfOverrides(const Overrides& settings);
// Of everything but marks that was decided about a part's supports.
std::uint64_t keyOfDecisions(const Part& part);
std::uint64_t keyOfSite(const DemandSite& site);
// What of the noLanding surface a site's column may meet within spread mm of its demand.
std::uint64_t keyOfBarred(const std::vector<Polygons>& noLanding, const DemandSite& site, double spread);
// All that columns depend on besides their site and the obstacles.
std::uint64_t keyOfRules(const SupportRules& rules);

}  // namespace trellis
