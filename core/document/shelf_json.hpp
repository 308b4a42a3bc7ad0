// SPDX-License-Identifier: GPL-3.0-or-later
// A project's other variants and its versions as JSON.
#pragma once

#include "core/document/decisions_json.hpp"

namespace trellis {

// Each project in it as decisionsJson writes one; what it shares with others is attached under one name.
nlohmann::json shelfJson(const Shelf& shelf, const Attaching& attach);
// Throws as projectFrom does.
Shelf shelfFrom(const nlohmann::json& json, const Attachments& attached, const std::string& name);

}  // namespace trellis
