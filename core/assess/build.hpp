// SPDX-License-Identifier: GPL-3.0-or-later
// Everything that is computed from a project, each value shared with whoever shows it.
#pragma once

#include "core/assess/finding.hpp"
#include "core/assess/stability.hpp"
#include "core/gcode/print.hpp"
#include "core/mesh/health.hpp"
#include "core/mesh/inspect.hpp"
#include "core/overhang/sites.hpp"
#include "core/release/piece_figures.hpp"
#include "core/settings/settings.hpp"
#include "core/slice/slices.hpp"
#include "core/support/demand.hpp"
#include "core/support/support_layers.hpp"

namespace trellis {

struct HoldAdvice;  // see hold_advice.hpp

struct PartBuild {
  MeshPtr placed;  // in plate coordinates
  std::shared_ptr<const MeshFigures> figures;
  std::shared_ptr<const MeshHealth> health;  // in mesh coordinates
  LayerPlan plan;                            // as many layers as this part is high
  std::shared_ptr<const std::vector<Polygons>> sections;
  std::shared_ptr<const std::vector<SliceGap>> gaps;
  std::shared_ptr<const Overhangs> overhangs;
  std::shared_ptr<const Sites> sites;
  std::shared_ptr<const ResolvedDecisions> resolved;
  std::shared_ptr<const MarkShadows> shadows, clean;      // of marks, and of faces to be kept free
  std::shared_ptr<const std::vector<Polygons>> keptFree;  // demand that only a clean face keeps from being carried
  std::shared_ptr<const std::vector<DemandSite>> demand;
  std::shared_ptr<const std::vector<Polygons>> buried;  // sections without their skins
  std::shared_ptr<const Stability> stability;
  std::shared_ptr<const HoldAdvice> holdAdvice;  // null where it stands well
};

// Settings that some support is built by: those of each part, then those that decisions have for themselves.
struct RuleSet {
  std::size_t part = 0;
  Settings settings;
  SupportRules support;
};

// What one cause is answerable for of the support: what pieces have in common is split by contact area.
struct Price {
  Cause cause;
  double contact = 0;  // mm²
  Use use;
};

// What is printed, summed up.
struct Tally {
  double seconds = 0, travelSeconds = 0;
  int toolChanges = 0;
  double toolSeconds = 0;  // spent on them, purging aside
  std::array<Use, featureCount> features;
  std::vector<Use> pieces;  // one per piece

  Use whole() const;    // of everything; its seconds leave out travels and tool changes
  Use support() const;  // of all pieces
};

struct Build {
  LayerPlan plan;  // of the highest part
  std::vector<PartBuild> parts;
  std::vector<RuleSet> rules;                          // the parts' own first
  std::vector<const DemandSite*> demand;               // of all parts, held by them
  std::vector<std::shared_ptr<const Column>> columns;  // one for each of demand
  std::vector<std::shared_ptr<const Tree>> trees;      // likewise; null where the support is normal
  std::shared_ptr<const SupportLayers> support;
  std::vector<PieceFigures> pieces;  // as the support's
  Print print;
  Tally tally;
  double savedSeconds = 0;  // by bodies from the first filament that would dissolve with the interface
  bool towerHasRoom = true;
  SupportLayer bed;  // what lies under everything, as one; it belongs to no piece, and there are no regions without one
  std::vector<Price> prices;  // by cause; they sum to all support
  Findings findings;
  std::vector<std::pair<std::string, double>> milliseconds;  // per stage, of what was recomputed
};

using BuildPtr = std::shared_ptr<const Build>;

Tally tallyOf(const Print& print, std::size_t pieceCount, const MotionRules& rules);

// From the columns' contacts, the support's pieces and what each of them uses.
std::vector<Price> pricesOf(const Build& build);
// That of one cause; nothing used when it causes no support.
Price priceOf(const Build& build, const Cause& cause);

}  // namespace trellis
