// SPDX-License-Identifier: GPL-3.0-or-later
// Where support is wanted: the proposal and the maker's decisions, brought together.
#pragma once

#include "core/marks/shadows.hpp"
#include "core/overhang/sites.hpp"
#include "core/settings/rules.hpp"
#include "core/support/column_grid.hpp"
#include "core/support/resolved_decisions.hpp"

namespace trellis {

// What a support is there for.
enum class CauseKind { site, mark, hold, prop, zone, elsewhere };
struct Cause {
  CauseKind kind = CauseKind::site;
  std::size_t part = 0;
  // Of the part's sites, props or zones; of marks the tint; holds are counted; of what was made elsewhere 0.
  std::size_t index = 0;
  auto operator<=>(const Cause&) const = default;
};
struct Contact {
  Cause cause;
  double area = 0;  // mm² that are carried for it
};

// What a site belonged to before marks blocked some of it. Taking a branch away then moves no other: tips are placed
// and branches grow as if all of it were to be carried, and what is not is left out.
struct Uncut {
  std::size_t lowest = 0;
  std::vector<Polygons> layers = {};  // none where no mark blocks anything of it
  std::vector<Polygons> cut = {};     // of each layer, what is blocked
  bool first = false;                 // of the sites that are left of it
};

// One connected region of demand on one part, layer over layer. A hold's layers are not carried but stand
// beside a wall.
struct DemandSite {
  std::size_t part = 0;
  std::size_t lowest = 0;            // layer of layers.front()
  std::vector<Polygons> layers;      // one per layer from lowest on, none empty
  std::vector<Polygons> beyondLean;  // of each layer, what only a decision asks for; empty if that is nothing
  std::size_t rules = 0;             // whose settings it is built by, into Build::rules
  Polygons minimumFootprint;         // what its column fills besides, where nothing is in the way: a prop's width
  // Of each layer, what hangs near and is not to be carried, because the maker decided so; empty if nothing is.
  std::vector<Polygons> refused = {};
  Uncut uncut = {};
  std::vector<Polygons> seen = {};  // of each layer, what of it will be looked at; empty if that is nothing
  ColumnGrid grid = {};
  std::vector<Lines> walls;       // of a hold: the wall of each layer, as in MarkShadows
  bool isPost = false;            // of a hold: a branch that stands by itself
  std::vector<Contact> contacts;  // by cause, ascending
  std::size_t highest() const { return lowest + layers.size() - 1; }
  bool isHold() const { return !walls.empty(); }
};

// Everything about one part that asks for support or forbids it, layer by layer.
struct Asked {
  std::size_t part = 0;
  const LayerPlan& plan;
  const Overhangs& overhangs;
  const Sites& sites;
  const MarkShadows& marks;
  const MarkShadows& clean;  // faces to be kept free
  const ResolvedDecisions& resolved;
  Source source = Source::overhangs;
  ColumnGrid grid = {};
};

// Marks win over props, those over a site's choice, that over zones, those over the proposal; between zones,
// keep clear wins over block, that over enforce. Clean faces are never touched. Bridges, and what is too small to
// matter, are not proposed. Demand lies in the steps S_i \ S_{i−1} only, so it never reaches past the surface it
// carries.
std::vector<Polygons> findDemand(const Asked& asked, const Progress& progress);

// Of the demand, what only a clean face keeps from being carried.
std::vector<Polygons> keptFree(const Asked& asked, const Progress& progress);

// Splits demand into connected regions: pieces of neighbouring layers that touch in plan belong together.
std::vector<DemandSite> connectDemand(std::size_t part, const std::vector<Polygons>& demand, const Overhangs& overhangs,
                                      const Progress& progress);

// Of each of a site's layers, what lies under seen faces; empty if nothing does.
std::vector<Polygons> seenOf(const DemandSite& site, const MarkShadows& seen);

// In plan, what a site's support is to keep away from besides the part: surface that is refused, beyond half a line
// past what it carries.
Polygons deniedTo(const DemandSite& site, double lineWidth);

// The settings that a part's demand may be built by, each with its index: the part's own has that of the part.
using RulesByIndex = std::vector<std::pair<std::size_t, SupportRules>>;

// A part's whole demand as regions with their causes. What a prop, or a tint, site or zone with settings of its own,
// speaks for is built apart.
std::vector<DemandSite> demandOf(const Asked& asked, const RulesByIndex& rules, const Progress& progress);

}  // namespace trellis
