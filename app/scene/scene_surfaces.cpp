// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/scene/scene_surfaces.hpp"

#include "core/assess/scar_map.hpp"

#include "app/theme/theme.hpp"

#include <algorithm>
#include <cmath>

namespace trellis {

namespace {

SurfaceVertex surfaceVertex(const Vec3& at, const Vec3& normal, float kind) {
  const Vec3f p = at.cast<float>(), n = normal.cast<float>();
  return {{p.x(), p.y(), p.z()}, {n.x(), n.y(), n.z()}, kind};
}

void addTriangle(std::vector<SurfaceVertex>& out, const Corners& placed, bool mirrored, float kind) {
  Vec3 normal = (placed[1] - placed[0]).cross(placed[2] - placed[0]).normalized();
  if (mirrored) normal = -normal;
  for (const std::size_t k : mirrored ? std::array<std::size_t, 3>{0, 2, 1} : std::array<std::size_t, 3>{0, 1, 2})
    out.push_back(surfaceVertex(placed[k], normal, kind));
}

std::vector<SurfaceVertex> placedSurface(const TriangleMesh& mesh, const Placement& placement, float kind) {
  std::vector<SurfaceVertex> out;
  const Affine toPlate = transformOf(placement, mesh);
  const bool mirrored = toPlate.linear().determinant() < 0;
  for (std::size_t f = 0; f < mesh.facets.size(); ++f) {
    const Corners c = mesh.corners(f);
    addTriangle(out, {toPlate * c[0], toPlate * c[1], toPlate * c[2]}, mirrored, kind);
  }
  return out;
}

}  // namespace

std::vector<SurfaceVertex> partSurface(const TriangleMesh& mesh, const Placement& placement) {
  return placedSurface(mesh, placement, 0);
}

std::vector<SurfaceVertex> ghostSurface(const TriangleMesh& mesh, const Placement& placement) {
  return placedSurface(mesh, placement, 5);
}

namespace {

// as surface.vert knows them.
enum Kind : int {
  enforced = 1,
  blocked = 2,
  lit = 6,
  clean = 7,
  zoneEnforce = 8,
  zoneBlock = 9,
  zoneClear = 10,
  seen = 14,
  firstTint = 20
};

int kindOfMark(Mark mark) {
  if (mark == Mark::none) return lit;
  return mark == Mark::block ? blocked : tintOf(mark) > 0 ? firstTint + tintOf(mark) : enforced;
}

void addMarks(std::vector<SurfaceVertex>& out, const Part& part, const Marks& marks,
              const std::function<int(Mark)>& kindFor) {
  const Affine toPlate = transformOf(part.placement, *part.mesh);
  const bool mirrored = toPlate.linear().determinant() < 0;
  marks.forEachTree([&](std::uint32_t facet, std::string_view tree) {
    forEachLeaf(part.mesh->corners(facet), tree, [&](const Corners& c, Mark mark) {
      addTriangle(out, {toPlate * c[0], toPlate * c[1], toPlate * c[2]}, mirrored, static_cast<float>(kindFor(mark)));
    });
  });
}

}  // namespace

std::vector<SurfaceVertex> markSurface(const Project& project, const PartShown& isShown) {
  std::vector<SurfaceVertex> out;
  for (std::size_t p = 0; p < project.parts.size(); ++p)
    if (isShown(p)) addMarks(out, *project.parts[p], *project.parts[p]->marks, kindOfMark);
  return out;
}

std::vector<SurfaceVertex> strokeSurface(const Part& part, const Marks& fresh, const LayMark& lay) {
  std::vector<SurfaceVertex> out;
  const int kind = lay.mark == Mark::none || lay.coat == Coat::support ? kindOfMark(lay.mark)
                   : lay.coat == Coat::clean                           ? clean
                                                                       : seen;
  addMarks(out, part, fresh, [kind](Mark) { return kind; });
  return out;
}

namespace {

void addFacet(std::vector<SurfaceVertex>& out, const Part& part, const Affine& toPlate, std::uint32_t facet, int kind) {
  const Corners c = part.mesh->corners(facet);
  addTriangle(out, {toPlate * c[0], toPlate * c[1], toPlate * c[2]}, toPlate.linear().determinant() < 0,
              static_cast<float>(kind));
}

}  // namespace

std::vector<SurfaceVertex> coatSurface(const Project& project, const PartShown& isShown) {
  std::vector<SurfaceVertex> out;
  for (std::size_t p = 0; p < project.parts.size(); ++p) {
    if (!isShown(p)) continue;
    const PartPtr& part = project.parts[p];
    addMarks(out, *part, *part->clean, [](Mark) { return clean; });
    addMarks(out, *part, *part->seen, [](Mark) { return seen; });
  }
  return out;
}

std::vector<SurfaceVertex> choiceSurface(const Project& project, const Build& build, const PartShown& isShown) {
  std::vector<SurfaceVertex> out;
  for (std::size_t p = 0; p < std::min(project.parts.size(), build.parts.size()); ++p) {
    if (!isShown(p)) continue;
    const PartBuild& built = build.parts[p];
    const Affine toPlate = transformOf(project.parts[p]->placement, *project.parts[p]->mesh);
    for (std::size_t s = 0; s < built.resolved->sites.size(); ++s) {
      const Choice choice = built.resolved->sites[s].choice;
      if (choice == Choice::proposed) continue;
      for (const std::uint32_t facet : built.sites->list[s].facets)
        if (project.parts[p]->marks->tree(facet).empty())
          addFacet(out, *project.parts[p], toPlate, facet, choice == Choice::enforce ? enforced : blocked);
    }
  }
  return out;
}

std::vector<SurfaceVertex> litSurface(const Part& part, const std::vector<std::uint32_t>& facets) {
  std::vector<SurfaceVertex> out;
  const Affine toPlate = transformOf(part.placement, *part.mesh);
  for (const std::uint32_t facet : facets) addFacet(out, part, toPlate, facet, lit);
  return out;
}

std::vector<SurfaceVertex> zoneSurface(const Project& project, const PartShown& isShown) {
  std::vector<SurfaceVertex> out;
  for (std::size_t p = 0; p < project.parts.size(); ++p) {
    if (!isShown(p)) continue;
    const PartPtr& part = project.parts[p];
    const Affine toPlate = transformOf(part->placement, *part->mesh);
    const Box3 box = placedBounds(part->placement, *part->mesh);
    for (const Zone& zone : part->zones) {
      if (zone.hidden) continue;
      Affine place = toPlate * zone.toMesh;
      if (zone.shape == ZoneShape::slab) {  // drawn a little wider than the part, not across the plate
        place = Affine::Identity();
        place.translation() = Vec3(box.center().x(), box.center().y(), figuresOf(zone, toPlate).centre.z());
        place.linear() =
            Vec3(box.sizes().x() * 1.15, box.sizes().y() * 1.15, figuresOf(zone, toPlate).size.z()).asDiagonal();
      }
      const MeshPtr solid = unitSolid(zone);
      for (std::size_t f = 0; f < solid->facets.size(); ++f) {
        const Corners c = solid->corners(f);
        addTriangle(out, {place * c[0], place * c[1], place * c[2]}, place.linear().determinant() < 0,
                    static_cast<float>(zone.as == ZoneAs::enforce ? zoneEnforce
                                       : zone.as == ZoneAs::block ? zoneBlock
                                                                  : zoneClear));
      }
    }
  }
  return out;
}

std::vector<SurfaceVertex> litSolid(const SupportSolid& solid) {
  std::vector<SurfaceVertex> out;
  for (const SolidVertex& v : solid.vertices)
    out.push_back({{v.at.x(), v.at.y(), v.at.z()}, {v.normal.x(), v.normal.y(), v.normal.z()}, lit});
  return out;
}

std::vector<SurfaceVertex> supportSurface(const SupportSolid& solid, const std::vector<PieceFigures>& pieces,
                                          const std::function<bool(const SolidVertex&)>& isShown) {
  const auto kindOf = [&](const SolidVertex& v) {
    if (v.kind == RegionKind::interfaceUpper) return 4.0f;
    if (v.kind == RegionKind::interfaceLower) return 11.0f;
    if (v.piece < pieces.size() && pieces[v.piece].bodyFilament == Filament::second) return 12.0f;
    return v.kind == RegionKind::branch ? 13.0f : 3.0f;
  };
  std::vector<SurfaceVertex> out;
  out.reserve(solid.vertices.size());
  for (const SolidVertex& v : solid.vertices)
    if (isShown(v))
      out.push_back({{v.at.x(), v.at.y(), v.at.z()}, {v.normal.x(), v.normal.y(), v.normal.z()}, kindOf(v)});
  return out;
}

}  // namespace trellis
