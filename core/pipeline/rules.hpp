// SPDX-License-Identifier: GPL-3.0-or-later
// What each step wants to know, taken from the settings.
#pragma once

#include "core/gcode/writer.hpp"
#include "core/project/project.hpp"
#include "core/slice/layer_plan.hpp"
#include "core/support/rules.hpp"
#include "core/toolpath/adhesion.hpp"
#include "core/toolpath/part_paths.hpp"
#include "core/toolpath/prime_tower.hpp"
#include "core/toolpath/support_paths.hpp"

namespace trellis {

LayerRules layerRules(const Settings& settings);
SupportRules supportRules(const Settings& settings);
PartRules partRules(const Settings& settings);
SupportPathRules supportPathRules(const Settings& settings);
MotionRules motionRules(const Settings& settings);
AdhesionRules adhesionRules(const Settings& settings);
// Of the plate, mm: 0, or below that by what a bed lifts everything.
double plateHeight(const Settings& settings);
TowerRules towerRules(const Settings& settings);
// The filament of an interface: 0 the first, 1 the second.
int interfaceTool(const Settings& settings);
GcodeRules gcodeRules(const Project& project, double printHeight);

}  // namespace trellis
