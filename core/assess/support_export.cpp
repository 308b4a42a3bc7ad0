// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/assess/support_export.hpp"

#include "core/assess/layer_stacks.hpp"
#include "core/assess/report.hpp"
#include "core/base/archive.hpp"
#include "core/mesh/extrude.hpp"
#include "core/mesh/model_xml.hpp"

#include <fmt/format.h>

#include <map>

namespace trellis {

namespace {

void append(std::vector<Vec3f>& corners, const MeshPtr& mesh) {
  if (!mesh) return;
  for (const Facet& facet : mesh->facets)
    for (const std::uint32_t index : facet) corners.push_back(mesh->vertices[index]);
}

MeshPtr together(std::vector<Vec3f> corners) { return corners.empty() ? nullptr : meshFromCorners(corners); }

}  // namespace

MeshPtr pieceSolid(const Build& build, std::size_t piece, bool interface) {
  std::map<Key, PieceSlab> open;  // by what they are, so that straight columns grow on
  std::vector<Vec3f> corners;
  const auto close = [&](const PieceSlab& slab) { append(corners, extruded(*slab.area, slab.bottom, slab.top)); };
  for (const PieceSlab& slab : slabsOfPiece(build, piece, interface)) {
    const auto [entry, fresh] = open.try_emplace(slab.key, slab);
    if (fresh) continue;
    if (std::abs(entry->second.top - slab.bottom) < 1e-6) {
      entry->second.top = slab.top;
    } else {
      close(entry->second);
      entry->second = slab;
    }
  }
  for (const auto& [key, slab] : open) close(slab);
  return together(std::move(corners));
}

MeshPtr supportMesh(const Build& build, const Progress& progress) {
  std::vector<Vec3f> corners;
  for (std::size_t piece = 0; piece < build.support->pieces.size(); ++piece)
    for (const bool interface : {false, true}) {
      progress.check();
      append(corners, pieceSolid(build, piece, interface));
    }
  return together(std::move(corners));
}

std::string packWithSupports(const Project& project, const Build& build, bool withLayers, const Progress& progress) {
  std::string xml = beginModel(withLayers), items;
  std::size_t id = 0;
  const auto add = [&](ModelObject object, const TriangleMesh& mesh, const Affine& place, const auto& stack) {
    progress.check();
    if (withLayers) appendStack(xml, object.stack = ++id, stack());
    object.id = ++id;
    appendObject(xml, object, mesh);
    appendItem(items, id, place);
  };
  for (std::size_t p = 0; p < project.parts.size(); ++p) {
    const Part& part = *project.parts[p];
    // Layers are as they lie on the plate, and so is the mesh then.
    add({0, "model", part.name}, withLayers ? *build.parts[p].placed : *part.mesh,
        withLayers ? Affine::Identity() : transformOf(part.placement, *part.mesh),
        [&] { return stackOf(build.parts[p]); });
  }
  for (std::size_t piece = 0; piece < build.support->pieces.size(); ++piece)
    for (const bool interface : {false, true})
      if (const MeshPtr solid = pieceSolid(build, piece, interface))
        add({0, "support", fmt::format("support {} {}", piece + 1, interface ? "interface" : "body")}, *solid,
            Affine::Identity(), [&] { return stackOfPiece(build, piece, interface); });
  return writeArchive({{"[Content_Types].xml", contentTypes()},
                       {"_rels/.rels", rootRelations(false)},
                       {modelEntry, xml + endResources + items + endModel}});
}

std::string pricesCsv(const Build& build, const Settings& settings) {
  std::string csv = "cause,part,number,contact_mm2,g,time_s,cost,removal_s\r\n";
  for (const Price& price : build.prices)
    csv += fmt::format("{},{},{},{:.2f},{:.4f},{:.1f},{:.4f},{:.1f}\r\n", nameOf(price.cause.kind),
                       price.cause.part + 1, price.cause.index + 1, price.contact, grams(price.use, settings),
                       price.use.seconds, money(price.use, settings), price.removal);
  return csv;
}

}  // namespace trellis
