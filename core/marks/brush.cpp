// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/marks/brush.hpp"

#include "core/marks/tree_painter.hpp"
#include "core/mesh/nearest.hpp"
#include "core/mesh/plane.hpp"
#include "core/overhang/lean.hpp"

#include <algorithm>
#include <cmath>
#include <numeric>

namespace trellis {

namespace {

using Facets = std::vector<std::uint32_t>;
using Changes = std::vector<std::pair<std::uint32_t, MarkTree>>;

constexpr double pointing = 1;  // mm a place may lie off the surface it means

class Painter {
 public:
  Painter(const Canvas& canvas, const Marks& marks, Mark mark, const PaintRules& rules)
      : canvas_(canvas), marks_(marks), mark_(mark), rules_(rules), normalToPlate_(normalMap(canvas.toPlate)) {}

  MarksPtr operator()(const BallStroke& stroke) {
    const Facets near = facetsNear(stroke.path, stroke.radius);
    return shaped(*clippedShape(ballShape(stroke.path, stroke.radius), rules_.clip), withinCreases(near, stroke.path));
  }
  MarksPtr operator()(const SightStroke& stroke) {
    std::vector<Occluder> occluders = canvas_.others;
    occluders.push_back({canvas_.tree, canvas_.toPlate.inverse()});
    Facets facing;
    for (const std::uint32_t f : all())
      if (facesEye(f, stroke.eye)) facing.push_back(f);
    return shaped(*sightShape(stroke.path, stroke.radius, stroke.eye, std::move(occluders), rules_.clip),
                  withinCreases(facing, stroke.path));
  }
  MarksPtr operator()(const FaceStroke& stroke) { return whole(faceAt(canvas_, stroke)); }
  MarksPtr operator()(const SiteStroke& stroke) { return whole(siteAt(canvas_, stroke)); }
  MarksPtr operator()(const BandStroke& stroke) {
    return shaped(
        *clippedShape(bandShape(std::min(stroke.from, stroke.to), std::max(stroke.from, stroke.to)), rules_.clip),
        all());
  }
  MarksPtr operator()(const LeanStroke& stroke) {
    Facets steep;
    for (const std::uint32_t f : all())
      if (leanOfFacet(f) > stroke.above && !liesOnPlate(f)) steep.push_back(f);
    return whole(steep);
  }
  MarksPtr operator()(const PatchStroke& stroke) {
    Facets down;
    for (const std::uint32_t f : all())
      if (leanOfFacet(f) > 0) down.push_back(f);
    return shaped(*patchShape(stroke.plan, stroke.from, stroke.to), down);
  }

  double leanOfFacet(std::uint32_t f) const { return leanOf((normalToPlate_ * canvas_.mesh->normal(f)).normalized()); }

 private:
  Facets all() const {
    Facets facets(canvas_.mesh->facets.size());
    std::iota(facets.begin(), facets.end(), 0u);
    return facets;
  }

  bool liesOnPlate(std::uint32_t f) const {
    const Corners c = canvas_.mesh->corners(f);
    return std::all_of(c.begin(), c.end(), [&](const Vec3& p) { return (canvas_.toPlate * p).z() < 1e-3; });
  }

  bool facesEye(std::uint32_t f, const Vec3& eye) const {
    const Corners c = canvas_.mesh->corners(f);
    const bool flipped = canvas_.toPlate.linear().determinant() < 0;
    const Vec3 a = canvas_.toPlate * c[0], normal = (canvas_.toPlate * c[1] - a).cross(canvas_.toPlate * c[2] - a);
    return (eye - a).dot(flipped ? Vec3(-normal) : normal) > 0;
  }

  bool mayMark(std::uint32_t f) const {
    if (canvas_.clean && canvas_.clean->tree(f).size() == 1) return false;  // wholly clean
    return !rules_.keepToOverhangs || leanOfFacet(f) > canvas_.freeLean;
  }

  // Long stretches of the path are walked in steps of a radius.
  Facets facetsNear(const std::vector<Vec3>& path, double radius) const {
    const Affine toMesh = canvas_.toPlate.inverse();
    // The longest a unit of the plate can be in the mesh, so that a scaled part is searched far enough.
    const double stretch = toMesh.linear().norm() / (isUniform(toMesh) ? std::sqrt(3.0) : 1.0) * (1 + 1e-9);
    Facets found;
    for (std::size_t i = 0; i < path.size(); ++i) {
      const Vec3 from = path[i > 0 ? i - 1 : 0], along = path[i] - from;
      const int steps = static_cast<int>(std::ceil(along.norm() / radius));
      for (int k = steps > 0 ? 1 : 0; k <= steps; ++k) {
        const Vec3 centre = toMesh * Vec3(from + along * (steps > 0 ? static_cast<double>(k) / steps : 0));
        const Facets near = canvas_.tree->facetsNear(centre, radius * (path.size() > 1 ? 1.2 : 1) * stretch);
        found.insert(found.end(), near.begin(), near.end());
      }
    }
    std::sort(found.begin(), found.end());
    found.erase(std::unique(found.begin(), found.end()), found.end());
    return found;
  }

