// SPDX-License-Identifier: GPL-3.0-or-later
// Laying marks: the brushes. Places are plate coordinates, lengths mm.
#pragma once

#include "core/marks/shapes.hpp"
#include "core/mesh/neighbours.hpp"

#include <optional>
#include <variant>

namespace trellis {

// Everything within radius of a path through space. A path of one point is a dab.
struct BallStroke {
  std::vector<Vec3> path;
  double radius = 3;  // 0.1–200
};
// What the eye sees within a circle of this radius round the path's points.
struct SightStroke {
  std::vector<Vec3> path;
  double radius = 3;
  Vec3 eye = Vec3::Zero();
};
// The face at a place, over every edge where it bends by no more than the crease.
struct FaceStroke {
  Vec3 at = Vec3::Zero();
  double crease = 20;  // degrees
};
// The hanging surface at a place, as far as it is connected.
struct SiteStroke {
  Vec3 at = Vec3::Zero();
};
// Everything between two heights.
struct BandStroke {
  double from = 0, to = 0;
};
// Everything that leans more than this.
struct LeanStroke {
  double above = 45;  // degrees
};
// Down-facing surface within a plan region, between two heights: what one support carries.
struct PatchStroke {
  Polygons plan;
  double from = 0, to = 0;
};
using Stroke = std::variant<BallStroke, SightStroke, FaceStroke, SiteStroke, BandStroke, LeanStroke, PatchStroke>;

// A placed part, as brushes see it.
struct Canvas {
  MeshPtr mesh;
  MeshTreePtr tree;  // of mesh
  Affine toPlate = Affine::Identity();
  double freeLean = 45;               // degrees, of sites and of keeping to overhangs
  const Marks* clean = nullptr;       // facets that are wholly clean are skipped; elsewhere clean wins anyway
  std::vector<Occluder> others = {};  // other parts, which may stand in the way of the eye
};

struct PaintRules {
  bool keepToOverhangs = false;       // only where the lean exceeds the free lean
  std::optional<double> crease = {};  // Ball and Sight stay on surface that is reached without bending by more, degrees
  std::vector<Plane> clip = {};       // only in front of every plane
};

// The marks after laying a mark (Mark::none clears). A mark's border lies within half a leaf edge of the
// exact shape. A ball touches only facets near it. A stroke that meets no surface changes nothing.
MarksPtr paint(const Canvas& canvas, const Marks& marks, const Stroke& stroke, Mark mark, const PaintRules& rules);

// The facets a Face or Site stroke takes, ascending; empty when there is no such surface within a millimetre.
std::vector<std::uint32_t> faceAt(const Canvas& canvas, const FaceStroke& stroke);
std::vector<std::uint32_t> siteAt(const Canvas& canvas, const SiteStroke& stroke);

// The same stroke on the other side of a plane.
Stroke mirrored(const Stroke& stroke, const Plane& plane);

}  // namespace trellis
