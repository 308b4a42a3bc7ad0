// SPDX-License-Identifier: GPL-3.0-or-later
// Regions of space that a stroke marks, in plate coordinates.
#pragma once

#include "core/geometry/polygons.hpp"
#include "core/marks/marks.hpp"
#include "core/mesh/plane.hpp"
#include "core/mesh/ray.hpp"

#include <memory>

namespace trellis {

enum class Where { outside, inside, across };

class Shape {
 public:
  virtual ~Shape() = default;
  // Of a triangle. "inside" and "outside" are meant; "across" may be said too often, which costs splits that
  // merge back.
  virtual Where classify(const Corners& placed) const = 0;
  virtual bool contains(const Vec3& p) const = 0;
  // Triangles across the border are split until no edge is longer than this, mm.
  virtual double leafEdge() const = 0;
};

// What the eye can look at: another part, or the part itself.
struct Occluder {
  MeshTreePtr tree;
  Affine toMesh = Affine::Identity();  // from the plate
};

std::unique_ptr<Shape> ballShape(std::vector<Vec3> path, double radius);
// What an eye sees within a circle of this radius around the path's points, looking only at what lies in
// front of every clip plane.
std::unique_ptr<Shape> sightShape(const std::vector<Vec3>& path, double radius, const Vec3& eye,
                                  std::vector<Occluder> occluders, std::vector<Plane> clip);
std::unique_ptr<Shape> bandShape(double from, double to);
std::unique_ptr<Shape> patchShape(const Polygons& plan, double from, double to);
// What of another shape lies in front of every plane.
std::unique_ptr<Shape> clippedShape(std::unique_ptr<Shape> shape, std::vector<Plane> clip);

// The longest leaf edge a round brush of this radius leaves at its border, mm.
double leafEdge(double radius);

}  // namespace trellis
