// SPDX-License-Identifier: GPL-3.0-or-later
// The lines of a layer as they are printed, for the graphics card.
#pragma once

#include "app/scene/scene_buffers.hpp"

namespace trellis {

// What the layer view draws: a row of switches.
struct LayerLook {
  bool walls = true, covers = true, infill = true, support = true, interface = true, rest = true;
  bool travels = false, arrows = false;
  bool bearings = false;  // coloured by what each line stands on
  bool draws(Feature feature) const;
  bool draws(const Said& said) const;
};

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
// Pairs: the nozzle's way between lines, and little arrows along them.
std::vector<LineVertex> travelLines(const PrintLayer& layer);
std::vector<LineVertex> directionArrows(const PrintLayer& layer, const LayerLook& look,
                                        const std::function<bool(const Owner&)>& ofOwner);

QColor colourOf(Feature feature);
QColor colourOf(ContactClass contactClass);

}  // namespace trellis
