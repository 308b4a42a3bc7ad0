// SPDX-License-Identifier: GPL-3.0-or-later
// The {fields} that a machine's start, end and tool-change texts may have.
#pragma once

#include <array>
#include <string_view>

namespace trellis {

// The last two are what older machines call the heats.
inline constexpr std::array<std::string_view, 7> textFields = {
    "nozzle_heat", "plate_heat", "height", "tool", "version", "nozzle_temperature", "bed_temperature"};

}  // namespace trellis
