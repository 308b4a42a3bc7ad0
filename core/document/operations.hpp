// SPDX-License-Identifier: GPL-3.0-or-later
// The one list of everything that can be done to a project: for the window, the command line and tests.
#pragma once

#include "core/document/project.hpp"
#include "core/marks/brush.hpp"
#include "core/mesh/mend.hpp"

#include <optional>
#include <variant>

namespace trellis {

struct AddParts {
  std::vector<PartPtr> parts;
};
struct RemovePart {
  std::size_t part = 0;
};
// A copy beside the part, with its marks and settings.
struct CopyPart {
  std::size_t part = 0;
};
struct MirrorPart {
  std::size_t part = 0;
  int axis = 0;  // of the plate: 0, 1, 2
};
// Every part to a place of its own, nearest to the plate's middle.
struct ArrangeParts {
  double gap = 5;  // mm between parts
};
// What is not given stays as it is. A part that rests drops back to the plate after it was turned or scaled;
// a position or a lift off the plate ends that.
struct PlacePart {
  std::size_t part = 0;
  std::optional<Vec3> position, turn, scale;
  std::optional<Vec3> size = {};    // mm along the mesh's axes; 0 follows in proportion
  std::optional<double> lift = {};  // mm from the plate to the part's lowest point
  bool drop = false;                // lift 0
};
// Turns the part until the face nearest to a place lies on the plate, or rather the hull's face under it.
struct LayFaceDown {
  std::size_t part = 0;
  Vec3 at = Vec3::Zero();  // plate coordinates
};
struct MendPart {
  std::size_t part = 0;
  MendBy way = MendBy::repair;
};
// A revised mesh in the same coordinates as the old one. Marks stay where surface still is.
struct ReplaceMesh {
  std::size_t part = 0;
  MeshPtr mesh;
};
struct LayMark {
  std::size_t part = 0;
  Mark mark = Mark::enforce;  // none clears; an enforcer may bear a tint
  Stroke stroke;
  PaintRules rules = {};
  std::optional<Plane> twin = {};  // plate coordinates: the stroke is laid on the other side too
  bool findTwin = false;           // across the plane the part is most nearly symmetrical about
  Coat coat = Coat::support;       // on clean and seen, block lays the coat and none takes it off
};
// Every decision of the part on its other side too, where nothing is decided there.
struct LayTwin {
  std::size_t part = 0;
  std::optional<Plane> plane = {};  // plate coordinates; none: the one the part is most nearly symmetrical about
};
// Settings of the support that enforcers of a tint cause; none: as the part's.
struct SetTint {
  std::size_t part = 0;
  int tint = 0;  // 0 to tintCount − 1
  Overrides settings = {};
};
enum class Clearing { marks, enforce, block, clean, seen, zones, props, sites, elsewhere };
struct ClearDecisions {
  std::size_t part = 0;
  Clearing what = Clearing::marks;
};
struct AddZone {
  std::size_t part = 0;
  Zone zone;            // its place is taken from the figures
  ZoneFigures figures;  // plate coordinates
};
// What is not given stays as it is.
struct ChangeZone {
  std::size_t part = 0, zone = 0;
  std::optional<ZoneFigures> figures = {};
  std::optional<ZoneAs> as = {};
  std::optional<double> lean = {};
  std::optional<Overrides> settings = {};
  std::optional<std::string> name = {};
  std::optional<bool> hidden = {}, locked = {};
};
struct CopyZone {
  std::size_t part = 0, zone = 0;
};
struct RemoveZone {
  std::size_t part = 0, zone = 0;
};
struct AddProp {
  std::size_t part = 0;
  Vec3 at = Vec3::Zero();  // plate coordinates, on the surface
  double width = 3;        // mm
  Overrides settings = {};
};
struct ChangeProp {
  std::size_t part = 0, prop = 0;
  std::optional<Vec3> at = {};
  std::optional<double> width = {};
  std::optional<Overrides> settings = {};
};
struct RemoveProp {
  std::size_t part = 0, prop = 0;
};
// For the site at a place, plate coordinates. What is not given stays as it is; as proposed and without settings
// nothing is kept.
struct DecideSite {
  std::size_t part = 0;
  Vec3 at = Vec3::Zero();
  std::optional<Choice> choice = {};
  std::optional<Overrides> settings = {};
};
// Lets a finding be, with a note why, or no longer. The finding is the one with this code at this place, plate
// coordinates.
struct AcceptFinding {
  int part = -1;  // −1: the plate
  std::string code;
  Vec3 at = Vec3::Zero();
  std::string note;
  bool accept = true;
};
struct ChangeSetting {
  std::string key;
  SettingValue value;
  std::optional<std::size_t> part = {};  // for one part only
};
struct ResetSetting {
  std::string key;
  std::optional<std::size_t> part = {};
};

// All values of a preset; those that only the plate has stay the plate's.
struct ApplyPreset {
  std::string preset;
  std::optional<std::size_t> part = {};
};

// Another machine, filament or print: what was as usual is as is usual with it, and what was set otherwise stays.
struct ChooseSet {
  KeptSet set;
};

// A copy of what is there now as a variant of its own: the one to go on with, or one that stays beside as it is now.
struct AddVariant {
  std::string name;
  bool inHand = true;
};
// Another variant comes in hand; what was in hand stays beside.
struct TakeVariant {
  VariantId variant;
};
struct RenameVariant {
  VariantId variant;
  std::string name;
};
// Of the one in hand, the first of the others is taken.
struct RemoveVariant {
  VariantId variant;
};
// What another variant decided: everything; or of one part, all decisions and settings, or those of one kind; or one
// setting of the plate or a part.
struct TakeOver {
  VariantId from;
  std::optional<PartId> part = {};
  std::optional<Clearing> what = {};
  std::string key = {};
};
// What is there now was written, handed over or printed.
struct KeepVersion {
  std::string date;  // 2026-11-28
  std::string file = {};
};
struct RestoreVersion {
  std::size_t number = 0;
};

using AnyOperation = std::variant<AddParts, RemovePart, CopyPart, MirrorPart, ArrangeParts, PlacePart, LayFaceDown,
                                  MendPart, ReplaceMesh, LayMark, LayTwin, SetTint, ClearDecisions, AddZone, ChangeZone,
                                  CopyZone, RemoveZone, AddProp, ChangeProp, RemoveProp, DecideSite, AcceptFinding,
                                  ChangeSetting, ResetSetting, ApplyPreset, ChooseSet, AddVariant, TakeVariant,
                                  RenameVariant, RemoveVariant, TakeOver, KeepVersion, RestoreVersion>;

// One of them. Copying and letting go of so many kinds is compiled once, in operations.cpp, and not by whoever carries
// operations about.
struct Operation : AnyOperation {
  using AnyOperation::AnyOperation;
  Operation();
  Operation(const Operation& other);
  Operation(Operation&& other) noexcept;
  Operation& operator=(const Operation& other);
  Operation& operator=(Operation&& other) noexcept;
  ~Operation();
};

// As the Edit menu names it: "enforce stroke", "gap above 0.22 mm".
Sentence nameOf(const Operation& operation);

// The project after the operation. Throws Error when it names a part, key or value that does not fit.
ProjectPtr performed(const Project& project, const Operation& operation);

// The part with another mesh in the same coordinates: where it stands and what is marked stays, as far as
// the surface does.
Part withMesh(const Part& part, const MeshPtr& mesh, const Progress& progress);

// From the command line's JSON, see docs/formats/operations.md. Throws Error naming what is wrong.
// project is what it will be performed on: parts, zones and props may be named by their numbers in it, their ids, and
// parts by their names.
Operation operationFrom(const nlohmann::json& json, const Project& project = {});
// Whether a tint, site, zone or prop may have a setting of its own: whatever of support.* a part may, but for what says
// where support is wanted rather than how it is built.
bool isLocal(std::string_view key);

}  // namespace trellis
