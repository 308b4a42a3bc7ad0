// SPDX-License-Identifier: GPL-3.0-or-later
// The lines of one support layer.
#pragma once

#include "core/support/support_layers.hpp"
#include "core/toolpath/path.hpp"

namespace trellis {

enum class Pattern { lines, crossed, zigzag, concentric, none };  // none: walls alone

struct SupportPathRules {
  double lineWidth = 0.45;         // mm
  double bodySpacing = 2.2;        // mm of daylight between body lines
  int bodyWalls = 1;               // lines around the body
  double interfaceSpacing = 0.45;  // mm of daylight between interface lines
  double lowerSpacing = 0.9;       // of the lower interface
  double gradedSpacing = 0.24;     // of graded layers
  Pattern body = Pattern::lines, upper = Pattern::lines, lower = Pattern::lines;
  double layerHeight = 0.2;  // mm; crossed lines turn from one layer to the next
  int branchWalls = 1;       // lines around a branch
  double innerSpacing = 0;   // mm of daylight between lines inside it; 0 for none
};

// The daylight between lines of width w that fill a share of 0–1 of the area, and the share for a daylight:
// density = w / (w + spacing).
inline double spacingOf(double lineWidth, double density) { return lineWidth / density - lineWidth; }
inline double densityOf(double lineWidth, double spacing) { return lineWidth / (lineWidth + spacing); }

using Stages = std::vector<std::vector<Path>>;  // as in PathGroup

// The lines of one region in a layer with this top. Body lines run at 45° in every layer, so that they stand on one
// another; graded and interface lines at 135°, across the body below and across the part's first skin above. An
// interface has one line around it, which keeps its border covered whatever the spacing; the body has its walls where
// the piece ends. What is too thin for a loop gets a single line.
Stages regionPaths(const PieceRegion& region, double top, const SupportPathRules& rules);

// Which way crossed lines run in a layer: 0 or 1, one after the other.
int crossingOf(double top, const SupportPathRules& rules);

// How one region, or the ties, of a layer are printed.
struct RegionPrint {
  const Stages* paths = nullptr;  // of regions
  double width = 0;               // mm, of ties
  int tool = 0;
};

// One group per piece and filament of a layer, its ties last. regions and ties are as in the layer.
std::vector<PathGroup> supportGroups(const SupportLayer& layer, const std::vector<RegionPrint>& regions,
                                     const std::vector<RegionPrint>& ties);

inline constexpr double bodyAngle = 45, interfaceAngle = 135;

}  // namespace trellis
