// SPDX-License-Identifier: GPL-3.0-or-later
// How far a half-printed body gives way to the nozzle, and whether the plate holds it.
#pragma once

#include "core/base/progress.hpp"
#include "core/geometry/polygons.hpp"
#include "core/mesh/triangle_mesh.hpp"
#include "core/settings/rules.hpp"
#include "core/slice/layer_plan.hpp"

#include <vector>

namespace trellis {

// Of a plane figure, by Green's theorem over its outlines.
struct SectionFigures {
  double area = 0;  // mm²
  Vec2 centre = Vec2::Zero();
  double least = 0;    // mm⁴, the least second moment of area about an axis through its centre
  double modulus = 0;  // mm³, the least section modulus, about any axis through its centre
};
SectionFigures figuresOf(const Polygons& section);

// When a layer is the newest: the worst of all bodies it belongs to.
struct StandingLevel {
  double z = 0;           // mm, its top
  double deflection = 0;  // mm the nozzle pushes it aside
  double safetyFactor =
      1e9;            // what the plate's contact can hold over the overturning moment; 1e9 where nothing pulls at it
  bool held = false;  // support holds it here
  Vec3 at = Vec3::Zero();  // on that body
};

struct Stability {
  std::vector<StandingLevel> levels;           // by layer
  const StandingLevel* mostDeflected() const;  // null without levels
  const StandingLevel* leastHeld() const;
};

// Whether nothing gives way by more and the plate holds everything by more than the rules allow.
bool standsWell(const Stability& stability, const StabilityRules& rules);

// Each connected body is a cantilever that stands on the plate, bends by its own least second moment of area layer by
// layer and is pushed at its top: Euler and Bernoulli's beam, any mechanics handbook. Where holds, one entry per layer
// or none, touch it, it cannot move sideways. What began on support and has not yet grown together with something that
// stands lies in that support and does not count. Weak where bodies lean: the offset of sections does not count; and
// where a hold itself bends: it is taken as rigid.
Stability stabilityOf(const LayerPlan& plan, const std::vector<Polygons>& sections, const std::vector<Polygons>& holds,
                      const StabilityRules& rules, const Progress& progress);

// The same of a mesh put somewhere, from a hundred layers: to compare turnings by. Nothing holds it.
Stability roughStability(const TriangleMesh& mesh, const Affine& toPlate, const StabilityRules& rules,
                         const Progress& progress);

}  // namespace trellis
