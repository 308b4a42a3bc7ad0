// SPDX-License-Identifier: GPL-3.0-or-later
// Built supports in open formats, for any program that prints or reads them.
#pragma once

#include "core/assess/build.hpp"
#include "core/document/project.hpp"

namespace trellis {

// What of a piece is printed as interface, or all else of it: slabs as they are printed, each closed. Where an outline
// stays the same from layer to layer it is one slab. Null where there is none.
MeshPtr pieceSolid(const Build& build, std::size_t piece, bool interface);

// All supports as one mesh; null without any.
MeshPtr supportMesh(const Build& build, const Progress& progress);

// A 3MF package (3MF core specification 1.3): parts as objects of type "model", supports of type "support", each
// piece's body and interface apart; with their layers too if wanted (layer_stacks.hpp).
std::string packWithSupports(const Project& project, const Build& build, bool withLayers, const Progress& progress);

// What each cause costs, as a table: RFC 4180.
std::string pricesCsv(const Build& build, const Settings& settings);

}  // namespace trellis
