// SPDX-License-Identifier: GPL-3.0-or-later
// Sites: the connected overhanging regions of a placed part.
#pragma once

#include "core/base/key.hpp"
#include "core/mesh/neighbours.hpp"
#include "core/mesh/ray.hpp"
#include "core/overhang/overhangs.hpp"

namespace trellis {

// What a site is worth: only proper ones are proposed, listed and warned of one by one.
enum class SiteClass {
  proper,
  roundedFoot,  // begins right over what it may stand on and widens by so little that its lines sag onto it
  speck         // smaller than a line is wide, or nowhere beyond half a line over the layer below
};

// Hanging facets connected across shared edges, with the floating starts they contain.
struct Site {
  std::vector<std::uint32_t> facets;  // ascending; empty where something starts in the air on surface too steep to hang
  double area = 0;                    // mm² of surface
  double low = 0, high = 0;           // mm above the plate
  double worstLean = 0;               // degrees
  // mm: over all directions the least of the longest chords of its plan shadow; where some directions end on
  // part with every chord, over those only.
  double span = 0;
  bool bridge = false;              // in some direction nearly all lines hang from part to part within the limit
  bool partlyBridges = false;       // it is flat, and in the best direction more than half of them do
  Polygons unbridged = {};          // in plan, what is left then
  double openBelow = 0;             // 0–1: the share of it with nothing but the plate straight below
  std::vector<std::size_t> starts;  // into Overhangs::starts
  Polygons shadow;                  // in plan
  Vec3 at = Vec3::Zero();           // a place on it
  SiteClass siteClass = SiteClass::proper;
  Key id = 0;  // of the facets or the start it is made of: the same as long as those are
  bool isProposed() const { return siteClass == SiteClass::proper && !bridge; }
};

struct Sites {
  std::vector<Site> list;  // proper ones first, then rounded feet, then specks; each by lowest height, then by place
  static constexpr std::uint32_t none = Neighbours::none;
  std::vector<std::uint32_t> ofFacet;  // none where a facet does not hang
  // Of each layer, which stretches of Overhangs::demand belong to which site.
  struct Stretch {
    std::size_t site;
    Polygons region;
  };
  std::vector<std::vector<Stretch>> layers;
  // How many of the list are of a class.
  std::size_t count(SiteClass siteClass) const;
};

struct SiteRules {
  double freeLean = 45;     // degrees
  double bridgeLimit = 10;  // mm
  double lineWidth = 0.45;  // mm
};

// What is known of the mesh before placing; its facets have the same numbers.
struct Surface {
  NeighboursPtr neighbours;
  MeshTreePtr tree;
  Affine toMesh = Affine::Identity();  // from the plate
};

// A part on the plate, cut into layers, with what hangs in each.
struct LayeredPart {
  Surface surface;
  const LayerPlan& plan;
  const std::vector<Polygons>& sections;  // one for each layer of the plan
  const Overhangs& overhangs;
};

Sites findSites(const TriangleMesh& placed, const LayeredPart& part, const SiteRules& rules, const Progress& progress);

}  // namespace trellis
