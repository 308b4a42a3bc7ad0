// SPDX-License-Identifier: GPL-3.0-or-later
// What the maker decided about a part's supports, besides marks. All of it is kept in the part's mesh
// coordinates and so follows the part wherever it goes.
#pragma once

#include "core/base/ids.hpp"
#include "core/base/progress.hpp"
#include "core/geometry/polygons.hpp"
#include "core/marks/marks.hpp"
#include "core/settings/settings.hpp"

namespace trellis {

enum class ZoneAs { enforce, block, keepClear };
enum class ZoneShape { box, cylinder, ball, slab, mesh };

// A solid that decides for what lies in it. May float anywhere.
struct Zone {
  ZoneAs as = ZoneAs::enforce;
  ZoneShape shape = ZoneShape::box;
  Affine toMesh = Affine::Identity();  // from the unit solid, which fills −½…½ along each axis
  MeshPtr solid = {};                  // of shape mesh: scaled into the unit cube
  double lean = 30;                    // degrees; enforce asks for support under what leans more
  Overrides settings = {};             // of the support it causes
  ZoneId id = {};
  std::string name = {};                // the maker's; empty for none
  bool hidden = false, locked = false;  // not drawn; not to be moved by a slip of the hand
};

// The solid of a zone in unit coordinates.
MeshPtr unitSolid(const Zone& zone);
// Any mesh, moved and scaled into the unit cube.
MeshPtr scaledToUnit(const TriangleMesh& mesh);
// The zone's cross-sections at these heights, which ascend.
std::vector<Polygons> zoneSections(const Zone& zone, const Affine& toPlate, const std::vector<double>& heights,
                                   const Progress& progress);
// Whether a place, in mesh coordinates, lies in the zone's box, and for cylinder and ball in the shape itself.
bool isIn(const Zone& zone, const Vec3& at);

// A zone's place in figures: how a person reads and types it. Sizes in mm along its own axes; a slab has only
// a thickness, and reaches everywhere across.
struct ZoneFigures {
  Vec3 centre = Vec3::Zero(), size = Vec3::Constant(10),
       turn = Vec3::Zero();  // turn in degrees about x, then y, then z
};
ZoneFigures figuresOf(const Zone& zone, const Affine& toPlate);
Affine zoneTransform(const ZoneFigures& figures, ZoneShape shape, const Affine& toPlate);

// One support put exactly there by hand: a column of this width under an underside, or a hold beside a wall.
struct Prop {
  Vec3 at = Vec3::Zero();  // on the surface
  double width = 3;        // mm on the plate, 0.8–20
  Overrides settings = {};
  PropId id = {};
};

enum class Choice { proposed, enforce, block };

// What was chosen for the site at a place. It holds for whatever site is there now, so it outlives a change
// of the free lean.
struct SiteDecision {
  Vec3 at = Vec3::Zero();  // on the surface
  Choice choice = Choice::proposed;
  Overrides settings = {};
};

// A finding that the maker lets be.
struct Accepted {
  std::string code;        // of the finding
  Vec3 at = Vec3::Zero();  // where it was; of a part in its mesh's coordinates, of the plate on it
  std::string note;        // why; may be empty
};

}  // namespace trellis
