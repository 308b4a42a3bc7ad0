// SPDX-License-Identifier: GPL-3.0-or-later
// What is sent to the graphics card, made from values of the core.
#pragma once

#include "app/scene/handles.hpp"
#include "app/window/session.hpp"

#include <vector>

namespace trellis {

struct SurfaceVertex {
  float at[3], normal[3], kind;  // kinds as in surface.frag
};
struct LineVertex {
  float at[3], tint[3];
};

std::vector<SurfaceVertex> partSurface(const Part& part);
std::vector<SurfaceVertex> ghostSurface(const TriangleMesh& mesh, const Placement& placement);
std::vector<LineVertex> defectLines(const Project& project, const Build& build);  // pairs; what is wrong with the meshes
std::vector<LineVertex> freshLines(const Part& part, const std::vector<std::uint32_t>& facets);  // pairs; what mending added
std::vector<LineVertex> handleLines(const std::vector<Handle>& handles, const Handle* hot);  // pairs
std::vector<SurfaceVertex> markSurface(const Project& project);
std::vector<SurfaceVertex> supportSurface(const SupportSolid& solid);
std::vector<LineVertex> plateLines(const Settings& settings);        // pairs
std::vector<LineVertex> plateSheet(const Settings& settings);        // triangles
std::vector<LineVertex> layerRibbons(const PrintLayer& layer);       // triangles
std::vector<LineVertex> ballOutline(const Vec3& centre, double radius, Mark mark);  // pairs

QColor colourOf(Feature feature);

}  // namespace trellis
