// SPDX-License-Identifier: GPL-3.0-or-later
// The document: parts with their decisions, and the settings. An immutable value; it changes only by
// operations, which make a new one that shares everything they leave alone.
#pragma once

#include "core/document/part.hpp"
#include "core/document/variants.hpp"
#include "core/mesh/read_mesh.hpp"
#include "core/settings/sets.hpp"

namespace trellis {

struct Project {
  std::vector<PartPtr> parts;
  Settings settings;
  std::vector<Accepted> accepted = {};  // findings about the whole plate
  std::uint64_t nextId = 1;             // the number of the next part, zone, prop or variant
  ChosenSets sets = {};                 // what the settings were set up with, as it was then
  Shelf shelf = {};                     // other variants, and versions; nothing of it is built
};

// The settings in force for one part: the plate's, with the part's own on top.
Settings settingsOf(const Project& project, std::size_t part);

// The project with a name of its own for every part, zone and prop: whatever has none, or one that came before it in
// the list, is given the next.
Project withIds(Project project);

// As files and operations write an id: "p3", "z4", "q5".
std::string textOf(PartId id);
std::string textOf(ZoneId id);
std::string textOf(PropId id);

// All parts where they stand, as one mesh.
MeshPtr placedTogether(const Project& project);

// Meshes from files as parts in the middle of the plate, dropped onto it, in a row where there are
// several. Meshes of one file keep their places relative to each other.
std::vector<PartPtr> partsFrom(const std::vector<NamedMesh>& meshes, const Settings& settings);

}  // namespace trellis
