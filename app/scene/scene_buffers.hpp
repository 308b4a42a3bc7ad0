// SPDX-License-Identifier: GPL-3.0-or-later
// What is sent to the graphics card, made from values of the core.
#pragma once

#include "app/scene/handles.hpp"
#include "app/window/builder.hpp"
#include "app/window/hand.hpp"

#include <functional>
#include <vector>

namespace trellis {

struct SurfaceVertex {
  float at[3], normal[3], kind;  // kinds as in surface.vert
};
struct LineVertex {
  float at[3], tint[3];
};

void addLine(std::vector<LineVertex>& out, const Vec3& a, const Vec3& b, const QColor& tint);

std::vector<SurfaceVertex> partSurface(const TriangleMesh& mesh, const Placement& placement);
std::vector<SurfaceVertex> ghostSurface(const TriangleMesh& mesh, const Placement& placement);
std::vector<LineVertex> defectLines(const Project& project,
                                    const Build& build);  // pairs; what is wrong with the meshes
std::vector<LineVertex> freshLines(const Part& part,
                                   const std::vector<std::uint32_t>& facets);  // pairs; what mending added
std::vector<LineVertex> handleLines(const std::vector<Handle>& handles, const Handle* hot);  // pairs
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
// Edges of the chosen zone, rings of props, the plane of twin strokes: pairs.
std::vector<LineVertex> decisionLines(const Project& project, std::size_t selected, const std::vector<Chosen>& chosen);
std::vector<LineVertex> planeLines(const Plane& plane, const Box3& around, const QColor& tint);
std::vector<LineVertex> bandLines(const Box3& around, double from, double to);  // pairs
// Floating starts but those too small to matter.
std::vector<FloatingStart> startsThatMatter(const PartBuild& part);
// Filled diamonds that face the eye where something starts in the air: triangles.
std::vector<LineVertex> startDiamonds(const Build& build, const Camera& camera,
                                      const std::function<bool(std::size_t, const Vec3&)>& isShown);
// pieces says which filament each body has; where it is not known yet, none.
std::vector<SurfaceVertex> supportSurface(const SupportSolid& solid, const std::vector<PieceFigures>& pieces,
                                          const std::function<bool(const SolidVertex&)>& isShown);
// All of it lit.
std::vector<SurfaceVertex> litSolid(const SupportSolid& solid);
std::vector<LineVertex> boxLines(const Box3& box);
std::vector<LineVertex> plateRim(const Settings& settings);
std::vector<LineVertex> plateLines(const Settings& settings);                       // pairs
std::vector<LineVertex> plateSheet(const Settings& settings);                       // triangles
std::vector<LineVertex> ballOutline(const Vec3& centre, double radius, Mark mark);  // pairs

}  // namespace trellis
