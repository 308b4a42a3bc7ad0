// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/document/twin.hpp"

#include "core/marks/brush.hpp"
#include "core/mesh/nearest.hpp"

#include <algorithm>

namespace trellis {

namespace {

Affine reflection(const Plane& plane) {
  Affine t = Affine::Identity();
  t.linear() -= 2 * plane.normal * plane.normal.transpose();
  t.translation() = 2 * plane.at.dot(plane.normal) * plane.normal;
  return t;
}

// All but any mesh are their own mirror image and need not be turned inside out: the axis that lies most nearly across
// the plane is turned round.
Zone mirrored(const Zone& zone, const Affine& across, const Plane& plane) {
  Zone twin = zone;
  twin.id = {};
  twin.toMesh = across * zone.toMesh;
  if (zone.shape == ZoneShape::mesh) return twin;
  Eigen::Index axis = 0;
  (zone.toMesh.linear().colwise().normalized().transpose() * plane.normal).cwiseAbs().maxCoeff(&axis);
  Vec3 turned = Vec3::Ones();
  turned[axis] = -1;
  twin.toMesh = twin.toMesh * Eigen::Scaling(turned);
  return twin;
}

Box3 boxOf(const Zone& zone) {
  Box3 box;
  for (int i = 0; i < 8; ++i)
    box.extend(zone.toMesh * Vec3(i & 1 ? 0.5 : -0.5, i & 2 ? 0.5 : -0.5, i & 4 ? 0.5 : -0.5));
  return box;
}

bool isAlike(const Zone& a, const Zone& b) {
  const Box3 x = boxOf(a), y = boxOf(b);
  return a.as == b.as && (x.min() - y.min()).norm() < twinReach && (x.max() - y.max()).norm() < twinReach;
}

// Lays what was decided at places of the surface.
class Layer {
 public:
  Layer(const Part& part, const Affine& across, double freeLean)
      : part_(part),
        across_(across),
        tree_(treeOf(part.mesh)),
        canvas_{part.mesh, tree_, transformOf(part.placement, *part.mesh), freeLean} {}

  void props(std::vector<Prop>& to) const {
    for (const Prop& prop : part_.props) {
      const auto there = placeOf(prop.at);
      const bool known = there && std::any_of(part_.props.begin(), part_.props.end(), [&](const Prop& other) {
                           return (other.at - *there).norm() < twinReach;
                         });
      if (there && !known) to.push_back({*there, prop.width, prop.settings, {}});
    }
  }

  void sites(std::vector<SiteDecision>& to) const {
    for (const SiteDecision& site : part_.sites)
      if (const auto there = placeOf(site.at); there && !isDecided(*there))
        to.push_back({*there, site.choice, site.settings});
  }

 private:
  std::optional<Vec3> placeOf(const Vec3& at) const {
    const auto near = nearestOn(*tree_, across_ * at, twinReach);
    return near ? std::optional(near->point) : std::nullopt;
  }

  // Whether a choice was made for the site at a place.
  bool isDecided(const Vec3& there) const {
    const std::vector<std::uint32_t> facets = siteAt(canvas_, {canvas_.toPlate * there});
    return std::any_of(part_.sites.begin(), part_.sites.end(), [&](const SiteDecision& known) {
      const auto near = nearestOn(*tree_, known.at, twinReach);
      return near && std::binary_search(facets.begin(), facets.end(), near->facet);
    });
  }

  const Part& part_;
  const Affine& across_;
  MeshTreePtr tree_;
  Canvas canvas_;
};

}  // namespace

Part withTwin(const Part& part, const Plane& plane, double freeLean, const Progress& progress) {
  Part both = part;
  for (MarksPtr Part::*coat : coats)
    both.*coat = (part.*coat)->over(*mirroredMarks(part.mesh, *(part.*coat), plane, progress));
  const Affine across = reflection(plane);
  for (const Zone& zone : part.zones) {
    const Zone twin = mirrored(zone, across, plane);
    const auto known = [&](const Zone& other) { return isAlike(other, twin); };
    if (std::none_of(part.zones.begin(), part.zones.end(), known)) both.zones.push_back(twin);
  }
  const Layer layer(part, across, freeLean);
  layer.props(both.props);
  layer.sites(both.sites);
  return both;
}

TwinLeftOut twinLeftOut(const Part& part, const Part& both) {
  TwinLeftOut out;
  std::optional<Vec3> marked;
  for (MarksPtr Part::*coat : coats) {
    const MarksBeyond more = beyond(*part.mesh, *(part.*coat), *(both.*coat), twinReach);
    out.marked += more.area;
    if (more.area > 0 && !marked) marked = more.at;
  }
  out.others = both.zones.size() + both.props.size() + both.sites.size() - part.zones.size() - part.props.size() -
               part.sites.size();
  if (both.sites.size() > part.sites.size()) out.at = both.sites.back().at;
  if (both.zones.size() > part.zones.size()) out.at = both.zones.back().toMesh.translation();
  if (both.props.size() > part.props.size()) out.at = both.props.back().at;
  if (marked) out.at = *marked;
  return out;
}

}  // namespace trellis
