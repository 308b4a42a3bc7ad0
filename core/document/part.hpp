// SPDX-License-Identifier: GPL-3.0-or-later
// One thing to print: its mesh, where it stands, and the decisions painted on it.
#pragma once

#include "core/document/decisions.hpp"
#include "core/document/placement.hpp"
#include "core/marks/carry.hpp"

namespace trellis {

struct Part {
  std::string name;
  MeshPtr mesh;
  Placement placement;
  MarksPtr marks = std::make_shared<const Marks>();
  MarksPtr clean = std::make_shared<const Marks>();  // faces to be kept free of any contact, marked block
  std::vector<Zone> zones = {};
  std::vector<Prop> props = {};
  std::vector<SiteDecision> sites = {};
  Overrides settings = {};  // where this part differs from the plate
  std::vector<Accepted> accepted = {};
  PartId id = {};
  std::vector<LostMarks> lostMarks = {};  // what the last replacement of its mesh could not keep
};

using PartPtr = std::shared_ptr<const Part>;

}  // namespace trellis
