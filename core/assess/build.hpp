// SPDX-License-Identifier: GPL-3.0-or-later
// Everything that is computed from a project, each value shared with whoever shows it.
#pragma once

#include "core/assess/finding.hpp"
#include "core/gcode/print.hpp"
#include "core/mesh/health.hpp"
#include "core/mesh/inspect.hpp"
#include "core/overhang/overhangs.hpp"
#include "core/slice/slices.hpp"
#include "core/support/demand.hpp"
#include "core/support/support_layers.hpp"

namespace trellis {

struct PartBuild {
  MeshPtr placed;  // in plate coordinates
  std::shared_ptr<const MeshFigures> figures;
  std::shared_ptr<const MeshHealth> health;  // in mesh coordinates
  LayerPlan plan;  // as many layers as this part is high
  std::shared_ptr<const std::vector<Polygons>> sections;
  std::shared_ptr<const std::vector<SliceGap>> gaps;
  std::shared_ptr<const Overhangs> overhangs;
  std::shared_ptr<const MarkShadows> shadows;
  std::shared_ptr<const std::vector<DemandSite>> sites;
};

// What is printed, summed up.
struct Tally {
  double seconds = 0, travelSeconds = 0;
  std::array<Use, featureCount> features;
  std::vector<Use> pieces;  // one per piece

  double volume() const;         // mm³
  double supportVolume() const;  // mm³
};

struct Build {
  LayerPlan plan;  // of the highest part
  std::vector<PartBuild> parts;
  std::vector<std::shared_ptr<const Column>> columns;  // one per site, part by part
  std::shared_ptr<const SupportLayers> support;
  Print print;
  Tally tally;
  Findings findings;
  std::vector<std::pair<std::string, double>> milliseconds;  // per stage, of what was recomputed
};

using BuildPtr = std::shared_ptr<const Build>;

Tally tallyOf(const Print& print, std::size_t pieceCount, const MotionRules& rules);

}  // namespace trellis
