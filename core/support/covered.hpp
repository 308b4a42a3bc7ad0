// SPDX-License-Identifier: GPL-3.0-or-later
// Which sites a zone covers, and how much of them.
#pragma once

#include "core/document/part.hpp"
#include "core/overhang/sites.hpp"

namespace trellis {

struct Covered {
  std::vector<std::size_t> sites;  // into Sites::list, ascending; specks and rounded feet are left out
  double area = 0;                 // mm² of their facets whose middle lies in the zone
};

Covered coveredBy(const Zone& zone, const Part& part, const Sites& sites);

}  // namespace trellis
