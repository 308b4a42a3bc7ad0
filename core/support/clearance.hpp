// SPDX-License-Identifier: GPL-3.0-or-later
// What one site's support keeps away from at each height.
#pragma once

#include "core/support/demand.hpp"
#include "core/support/obstacles.hpp"

#include <map>

namespace trellis {

// Layers of the part whose material lies between two heights, as a range of indices.
std::pair<std::size_t, std::size_t> layersWithin(const LayerPlan& plan, double bottom, double top);

// Keeps what it found of a layer, so it serves one thread.
class Clearance {
 public:
  Clearance(const DemandSite& site, const Obstacles& obstacles, const SupportRules& rules)
      : site_(site), obstacles_(obstacles), rules_(rules) {}

  // Of a region that is to stand between two heights, what keeps the gaps below, above and beside.
  Polygons clearOfPart(const Polygons& reach, double bottom, double top);

 private:
  const Polygons& besideOf(std::size_t l);
  const Polygons& besideHold(std::size_t l);

  const DemandSite& site_;
  const Obstacles& obstacles_;
  const SupportRules& rules_;
  std::map<std::size_t, Polygons> besides_;
};

}  // namespace trellis
