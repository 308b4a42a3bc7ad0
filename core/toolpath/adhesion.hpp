// SPDX-License-Identifier: GPL-3.0-or-later
// What is laid on the plate around and under everything: skirt, brim, raft.
#pragma once

#include "core/settings/rules.hpp"
#include "core/slice/layer_plan.hpp"
#include "core/toolpath/path.hpp"

namespace trellis {

// The raft's layers, lowest first. What stands on it keeps its heights from 0 up, so they lie below 0 and end a gap
// under it.
std::vector<LayerSpan> raftSpans(const AdhesionRules& rules, const LayerRules& layers);

// Of the plate, mm: 0, or below that by what a raft lifts everything.
double plateHeight(const Settings& settings);

// All that stands on the raft, grown by its reach; slits and holes narrower than twice that are filled.
Polygons raftOutline(const Polygons& standing, const AdhesionRules& rules);
// Solid lines with one around them, crossing from layer to layer.
PathGroup raftLines(const Polygons& outline, std::size_t layer, const AdhesionRules& rules);

// Lines around outlines, or inside their holes, that end beside supports.
PathGroup brimLines(const Polygons& parts, const Polygons& supports, const AdhesionRules& rules);
// What the brim reaches over.
Polygons brimReach(const Polygons& parts, const AdhesionRules& rules);

PathGroup skirtLines(const Polygons& covered, const AdhesionRules& rules);

}  // namespace trellis
