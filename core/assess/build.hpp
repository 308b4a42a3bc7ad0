// SPDX-License-Identifier: GPL-3.0-or-later
// Everything that is computed from a project, each value shared with whoever shows it.
#pragma once

#include "core/assess/finding.hpp"
#include "core/assess/stability.hpp"
#include "core/assess/turnings.hpp"
#include "core/document/twin.hpp"
#include "core/gcode/print.hpp"
#include "core/mesh/health.hpp"
#include "core/mesh/inspect.hpp"
#include "core/mesh/symmetry.hpp"
#include "core/release/removal_plan.hpp"
#include "core/support/supports.hpp"

namespace trellis {

struct HoldAdvice;  // see hold_advice.hpp

struct PartJudgement {
  std::shared_ptr<const MeshFigures> figures;
  std::shared_ptr<const MeshHealth> health;  // in mesh coordinates
  std::shared_ptr<const Stability> stability;
  std::shared_ptr<const HoldAdvice> holdAdvice;  // null where it stands well
  std::shared_ptr<const Symmetry> symmetry;      // null where nothing is decided
  std::shared_ptr<const Turning> unscarred;      // leaves the least on seen faces; null where nothing is left there
  std::shared_ptr<const TwinLeftOut> leftOut;    // null where the part has no two like sides
};

// What one cause is answerable for of the support: what pieces have in common is split by contact area.
struct Price {
  Cause cause;
  double contact = 0;  // mm²
  Use use;
  double removal = 0;  // seconds of a hand
};

// What is printed, summed up.
struct Tally {
  double seconds = 0, travelSeconds = 0;
  int toolChanges = 0;
  double toolSeconds = 0;  // spent on them, purging aside
  double heatSeconds = 0;  // before it begins
  std::array<Use, featureCount> features;
  std::vector<Use> pieces;  // one per piece

  Use whole() const;    // of everything; its seconds leave out travels and tool changes
  Use support() const;  // of all pieces
};

struct Build : Supports {
  std::vector<PartJudgement> judged;           // as parts
  std::vector<PieceFigures> pieces;            // as the support's
  std::shared_ptr<const RemovalPlan> removal;  // how all of them come off
  Print print;
  Tally tally;
  double savedSeconds = 0;  // by bodies from the first filament that would dissolve with the interface
  bool towerHasRoom = true;
  bool codeHasRoom = true;  // to stand raised beside the print, where that is asked for
  SupportLayer
      raft;  // what lies under everything, as one; it belongs to no piece, and there are no regions without one
  std::vector<Price> prices;  // by cause; they sum to all support
  Findings findings;
  std::vector<std::pair<std::string, double>> milliseconds;  // per stage, of what was recomputed

  // What it holds besides values that others hold too: about its support, which is its own where groups of parts were
  // brought together.
  std::size_t bytes() const;
};

using BuildPtr = std::shared_ptr<const Build>;

Tally tallyOf(const Print& print, std::size_t pieceCount, const MotionRules& rules);

// From the columns' contacts, the support's pieces and what each of them uses.
std::vector<Price> pricesOf(const Build& build);
// That of one cause; nothing used when it causes no support.
Price priceOf(const Build& build, const Cause& cause);

}  // namespace trellis
