// SPDX-License-Identifier: GPL-3.0-or-later
// Operations from the command line's list, one after the other.
#pragma once

#include "core/document/project.hpp"
#include "core/results/store.hpp"

#include <nlohmann/json_fwd.hpp>

namespace trellis {

// A list of operations performed in order. Where an entry points at support, what stands there is built first. The
// error says which entry failed.
ProjectPtr performedAll(Store& store, const Project& project, const nlohmann::json& list, const Progress& progress);

}  // namespace trellis
