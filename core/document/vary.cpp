// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/document/vary.hpp"

#include "core/document/bounds.hpp"

#include <algorithm>

namespace trellis {

namespace {

constexpr const char* firstName = "first";

void checkName(const std::string& name) {
  if (name.empty()) throw Error(say("A variant needs a name."));
  checkText(name, "The name of a variant");
}

// The project with an id for the variant in hand.
Project numbered(const Project& project) {
  Project result = project;
  if (result.shelf.inHand) return result;
  result.shelf.inHand.number = result.nextId++;
  if (result.shelf.name.empty()) result.shelf.name = firstName;
  return result;
}

void sortById(std::vector<Variant>& variants) {
  std::sort(variants.begin(), variants.end(), [](const Variant& a, const Variant& b) { return a.id < b.id; });
}

const Variant& variantAt(const Project& project, VariantId id) {
  for (const Variant& variant : project.shelf.variants)
    if (variant.id == id) return variant;
  throw Error(say("There is no other variant {}.", textOf(id)));
}

// Another project on the shelf of this one. Numbers go on from whichever is higher, so that none is given twice.
Project onShelfOf(const Project& project, const Project& other) {
  Project result = other;
  result.shelf = project.shelf;
  result.nextId = std::max(project.nextId, other.nextId);
  return result;
}

void takeDecisions(Part& part, const Part& from, Clearing what) {
  switch (what) {
    case Clearing::marks:
      part.marks = from.marks;
      part.tints = from.tints;
      break;
    case Clearing::enforce:
      part.marks = from.marks->without(Mark::block)->over(*part.marks->without(Mark::enforce));
      part.tints = from.tints;
      break;
    case Clearing::block:
      part.marks = from.marks->without(Mark::enforce)->over(*part.marks->without(Mark::block));
      break;
    case Clearing::clean:
      part.clean = from.clean;
      break;
    case Clearing::seen:
      part.seen = from.seen;
      break;
    case Clearing::zones:
      part.zones = from.zones;
      break;
    case Clearing::props:
      part.props = from.props;
      break;
    case Clearing::sites:
      part.sites = from.sites;
      break;
    case Clearing::elsewhere:
      part.elsewhere = from.elsewhere;
      break;
  }
}

void takeAll(Part& part, const Part& from) {
  for (const Clearing what : {Clearing::marks, Clearing::clean, Clearing::seen, Clearing::zones, Clearing::props,
                              Clearing::sites, Clearing::elsewhere})
    takeDecisions(part, from, what);
  part.settings = from.settings;
}

const PartPtr& partCalled(const Project& project, PartId id, const char* where) {
  for (const PartPtr& part : project.parts)
    if (part->id == id) return part;
  throw Error(say("{} has no part {}.", where, textOf(id)));
}

}  // namespace

ProjectPtr applyTo(const Project& project, const AddVariant& add) {
  checkName(add.name);
  Project result = numbered(project);
  Shelf& shelf = result.shelf;
  const VariantId fresh{result.nextId++};
  auto bare = std::make_shared<Project>(result);
  bare->shelf = {};
  if (add.inHand) {
    shelf.variants.push_back({shelf.inHand, shelf.name, std::move(bare)});
    shelf.inHand = fresh;
    shelf.name = add.name;
  } else {
    shelf.variants.push_back({fresh, add.name, std::move(bare)});
  }
  sortById(shelf.variants);
  return std::make_shared<const Project>(std::move(result));
}

ProjectPtr applyTo(const Project& project, const TakeVariant& take) {
  if (take.variant == project.shelf.inHand) return std::make_shared<const Project>(project);
  const Variant taken = variantAt(project, take.variant);
  Project result = onShelfOf(project, *taken.project);
  auto bare = std::make_shared<Project>(project);
  bare->shelf = {};
  for (Variant& variant : result.shelf.variants)
    if (variant.id == take.variant) variant = {project.shelf.inHand, project.shelf.name, bare};
  result.shelf.inHand = taken.id;
  result.shelf.name = taken.name;
  sortById(result.shelf.variants);
  return std::make_shared<const Project>(std::move(result));
}

ProjectPtr applyTo(const Project& project, const RenameVariant& rename) {
  checkName(rename.name);
  Project result = project;
  if (rename.variant == result.shelf.inHand)
    result.shelf.name = rename.name;
  else
    variantAt(project, rename.variant);
  for (Variant& variant : result.shelf.variants)
    if (variant.id == rename.variant) variant.name = rename.name;
  return std::make_shared<const Project>(std::move(result));
}

ProjectPtr applyTo(const Project& project, const RemoveVariant& remove) {
  if (remove.variant == project.shelf.inHand) {
    if (project.shelf.variants.empty()) throw Error(say("The only variant there is cannot be removed."));
    const ProjectPtr other = applyTo(project, TakeVariant{project.shelf.variants.front().id});
    return applyTo(*other, remove);
  }
  variantAt(project, remove.variant);
  Project result = project;
  std::erase_if(result.shelf.variants, [&](const Variant& variant) { return variant.id == remove.variant; });
  return std::make_shared<const Project>(std::move(result));
}

ProjectPtr applyTo(const Project& project, const TakeOver& over) {
  const Project& from = *variantAt(project, over.from).project;
  if (!over.part && over.key.empty() && !over.what) return std::make_shared<const Project>(onShelfOf(project, from));
  Project result = project;
  if (!over.part) {
    if (over.key.empty()) throw Error(say("Say whose decisions are to be taken over: name a part."));
    settingRow(over.key);
    result.settings.set(over.key, from.settings.value(over.key));
    return std::make_shared<const Project>(std::move(result));
  }
  const Part& other = *partCalled(from, *over.part, "That variant");
  for (PartPtr& part : result.parts) {
    if (part->id != *over.part) continue;
    Part changed = *part;
    if (!over.key.empty()) {
      const auto own = other.settings.find(settingRow(over.key).key);
      changed.settings.erase(settingRow(over.key).key);
      if (own != other.settings.end()) changed.settings.insert(*own);
    } else {
      if (other.mesh->key != part->mesh->key)
        throw Error(say("{} has another mesh in that variant, and decisions lie on its surface.", part->name));
      if (over.what)
        takeDecisions(changed, other, *over.what);
      else
        takeAll(changed, other);
    }
    part = std::make_shared<const Part>(std::move(changed));
    return std::make_shared<const Project>(std::move(result));
  }
  throw Error(say("The variant in hand has no part {}.", textOf(*over.part)));
}

ProjectPtr applyTo(const Project& project, const KeepVersion& keep) {
  checkText(keep.date, "The date of a version");
  checkText(keep.file, "The file of a version");
  auto bare = std::make_shared<Project>(project);
  bare->shelf = {};
  Project result = project;
  std::vector<Version>& versions = result.shelf.versions;
  const std::string code = codeOf(bare);
  if (!versions.empty() && versions.back().code == code) {  // written again: the same one
    versions.back().date = keep.date;
    versions.back().file = keep.file;
  } else {
    versions.push_back({versions.empty() ? 1 : versions.back().number + 1, code, keep.date, keep.file, bare});
  }
  return std::make_shared<const Project>(std::move(result));
}

ProjectPtr applyTo(const Project& project, const RestoreVersion& restore) {
  for (const Version& version : project.shelf.versions)
    if (version.number == restore.number) return std::make_shared<const Project>(onShelfOf(project, *version.project));
  throw Error(say("There is no version {}.", restore.number));
}

Sentence named(const AddVariant& add) { return add.inHand ? say("variant {}", add.name) : say("pin {}", add.name); }
Sentence named(const TakeVariant&) { return say("take another variant"); }
Sentence named(const RenameVariant&) { return say("name a variant"); }
Sentence named(const RemoveVariant&) { return say("remove a variant"); }
Sentence named(const TakeOver&) { return say("take over from a variant"); }
Sentence named(const KeepVersion&) { return say("keep a version"); }
Sentence named(const RestoreVersion& restore) { return say("back to version {}", restore.number); }

}  // namespace trellis
