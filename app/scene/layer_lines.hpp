// SPDX-License-Identifier: GPL-3.0-or-later
// The lines of a layer as they are printed, for the graphics card.
#pragma once

#include "app/scene/scene_buffers.hpp"

namespace trellis {

// What the layer view draws: a row of switches.
struct LayerLook {
  bool walls = true, skins = true, infill = true, support = true, interface = true, rest = true;
  bool travels = false, arrows = false;
  bool bearings = false;  // coloured by what each line stands on
  bool draws(Feature feature) const;
  bool draws(const Said& said) const;
};

// Triangles. share is how much of the layer's way is drawn, 0–1; where it ends the nozzle is shown.
std::vector<LineVertex> layerRibbons(const PrintLayer& layer, const LayerLook& look, const std::function<bool(const Owner&)>& ofOwner, double share);
// The same of a trial print, of the stretches whose top lies between two heights, coloured by what they stand on; what is on air carries bars across.
std::vector<LineVertex> bearingRibbons(const TrialPrint& trial, double above, double upTo, const LayerLook& look, double share);
// Pairs: the nozzle's way between lines, and little arrows along them.
std::vector<LineVertex> travelLines(const PrintLayer& layer);
std::vector<LineVertex> directionArrows(const PrintLayer& layer, const LayerLook& look, const std::function<bool(const Owner&)>& ofOwner);

QColor colourOf(Feature feature);
QColor colourOf(Bearing bearing);

}  // namespace trellis
