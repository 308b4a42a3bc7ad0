// SPDX-License-Identifier: GPL-3.0-or-later
// One thing to print: its mesh, where it stands, and the decisions painted on it.
#pragma once

#include "core/document/decisions.hpp"
#include "core/document/placement.hpp"
#include "core/marks/carry.hpp"

namespace trellis {

// A part has three coats of marks: where support goes, what is to be kept free of any contact, and what will be looked
// at, where a scar weighs more than elsewhere.
enum class Coat { support, clean, seen };

struct Part {
  std::string name;
  MeshPtr mesh;
  Placement placement;
  MarksPtr marks = std::make_shared<const Marks>();
  MarksPtr clean = std::make_shared<const Marks>();  // faces to be kept free of any contact, marked block
  MarksPtr seen = std::make_shared<const Marks>();   // faces that will be looked at, marked block
  std::vector<Zone> zones = {};
  std::vector<Prop> props = {};
  std::vector<SiteDecision> sites = {};
  std::map<int, Overrides> tints = {};  // of support that enforcers of a tint cause; 0 to tintCount − 1, none empty
  Overrides settings = {};              // where this part differs from the plate
  std::vector<Accepted> accepted = {};
  PartId id = {};
  MeshPtr elsewhere = {};                 // support that came with it, made by another program; in its own coordinates
  std::vector<LostMarks> lostMarks = {};  // what the last replacement of its mesh could not keep
};

inline constexpr std::array<MarksPtr Part::*, 3> coats{&Part::marks, &Part::clean, &Part::seen};  // as Coat
inline MarksPtr Part::*marksOf(Coat coat) { return coats[static_cast<std::size_t>(coat)]; }

// Whether anything was decided about its supports, settings aside.
inline bool hasDecisions(const Part& part) {
  return !part.marks->empty() || !part.clean->empty() || !part.seen->empty() || !part.zones.empty() ||
         !part.props.empty() || !part.sites.empty();
}

using PartPtr = std::shared_ptr<const Part>;

}  // namespace trellis