  static bool isUniform(const Affine& t) {
    const Eigen::Matrix3d square = t.linear().transpose() * t.linear();
    return (square - Eigen::Matrix3d::Identity() * square(0, 0)).norm() < 1e-9 * square(0, 0);
  }

  // Of the candidates, those reached from under the path without bending by more than the crease.
  Facets withinCreases(const Facets& candidates, const std::vector<Vec3>& path) const {
    if (!rules_.crease) return candidates;
    Facets seeds;
    for (const Vec3& at : path)
      if (const auto near = nearestOn(*canvas_.tree, canvas_.toPlate.inverse() * at, pointing))
        seeds.push_back(near->facet);
    const double least = std::cos(toRadians(*rules_.crease));
    return flood(*neighboursOf(canvas_.mesh), seeds, [&](std::uint32_t from, std::uint32_t to) {
      return std::binary_search(candidates.begin(), candidates.end(), to) &&
             normalOf(from).dot(normalOf(to)) >= least - 1e-9;
    });
  }

  Vec3 normalOf(std::uint32_t f) const { return (normalToPlate_ * canvas_.mesh->normal(f)).normalized(); }

  MarksPtr shaped(const Shape& shape, const Facets& facets) const {
    TreePainter painter(shape, canvas_.toPlate, mark_);
    Changes changes;
    for (const std::uint32_t facet : facets) {
      if (!mayMark(facet)) continue;
      const std::string_view old = marks_.tree(facet);
      MarkTree fresh = painter.paint(canvas_.mesh->corners(facet), old);
      if (fresh != old && !(old.empty() && fresh == MarkTree(1, '\0'))) changes.emplace_back(facet, std::move(fresh));
    }
    return marks_.with(changes);
  }

  MarksPtr whole(const Facets& facets) const {
    Changes changes;
    for (const std::uint32_t facet : facets)
      if (mayMark(facet)) changes.emplace_back(facet, MarkTree(1, static_cast<char>(mark_)));
    return marks_.with(changes);
  }

  const Canvas& canvas_;
  const Marks& marks_;
  Mark mark_;
  const PaintRules& rules_;
  Eigen::Matrix3d normalToPlate_;
};

}  // namespace

MarksPtr paint(const Canvas& canvas, const Marks& marks, const Stroke& stroke, Mark mark, const PaintRules& rules) {
  return std::visit(Painter(canvas, marks, mark, rules), stroke);
}

std::vector<std::uint32_t> faceAt(const Canvas& canvas, const FaceStroke& stroke) {
  const auto under = nearestOn(*canvas.tree, canvas.toPlate.inverse() * stroke.at, pointing);
  if (!under) return {};
  const Eigen::Matrix3d toPlate = normalMap(canvas.toPlate);
  const double least = std::cos(toRadians(stroke.crease));
  const auto normalOf = [&](std::uint32_t f) { return Vec3((toPlate * canvas.mesh->normal(f)).normalized()); };
  return flood(*neighboursOf(canvas.mesh), {under->facet},
               [&](std::uint32_t from, std::uint32_t to) { return normalOf(from).dot(normalOf(to)) >= least - 1e-9; });
}

std::vector<std::uint32_t> siteAt(const Canvas& canvas, const SiteStroke& stroke) {
  const auto under = nearestOn(*canvas.tree, canvas.toPlate.inverse() * stroke.at, pointing);
  const Eigen::Matrix3d toPlate = normalMap(canvas.toPlate);
  const auto hangs = [&](std::uint32_t f) {
    return leanOf((toPlate * canvas.mesh->normal(f)).normalized()) > canvas.freeLean;
  };
  if (!under || !hangs(under->facet)) return {};
  return flood(*neighboursOf(canvas.mesh), {under->facet}, [&](std::uint32_t, std::uint32_t to) { return hangs(to); });
}

Stroke mirrored(const Stroke& stroke, const Plane& plane) {
  struct Mirror {
    const Plane& plane;
    std::vector<Vec3> path(const std::vector<Vec3>& points) const {
      std::vector<Vec3> out;
      for (const Vec3& p : points) out.push_back(plane.mirrored(p));
      return out;
    }
    Stroke operator()(const BallStroke& s) const { return BallStroke{path(s.path), s.radius}; }
    Stroke operator()(const SightStroke& s) const { return SightStroke{path(s.path), s.radius, plane.mirrored(s.eye)}; }
    Stroke operator()(const FaceStroke& s) const { return FaceStroke{plane.mirrored(s.at), s.crease}; }
    Stroke operator()(const SiteStroke& s) const { return SiteStroke{plane.mirrored(s.at)}; }
    Stroke operator()(const BandStroke& s) const { return s; }
    Stroke operator()(const LeanStroke& s) const { return s; }
    Stroke operator()(const PatchStroke& s) const { return s; }
  };
  return std::visit(Mirror{plane}, stroke);
}

}  // namespace trellis
