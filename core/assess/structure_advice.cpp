// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/assess/structure_advice.hpp"

#include "core/overhang/lean.hpp"

#include <fmt/format.h>

#include <array>

namespace trellis {

namespace {

constexpr double flatLean = 80;     // degrees; what leans more is a ceiling
constexpr double mostlyFlat = 0.6;  // of its area
constexpr double broad = 120;       // mm²: a dozen tips and more, side by side
constexpr double small = 60;        // mm²
constexpr double high = 25;         // mm

// The share of a site's facets, by area, that are a ceiling.
double flatnessOf(const Site& site, const TriangleMesh& placed) {
  double flat = 0, whole = 0;
  for (const std::uint32_t facet : site.facets) {
    const auto [a, b, c] = placed.corners(facet);
    const double area = (b - a).cross(c - a).norm() / 2;
    whole += area;
    if (leanOf(placed.normal(facet)) > flatLean) flat += area;
  }
  return whole > 0 ? flat / whole : 0;
}

}  // namespace

StructureAdvice adviseFor(const Site& site, const TriangleMesh& placed) {
  const double flat = flatnessOf(site, placed);
  if (flat > mostlyFlat && site.area > broad)
    return {Structure::normal,
            fmt::format("a flat ceiling of {:.0f} mm², under which branches would crowd and fuse", site.area)};
  if (site.area < small)
    return {Structure::tree,
            fmt::format("small, {:.0f} mm², so that one or few tips carry it and peel off easily", site.area)};
  if (flat <= mostlyFlat && site.high > high)
    return {Structure::tree,
            fmt::format("curved and {:.0f} mm up, so that branches save filament and touch little", site.high)};
  if (flat <= mostlyFlat) return {Structure::tree, "curved, so that tips follow it and touch little"};
  return {Structure::normal, "flat, so that one sheet carries it evenly"};
}

StructureAdvice adviseFor(const PartBuild& part) {
  std::array<double, 2> areas{0, 0};
  std::array<const Site*, 2> largest{nullptr, nullptr};
  for (const Site& site : part.sites->list) {
    if (!site.isProposed()) continue;
    const auto k = static_cast<std::size_t>(adviseFor(site, *part.placed).structure);
    areas[k] += site.area;
    if (!largest[k] || site.area > largest[k]->area) largest[k] = &site;
  }
  const std::size_t best = areas[1] > areas[0] ? 1 : 0;
  return largest[best] ? adviseFor(*largest[best], *part.placed)
                       : StructureAdvice{Structure::normal, "nothing of it needs support"};
}

}  // namespace trellis
