// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/document/bounds.hpp"

#include <algorithm>
#include <cmath>

namespace trellis {

namespace {

bool isWithin(const Vec3& at, double farthest) { return at.allFinite() && at.cwiseAbs().maxCoeff() <= farthest; }

void checkRound(const std::vector<Vec3>& path, double radius) {
  if (path.empty()) throw Error(say("A stroke needs at least one point."));
  if (path.size() > bounds::strokePoints)
    throw Error(say("A stroke can have {} points; this one has {}.", bounds::strokePoints, path.size()));
  for (const Vec3& p : path) checkPlace(p, "A stroke");
  if (!(radius >= 0.1 && radius <= 200))
    throw Error(say("A brush radius cannot be {:g} mm. It can be 0.1 to 200 mm.", radius));
}

void checkAngle(double degrees, double most, const char* what) {
  if (!(degrees >= 0 && degrees <= most))
    throw Error(say("{} cannot be {:g}°. It can be 0 to {:g}°.", sayWords(what), degrees, most));
}

struct StrokeCheck {
  void operator()(const BallStroke& ball) const { checkRound(ball.path, ball.radius); }
  void operator()(const SightStroke& sight) const {
    checkRound(sight.path, sight.radius);
    if (!isWithin(sight.eye, bounds::place))
      throw Error(say("The eye of a Sight stroke can be at most {:g} mm from the plate's corner.", bounds::place));
  }
  void operator()(const FaceStroke& face) const {
    checkPlace(face.at, "A face");
    checkAngle(face.crease, 180, "A crease");
  }
  void operator()(const SiteStroke& site) const { checkPlace(site.at, "A site"); }
  void operator()(const BandStroke& band) const {
    if (!(std::abs(band.from) <= bounds::place && std::abs(band.to) <= bounds::place))
      throw Error(say("A band can reach from {0:g} to {1:g} mm.", -bounds::place, bounds::place));
  }
  void operator()(const LeanStroke& lean) const { checkAngle(lean.above, 90, "A lean"); }
  void operator()(const PatchStroke&) const {}
};

// mm the placed mesh measures at most, from its box alone.
Vec3 placedSize(const Part& part) {
  const Affine placed = transformOf(part.placement, *part.mesh);
  Box3 box;
  for (int corner = 0; corner < 8; ++corner)
    box.extend(placed * part.mesh->bounds.corner(static_cast<Box3::CornerType>(corner)));
  return box.sizes();
}

}  // namespace

void checkPlacement(const Placement& placement, const std::string& name) {
  const bool sized = (placement.scale.array().abs() >= bounds::smallestScale).all() &&
                     (placement.scale.array().abs() <= bounds::largestScale).all();
  if (!sized) throw Error(say("{} can be scaled to between 0.1 % and 100000 % of its size.", name));
  if (!isWithin(placement.position, bounds::place))
    throw Error(say("{} can be moved at most 10 m from the plate's corner.", name));
  if (!isWithin(placement.turn, 1e6)) throw Error(say("{} has to be turned by a number of degrees.", name));
}

void checkPlace(const Vec3& at, const char* what) {
  if (!isWithin(at, bounds::decision))
    throw Error(say("{} can go at most {:g} mm from the plate's corner.", sayWords(what), bounds::decision));
}

void checkPlane(const Plane& plane, const char* what) {
  checkPlace(plane.at, what);
  if (!plane.normal.allFinite() || std::abs(plane.normal.norm() - 1) > 1e-3)
    throw Error(say("{} needs a plane with a direction.", sayWords(what)));
}

void checkStroke(const LayMark& lay) {
  std::visit(StrokeCheck{}, lay.stroke);
  for (const Plane& plane : lay.rules.clip) checkPlane(plane, "A cut");
  if (lay.twin) checkPlane(*lay.twin, "A twin stroke");
  if (lay.rules.crease) checkAngle(*lay.rules.crease, 180, "A crease");
}

void checkText(const std::string& text, const char* what) {
  if (text.size() > bounds::text)
    throw Error(say("{} can have {} characters; this one has {}.", sayWords(what), bounds::text, text.size()));
}

void checkBounds(const Project& project) {
  if (project.parts.size() > bounds::parts)
    throw Error(say("A project can have {} parts; this would be {}. Print them in several goes.", bounds::parts,
                    project.parts.size()));
  std::size_t decisions = 0;
  const double layer = project.settings.number("layer.height");
  for (const PartPtr& part : project.parts) {
    decisions += part->zones.size() + part->props.size();
    const Vec3 size = placedSize(*part);
    if (!isWithin(size, bounds::place))
      throw Error(say("{} would be {:.0f} m long. A part can measure 10 m at most; scale it down.", part->name,
                      size.maxCoeff() / 1000));
    const double top = size.z() + std::abs(part->placement.position.z());
    if (top / layer > static_cast<double>(bounds::layers))
      throw Error(
          say("{} would reach over {:.0f} layers of {:g} mm. A print can have {}; make layers thicker, "
              "or the part smaller or lower.",
              part->name, top / layer, layer, bounds::layers));
  }
  if (project.shelf.variants.size() >= bounds::variants)
    throw Error(say("A project can have {} variants. Remove one first.", bounds::variants));
  if (project.shelf.versions.size() > bounds::versions)
    throw Error(say("A project can have {} versions.", bounds::versions));
  if (decisions > bounds::decisions)
    throw Error(say("A project can have {} zones and props; this would be {}.", bounds::decisions, decisions));
}

}  // namespace trellis
