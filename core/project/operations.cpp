// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/project/operations.hpp"

#include <fmt/format.h>

#include <algorithm>

namespace trellis {

namespace {

const Part& partAt(const Project& project, std::size_t part) {
  if (part >= project.parts.size())
    throw Error(fmt::format("There is no part {}; the project has {}. Parts are counted from 0.", part, project.parts.size()));
  return *project.parts[part];
}

ProjectPtr withPart(const Project& project, std::size_t index, Part part) {
  auto result = std::make_shared<Project>(project);
  result->parts[index] = std::make_shared<const Part>(std::move(part));
  return result;
}

ProjectPtr applyTo(const Project& project, const AddParts& add) {
  auto result = std::make_shared<Project>(project);
  result->parts.insert(result->parts.end(), add.parts.begin(), add.parts.end());
  return result;
}

ProjectPtr applyTo(const Project& project, const RemovePart& remove) {
  partAt(project, remove.part);
  auto result = std::make_shared<Project>(project);
  result->parts.erase(result->parts.begin() + static_cast<std::ptrdiff_t>(remove.part));
  return result;
}

ProjectPtr applyTo(const Project& project, const PlacePart& place) {
  Part part = partAt(project, place.part);
  Placement& placement = part.placement;
  if (place.position) placement.position = *place.position;
  if (place.turn) placement.turn = *place.turn;
  if (place.scale) placement.scale = *place.scale;
  const bool sized = (placement.scale.array().abs() >= 1e-3).all() && (placement.scale.array().abs() <= 1e3).all();
  if (!sized) throw Error(part.name + " can be scaled to between 0.1 % and 100000 % of its size.");
  if (!placement.position.allFinite() || placement.position.cwiseAbs().maxCoeff() > 10'000)
    throw Error(part.name + " can be moved at most 10 m from the plate's corner.");
  if (!placement.turn.allFinite()) throw Error(part.name + " has to be turned by a number of degrees.");
  if (place.drop) placement = droppedTo(placement, *part.mesh, 0);
  return withPart(project, place.part, std::move(part));
}

ProjectPtr applyTo(const Project& project, const MarkWithBall& mark) {
  Part part = partAt(project, mark.part);
  if (mark.stroke.path.empty()) throw Error("A stroke needs at least one point.");
  if (!(mark.stroke.radius >= 0.1 && mark.stroke.radius <= 200))
    throw Error(fmt::format("A brush radius cannot be {:g} mm. It can be 0.1 to 200 mm.", mark.stroke.radius));
  MarkFilter filter;
  if (mark.keepToOverhangs) filter.freeLean = project.settings.number("support.free_lean");
  part.marks = paint(*treeOf(part.mesh), transformOf(part.placement, *part.mesh), *part.marks, mark.stroke, mark.mark, filter);
  return withPart(project, mark.part, std::move(part));
}

ProjectPtr applyTo(const Project& project, const ClearMarks& clear) {
  Part part = partAt(project, clear.part);
  part.marks = clear.only ? part.marks->without(*clear.only) : std::make_shared<const Marks>();
  return withPart(project, clear.part, std::move(part));
}

ProjectPtr applyTo(const Project& project, const ChangeSetting& change) {
  auto result = std::make_shared<Project>(project);
  result->settings.set(change.key, change.value);
  return result;
}

ProjectPtr applyTo(const Project& project, const ResetSetting& reset) {
  auto result = std::make_shared<Project>(project);
  settingRow(reset.key);
  result->settings.reset(reset.key);
  return result;
}

const char* nameOf(Mark mark) { return mark == Mark::enforce ? "enforce" : mark == Mark::block ? "block" : "clear"; }

std::string lowered(std::string text) {
  if (!text.empty()) text[0] = static_cast<char>(std::tolower(static_cast<unsigned char>(text[0])));
  return text;
}

std::string named(const AddParts& add) { return add.parts.size() == 1 ? "add " + add.parts[0]->name : "add parts"; }
std::string named(const RemovePart&) { return "remove part"; }
std::string named(const PlacePart& place) {
  if (place.scale) return "scale";
  return place.turn ? "turn" : place.position ? "move" : "drop to plate";
}
std::string named(const MarkWithBall& mark) { return std::string(nameOf(mark.mark)) + " stroke"; }
std::string named(const ClearMarks& clear) {
  return clear.only ? std::string("clear ") + nameOf(*clear.only) + " marks" : "clear all marks";
}
std::string named(const ChangeSetting& change) {
  const SettingRow& row = settingRow(change.key);
  const auto* number = std::get_if<double>(&change.value);
  return number ? fmt::format("{} {:g} {}", lowered(row.label), *number, row.unit) : lowered(row.label);
}
std::string named(const ResetSetting& reset) { return "reset " + lowered(settingRow(reset.key).label); }

}  // namespace

std::string nameOf(const Operation& operation) {
  return std::visit([](const auto& what) { return named(what); }, operation);
}

ProjectPtr performed(const Project& project, const Operation& operation) {
  return std::visit([&](const auto& what) { return applyTo(project, what); }, operation);
}

}  // namespace trellis
