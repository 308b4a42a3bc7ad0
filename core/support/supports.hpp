// SPDX-License-Identifier: GPL-3.0-or-later
// What was found out about parts up to the support that is built for them, before any line is laid. A complete value:
// whatever judges or prints supports takes this.
#pragma once

#include "core/overhang/sites.hpp"
#include "core/settings/settings.hpp"
#include "core/slice/slices.hpp"
#include "core/support/demand.hpp"
#include "core/support/support_layers.hpp"

namespace trellis {

struct PartBuild {
  MeshPtr placed;  // in plate coordinates
  LayerPlan plan;  // as many layers as this part is high
  std::shared_ptr<const std::vector<Polygons>> sections;
  std::shared_ptr<const std::vector<SliceGap>> gaps;
  std::shared_ptr<const Overhangs> overhangs;
  std::shared_ptr<const Sites> sites;
  std::shared_ptr<const ResolvedDecisions> resolved;
  std::shared_ptr<const MarkShadows> shadows, clean, seen;  // of marks, and of faces to be kept free or looked at
  std::shared_ptr<const std::vector<Polygons>> keptFree;    // demand that only a clean face keeps from being carried
};

// Settings that some support is built by: those of each part, then those that decisions have for themselves.
struct RuleSet {
  std::size_t part = 0;
  Settings settings;
  SupportRules support;
};

using DemandSitePtr = std::shared_ptr<const DemandSite>;

struct Supports {
  LayerPlan plan;  // of the highest part
  std::vector<PartBuild> parts;
  std::vector<RuleSet> rules;                          // the parts' own first
  std::vector<DemandSitePtr> demand;                   // of all parts
  std::vector<std::shared_ptr<const Column>> columns;  // one for each of demand
  std::vector<std::shared_ptr<const Tree>> trees;      // likewise; null where the support is normal
  std::shared_ptr<const SupportLayers> support;
};

}  // namespace trellis
