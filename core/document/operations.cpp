// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/document/operations.hpp"

#include "core/document/arrange.hpp"
#include "core/document/bounds.hpp"
#include "core/document/decide.hpp"
#include "core/document/settle.hpp"
#include "core/document/vary.hpp"
#include "core/settings/presets.hpp"
#include "core/settings/words.hpp"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

namespace trellis {

namespace {

ProjectPtr applyTo(const Project& project, const RemovePart& remove) {
  partAt(project, remove.part);
  auto result = std::make_shared<Project>(project);
  result->parts.erase(result->parts.begin() + static_cast<std::ptrdiff_t>(remove.part));
  return result;
}

// "wing 3" is wing, and number 3.
std::pair<std::string, int> baseOf(const std::string& name) {
  const std::size_t space = name.find_last_of(' ');
  if (space == std::string::npos || space + 1 == name.size() || name.size() - space > 5 ||
      name.find_first_not_of("0123456789", space + 1) != std::string::npos)
    return {name, 0};
  return {name.substr(0, space), std::stoi(name.substr(space + 1))};
}

// Copies are told apart by numbers: the first is "wing 1", the next "wing 2".
void numberCopy(std::vector<PartPtr>& parts, std::size_t original, Part& copy) {
  const std::string base = baseOf(copy.name).first;
  int highest = 0;
  for (const PartPtr& part : parts)
    if (const auto [other, number] = baseOf(part->name); other == base) highest = std::max(highest, number);
  if (highest == 0) {
    Part first = *parts[original];
    first.name = base + " 1";
    parts[original] = std::make_shared<const Part>(std::move(first));
    highest = 1;
  }
  copy.name = fmt::format("{} {}", base, highest + 1);
}

ProjectPtr applyTo(const Project& project, const CopyPart& copy) {
  Part part = partAt(project, copy.part);
  const Box3 box = placedBounds(part.placement, *part.mesh);
  part.placement.position += Vec3(box.sizes().x() + ArrangeParts().gap, 0, 0);
  part.id = {};  // a copy has ids of its own
  for (Zone& zone : part.zones) zone.id = {};
  for (Prop& prop : part.props) prop.id = {};
  auto result = std::make_shared<Project>(project);
  numberCopy(result->parts, copy.part, part);
  result->parts.push_back(std::make_shared<const Part>(std::move(part)));
  return result;
}

ProjectPtr applyTo(const Project& project, const MirrorPart& mirror) {
  Part part = partAt(project, mirror.part);
  if (mirror.axis < 0 || mirror.axis > 2) throw Error(say("A part is mirrored along x, y or z."));
  part.placement = mirrored(part.placement, mirror.axis);
  if (part.placement.rests) part.placement = droppedTo(part.placement, *part.mesh, 0);
  return withPart(project, mirror.part, std::move(part));
}

// How far brim, raft or feet reach past what stands on the plate, mm.
double laidAround(const Settings& settings) {
  double reach = settings.whole("support.foot.layers") > 0 ? settings.number("support.foot.spread") : 0.0;
  if (settings.number("brim.width") > 0 && settings.text("brim.side") != "inside")
    reach = std::max(reach, settings.number("brim.gap") + settings.number("brim.width"));
  if (settings.whole("support.raft.layers") > 0) reach = std::max(reach, settings.number("support.raft.reach"));
  return reach;
}

ArrangeRules arrangeRules(const Settings& settings, double gap) {
  return {settings.number("machine.width"), settings.number("machine.depth"), gap, laidAround(settings)};
}

// Beside what is there.
ProjectPtr applyTo(const Project& project, const AddParts& add) {
  const std::vector<Placement> places = besideOthers(project.parts, add.parts, arrangeRules(project.settings, 5));
  auto result = std::make_shared<Project>(project);
  for (std::size_t p = 0; p < places.size(); ++p) {
    Part part = *add.parts[p];
    part.placement = places[p];
    result->parts.push_back(std::make_shared<const Part>(std::move(part)));
  }
  return result;
}

ProjectPtr applyTo(const Project& project, const ArrangeParts& arrange) {
  const std::vector<Placement> places = arranged(project.parts, arrangeRules(project.settings, arrange.gap));
  auto result = std::make_shared<Project>(project);
  for (std::size_t p = 0; p < places.size(); ++p) {
    Part part = *project.parts[p];
    part.placement = places[p];
    result->parts[p] = std::make_shared<const Part>(std::move(part));
  }
  return result;
}

// The scale that gives a size; along axes without one the part keeps its proportions when only one was
// given, and its size otherwise.
Vec3 scaleFor(const Part& part, const Vec3& size) {
  if ((size.array() < 0).any() || !size.allFinite())
    throw Error(say("{} has to have a size in mm, or 0 where it follows in proportion.", part.name));
  const Vec3 whole = part.mesh->bounds.sizes();
  Vec3 scale = part.placement.scale;
  double factor = 1;
  for (int axis = 0; axis < 3; ++axis) {
    if (size(axis) <= 0) continue;
    if (whole(axis) <= 0) throw Error(say("{} has no extent there that could be scaled.", part.name));
    factor = size(axis) / (whole(axis) * std::abs(scale(axis)));
    scale(axis) *= factor;
  }
  const bool alone = (size.array() > 0).count() == 1;
  for (int axis = 0; axis < 3; ++axis)
    if (alone && size(axis) <= 0) scale(axis) *= factor;
  return scale;
}

ProjectPtr applyTo(const Project& project, const PlacePart& place) {
  Part part = partAt(project, place.part);
  Placement& placement = part.placement;
  if (place.turn) placement.turn = *place.turn;
  if (place.scale) placement.scale = *place.scale;
  if (place.size) placement.scale = scaleFor(part, *place.size);
  if (place.position) placement.position = *place.position;
  checkPlacement(part.placement, part.name);
  const std::optional<double> lift = place.drop ? std::optional(0.0) : place.lift;
  if (lift) {
    if (!(std::abs(*lift) <= bounds::place)) throw Error(say("{} has to be lifted by a number of mm.", part.name));
    placement = droppedTo(placement, *part.mesh, *lift);
    placement.rests = *lift == 0;
  } else if (place.position) {
    placement.rests = std::abs(placedBounds(placement, *part.mesh).min().z()) < 1e-4;
  } else if (placement.rests) {
    placement = droppedTo(placement, *part.mesh, 0);
  }
  return withPart(project, place.part, std::move(part));
}

ProjectPtr applyTo(const Project& project, const LayFaceDown& lay) {
  Part part = partAt(project, lay.part);
  checkPlace(lay.at, "A face");
  const auto down = placedOnFaceAt(part.placement, part.mesh, lay.at);
  if (!down)
    throw Error(say("{} has no surface near {:.1f}, {:.1f}, {:.1f}. Point at a face of it.", part.name, lay.at.x(),
                    lay.at.y(), lay.at.z()));
  part.placement = *down;
  return withPart(project, lay.part, std::move(part));
}

ProjectPtr applyTo(const Project& project, const MendPart& mending) {
  const Part& part = partAt(project, mending.part);
  return withPart(project, mending.part, withMesh(part, mend(*part.mesh, mending.way, Progress()).mesh, Progress()));
}

ProjectPtr applyTo(const Project& project, const ReplaceMesh& replace) {
  return withPart(project, replace.part, withMesh(partAt(project, replace.part), replace.mesh, Progress()));
}

// A part's own settings are those that the table lets a part have.
Part partForSetting(const Project& project, std::size_t index, const std::string& key) {
  if (!settingRow(key).perPart) throw Error(say("{} holds for the whole plate; a part cannot have its own.", key));
  return partAt(project, index);
}

ProjectPtr applyTo(const Project& project, const ChangeSetting& change) {
  if (change.part) {
    Part part = partForSetting(project, *change.part, change.key);
    checkSetting(change.key, change.value);
    part.settings.insert_or_assign(settingRow(change.key).key, change.value);
    return withPart(project, *change.part, std::move(part));
  }
  auto result = std::make_shared<Project>(project);
  result->settings.set(change.key, change.value);
  return result;
}

// To what is usual with the sets chosen.
ProjectPtr applyTo(const Project& project, const ResetSetting& reset) {
  settingRow(reset.key);
  if (reset.part) {
    Part part = partForSetting(project, *reset.part, reset.key);
    part.settings.erase(settingRow(reset.key).key);
    return withPart(project, *reset.part, std::move(part));
  }
  auto result = std::make_shared<Project>(project);
  result->settings.set(reset.key, usualValue(project.sets, settingRow(reset.key).key));
  return result;
}

ProjectPtr applyTo(const Project& project, const ApplyPreset& apply) {
  const Preset& preset = presetNamed(apply.preset);
  if (apply.part) partAt(project, *apply.part);
  auto result = std::make_shared<const Project>(project);
  for (const auto& [key, value] : valuesOf(preset, project.settings))
    result = applyTo(*result, ChangeSetting{key, value, settingRow(key).perPart ? apply.part : std::nullopt});
  return result;
}

ProjectPtr applyTo(const Project& project, const ChooseSet& choose) {
  auto result = std::make_shared<Project>(project);
  result->settings = withSet(project.settings, project.sets, choose.set);
  result->sets.of(choose.set.kind) = choose.set;
  return result;
}

constexpr double samePlace = 3;  // mm

// What was accepted at the place before is replaced.
void accept(std::vector<Accepted>& all, const AcceptFinding& what, const Affine& toPlate) {
  std::erase_if(all, [&](const Accepted& one) {
    return one.code == what.code && (toPlate * one.at - what.at).norm() <= samePlace;
  });
  if (what.accept) all.push_back({what.code, toPlate.inverse() * what.at, what.note});
}

ProjectPtr applyTo(const Project& project, const AcceptFinding& what) {
  checkPlace(what.at, "A finding");
  checkText(what.note, "A note");
  if (what.part < 0) {
    auto result = std::make_shared<Project>(project);
    accept(result->accepted, what, Affine::Identity());
    return result;
  }
  const auto index = static_cast<std::size_t>(what.part);
  Part part = partAt(project, index);
  accept(part.accepted, what, transformOf(part.placement, *part.mesh));
  return withPart(project, index, std::move(part));
}

Sentence labelOf(const SettingRow& row) { return sayWords(row.label); }

Sentence named(const AddParts& add) {
  return add.parts.size() == 1 ? say("add {}", add.parts[0]->name) : say("add parts");
}
Sentence named(const RemovePart&) { return say("remove part"); }
Sentence named(const CopyPart&) { return say("copy part"); }
Sentence named(const MirrorPart& mirror) { return say("mirror along {}", std::string(1, "xyz"[mirror.axis])); }
Sentence named(const ArrangeParts&) { return say("spread out"); }
Sentence named(const LayFaceDown&) { return say("lay a face down"); }
Sentence named(const MendPart& mending) { return mending.way == MendBy::wrap ? say("wrap") : say("mend"); }
Sentence named(const ReplaceMesh&) { return say("replace the mesh"); }
Sentence named(const PlacePart& place) {
  if (place.scale || place.size) return say("scale");
  if (place.lift && *place.lift != 0) return say("lift");
  return place.turn ? say("turn") : place.position ? say("move") : say("drop to plate");
}
Sentence named(const ChangeSetting& change) {
  const SettingRow& row = settingRow(change.key);
  if (const auto* number = std::get_if<double>(&change.value))
    return row.unit.empty() ? say("{:l} {:g}", labelOf(row), *number)
                            : say("{:l} {:g} {}", labelOf(row), *number, row.unit);
  if (const auto* yes = std::get_if<bool>(&change.value))
    return *yes ? say("{:l} on", labelOf(row)) : say("{:l} off", labelOf(row));
  if (row.choices.empty()) return say("{:l}", labelOf(row));
  return say("{:l}: {}", labelOf(row), sayWords(choiceInWords(row.key, std::get<std::string>(change.value))));
}
Sentence named(const AcceptFinding& what) {
  return what.accept ? say("accept a finding") : say("no longer accept a finding");
}
Sentence named(const ApplyPreset& apply) { return say("preset: {:l}", sayWords(presetNamed(apply.preset).label)); }
Sentence named(const ChooseSet& choose) {
  return say("{}: {}", sayWords(std::string(nameOf(choose.set.kind))), choose.set.name);
}
Sentence named(const ResetSetting& reset) { return say("reset {:l}", labelOf(settingRow(reset.key))); }

}  // namespace

Operation::Operation() = default;
Operation::Operation(const Operation& other) = default;
Operation::Operation(Operation&& other) noexcept = default;
Operation& Operation::operator=(const Operation& other) = default;
Operation& Operation::operator=(Operation&& other) noexcept = default;
Operation::~Operation() = default;

Sentence nameOf(const Operation& operation) {
  return std::visit([](const auto& what) { return named(what); }, operation);
}

const Part& partAt(const Project& project, std::size_t part) {
  if (part >= project.parts.size())
    throw Error(say("There is no part {}; the project has {}. Parts are counted from 0.", part, project.parts.size()));
  return *project.parts[part];
}

ProjectPtr withPart(const Project& project, std::size_t index, Part part) {
  auto result = std::make_shared<Project>(project);
  result->parts[index] = std::make_shared<const Part>(std::move(part));
  return result;
}

Part withMesh(const Part& part, const MeshPtr& mesh, const Progress& progress) {
  Part result = part;
  const Affine before = transformOf(part.placement, *part.mesh);
  carryDecisions(part, mesh, result, progress);
  result.mesh = mesh;
  result.placement.position = before * Vec3(mesh->bounds.center());
  if (result.placement.rests) result.placement = droppedTo(result.placement, *mesh, 0);
  return result;
}

ProjectPtr performed(const Project& project, const Operation& operation) {
  const ProjectPtr result = std::visit([&](const auto& what) { return applyTo(project, what); }, operation);
  checkBounds(*result);
  return std::make_shared<const Project>(withIds(*result));
}

}  // namespace trellis
