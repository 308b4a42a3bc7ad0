// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/document/project.hpp"

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

std::vector<PartPtr> partsFrom(const std::vector<NamedMesh>& meshes, const Settings& settings) {
  Box3 box;
  for (const NamedMesh& mesh : meshes) box.extend(mesh.mesh->bounds);
  const Vec3 middle(settings.number("machine.width") / 2, settings.number("machine.depth") / 2, 0);
  std::vector<PartPtr> parts;
  for (const NamedMesh& named : meshes) {
    Part part{named.name, named.mesh, {}};
    part.placement.position =
        middle + named.mesh->bounds.center() - Vec3(box.center().x(), box.center().y(), box.min().z());
    parts.push_back(std::make_shared<const Part>(std::move(part)));
  }
  return parts;
}

}  // namespace trellis
