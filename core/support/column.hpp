// SPDX-License-Identifier: GPL-3.0-or-later
// The support of one site: how its height is divided, and how far it reaches at each height.
#pragma once

#include "core/support/tree.hpp"

#include <array>

namespace trellis {

// A horizontal slab of support under one site.
struct ColumnSlab {
  double bottom = 0, top = 0;  // mm
  Polygons body;               // load-bearing bulk
  Polygons interface;          // of the upper interface
  Polygons graded = {};        // body of in-between density, right under the interface
  Polygons lower = {};         // interface over the part it stands on
  Polygons foot = {};          // the spread-out lowest layers on the plate
  Lines ties = {};             // of a hold
  Polygons branch = {};        // of a tree, instead of body
  Polygons notches = {};       // beside the others, where decisions cut into it: no wall is needed along those
};

// Which use each of a slab's areas is; where slabs meet, the later wins.
enum class RegionKind : std::uint8_t { body, branch, graded, foot, interfaceLower, interfaceUpper };
inline constexpr std::array<Polygons ColumnSlab::*, 6> areasOfKind{&ColumnSlab::body,   &ColumnSlab::branch,
                                                                   &ColumnSlab::graded, &ColumnSlab::foot,
                                                                   &ColumnSlab::lower,  &ColumnSlab::interface};

constexpr bool isInterface(RegionKind kind) {
  return kind == RegionKind::interfaceUpper || kind == RegionKind::interfaceLower;
}

struct Column {
  std::vector<ColumnSlab> slabs;    // highest first
  std::vector<double> contactTops;  // heights, mm, at which a slab ends under the part
  double wanted = 0;                // mm² of demand in plan
  double noRoom = 0;                // mm² of it where the gaps leave less than the thinnest layer
  double withoutFooting = 0;        // mm² of it given up because nothing allowed to stand on is under it
  double tooSteep = 0;              // mm² of footing left out on slopes too steep to grip without an interface
  double slenderHeight = 0, slenderWidth = 0;  // mm, of what stays too thin for its height; 0 if nothing does
};

// Heights, highest first and ending with the floor, between which a site's support is printed. The gap above
// is exact for every layer of the site: a boundary lies at (underside of layer i) − gapAbove for each
// i of the site, and for as many layers below as the interface is thick. Farther down boundaries are the
// part's own, so that both are printed at one height; one slab of another thickness lies between.
std::vector<double> planHeights(const LayerPlan& plan, std::size_t lowest, std::size_t highest,
                                const SupportRules& rules);

// The same beside a wall: the part's own boundaries from its top layer down.
std::vector<double> planHoldHeights(const LayerPlan& plan, std::size_t highest, const SupportRules& rules);

// Of heights, highest first, those that leave no slab thinner than the thinnest; what is fixed stays.
std::vector<double> withoutThinSlabs(const std::vector<std::pair<double, bool>>& wanted, double thinnest);

// Lets the site's demand down to its footing, along its branches if there is a tree, and divides what stands there by
// its uses.
Column buildColumn(const DemandSite& site, const Terrain& terrain, const SupportRules& rules, const Tree* tree,
                   const Progress& progress);

}  // namespace trellis
