// SPDX-License-Identifier: GPL-3.0-or-later
// The lines of a layer as they are printed, for the graphics card.
#pragma once

#include "app/scene/scene_lines.hpp"

namespace trellis {

// What the layer view draws: a row of switches.
struct LayerLook {
  bool walls = true, covers = true, infill = true, support = true, interface = true, rest = true;
  bool travels = false, arrows = false;
  bool bearings = false;  // coloured by what each line stands on
  bool speeds = false;    // by how fast it is drawn, mm/s
  bool flows = false;     // by how much is laid a second, mm³/s
  bool draws(Feature feature) const;
  bool draws(const Said& said) const;
};

// What lines are coloured by where speed or flow is shown: from the least to the most that the layer has.
struct Spread {
  double least = 0, most = 0;
};
Spread measuredIn(const PrintLayer& layer, const LayerLook& look);
// Pale for the least, dark for the most; seen apart by lightness alone.
QColor colourOf(double share);

// Triangles. share is how much of the layer's way is drawn, 0–1; where it ends the nozzle is shown.
std::vector<LineVertex> layerRibbons(const PrintLayer& layer, const LayerLook& look,
                                     const std::function<bool(const Owner&)>& ofOwner, double share);
// A whole trial print, lowered by some mm, coloured by what each stretch stands on; what is on air carries bars across.
// Layer on layer, so that any range of layers is a range of vertices.
struct StackedRibbons {
  std::vector<LineVertex> vertices;          // triangles, two a stretch
  std::vector<std::pair<double, int>> ends;  // top of a layer, mm, and how many vertices there are up to it
};
StackedRibbons bearingRibbons(const TrialPrint& trial, double lowered, const LayerLook& look);
// Pairs: the nozzle's way between lines, vermilion with a cross at its beginning where filament is pulled back; a small
// diamond on every seam of an outer wall; and little arrows along lines.
std::vector<LineVertex> travelLines(const PrintLayer& layer);
std::vector<LineVertex> directionArrows(const PrintLayer& layer, const LayerLook& look,
                                        const std::function<bool(const Owner&)>& ofOwner);

QColor colourOf(Feature feature);
QColor colourOf(ContactClass contactClass);

}  // namespace trellis
