// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/results/part_recipes.hpp"

#include "core/base/parallel.hpp"

#include <algorithm>

namespace trellis {

namespace {

// What Embree's tree takes for a facet, from memory.
constexpr std::size_t treeBytes = 120;

MeshAnalysis analyse(const MeshInputs& in, const Progress&) { return {neighboursOf(in.mesh), treeOf(in.mesh)}; }

MeshCondition lookOver(const MeshInputs& in, const Progress& progress) {
  return {inspect(*in.mesh), examine(*in.mesh, progress)};
}

Mended mendOne(const MendInputs& in, const Progress& progress) { return mend(*in.mesh, in.way, progress); }

TriangleMesh place(const PlacedInputs& in, const Progress&) {
  return *transformed(*in.mesh, transformOf(in.placement, *in.mesh));
}

Sections cut(const SectionInputs& in, const Progress& progress) {
  const LayerPlan plan = planLayers(in.placed->bounds.max().z(), in.layers);
  Slices slices = slice(*in.placed, plan.middles(), progress);
  std::vector<Polygons> layers(slices.sections.size());
  parallelLayers(layers.size(), progress,
                 [&](std::size_t i) { layers[i] = simplified(slices.sections[i], outlineTolerance); });
  return {plan, std::move(layers), std::move(slices.gaps)};
}

Overhangs hang(const OverhangInputs& in, const Progress& progress) {
  return findOverhangs(in.sections->plan, in.sections->layers, in.rules, progress);
}

Surface surfaceOf(const MeshAnalysis& mesh, const Placement& placement) {
  return {mesh.neighbours, mesh.tree, transformOf(placement, mesh.tree->mesh()).inverse()};
}

LayeredPart layered(const MeshAnalysis& mesh, const Placement& placement, const Sections& sections,
                    const Overhangs& overhangs) {
  return {surfaceOf(mesh, placement), sections.plan, sections.layers, overhangs};
}

Sites seek(const SiteInputs& in, const Progress& progress) {
  return findSites(*in.placed, layered(*in.mesh, in.placement, *in.sections, *in.overhangs), in.rules, progress);
}

ResolvedDecisions resolve(const DecisionInputs& in, const Progress& progress) {
  const auto numberOf = [&](const Overrides& own) {
    return std::find_if(in.ownRules.begin(), in.ownRules.end(), [&](const auto& set) { return set.first == own; })
        ->second;
  };
  return resolveDecisions(in.part, layered(*in.mesh, in.part.placement, *in.sections, *in.overhangs), *in.sites,
                          numberOf, progress);
}

MarkShadows shade(const ShadowInputs& in, const Progress& progress) {
  return castShadows(*in.mesh, transformOf(in.placement, *in.mesh), *in.marks, in.sections->plan.middles(), progress);
}

PartDemand demand(const DemandInputs& in, const Progress& progress) {
  const Asked asked{in.part,   in.sections->plan, *in.overhangs, *in.sites,
                    *in.marks, *in.clean,         *in.resolved,  in.rules.front().second.source,
                    in.grid};
  PartDemand result;
  result.keptFree = keptFree(asked, progress);
  if (!in.rules.front().second.on) return result;
  std::vector<DemandSite> sites = demandOf(asked, in.rules, progress);
  result.sites.resize(sites.size());
  parallelFor(sites.size(), progress, [&](std::size_t i) {
    sites[i].seen = seenOf(sites[i], *in.seen);
    std::vector<Contact> contacts;  // who it is for changes nothing of the support it gets
    contacts.swap(sites[i].contacts);
    const Key key = keyOf(sites[i]);
    sites[i].contacts.swap(contacts);
    result.sites[i] = {key, std::make_shared<const DemandSite>(std::move(sites[i]))};
  });
  return result;
}

std::vector<Polygons> bury(const BuriedInputs& in, const Progress& progress) {
  return buriedIn(in.sections->layers, in.rules, progress);
}

}  // namespace

std::size_t MeshAnalysis::bytes() const { return bytesOf(*neighbours) + tree->mesh().facets.size() * treeBytes; }

Part decisionsOf(const Part& part) {
  Part bare{"", part.mesh, part.placement};
  bare.zones = part.zones;
  for (Zone& zone : bare.zones) {
    zone.name.clear();
    zone.hidden = zone.locked = false;
  }
  bare.props = part.props;
  bare.sites = part.sites;
  bare.tints = part.tints;
  return bare;
}

const Recipe<MeshAnalysis, MeshInputs> meshAnalysis{"mesh analysis", analyse};
const Recipe<MeshCondition, MeshInputs> meshCondition{"mesh condition", lookOver};
const Recipe<Mended, MendInputs> mendedMesh{"mended mesh", mendOne};
const Recipe<TriangleMesh, PlacedInputs> placedMesh{"placed mesh", place};
const Recipe<Sections, SectionInputs> partSections{"sections", cut};
const Recipe<Overhangs, OverhangInputs> partOverhangs{"overhangs", hang};
const Recipe<Sites, SiteInputs> partSites{"sites", seek};
const Recipe<ResolvedDecisions, DecisionInputs> partDecisions{"decisions", resolve};
const Recipe<MarkShadows, ShadowInputs> partShadows{"shadows", shade};
const Recipe<PartDemand, DemandInputs> partDemand{"demand", demand};
const Recipe<std::vector<Polygons>, BuriedInputs> partBuried{"buried", bury};

}  // namespace trellis
