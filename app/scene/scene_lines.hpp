// SPDX-License-Identifier: GPL-3.0-or-later
// Lines that are sent to the graphics card, and what has one colour of its own, made from values of the core.
#pragma once

#include "app/scene/handles.hpp"
#include "app/window/builder.hpp"
#include "app/window/hand.hpp"

#include <functional>
#include <vector>

namespace trellis {

struct LineVertex {
  float at[3], tint[3];
};

// In pairs, where nothing else is said.
void addLine(std::vector<LineVertex>& out, const Vec3& a, const Vec3& b, const QColor& tint);

// What is wrong with the meshes, and what mending added.
std::vector<LineVertex> defectLines(const Project& project, const Build& build);
std::vector<LineVertex> freshLines(const Part& part, const std::vector<std::uint32_t>& facets);
std::vector<LineVertex> handleLines(const std::vector<Handle>& handles, const Handle* hot);
// Rings of props.
std::vector<LineVertex> decisionLines(const Project& project, std::size_t selected, const std::vector<Chosen>& chosen);
std::vector<LineVertex> planeLines(const Plane& plane, const Box3& around, const QColor& tint);
std::vector<LineVertex> bandLines(const Box3& around, double from, double to);
// Filled diamonds that face the eye where something starts in the air: triangles.
std::vector<LineVertex> startDiamonds(const Build& build, const Camera& camera,
                                      const std::function<bool(std::size_t, const Vec3&)>& isShown);
std::vector<LineVertex> boxLines(const Box3& box);
std::vector<LineVertex> plateRim(const Settings& settings);
std::vector<LineVertex> plateLines(const Settings& settings);
std::vector<LineVertex> plateSheet(const Settings& settings);  // triangles
std::vector<LineVertex> ballOutline(const Vec3& centre, double radius, Mark mark);

}  // namespace trellis
