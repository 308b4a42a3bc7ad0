// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/scene/support_lines.hpp"

#include "app/theme/theme.hpp"
#include "core/assess/scar_map.hpp"

namespace trellis {

std::vector<LineVertex> scarLines(const Build& build) {
  constexpr double under = 0.12;  // mm, so that it is not hidden by what it lies on
  std::vector<LineVertex> out;
  for (const ScarPatch& patch : scarMap(build)) {
    const QColor& tint = patch.scar == Scar::smooth    ? theme().accent
                         : patch.scar == Scar::striped ? theme().ink
                         : patch.scar == Scar::rough   ? theme().block
                         : patch.scar == Scar::fused   ? theme().floating
                                                       : theme().fault;
    const auto at = [&](const Point& p) { return Vec3(toMm(p).x(), toMm(p).y(), patch.z - under); };
    for (const Polygon& line : hatchOf(patch))
      for (std::size_t i = 0; i + 1 < line.size(); ++i) addLine(out, at(line[i]), at(line[i + 1]), tint);
  }
  return out;
}

std::vector<LineVertex> supportOutlines(const Build& build) {
  constexpr double apart = 1.5;  // mm of height between outlines
  std::vector<LineVertex> out;
  double next = -1e9;
  for (const SupportLayer& layer : build.support->layers) {
    if (layer.top < next) continue;
    next = layer.top + apart;
    for (const PieceRegion& region : layer.regions)
      for (const Polygon& outline : region.area)
        for (std::size_t i = 0; i < outline.size(); ++i) {
          const Vec2 a = toMm(outline[i]), b = toMm(outline[(i + 1) % outline.size()]);
          addLine(out, {a.x(), a.y(), layer.top}, {b.x(), b.y(), layer.top}, theme().accent);
        }
  }
  return out;
}

}  // namespace trellis
