// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/assess/structure_advice.hpp"

#include "core/overhang/lean.hpp"

#include <array>
#include <cmath>

namespace trellis {

namespace {

constexpr double flatLean = 80;     // degrees; what leans more is a ceiling
constexpr double mostlyFlat = 0.6;  // of its area
constexpr double broad = 120;       // mm²: a dozen tips and more, side by side
constexpr double small = 60;        // mm²
constexpr double high = 25;         // mm
constexpr double dear = 5;          // times the filament, for which crowded branches are worth their trouble

struct Hanging {
  double flat = 0;  // share of its facets, by area, that are a ceiling
  double area = 0;  // mm² in plan
  double up = 0;    // mm over the plate, in the middle
};

Hanging shapeOf(const Site& site, const TriangleMesh& placed) {
  Hanging shape;
  double whole = 0, moment = 0;
  for (const std::uint32_t facet : site.facets) {
    const auto [a, b, c] = placed.corners(facet);
    const Vec3 normal = (b - a).cross(c - a) / 2;
    whole += normal.norm();
    shape.area += std::abs(normal.z());
    moment += std::abs(normal.z()) * (a + b + c).z() / 3;
    if (leanOf(placed.normal(facet)) > flatLean) shape.flat += normal.norm();
  }
  if (whole > 0) shape.flat /= whole;
  if (shape.area > 0) shape.up = moment / shape.area;
  return shape;
}

// mm³ of columns under it, as they are built unless told otherwise: a body of a sixth, and a wall around what is
// narrow. What lies between it and the plate is not looked at: a weakness.
double columnsUnder(const Hanging& shape) {
  constexpr double density = 0.17, line = 0.45, narrow = 5.3;  // mm
  const double across = std::sqrt(shape.area);
  return shape.up * (density * shape.area + (across < narrow ? 4 * across * line : 0));
}

// mm³ of branches: a twig under every tip, and trunks as thick as they are to be for their height, the fewer the
// higher. Measured on ceilings of 1600 mm², 10 and 40 mm up, and of 3600 mm², 150 mm up: 980, 1320 and 7600 mm³.
double branchesUnder(const Hanging& shape) {
  constexpr double perTip = 14;  // mm²
  const double perFoot = std::max(150.0, 8 * shape.up);
  constexpr double twig = 7, neck = 0.9, line = 0.45, slimmest = 1.2;  // mm
  const double tips = std::max(1.0, shape.area / perTip), trunks = std::max(1.0, shape.area / perFoot);
  const double thick = std::max(slimmest, shape.up / 12) / 2 + neck / 2;
  return pi * line * (tips * std::min(twig, shape.up) * neck + trunks * std::max(0.0, shape.up - twig) * thick);
}

}  // namespace

StructureAdvice adviseFor(const Site& site, const TriangleMesh& placed) {
  const Hanging shape = shapeOf(site, placed);
  const double flat = shape.flat, times = columnsUnder(shape) / branchesUnder(shape);
  if (flat > mostlyFlat && site.area > broad && times > dear)
    return {Structure::tree,
            say("a flat ceiling of {:.0f} mm² that hangs {:.0f} mm up, where columns would take about {:.0f} "
                "times the filament of branches",
                site.area, shape.up, times)};
  if (flat > mostlyFlat && site.area > broad)
    return {Structure::normal,
            say("a flat ceiling of {:.0f} mm², under which branches would crowd and fuse", site.area)};
  if (site.area < small)
    return {Structure::tree, say("small, {:.0f} mm², so that one or few tips carry it "
                                 "and peel off easily",
                                 site.area)};
  if (flat <= mostlyFlat && site.high > high)
    return {Structure::tree,
            say("curved and {:.0f} mm up, so that branches save filament and touch little", site.high)};
  if (flat <= mostlyFlat) return {Structure::tree, say("curved, so that tips follow it and touch little")};
  return {Structure::normal, say("flat, so that one sheet carries it evenly")};
}

// Measured on two open meshes, turned, with the defaults: 0.26 and 0.29 s for a mm³ of body and interface.
double secondsOfColumns(const Site& site, const TriangleMesh& placed) {
  constexpr double perVolume = 0.28, interface = 0.3;  // s/mm³; mm of solid height
  const Hanging shape = shapeOf(site, placed);
  return perVolume * (columnsUnder(shape) + interface * shape.area);
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
                       : StructureAdvice{Structure::normal, say("nothing of it needs support")};
}

}  // namespace trellis
