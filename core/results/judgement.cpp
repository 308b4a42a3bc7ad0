// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/results/judgement.hpp"

#include "core/base/parallel.hpp"

#include <algorithm>
#include <set>

namespace trellis {

namespace {

ExtractionPath extract(const ExtractionInputs& in, const Progress&) {
  std::vector<Solid> solids;
  for (const SolidInputs& part : in.parts)
    solids.push_back({part.mesh->tree, transformOf(part.placement, part.mesh->tree->mesh()).inverse()});
  return extractionPathOf(samplesOf(*in.shape->layers, in.shape->piece), solids);
}

DrainClearance drain(const DrainInputs& in, const Progress& progress) {
  std::vector<Polygons> sections(in.plan.count());
  parallelFor(sections.size(), progress, [&](std::size_t i) {
    for (const Kept<Sections>& part : in.parts)
      if (i < part->layers.size())
        sections[i] = sections[i].empty() ? part->layers[i] : unite(sections[i], part->layers[i]);
  });
  return DrainClearance(in.plan, sections, progress);
}

double widestDrain(const DrainWidthInputs& in, const Progress&) {
  double widest = 0;
  for (const Vec3& sample : samplesOf(*in.shape->layers, in.shape->piece))
    widest = std::max(widest, in.field->widthAt(sample));
  return widest;
}

Stability stand(const StabilityInputs& in, const Progress& progress) {
  Stability stability = stabilityOf(in.sections->plan, in.sections->layers, in.holds, in.rules, progress);
  if (in.standsOnNothing)
    for (StandingLevel& level : stability.levels) level.safetyFactor = 0;
  return stability;
}

HoldAdvice advise(const HoldInputs& in, const Progress& progress) {
  const Standing standing{*in.placed, in.sections->plan, in.sections->layers, in.holds};
  return adviseHolds(in.part, standing, in.rules, progress);
}

Symmetry symmetry(const MeshInputs& in, const Progress& progress) { return findSymmetry(in.mesh, progress); }

TwinLeftOut leftOut(const TwinInputs& in, const Progress& progress) {
  return twinLeftOut(in.part, withTwin(in.part, in.symmetry->plane, in.freeLean, progress));
}

std::vector<Kept<PieceShape>> shapesOf(const Supports& supports) {
  std::vector<Kept<PieceShape>> shapes;
  for (std::size_t p = 0; p < supports.support->pieces.size(); ++p)
    shapes.push_back(
        {supports.support->pieces[p].id, std::make_shared<const PieceShape>(PieceShape{supports.support, p})});
  return shapes;
}

}  // namespace

const Recipe<ExtractionPath, ExtractionInputs> pieceExtraction{"extraction", extract};
const Recipe<DrainClearance, DrainInputs> drainField{"drain field", drain};
const Recipe<double, DrainWidthInputs> pieceDrain{"drain width", widestDrain};
const Recipe<Stability, StabilityInputs> partStability{"stability", stand};
const Recipe<HoldAdvice, HoldInputs> partHoldAdvice{"hold advice", advise};
const Recipe<Symmetry, MeshInputs> meshSymmetry{"symmetry", symmetry};
const Recipe<TwinLeftOut, TwinInputs> decisionsLeftOut{"twin left out", leftOut};

std::vector<WayOut> waysOut(Store& store, const Project& project, const Supports& supports,
                            const std::vector<PartResults>& parts,
                            const std::vector<std::vector<std::size_t>>& neighbourhoods, const Progress& progress) {
  const std::vector<Kept<PieceShape>> shapes = shapesOf(supports);
  std::vector<WayOut> ways(shapes.size());
  std::vector<std::size_t> nearest(shapes.size());  // a part of each piece
  parallelFor(shapes.size(), progress, [&](std::size_t p) {
    std::set<std::size_t> carried;
    for (const std::size_t site : supports.support->pieces[p].sites) carried.insert(supports.demand[site]->part);
    nearest[p] = *carried.begin();
    ExtractionInputs in{shapes[p], {}};
    for (const std::size_t part : carried) in.parts.push_back({parts[part].mesh, project.parts[part]->placement});
    ways[p].extraction = *store.getAside(pieceExtraction, in, progress);
  });
  for (const std::vector<std::size_t>& group : neighbourhoods) {
    std::vector<std::size_t> held;
    for (std::size_t p = 0; p < ways.size(); ++p)
      if (!ways[p].extraction.free && std::find(group.begin(), group.end(), nearest[p]) != group.end())
        held.push_back(p);
    if (held.empty()) continue;
    DrainInputs in;
    for (const std::size_t part : group) {
      in.parts.push_back(parts[part].sections);
      if (parts[part].sections->plan.count() > in.plan.count()) in.plan = parts[part].sections->plan;
    }
    const Kept<DrainClearance> field = store.getAside(drainField, in, progress);
    parallelFor(held.size(), progress, [&](std::size_t k) {
      ways[held[k]].drainClearance = *store.get(pieceDrain, {shapes[held[k]], field}, progress);
    });
  }
  return ways;
}

}  // namespace trellis
