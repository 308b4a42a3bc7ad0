// SPDX-License-Identifier: GPL-3.0-or-later
// Triangles that are sent to the graphics card, made from values of the core.
#pragma once

#include "app/window/builder.hpp"
#include "app/window/hand.hpp"

#include <functional>
#include <vector>

namespace trellis {

struct SurfaceVertex {
  float at[3], normal[3], kind;  // kinds as in surface.vert
};

std::vector<SurfaceVertex> partSurface(const TriangleMesh& mesh, const Placement& placement);
std::vector<SurfaceVertex> ghostSurface(const TriangleMesh& mesh, const Placement& placement);
// Of the parts that are shown.
using PartShown = std::function<bool(std::size_t)>;
std::vector<SurfaceVertex> markSurface(const Project& project, const PartShown& isShown);
// What a stroke would lay, as that is shown once it is laid; lit where it takes away. fresh: the stroke alone.
std::vector<SurfaceVertex> strokeSurface(const Part& part, const Marks& fresh, const LayMark& lay);
// Facets of clean and seen faces, of sites with a choice, and of what is lit, each in its kind.
std::vector<SurfaceVertex> coatSurface(const Project& project, const PartShown& isShown);
std::vector<SurfaceVertex> choiceSurface(const Project& project, const Build& build, const PartShown& isShown);
std::vector<SurfaceVertex> litSurface(const Part& part, const std::vector<std::uint32_t>& facets);
std::vector<SurfaceVertex> zoneSurface(const Project& project, const PartShown& isShown);
// pieces says which filament each body has; where it is not known yet, none.
std::vector<SurfaceVertex> supportSurface(const SupportSolid& solid, const std::vector<PieceFigures>& pieces,
                                          const std::function<bool(const SolidVertex&)>& isShown);
// All of it lit.
std::vector<SurfaceVertex> litSolid(const SupportSolid& solid);

}  // namespace trellis
