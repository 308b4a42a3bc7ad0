// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/support/covered.hpp"

namespace trellis {

Covered coveredBy(const Zone& zone, const Part& part, const Sites& sites) {
  Covered covered;
  const Eigen::Matrix3d toPlate = transformOf(part.placement, *part.mesh).linear();
  for (std::size_t s = 0; s < sites.list.size(); ++s) {
    if (sites.list[s].siteClass != SiteClass::proper) continue;
    double area = 0;
    for (const std::uint32_t facet : sites.list[s].facets) {
      const auto [a, b, c] = part.mesh->corners(facet);
      if (isIn(zone, (a + b + c) / 3)) area += (toPlate * (b - a)).cross(toPlate * (c - a)).norm() / 2;
    }
    if (area > 0) covered.sites.push_back(s);
    covered.area += area;
  }
  return covered;
}

}  // namespace trellis
