// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/document/decide.hpp"

#include "core/settings/rules.hpp"

#include "core/document/bounds.hpp"
#include "core/document/twin.hpp"

#include "core/mesh/nearest.hpp"
#include "core/mesh/symmetry.hpp"

#include <algorithm>

namespace trellis {

namespace {

constexpr double pointing = 1;  // mm a place may lie off the surface

template <typename T>
T& itemAt(std::vector<T>& items, std::size_t index, const Part& part, const char* what) {
  if (index >= items.size())
    throw Error(
        say("{} has no {} {}; it has {}. They are counted from 0.", part.name, sayWords(what), index, items.size()));
  return items[index];
}

void checkLocal(const Overrides& settings) {
  for (const auto& [key, value] : settings) {
    checkSetting(key, value);
    if (!isLocal(key))
      throw Error(
          say("{} cannot be set for one tint, site, zone or prop. Structure, branches, gaps, interface, body, graded "
              "layers and filaments can.",
              key));
  }
}

Canvas canvasOf(const Project& project, std::size_t index, const Part& part) {
  return {part.mesh, treeOf(part.mesh), transformOf(part.placement, *part.mesh),
          hangsBeyond(settingsOf(project, index)), part.clean.get()};
}

Zone checked(Zone zone, const ZoneFigures& figures, const Affine& toPlate, const Part& part) {
  const auto sized = [](double mm) { return mm >= bounds::smallestZone && mm <= bounds::largestZone; };
  const bool fits = zone.shape == ZoneShape::slab
                        ? sized(figures.size.z())
                        : sized(figures.size.x()) && sized(figures.size.y()) && sized(figures.size.z());
  if (!fits)
    throw Error(say("A zone of {} can measure {:g} to {:g} mm along each axis.", part.name, bounds::smallestZone,
                    bounds::largestZone));
  if (!figures.centre.allFinite() || !figures.turn.allFinite() ||
      figures.centre.cwiseAbs().maxCoeff() > bounds::decision)
    throw Error(
        say("A zone needs turns in degrees and a place at most {:g} mm from the plate's corner.", bounds::decision));
  if (!(zone.lean >= 0 && zone.lean <= 89)) throw Error(say("A zone's lean can be 0 to 89°."));
  if (zone.shape == ZoneShape::mesh && !zone.solid) throw Error(say("A zone of any shape needs a mesh file."));
  checkLocal(zone.settings);
  zone.toMesh = zoneTransform(figures, zone.shape, toPlate);
  return zone;
}

// The nearest place of the part's surface, in its mesh's coordinates.
Vec3 onSurface(const Part& part, const Vec3& at) {
  checkPlace(at, "A decision");
  const Affine toMesh = transformOf(part.placement, *part.mesh).inverse();
  const auto near = nearestOn(*treeOf(part.mesh), toMesh * at, pointing * toMesh.linear().norm());
  if (!near)
    throw Error(say("{} has no surface near {:.1f}, {:.1f}, {:.1f}. Point at a place on it.", part.name, at.x(), at.y(),
                    at.z()));
  return near->point;
}

void checkWidth(double width) {
  if (!(width >= bounds::narrowestProp && width <= bounds::widestProp))
    throw Error(say("A prop cannot be {:g} mm wide. It can be {:g} to {:g} mm.", width, bounds::narrowestProp,
                    bounds::widestProp));
}

}  // namespace

bool isLocal(std::string_view key) {
  constexpr std::array<std::string_view, 4> whereNotHow{"support.on", "support.source", "support.free_lean",
                                                        "support.bridge_limit"};
  return key.starts_with("support.") && settingRow(key).perPart &&
         std::find(whereNotHow.begin(), whereNotHow.end(), key) == whereNotHow.end();
}

ProjectPtr applyTo(const Project& project, const LayMark& lay) {
  Part part = partAt(project, lay.part);
  checkStroke(lay);
  Canvas canvas = canvasOf(project, lay.part, part);
  if (std::holds_alternative<SightStroke>(lay.stroke))
    for (const PartPtr& other : project.parts)
      if (other != project.parts[lay.part])
        canvas.others.push_back({treeOf(other->mesh), transformOf(other->placement, *other->mesh).inverse()});
  std::optional<Plane> twin = lay.twin;
  if (lay.findTwin) twin = findSymmetry(part.mesh, Progress()).plane.movedBy(canvas.toPlate);
  const auto laid = [&](const Marks& marks, Mark mark) {
    const MarksPtr once = paint(canvas, marks, lay.stroke, mark, lay.rules);
    if (!twin) return once;
    PaintRules rules = lay.rules;
    for (Plane& plane : rules.clip) plane = {twin->mirrored(plane.at), twin->mirroredDirection(plane.normal)};
    return paint(canvas, *once, mirrored(lay.stroke, *twin), mark, rules);
  };
  if (lay.coat == Coat::support) {
    part.marks = laid(*part.marks, lay.mark);
    return withPart(project, lay.part, std::move(part));
  }
  canvas.clean = nullptr;
  MarksPtr& coat = part.*marksOf(lay.coat);
  if (const auto* face = std::get_if<FaceStroke>(&lay.stroke); face && faceAt(canvas, *face).empty())
    onSurface(part, face->at);
  coat = laid(*coat, lay.mark == Mark::none ? Mark::none : Mark::block);
  if (lay.coat == Coat::clean && lay.mark != Mark::none) part.marks = laid(*part.marks, Mark::none);
  return withPart(project, lay.part, std::move(part));
}

ProjectPtr applyTo(const Project& project, const LayTwin& lay) {
  const Part& part = partAt(project, lay.part);
  if (lay.plane) checkPlane(*lay.plane, "A twin");
  const Affine toPlate = transformOf(part.placement, *part.mesh);
  const Plane plane = lay.plane ? lay.plane->movedBy(toPlate.inverse()) : findSymmetry(part.mesh, Progress()).plane;
  return withPart(project, lay.part, withTwin(part, plane, hangsBeyond(settingsOf(project, lay.part)), Progress()));
}

ProjectPtr applyTo(const Project& project, const SetTint& set) {
  Part part = partAt(project, set.part);
  if (set.tint < 0 || set.tint >= tintCount)
    throw Error(say("There is no tint {}. Tints are 0 to {}.", set.tint, tintCount - 1));
  checkLocal(set.settings);
  if (set.settings.empty())
    part.tints.erase(set.tint);
  else
    part.tints[set.tint] = set.settings;
  return withPart(project, set.part, std::move(part));
}

ProjectPtr applyTo(const Project& project, const ClearDecisions& clear) {
  Part part = partAt(project, clear.part);
  switch (clear.what) {
    case Clearing::marks:
      part.marks = std::make_shared<const Marks>();
      break;
    case Clearing::enforce:
      part.marks = part.marks->without(Mark::enforce);
      break;
    case Clearing::block:
      part.marks = part.marks->without(Mark::block);
      break;
    case Clearing::clean:
      part.clean = std::make_shared<const Marks>();
      break;
    case Clearing::seen:
      part.seen = std::make_shared<const Marks>();
      break;
    case Clearing::zones:
      part.zones.clear();
      break;
    case Clearing::props:
      part.props.clear();
      break;
    case Clearing::sites:
      part.sites.clear();
      break;
    case Clearing::elsewhere:
      part.elsewhere = nullptr;
      break;
  }
  return withPart(project, clear.part, std::move(part));
}

ProjectPtr applyTo(const Project& project, const AddZone& add) {
  Part part = partAt(project, add.part);
  part.zones.push_back(checked(add.zone, add.figures, transformOf(part.placement, *part.mesh), part));
  return withPart(project, add.part, std::move(part));
}

ProjectPtr applyTo(const Project& project, const ChangeZone& change) {
  Part part = partAt(project, change.part);
  Zone& zone = itemAt(part.zones, change.zone, part, "zone");
  if (change.as) zone.as = *change.as;
  if (change.lean) zone.lean = *change.lean;
  if (change.settings) zone.settings = *change.settings;
  if (change.name) zone.name = *change.name;
  if (change.hidden) zone.hidden = *change.hidden;
  if (change.locked) zone.locked = *change.locked;
  const Affine toPlate = transformOf(part.placement, *part.mesh);
  const Affine place = zone.toMesh;
  zone = checked(zone, change.figures.value_or(figuresOf(zone, toPlate)), toPlate, part);
  if (!change.figures) zone.toMesh = place;  // to the bit
  return withPart(project, change.part, std::move(part));
}

ProjectPtr applyTo(const Project& project, const CopyZone& copy) {
  Part part = partAt(project, copy.part);
  Zone zone = itemAt(part.zones, copy.zone, part, "zone");
  const Affine toPlate = transformOf(part.placement, *part.mesh);
  ZoneFigures figures = figuresOf(zone, toPlate);
  if (zone.shape == ZoneShape::slab)
    figures.centre.z() += figures.size.z();
  else
    figures.centre.x() += figures.size.x();
  zone.toMesh = zoneTransform(figures, zone.shape, toPlate);
  zone.id = {};  // a copy has a name of its own
  part.zones.push_back(std::move(zone));
  return withPart(project, copy.part, std::move(part));
}

ProjectPtr applyTo(const Project& project, const RemoveZone& remove) {
  Part part = partAt(project, remove.part);
  itemAt(part.zones, remove.zone, part, "zone");
  part.zones.erase(part.zones.begin() + static_cast<std::ptrdiff_t>(remove.zone));
  return withPart(project, remove.part, std::move(part));
}

ProjectPtr applyTo(const Project& project, const AddProp& add) {
  Part part = partAt(project, add.part);
  checkWidth(add.width);
  checkLocal(add.settings);
  part.props.push_back({onSurface(part, add.at), add.width, add.settings, {}});
  return withPart(project, add.part, std::move(part));
}

ProjectPtr applyTo(const Project& project, const ChangeProp& change) {
  Part part = partAt(project, change.part);
  Prop& prop = itemAt(part.props, change.prop, part, "prop");
  if (change.width) prop.width = *change.width;
  if (change.at) prop.at = onSurface(part, *change.at);
  if (change.settings) prop.settings = *change.settings;
  checkWidth(prop.width);
  checkLocal(prop.settings);
  return withPart(project, change.part, std::move(part));
}

ProjectPtr applyTo(const Project& project, const RemoveProp& remove) {
  Part part = partAt(project, remove.part);
  itemAt(part.props, remove.prop, part, "prop");
  part.props.erase(part.props.begin() + static_cast<std::ptrdiff_t>(remove.prop));
  return withPart(project, remove.part, std::move(part));
}

ProjectPtr applyTo(const Project& project, const DecideSite& decide) {
  Part part = partAt(project, decide.part);
  if (decide.settings) checkLocal(*decide.settings);
  const Vec3 at = onSurface(part, decide.at);
  const Canvas canvas = canvasOf(project, decide.part, part);
  // An earlier decision about the same site is replaced, wherever on it that was made.
  const std::vector<std::uint32_t> facets = siteAt(canvas, {decide.at});
  const auto isHere = [&](const SiteDecision& known) {
    if ((known.at - at).norm() < 1e-6) return true;
    const auto near = nearestOn(*canvas.tree, known.at, pointing);
    return near && std::binary_search(facets.begin(), facets.end(), near->facet);
  };
  const auto known = std::find_if(part.sites.begin(), part.sites.end(), isHere);
  SiteDecision decision{at, Choice::proposed, {}};
  if (known != part.sites.end()) {
    decision = *known;
    part.sites.erase(known);
  }
  if (decide.choice) decision.choice = *decide.choice;
  if (decide.settings) decision.settings = *decide.settings;
  if (decision.choice != Choice::proposed || !decision.settings.empty()) part.sites.push_back(std::move(decision));
  return withPart(project, decide.part, std::move(part));
}

Sentence named(const LayMark& lay) {
  const std::array<Sentence, std::variant_size_v<Stroke>> brushes{
      say("stroke"), say("sight stroke"), say("face"), say("site"), say("band"), say("by lean"), say("support")};
  if (std::holds_alternative<PatchStroke>(lay.stroke) && lay.mark == Mark::block) return say("remove support");
  const Sentence& brush = brushes[lay.stroke.index()];
  if (lay.coat == Coat::clean)
    return lay.mark == Mark::none ? say("{} may be touched", brush) : say("keep a {} clean", brush);
  if (lay.coat == Coat::seen) return lay.mark == Mark::none ? say("{} is not seen", brush) : say("a seen {}", brush);
  const Sentence laid = kindOf(lay.mark) == Mark::enforce ? say("enforce {}", brush)
                        : lay.mark == Mark::block         ? say("block {}", brush)
                                                          : say("clear {}", brush);
  return lay.twin || lay.findTwin ? say("{} and its twin", laid) : laid;
}
Sentence named(const LayTwin&) { return say("lay the twin"); }
Sentence named(const SetTint& set) { return say("settings of tint {}", set.tint); }
Sentence named(const ClearDecisions& clear) {
  const std::array<Sentence, 9> what{
      say("clear all marks"),   say("clear enforce marks"), say("clear block marks"),
      say("clear clean faces"), say("clear seen faces"),    say("clear zones"),
      say("clear props"),       say("clear site choices"),  say("clear support made elsewhere")};
  return what[static_cast<std::size_t>(clear.what)];
}
Sentence named(const AddZone& add) {
  return add.zone.as == ZoneAs::enforce ? say("add enforcing zone")
         : add.zone.as == ZoneAs::block ? say("add blocking zone")
                                        : say("add keep clear zone");
}
Sentence named(const ChangeZone& change) {
  if (change.figures) return say("place zone");
  if (change.name) return say("name zone");
  if (change.hidden) return *change.hidden ? say("hide zone") : say("show zone");
  if (change.locked) return *change.locked ? say("lock zone") : say("unlock zone");
  return change.settings ? say("settings of a zone") : change.lean ? say("lean of a zone") : say("change zone");
}
Sentence named(const CopyZone&) { return say("copy zone"); }
Sentence named(const RemoveZone&) { return say("remove zone"); }
Sentence named(const AddProp&) { return say("add prop"); }
Sentence named(const ChangeProp& change) {
  return change.at      ? say("move prop")
         : change.width ? say("prop {:g} mm wide", *change.width)
                        : say("settings of a prop");
}
Sentence named(const RemoveProp&) { return say("remove prop"); }
Sentence named(const DecideSite& decide) {
  if (!decide.choice) return say("settings of a site");
  return *decide.choice == Choice::enforce ? say("enforce the site")
         : *decide.choice == Choice::block ? say("block the site")
                                           : say("site as proposed");
}

void carryDecisions(const Part& part, const MeshPtr& mesh, Part& result, const Progress& progress) {
  result.lostMarks.clear();
  for (const auto& [coat, lostAs] : {std::pair(Coat::support, std::optional<LostKind>()),
                                     {Coat::clean, LostKind::clean},
                                     {Coat::seen, LostKind::seen}}) {
    Carried carried = carryMarks(part.mesh, *(part.*marksOf(coat)), mesh, progress);
    result.*marksOf(coat) = std::move(carried.marks);
    for (LostMarks& lost : carried.lost) {
      if (lostAs) lost.kind = *lostAs;
      result.lostMarks.push_back(lost);
    }
  }
  const MeshTreePtr tree = treeOf(mesh);
  const auto keepThoseOnSurface = [&](auto& decisions, LostKind kind) {
    std::erase_if(decisions, [&](auto& decision) {
      const auto near = nearestOn(*tree, decision.at, carryReach);
      if (near)
        decision.at = near->point;
      else
        result.lostMarks.push_back({kind, 0, decision.at});
      return !near;
    });
  };
  keepThoseOnSurface(result.props, LostKind::prop);
  keepThoseOnSurface(result.sites, LostKind::site);
}

}  // namespace trellis
