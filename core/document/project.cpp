// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/document/project.hpp"

#include <set>

namespace trellis {

Settings settingsOf(const Project& project, std::size_t part) {
  return project.settings.with(project.parts[part]->settings);
}

MeshPtr placedTogether(const Project& project) {
  std::vector<Vec3f> corners;
  for (const PartPtr& part : project.parts) {
    const MeshPtr placed = transformed(*part->mesh, transformOf(part->placement, *part->mesh));
    for (const Facet& f : placed->facets)
      for (const std::uint32_t index : f) corners.push_back(placed->vertices[index]);
  }
  return meshFromCorners(corners);
}

namespace {

// What of a part's box in plan a support lies in, mm²; less than 0, and the less the farther, where it lies beside it.
double nearness(const TriangleMesh& part, const TriangleMesh& support) {
  const Box3 both = part.bounds.intersection(support.bounds);
  const Vec2 sizes = (both.max() - both.min()).head<2>();
  return sizes.minCoeff() > 0 ? sizes.prod() : sizes.cwiseMin(0).sum();
}

// Each support to the part that it lies under. Nothing more is proposed for a part that brings its own.
void giveSupport(std::vector<Part>& parts, const std::vector<NamedMesh>& meshes) {
  std::vector<std::vector<Vec3f>> corners(parts.size());
  for (const NamedMesh& named : meshes) {
    if (!named.support || parts.empty()) continue;
    const auto nearest = std::max_element(parts.begin(), parts.end(), [&](const Part& a, const Part& b) {
      return nearness(*a.mesh, *named.mesh) < nearness(*b.mesh, *named.mesh);
    });
    auto& into = corners[static_cast<std::size_t>(nearest - parts.begin())];
    for (const Facet& facet : named.mesh->facets)
      for (const std::uint32_t index : facet) into.push_back(named.mesh->vertices[index]);
  }
  for (std::size_t p = 0; p < parts.size(); ++p) {
    if (corners[p].empty()) continue;
    parts[p].elsewhere = meshFromCorners(corners[p]);
    parts[p].settings.insert_or_assign("support.source", SettingValue(std::string("decisions")));
  }
}

}  // namespace

std::vector<PartPtr> partsFrom(const std::vector<NamedMesh>& meshes, const Settings& settings) {
  Box3 box;
  for (const NamedMesh& mesh : meshes) box.extend(mesh.mesh->bounds);
  const Vec3 middle(settings.number("machine.width") / 2, settings.number("machine.depth") / 2, 0);
  std::vector<Part> made;
  for (const NamedMesh& named : meshes) {
    if (named.support) continue;
    Part& part = made.emplace_back(Part{named.name, named.mesh, {}});
    part.placement.position =
        middle + named.mesh->bounds.center() - Vec3(box.center().x(), box.center().y(), box.min().z());
  }
  giveSupport(made, meshes);
  std::vector<PartPtr> parts;
  for (Part& part : made) parts.push_back(std::make_shared<const Part>(std::move(part)));
  return parts;
}

std::string textOf(PartId id) { return "p" + std::to_string(id.number); }
std::string textOf(ZoneId id) { return "z" + std::to_string(id.number); }
std::string textOf(PropId id) { return "q" + std::to_string(id.number); }

namespace {

// Gives an id where there is none or a second one of the same.
template <typename Kind>
bool name(Id<Kind>& id, std::set<std::uint64_t>& taken, std::uint64_t& next) {
  if (id && taken.insert(id.number).second) return false;
  id.number = next++;
  taken.insert(id.number);
  return true;
}

}  // namespace

Project withIds(Project project) {
  for (const PartPtr& part : project.parts) {
    project.nextId = std::max(project.nextId, part->id.number + 1);
    for (const Zone& zone : part->zones) project.nextId = std::max(project.nextId, zone.id.number + 1);
    for (const Prop& prop : part->props) project.nextId = std::max(project.nextId, prop.id.number + 1);
  }
  project.nextId = std::max(project.nextId, project.shelf.inHand.number + 1);
  for (const Variant& variant : project.shelf.variants) {
    project.nextId = std::max(project.nextId, variant.id.number + 1);
    project.nextId = std::max(project.nextId, variant.project->nextId);
  }
  std::set<std::uint64_t> taken;
  for (PartPtr& part : project.parts) {
    Part named = *part;
    bool changed = name(named.id, taken, project.nextId);
    for (Zone& zone : named.zones) changed = name(zone.id, taken, project.nextId) || changed;
    for (Prop& prop : named.props) changed = name(prop.id, taken, project.nextId) || changed;
    if (changed) part = std::make_shared<const Part>(std::move(named));
  }
  return project;
}

}  // namespace trellis
