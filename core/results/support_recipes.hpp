// SPDX-License-Identifier: GPL-3.0-or-later
// What is made of parts that stand so near each other that their supports may meet: obstacles, branches, columns,
// pieces.
#pragma once

#include "core/results/part_recipes.hpp"
#include "core/support/column.hpp"
#include "core/support/made_elsewhere.hpp"
#include "core/support/obstacles.hpp"
#include "core/support/reachability.hpp"
#include "core/support/support_layers.hpp"

namespace trellis {

struct InTheWay {
  Kept<Sections> sections;
  Kept<Overhangs> overhangs;
  GapsAround gaps;
};
struct ObstacleInputs {
  LayerPlan plan;
  std::vector<InTheWay> parts;
  std::vector<Polygons> forbidden;  // zones to be kept clear; empty without any
};
extern const Recipe<Obstacles, ObstacleInputs> obstacleLayers;

// Up-facing surface where nothing may stand, or had better not, all parts together, by the layer above it.
using NoLanding = std::vector<Polygons>;

struct TipInputs {
  Kept<DemandSite> demand;
  Kept<Obstacles> obstacles;
  SupportRules rules;
};
extern const Recipe<std::vector<Tip>, TipInputs> siteTips;

// mm a branch may go past everything it grows among. Neighbourhoods are drawn by it too.
inline constexpr double branchReach = 12;

struct ReachabilityInputs {
  Kept<Obstacles> obstacles;
  Kept<NoLanding> noLanding, seen;
  SupportRules rules;
  Box2 plate;
};
extern const Recipe<Reachability, ReachabilityInputs> waysToStand;

struct BranchInputs {
  std::vector<Kept<std::vector<Tip>>> tips;
  Kept<Reachability> reachability;
  SupportRules rules;
};
extern const Recipe<BranchGraph, BranchInputs> branches;

struct ColumnInputs {
  Kept<DemandSite> demand;
  Kept<Obstacles> obstacles;
  Kept<NoLanding> noLanding, seen;  // keyed by what of it the column may meet
  SupportRules rules;
  Kept<Tree> tree;  // none where the support is normal
};
extern const Recipe<Column, ColumnInputs> siteColumn;

struct BroughtInputs {
  std::size_t part = 0;
  MeshPtr elsewhere, mesh;  // in the part's coordinates
  Placement placement;
  Kept<Sections> sections;
  SupportRules rules;
};
struct Brought {
  std::shared_ptr<const MadeElsewhere> support;  // null where nothing of it is left
};
extern const Recipe<Brought, BroughtInputs> broughtSupport;

struct AssemblyInputs {
  std::vector<Kept<Column>> columns;
  std::vector<std::size_t> rules;  // the number of the settings of each
};
extern const Recipe<SupportLayers, AssemblyInputs> supportLayers;

}  // namespace trellis
