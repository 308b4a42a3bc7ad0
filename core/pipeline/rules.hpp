// SPDX-License-Identifier: GPL-3.0-or-later
// What each step wants to know, taken from the settings.
#pragma once

#include "core/gcode/writer.hpp"
#include "core/project/project.hpp"
#include "core/slice/layer_plan.hpp"
#include "core/support/rules.hpp"
#include "core/toolpath/part_paths.hpp"
#include "core/toolpath/support_paths.hpp"

namespace trellis {

LayerRules layerRules(const Settings& settings);
SupportRules supportRules(const Settings& settings);
PartRules partRules(const Settings& settings);
SupportPathRules supportPathRules(const Settings& settings);
MotionRules motionRules(const Settings& settings);
GcodeRules gcodeRules(const Project& project, double printHeight);

}  // namespace trellis
