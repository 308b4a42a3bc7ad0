// SPDX-License-Identifier: GPL-3.0-or-later
// One thing to print: its mesh, where it stands, and the decisions painted on it.
#pragma once

#include "core/marks/marks.hpp"
#include "core/plate/placement.hpp"

#include <string>

namespace trellis {

struct Part {
  std::string name;
  MeshPtr mesh;
  Placement placement;
  MarksPtr marks = std::make_shared<const Marks>();
};

using PartPtr = std::shared_ptr<const Part>;

}  // namespace trellis
