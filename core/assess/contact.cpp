// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/assess/contact.hpp"

#include <algorithm>
#include <cmath>

namespace trellis {

PlateContact contactOf(const Supports& build, std::size_t part) {
  constexpr double eps = 1e-6;  // mm
  const PartBuild& built = build.parts[part];
  const std::vector<Polygons>& sections = *built.sections;
  PlateContact contact;
  for (std::size_t l = 0; l < sections.size(); ++l) {
    if (sections[l].empty()) continue;
    contact.largest = std::max(contact.largest, area(sections[l]));
    if (contact.first) continue;
    const Polygons printed = opened(sections[l], build.rules[part].support.lineWidth / 4);
    if (printed.empty()) continue;
    if (l == 0) contact.area = area(printed);
    contact.first = l;
    const Vec2 middle = boundsOf(printed).center();
    contact.at = Vec3(middle.x(), middle.y(), built.plan.spans[l].bottom);
  }
  if (!contact.first || contact.onPlate()) return contact;
  const Polygons& lowest = sections[*contact.first];
  double carried = 0;
  for (const SupportLayer& layer : build.support->layers)
    for (const PieceRegion& region : layer.regions) {
      const double gap = build.rules[region.rules].support.gapAbove;
      if (std::abs(layer.top + gap - built.plan.spans[*contact.first].bottom) > eps) continue;
      // Each line of an interface carries as far as its neighbours.
      carried += area(intersect(lowest, grow(region.area, build.rules[region.rules].support.lineWidth)));
    }
  contact.carried = std::min(1.0, carried / area(lowest));
  return contact;
}

}  // namespace trellis
